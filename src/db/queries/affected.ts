import type pg from "pg";
import { changedNames, isNamedIn, nameOfRulebook } from "../../core/difference/affected-by-change";
import type { ReferenceSet } from "../../core/standards/reference-set";
import { rulebooksById } from "./load-file";

/** What a file must rest on, as its standing has it, to be touched by a change of the reference set; null where every file can be. */
export async function affectingNames(
  client: pg.Pool | pg.PoolClient,
  before: ReferenceSet,
  after: ReferenceSet,
): Promise<readonly string[] | null> {
  const names = changedNames(before, after);
  if (names === null) return null;
  const { rows } = await client.query<{ id: string }>("select id from rulebook where status <> 'draft'");
  const rulebooks = await rulebooksById(
    client,
    rows.map((r) => r.id),
  );
  const naming = Object.values(rulebooks).filter(({ body }) => isNamedIn(body, names));
  return [...names, ...naming.map((r) => nameOfRulebook(r.id))];
}
