import type { Json } from "../../core/file/facts";
import { answerKey } from "../../core/file/place";
import { doubtOf } from "../../core/form/doubts";
import type { FormSection } from "../../core/form/form-sections";
import { usualScales } from "../../core/form/usual-scales";
import type { Field } from "../../core/rulebook/section";
import type { ReferenceSet } from "../../core/standards/reference-set";
import type { Locale } from "../../core/text/local-text";
import { formatDate } from "../../text/format";
import { sentence } from "../../text/sentence";
import { entryValues } from "./entry-values";

interface Props {
  readonly context: {
    readonly section: FormSection;
    readonly locale: Locale;
    readonly office: Pick<ReferenceSet, "scales" | "tests">;
    readonly starts: string | null;
    readonly legalName: string;
    readonly values: Readonly<Record<string, Json>>;
    readonly left: Readonly<Record<string, Json>>;
  };
  readonly entry: string;
  readonly field: Field;
}

/** The fields of an entry, with the scale of the entry that it names where it has none of its own. */
function withScale(values: Readonly<Record<string, Json>>, { fields, scales }: FormSection) {
  const naming = fields.find((f) => f.kind === "entry");
  const scale = scales[String((naming && values[naming.key]) ?? "")];
  return scale === undefined ? values : { scale, ...values };
}

/** What is said under a field whose answer looks wrong and may be right; it never stops anybody. */
export function DoubtNote({ context, entry, field }: Props) {
  const { section, office, values, left, starts, legalName, locale } = context;
  const keyOf = (name: string) => answerKey({ scope: section.scope, section: section.key, entry, field: name });
  // What is still being typed is not doubted.
  const settled = left[keyOf(field.key)] ?? section.entries.find((e) => e.id === entry)?.values[field.key]?.value;
  if (settled === undefined || settled !== (values[keyOf(field.key)] ?? null)) return null;
  const own = withScale(entryValues(context, entry), section);
  const doubt = doubtOf(field, own, {
    scales: office.scales,
    tests: office.tests,
    start: starts,
    name: legalName,
    usual: usualScales(section.fields, own),
  });
  if (!doubt) return null;
  const { code, ...rest } = doubt;
  const words = "start" in rest ? { start: formatDate(locale, rest.start) } : rest;
  return (
    <p className="doubt" role="status">
      {sentence(locale, `doubt.${code}`, words)}
    </p>
  );
}
