import type { AnswerFact } from "../../core/file/facts";
import { entryKey, sectionKey } from "../../core/file/place";
import { actorKey } from "../../core/rights/actor";
import type { ActContext } from "../act/act";
import type { OpenFile } from "../act/file-act";

/** Entries keep the order in which they were added. */
function positions(file: OpenFile): (scope: string, section: string, entry: string) => number {
  const known = new Map<string, number>();
  const last = new Map<string, number>();
  const remember = (scope: string, section: string, entry: string, position: number) => {
    known.set(entryKey({ scope, section, entry }), position);
    last.set(sectionKey({ scope, section }), Math.max(last.get(sectionKey({ scope, section })) ?? 0, position));
  };
  for (const a of file.facts.answers) remember(a.scope, a.section, a.entry, a.position);
  return (scope, section, entry) => {
    if (entry === "") return 0;
    const position =
      known.get(entryKey({ scope, section, entry })) ?? (last.get(sectionKey({ scope, section })) ?? 0) + 1;
    remember(scope, section, entry, position);
    return position;
  };
}

/** Writes answers and their versions, in one statement. */
const STORE = `with written as (
    select * from jsonb_to_recordset($2::jsonb) as w (scope text, section text, entry text, field text, value jsonb, version int, position int)),
  versions as (
    insert into answer_version (application_id, scope, section, entry, field, version, value, saved_at, saved_by)
    select $1, scope, section, entry, field, version, value, $3, $4 from written)
  insert into answer (application_id, scope, section, entry, field, value, version, position, saved_at)
  select $1, scope, section, entry, field, value, version, position, $3 from written
  on conflict (application_id, scope, section, entry, field) do update
    set value = excluded.value, version = excluded.version, saved_at = excluded.saved_at, dormant = false`;

/** @returns the answers as the file has them now */
export async function storeAnswers(
  ctx: ActContext,
  file: OpenFile,
  writes: readonly Omit<AnswerFact, "position">[],
): Promise<readonly AnswerFact[]> {
  if (writes.length === 0) return [];
  const positionOf = positions(file);
  const written = writes.map(({ scope, section, entry, field, value, version }) => ({
    scope,
    section,
    entry,
    field,
    value,
    version,
    position: positionOf(scope, section, entry),
  }));
  await ctx.client.query({
    name: "store-answers",
    text: STORE,
    values: [file.id, JSON.stringify(written), ctx.now, actorKey(ctx.actor)],
  });
  return written;
}

/** Takes an entry out of a list; its answers stay in the history. */
const REMOVE = `with gone as (
    delete from answer where application_id = $1 and (scope, section, entry) = ($2, $3, $4) returning *)
  insert into answer_version (application_id, scope, section, entry, field, version, value, saved_at, saved_by)
  select application_id, scope, section, entry, field, version + 1, null, $5, $6 from gone`;

export async function takeOutEntry(
  ctx: ActContext,
  applicationId: string,
  { scope, section, entry }: Pick<AnswerFact, "scope" | "section" | "entry">,
): Promise<void> {
  await ctx.client.query(REMOVE, [applicationId, scope, section, entry, ctx.now, actorKey(ctx.actor)]);
}
