import type pg from "pg";
import { z } from "zod";
import { isCounted, isSecret } from "../../core/figures/tally";
import type { RulebookBody } from "../../core/rulebook/rulebook";
import type { Field } from "../../core/rulebook/section";
import type { ReferenceSet } from "../../core/standards/reference-set";
import { valueText } from "../../text/words/value-text";

/** A line of the figures: an answer to a field, of those who submitted an application for a start. */
export const answeredSo = z.object({
  start: z.uuid(),
  section: z.string().max(60),
  field: z.string().max(60),
  value: z.string().max(200),
});
export type AnsweredSo = z.output<typeof answeredSo>;

/** What an answer that is counted under a value is called. */
export function countedLabel(field: Field, value: string, set: ReferenceSet): string {
  if (field.kind === "yesNo") return valueText("en", field, value === "yes", set);
  const kind = field.kind === "countries" ? "country" : field.kind === "language" ? "language" : "choice";
  return valueText("en", { ...field, kind: field.kind === "country" ? "country" : kind }, value, set);
}

export interface KnownAnswer {
  readonly title: string;
  readonly label: string;
  /** As `saysSo` takes it. */
  readonly parameter: readonly string[];
}

/** The field of such a line in the rulebook of its start; null where nobody may know who said it, or it is not counted. */
export async function knownAnswer(
  pool: pg.Pool,
  { start, section, field, value }: AnsweredSo,
  set: ReferenceSet,
): Promise<KnownAnswer | null> {
  const { rows } = await pool.query<{ body: RulebookBody }>(
    "select body from rulebook where intake_id = $1 and status = 'published'",
    [start],
  );
  const known = rows[0]?.body.sections
    .filter((s) => s.key === section)
    .flatMap((s) => s.fields.filter((f) => f.key === field && isCounted(s, f) && !isSecret(f)))[0];
  if (!known) return null;
  const stored = JSON.stringify(known.kind === "yesNo" ? value === "yes" : value);
  return {
    title: known.title.en,
    label: countedLabel(known, value, set),
    parameter: [start, section, field, stored, known.kind === "ranked" ? "first" : "any"],
  };
}

/** SQL that holds for files in which the answer stands, with the parameter of a known answer; of a ranked list the first counts. */
export const saysSo = (
  p: string,
): string => `exists (select 1 from choice sc join answer sa on sa.application_id = sc.application_id
  where sc.application_id = s.application_id and sc.intake_id = ((${p}::text[])[1])::uuid and sc.submitted_at is not null and sc.withdrawn_at is null
    and sa.scope in ('file', sc.id::text) and sa.section = (${p}::text[])[2] and sa.field = (${p}::text[])[3] and sa.entry = '' and not sa.dormant
    and case (${p}::text[])[5] when 'first' then sa.value->0 = ((${p}::text[])[4])::jsonb else sa.value @> ((${p}::text[])[4])::jsonb end)`;
