import type pg from "pg";
import type { FileRow } from "../../core/settlement/file-row";

/** The rows in which the latest result of each file is kept: written whole in one statement, and read back as the core makes them. */

/** Columns of the main row, by the names that the core gives them. */
const STANDING = [
  "number",
  "name",
  "stage",
  "turn",
  "reason",
  "turnSince",
  "owes",
  "requirement",
  "nextTitle",
  "nextCount",
  "dueAt",
  "orderAt",
  "mendUntil",
  "comb",
  "programmes",
  "tags",
  "arrivedAt",
  "validUntil",
  "assessedAt",
  "officeVersion",
  "restsOn",
] as const satisfies readonly (keyof FileRow)[];
const INSTANTS: readonly string[] = [
  "turnSince",
  "dueAt",
  "orderAt",
  "mendUntil",
  "arrivedAt",
  "validUntil",
  "assessedAt",
];
const CHOICE = [
  "stage",
  "closedAs",
  "eligibility",
  "ownDays",
  "othersDays",
  "findings",
] as const satisfies readonly (keyof FileRow["choices"][number])[];

const columnOf = (name: string): string => name.replace(/[A-Z]/gu, (letter) => `_${letter.toLowerCase()}`);
const columns = (names: readonly string[]) => names.map(columnOf).join(", ");
const excluded = (names: readonly string[]) => names.map((n) => `${columnOf(n)} = excluded.${columnOf(n)}`).join(", ");
const named = (row: Readonly<Record<string, unknown>>) =>
  Object.fromEntries(Object.entries(row).map(([name, value]) => [columnOf(name), value]));

/** Everything that is kept of some files, in one statement; of what it is found by, keys and what is awaited only what changed is written. */
const WRITE = `with file as materialized (
    select f.*, (f.standing->>'application_id')::uuid as id
    from jsonb_to_recordset($1::jsonb) as f (standing jsonb, choices jsonb, search text, keys jsonb, awaited jsonb)),
  standing as (
    insert into file_standing (application_id, last_event_at, ${columns(STANDING)})
    select r.application_id, $2, ${STANDING.map((n) => `r.${columnOf(n)}`).join(", ")}
    from file, jsonb_populate_record(null::file_standing, file.standing) r
    on conflict (application_id) do update set ${excluded(STANDING)},
      last_event_at = case when $3 then excluded.last_event_at else file_standing.last_event_at end),
  choices as (
    insert into choice_standing (choice_id, application_id, ${columns(CHOICE)})
    select r.choice_id, file.id, ${CHOICE.map((n) => `r.${columnOf(n)}`).join(", ")}
    from file, jsonb_array_elements(file.choices) c, jsonb_populate_record(null::choice_standing, c) r
    on conflict (choice_id) do update set ${excluded(CHOICE)}
      where (${CHOICE.map((n) => `choice_standing.${columnOf(n)}`).join(", ")}) is distinct from (${CHOICE.map((n) => `excluded.${columnOf(n)}`).join(", ")})),
  names as (
    insert into file_search (application_id, text) select id, search from file
    on conflict (application_id) do update set text = excluded.text where file_search.text <> excluded.text),
  lost_keys as (
    delete from file_key k using file where k.application_id = file.id and not file.keys ? k.key),
  keys as (
    insert into file_key (application_id, key) select id, jsonb_array_elements_text(keys) from file on conflict do nothing),
  lost_awaited as (
    delete from awaited a using file where a.application_id = file.id
      and jsonb_build_array(a.kind, a.about, a.due) not in (select jsonb_array_elements(file.awaited)))
  insert into awaited (application_id, kind, about, due)
  select id, x->>0, x->>1, x->>2 from file, jsonb_array_elements(file.awaited) x on conflict do nothing`;

type Queryable = Pick<pg.Pool, "query"> | Pick<pg.PoolClient, "query">;

/** @param acted whether somebody did something to the files, or only time went by */
export async function writeFileRows(
  client: Queryable,
  rows: readonly FileRow[],
  now: Date,
  acted: boolean,
): Promise<void> {
  if (rows.length === 0) return;
  const written = rows.map(({ choices, search, keys, awaited, ...standing }) => ({
    standing: named(standing),
    choices: choices.map((c) => named({ ...c })),
    search,
    keys,
    awaited: awaited.map((a) => [a.kind, a.about, a.due]),
  }));
  await client.query({ name: "write-file-rows", text: WRITE, values: [JSON.stringify(written), now, acted] });
}

const ISO = `'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'`;
const shown = STANDING.map((name) => {
  const column = `s.${columnOf(name)}`;
  return `'${name}', ${INSTANTS.includes(name) ? `to_char(${column} at time zone 'UTC', ${ISO})` : column}`;
});

const READ = `select json_build_object('applicationId', s.application_id, ${shown.join(", ")},
  'choices', coalesce((select json_agg(json_build_object('choiceId', c.choice_id, 'stage', c.stage, 'closedAs', c.closed_as,
     'eligibility', c.eligibility, 'ownDays', c.own_days, 'othersDays', c.others_days, 'findings', c.findings) order by c.choice_id) from choice_standing c where c.application_id = s.application_id), '[]'),
  'search', (select n.text from file_search n where n.application_id = s.application_id),
  'keys', coalesce((select json_agg(k.key order by k.key collate "C") from file_key k where k.application_id = s.application_id), '[]'),
  'awaited', coalesce((select json_agg(json_build_object('kind', w.kind, 'about', w.about, 'due', w.due) order by concat_ws('|', w.kind, w.about, w.due) collate "C")
     from awaited w where w.application_id = s.application_id), '[]')) as row
  from file_standing s where s.application_id = any($1::uuid[])`;

/** The rows of some files as they are stored, by the id of the application. */
export async function readFileRows(client: Queryable, ids: readonly string[]): Promise<ReadonlyMap<string, FileRow>> {
  const { rows } = await client.query<{ row: FileRow }>({ name: "read-file-rows", text: READ, values: [ids] });
  return new Map(rows.map(({ row }) => [row.applicationId, row]));
}
