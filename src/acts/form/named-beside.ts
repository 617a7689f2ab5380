import { fieldBeside } from "../../core/answers/check-value";
import type { Json } from "../../core/file/facts";
import type { Field } from "../../core/rulebook/section";

interface Stated {
  readonly scope: string;
  readonly section: string;
  readonly entry: string;
  readonly field: string;
  readonly value?: Json | undefined;
}

/**
 * What the field says, in the same entry, on which it hangs what this one may hold: the test of scores, the paper of a number.
 * @param stated where it may stand, what counts most first
 */
export function namedBeside(
  field: Field,
  { scope, section, entry }: Omit<Stated, "field" | "value">,
  ...stated: readonly (readonly Stated[])[]
): string | undefined {
  const beside = fieldBeside(field);
  if (beside === null) return undefined;
  for (const list of stated) {
    const here = list.find(
      (s) => s.scope === scope && s.section === section && s.entry === entry && s.field === beside,
    );
    if (typeof here?.value === "string") return here.value;
  }
  return undefined;
}
