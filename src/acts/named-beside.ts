import { fieldBeside } from "../core/sections/check-value";
import type { Field } from "../core/sections/definition";
import type { OpenFile } from "./file-act";

/** What the field says, in the same entry, on which it hangs what this one may hold: the test of scores, the paper of a number. */
export function namedBeside(
  file: OpenFile,
  place: { readonly scope: string; readonly section: string; readonly entry: string },
  field: Field,
): string | undefined {
  const beside = fieldBeside(field);
  if (beside === null) return undefined;
  const value = file.facts.answers.find(
    (a) => a.scope === place.scope && a.section === place.section && a.entry === place.entry && a.field === beside,
  )?.value;
  return typeof value === "string" ? value : undefined;
}
