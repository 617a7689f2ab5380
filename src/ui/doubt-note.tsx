import type { Json } from "../core/assessment/facts";
import type { Field } from "../core/sections/definition";
import { doubtOf } from "../core/sections/doubts";
import { formatDate } from "../text/format";
import { say } from "../text/say";
import { placeKey } from "./autosave.client";
import type { FieldContext } from "./section-fields.client";

/** What is said under a field whose answer looks wrong and may be right; it never stops anybody. */
export function DoubtNote({ context, entry, field }: { context: FieldContext; entry: string; field: Field }) {
  const { section, office, values, left, starts, locale } = context;
  const keyOf = (name: string) => placeKey({ scope: section.scope, section: section.key, entry, field: name });
  // What is still being typed is not doubted.
  const settled = left[keyOf(field.key)] ?? section.entries.find((e) => e.id === entry)?.values[field.key]?.value;
  if (settled === undefined || settled !== (values[keyOf(field.key)] ?? null)) return null;
  const own: Record<string, Json> = Object.fromEntries(
    section.fields.map((f) => [f.key, values[keyOf(f.key)] ?? null] as const),
  );
  const doubt = doubtOf(field, own, office.scales, starts);
  if (!doubt) return null;
  const { code, ...rest } = doubt;
  const words = "start" in rest ? { start: formatDate(locale, rest.start) } : rest;
  return (
    <p className="doubt" role="status">
      {say(locale, `doubt.${code}`, words)}
    </p>
  );
}
