import type { Json } from "../../core/file/facts";
import { answerKey } from "../../core/file/place";
import type { FormSection } from "../../core/form/form-sections";

/** The fields of one entry as they stand in the form now, typed or stored. */
export function entryValues(
  { section, values }: { readonly section: FormSection; readonly values: Readonly<Record<string, Json>> },
  entry: string,
): Readonly<Record<string, Json>> {
  const at = (field: string) => values[answerKey({ scope: section.scope, section: section.key, entry, field })] ?? null;
  return Object.fromEntries(section.fields.map((f) => [f.key, at(f.key)] as const));
}
