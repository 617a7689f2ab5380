import type pg from "pg";
import { AnswerIndex } from "../../core/answers/answer-index";
import type { AnswerFact, ConfirmationFact, Json } from "../../core/file/facts";
import { withEntries } from "../../core/form/entry-title";
import type { RulebookBody } from "../../core/rulebook/rulebook";
import type { Field } from "../../core/rulebook/section";
import type { Registers } from "../../core/standards/reference-set";
import { valueText } from "../../text/words/value-text";

/** Who alone reads some answers of a form. */
export type Reader = Extract<Field["seenBy"], "finance" | "advisers">;

/** An answer that is for them alone, with what it is called. */
export interface KeptAnswer {
  readonly title: string;
  readonly text: string;
}

/** SQL: the fields of all rulebooks that are for one kind of reader alone, as `secret`. */
export const secretFields = (reader: Reader): string =>
  `secret as (select r.id as rulebook_id, s->>'key' as section, f->>'key' as field from rulebook r,
    jsonb_array_elements(r.body->'sections') s, jsonb_array_elements(s->'fields') f where f->>'seenBy' = '${reader}')`;

/** SQL that holds for an application, of which some submitted choice asks for one of the `secret` fields, and which answers it. */
export const saysSecret = (application: string): string =>
  `exists (select 1 from choice c join secret x on x.rulebook_id = c.rulebook_id join answer a on a.application_id = c.application_id and a.section = x.section
        and a.field = x.field and not a.dormant and a.value not in ('null', '""') where c.application_id = ${application} and c.submitted_at is not null)`;

/** SQL: of an application (`t.application_id`) what `keptAnswers` reads. */
export const KEPT_ROW = `coalesce((select json_agg(json_build_object('scope', a.scope, 'section', a.section, 'entry', a.entry, 'field', a.field, 'value', a.value, 'version', a.version, 'position', a.position)
    order by a.position) from answer a where a.application_id = t.application_id and not a.dormant), '[]') as answers,
  coalesce((select json_agg(json_build_object('scope', k.scope, 'section', k.section, 'entry', k.entry, 'field', k.field, 'value', k.value, 'answerVersion', k.answer_version))
    from confirmation k where k.application_id = t.application_id), '[]') as confirmations,
  array(select c.rulebook_id from choice c where c.application_id = t.application_id order by c.rank) as rulebooks`;

export interface KeptRow {
  readonly answers: readonly AnswerFact[];
  readonly confirmations: readonly ConfirmationFact[];
  readonly rulebooks: readonly string[];
}

export type Bodies = ReadonlyMap<string, RulebookBody>;

export async function bodiesOf(pool: pg.Pool, ids: readonly string[]): Promise<Bodies> {
  const { rows } = await pool.query<{ id: string; body: RulebookBody }>(
    "select id, body from rulebook where id = any($1)",
    [ids],
  );
  return new Map(rows.map((r) => [r.id, r.body]));
}

/** The answers for one kind of reader alone, in the order of the form; each once, whichever of the choices asks for it. */
export function keptAnswers(row: KeptRow, bodies: Bodies, registers: Registers, reader: Reader): readonly KeptAnswer[] {
  const index = new AnswerIndex(row);
  const said = new Map<string, KeptAnswer>();
  const say = (place: string, title: string, field: Parameters<typeof valueText>[1], value: Json) => {
    if (value !== null && value !== "") said.set(place, { title, text: valueText("en", field, value, registers) });
  };
  for (const { sections } of row.rulebooks.flatMap((id) => bodies.get(id) ?? []))
    for (const section of sections)
      for (const field of section.fields.filter((f) => f.seenBy === reader))
        for (const scope of new Set(row.answers.filter((a) => a.section === section.key).map((a) => a.scope)))
          for (const entry of section.repeats ? index.entries(scope, section.key) : [""]) {
            const own = index.row(scope, section.key, entry);
            const title = `${section.title.en}: ${field.title.en}`;
            say(
              `${scope} ${section.key} ${entry} ${field.key}`,
              title,
              withEntries(field, sections, index),
              own.value(field.key),
            );
          }
  return [...said.values()];
}
