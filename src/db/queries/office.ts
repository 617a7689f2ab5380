import { desc } from "drizzle-orm";
import type pg from "pg";
import { namesTakenAway } from "../../core/difference/affected-by-change";
import { namedInRulebook } from "../../core/rulebook/conditions";
import { factsForGroups, type KnownFact } from "../../core/rulebook/facts";
import type { RulebookBody } from "../../core/rulebook/rulebook";
import { type ReferenceProblem, referenceProblems, type Uses } from "../../core/standards/reference-problems";
import {
  makeOffice,
  NOTHING_LOADED,
  type Office,
  type ReferenceSet,
  referenceSetSchema,
} from "../../core/standards/reference-set";
import { type Database, database } from "../connection";
import { officeReference } from "../schema";

/** A fresh installation has a front page, too. */
const EMPTY = makeOffice(0, NOTHING_LOADED);

/** By edition. */
const ready = new Map<string, Office>();

async function newestEdition(db: Database): Promise<string | null> {
  const [newest] = await db
    .select({ edition: officeReference.edition })
    .from(officeReference)
    .orderBy(desc(officeReference.version))
    .limit(1);
  return newest?.edition ?? null;
}

/**
 * The newest reference set, made ready once a process and edition: what is published never changes.
 * @param newest its edition, for whoever has read that already in the same transaction
 */
export async function currentOffice(db: Database, newest?: string): Promise<Office> {
  const edition = newest ?? (await newestEdition(db));
  if (edition === null) return EMPTY;
  const known = ready.get(edition);
  if (known) return known;
  const [row] = await db.select().from(officeReference).orderBy(desc(officeReference.version)).limit(1);
  if (!row) throw new Error("the office reference set went away");
  const office = makeOffice(row.version, referenceSetSchema.parse(row.body));
  ready.set(row.edition, office);
  return office;
}

/** The facts that published forms ask for, outside lists; null while there is no form. Where one form does not ask, its group stays open. */
export async function factsOfForms(client: pg.Pool | pg.PoolClient): Promise<readonly KnownFact[] | null> {
  const { rows } = await client.query<{ body: RulebookBody }>("select body from rulebook where status = 'published'");
  if (rows.length === 0) return null;
  const byName = new Map<string, KnownFact>();
  for (const { body } of rows)
    for (const fact of factsForGroups(body)) if (!byName.has(fact.name)) byName.set(fact.name, fact);
  return [...byName.values()];
}

/** What rulebooks leave to whoever fills the form: of what a draft takes away, all that people have picked. */
async function pickedOfGone(client: pg.Pool | pg.PoolClient, set: ReferenceSet) {
  const gone = namesTakenAway((await currentOffice(database(client))).set, set);
  if (gone.length === 0) return [];
  const { rows } = await client.query<{ name: string }>(
    "select g.gone as name from unnest($1::text[]) g(gone) where exists (select 1 from file_standing s where s.rests_on @> array[g.gone])",
    [gone.map((g) => g.name)],
  );
  const picked = new Set(rows.map((r) => r.name));
  return gone.filter((g) => picked.has(g.name));
}

/** What rulebooks name of the reference set, those that files still stand on among them, and programmes and rounds. */
async function usesOfReferenceSet(client: pg.Pool | pg.PoolClient, set: ReferenceSet): Promise<Uses> {
  const { rows } = await client.query<{
    bodies: RulebookBody[] | null;
    campuses: string[] | null;
    groups: string[] | null;
  }>(
    `select (select json_agg(b.body) from rulebook b where b.status <> 'superseded'
          or exists (select 1 from choice c where c.rulebook_id = b.id and c.withdrawn_at is null)) as bodies,
       (select json_agg(distinct c) from programme p, jsonb_array_elements_text(p.campuses) c) as campuses,
       (select json_agg(distinct x->>'group') from round r, jsonb_array_elements(r.closings) x) as groups`,
  );
  const [row] = rows;
  const named = (row?.bodies ?? []).map(namedInRulebook);
  const picked = await pickedOfGone(client, set);
  const all = (list: keyof (typeof named)[number]) => [
    ...named.flatMap((n) => n[list]),
    ...picked.filter((p) => p.list === list).map((p) => p.key),
  ];
  return {
    groups: new Set([...(row?.groups ?? []), ...all("groups")]),
    campuses: new Set(row?.campuses ?? []),
    areas: new Set(all("areas")),
    scales: new Set(all("scales")),
    tests: new Set(all("tests")),
    entitlements: new Set(all("entitlements")),
    papers: new Set(all("papers")),
    graduates: new Set(all("graduates")),
  };
}

export async function problemsOfReferenceSet(
  client: pg.Pool | pg.PoolClient,
  set: ReferenceSet,
): Promise<readonly ReferenceProblem[]> {
  const facts = await factsOfForms(client);
  return referenceProblems(set, facts && new Set(facts.map((f) => f.name)), await usesOfReferenceSet(client, set));
}
