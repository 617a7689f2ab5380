import { z } from "zod";
import type { Scores } from "../../core/language/test-definition";
import { shownName } from "../../core/people/shown-name";
import { claimKey, numberedClaims } from "../../core/results/numbered-claims";
import { type ListProblem, type OwnerResult, readOwnerList } from "../../core/results/owner-list";
import { readTable } from "../../core/tables/read-table";
import { loadFiles } from "../../db/queries/load-file";
import { officeNow } from "../view/office-now";
import { fileInScope, programmesOf, scopeParameter } from "../view/scope";
import { defineView, type ViewContext } from "../view/view";

export interface TakenList {
  readonly id: string;
  readonly test: string;
  readonly fileName: string;
  readonly by: string;
  readonly at: string;
  readonly lines: number;
  readonly found: number;
  readonly otherName: number;
  readonly nobody: number;
}

/** A result that stands under the number of a file, with another name. */
export interface OtherName {
  readonly id: string;
  readonly applicationId: string;
  readonly fileNumber: string;
  readonly fileName: string;
  /** As the file has it; null while it is not stated. */
  readonly fileBirthDate: string | null;
  readonly test: string;
  readonly number: string;
  readonly name: string;
  readonly birthDate: string | null;
  readonly takenOn: string;
  readonly scores: Scores;
}

/** A claim whose number stands in no list, although a list has results of its test from before and after its day. */
export interface UnknownClaim {
  readonly fileNumber: string;
  readonly fileName: string;
  readonly test: string;
  readonly number: string;
  readonly date: string;
}

export interface OwnerListsPage {
  readonly tests: readonly {
    readonly key: string;
    readonly title: string;
    readonly parts: readonly { readonly key: string; readonly title: string }[];
  }[];
  readonly zone: string;
  readonly lists: readonly TakenList[];
  readonly otherNames: readonly OtherName[];
  /** Those of which somebody said that they are not the applicant’s. */
  readonly notTheirs: readonly OtherName[];
  readonly inNoList: readonly UnknownClaim[];
}

const MOST_LISTS = 30;
const MOST_LISTED = 200;

const LISTS = `select l.id, l.test, l.file_name as "fileName", p.name as by, l.taken_at as at, l.lines,
    count(r.id) filter (where r.state = 'found')::int as found, count(r.id) filter (where r.state = 'other name')::int as "otherName",
    count(r.id) filter (where r.state = 'nobody')::int as nobody
  from owner_list l join person p on p.id = l.taken_by_id left join owner_result r on r.list_id = l.id
  group by l.id, p.name order by l.taken_at desc limit ${MOST_LISTS}`;

/** @param $2 the state: those that wait for a person, or those that were said to be somebody else’s */
const OTHER_NAMES = `select r.id, r.application_id as "applicationId", s.number as "fileNumber", s.name as "fileName",
    (select b.value #>> '{}' from answer b where b.application_id = r.application_id and b.section = 'person' and b.field = 'birthDate' and not b.dormant) as "fileBirthDate", r.test, r.number, r.name,
    r.birth_date::text as "birthDate", r.taken_on::text as "takenOn", r.scores
  from owner_result r join file_standing s on s.application_id = r.application_id
  where r.state = $2 and ${fileInScope("r.application_id", "$1")} order by s.number limit ${MOST_LISTED}`;

const UNMATCHED = `select distinct s.application_id as id from file_key k join file_standing s on s.application_id = k.application_id
  where k.key like 'test %' and s.stage not in ('preparing', 'closed') and ${fileInScope("s.application_id", "$1")}
    and not exists (select 1 from owner_result r where 'test ' || r.test || ' ' || r.number_key = k.key and r.state <> 'nobody')
  limit ${MOST_LISTED}`;

async function inNoList({ pool }: ViewContext, scope: readonly string[] | null): Promise<readonly UnknownClaim[]> {
  const { rows: spans } = await pool.query<{ test: string; first: string; last: string }>(
    "select test, min(taken_on)::text as first, max(taken_on)::text as last from owner_result group by test",
  );
  const { rows } = await pool.query<{ id: string }>(UNMATCHED, [scope]);
  if (rows.length === 0 || spans.length === 0) return [];
  const { rows: known } = await pool.query<{ key: string }>(
    "select distinct 'test ' || test || ' ' || number_key as key from owner_result where state <> 'nobody'",
  );
  const matched = new Set(known.map((k) => k.key));
  const files = await loadFiles(
    pool,
    rows.map((r) => r.id),
  );
  return files.flatMap(({ facts, rulebooks }) => {
    const sections = Object.values(rulebooks).flatMap((r) => r.body.sections);
    const textAt = (entry: string, field: string) =>
      String(facts.answers.find((a) => a.entry === entry && a.field === field)?.value ?? "");
    return numberedClaims(facts.answers, sections).flatMap((claim) => {
      const date = textAt(claim.entry, "date");
      const span = spans.find((s) => s.test === claim.test);
      const covered = span !== undefined && span.first <= date && date <= span.last;
      if (!covered || matched.has(claimKey(claim)) || textAt(claim.entry, "status") !== "result") return [];
      const number = textAt(claim.entry, "number");
      return [{ fileNumber: facts.application.number, fileName: shownName(facts), test: claim.test, number, date }];
    });
  });
}

/** The lists of results that were taken in, and what of them a person has to look at. */
export const ownerLists = defineView({
  name: "owner-lists",
  input: z.object({}),
  read: async (ctx): Promise<OwnerListsPage | null> => {
    const scope = programmesOf(ctx.actor);
    if (scope === null) return null;
    const own = scopeParameter(scope);
    const { set } = await officeNow(ctx.pool);
    const [lists, otherNames, notTheirs, unknown] = await Promise.all([
      ctx.pool.query<Omit<TakenList, "at"> & { at: Date }>(LISTS),
      ctx.pool.query<OtherName>(OTHER_NAMES, [own, "other name"]),
      ctx.pool.query<OtherName>(OTHER_NAMES, [own, "not theirs"]),
      inNoList(ctx, own),
    ]);
    return {
      tests: set.tests.map((t) => ({
        key: t.key,
        title: t.title.en,
        parts: t.parts.map((p) => ({ key: p.key, title: p.title.en })),
      })),
      zone: set.zone,
      lists: lists.rows.map((l) => ({ ...l, at: l.at.toISOString() })),
      otherNames: otherNames.rows,
      notTheirs: notTheirs.rows,
      inNoList: unknown,
    };
  },
});

/** What a list would bring, before anything is taken in. */
export type LookedAt =
  | { readonly kind: "no table" }
  | { readonly kind: "columns missing"; readonly missing: readonly string[] }
  | {
      readonly kind: "list";
      readonly lines: number;
      readonly first: readonly OwnerResult[];
      readonly problems: readonly ListProblem[];
      readonly moreProblems: number;
    };

const FIRST = 5;
const MOST_PROBLEMS = 50;

/** Reads a list without taking it in: how many lines it has, how the first ones were read, and what is wrong with others. */
export const ownerListLook = defineView({
  name: "owner-list-look",
  input: z.object({ test: z.string().max(60), text: z.string().max(2_000_000) }),
  read: async ({ pool, actor }, { test: key, text }): Promise<LookedAt | null> => {
    if (programmesOf(actor) === null) return null;
    const test = (await officeNow(pool)).set.tests.find((t) => t.key === key);
    const table = readTable(text);
    if (!test || !table) return { kind: "no table" };
    const list = readOwnerList(table, test);
    if (!list.ok) return { kind: "columns missing", missing: list.missing };
    return {
      kind: "list",
      lines: list.results.length,
      first: list.results.slice(0, FIRST),
      problems: list.problems.slice(0, MOST_PROBLEMS),
      moreProblems: Math.max(0, list.problems.length - MOST_PROBLEMS),
    };
  },
});
