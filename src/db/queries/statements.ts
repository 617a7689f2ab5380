import type pg from "pg";

/** A submitted statement of somebody else that shares marks with a text. */
export interface AlikeStatement {
  readonly id: string;
  readonly text: string;
}

/** More than these share a mark with a text that everybody copies; those that share most come first. */
const MOST_COMPARED = 40;

/** The submitted statements of other people that may share a passage with a text of these marks. */
export async function statementsSharing(
  client: pg.Pool | pg.PoolClient,
  marks: readonly number[],
  exceptPersonId: string,
): Promise<readonly AlikeStatement[]> {
  if (marks.length === 0) return [];
  const { rows } = await client.query<AlikeStatement>(
    `select t.id, v.value #>> '{}' as text from (
       select s.*, (select count(*) from unnest(s.marks) m where m = any($1::bigint[])) as shared from statement_text s
         join application a on a.id = s.application_id where s.marks && $1::bigint[] and a.person_id <> $2
       order by shared desc, s.id limit ${MOST_COMPARED}) t
       join answer_version v on (v.application_id, v.scope, v.section, v.entry, v.field, v.version)
         = (t.application_id, t.scope, t.section, t.entry, t.field, t.version)
     where jsonb_typeof(v.value) = 'string' order by t.shared desc, t.id`,
    [marks, exceptPersonId],
  );
  return rows;
}
