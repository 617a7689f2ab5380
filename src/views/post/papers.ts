import { z } from "zod";
import { assess } from "../../core/assessment/assess";
import type { PaperWay } from "../../core/file/facts";
import { type RequirementPlace, requirementKey, resultKey } from "../../core/file/place";
import type { DocumentResult } from "../../core/file/result";
import type { PaperState } from "../../core/post/inputs";
import { holds, OFFICE } from "../../core/rights/actor";
import { loadFile } from "../../db/queries/load-file";
import { officeNow } from "../view/office-now";
import { fileInScope, programmesOf, scopeParameter } from "../view/scope";
import { defineView } from "../view/view";

export const PAPER_LISTS = ["to look at", "whose", "to go back", "expected", "all"] as const;
export type PaperList = (typeof PAPER_LISTS)[number];

export interface PaperRow {
  readonly id: string;
  /** Null where nobody knows yet whose it is. */
  readonly applicationId: string | null;
  readonly number: string | null;
  readonly name: string | null;
  /** The requirement, "" where it belongs to none. */
  readonly title: string;
  readonly contents: string;
  readonly sender: string;
  readonly state: PaperState;
  readonly cameOn: string;
  /** What was scanned of it. */
  readonly uploadId: string | null;
  readonly by: string;
  readonly inspectedAt: Date | null;
  readonly toGoBackAt: Date | null;
  readonly sentBackAt: Date | null;
}

export interface ExpectedPaper {
  readonly id: string;
  readonly number: string;
  readonly name: string;
  readonly title: string;
  readonly way: PaperWay;
  readonly expectedOn: string;
}

export interface Papers {
  readonly list: PaperList;
  readonly counts: Readonly<Record<PaperList, number>>;
  readonly rows: readonly PaperRow[];
  readonly expected: readonly ExpectedPaper[];
}

const MOST = 200;
const WHICH: Readonly<Record<Exclude<PaperList, "expected">, string>> = {
  "to look at": "p.application_id is not null and p.inspected_at is null",
  whose: "p.application_id is null",
  "to go back": "p.to_go_back_at is not null and p.sent_back_at is null",
  all: "true",
};
/** What a requirement is called in the rulebooks of the file, by an alias of a table with its key. */
const titled = (alias: string): string =>
  `coalesce((select q->'title'->>'en' from choice c join rulebook b on b.id = c.rulebook_id, jsonb_array_elements(b.body->'requirements') q
     where c.application_id = ${alias}.application_id and q->>'key' = ${alias}.requirement limit 1), '')`;

/** What came on paper, of which nobody knows whose it is, what is to go back, and what is expected by post; the newest first. */
export const papers = defineView({
  name: "papers",
  input: z.object({ list: z.enum(PAPER_LISTS).default("to look at") }),
  read: async ({ pool, actor }, { list }): Promise<Papers | null> => {
    const scope = programmesOf(actor);
    if (scope === null || !holds(actor, OFFICE)) return null;
    const values = [scopeParameter(scope)];
    const mine = `(p.application_id is null or ${fileInScope("p.application_id", "$1")})`;
    const announced = `announced_paper n join file_standing s on s.application_id = n.application_id
      where n.ended_at is null and s.stage <> 'closed' and ${fileInScope("n.application_id", "$1")}`;
    const [counted, rows, expected] = await Promise.all([
      pool.query<Record<PaperList, number>>(
        `select ${Object.entries(WHICH)
          .map(([key, which]) => `count(*) filter (where ${which})::int as "${key}"`)
          .join(", ")}, (select count(*)::int from ${announced}) as expected from paper p where ${mine}`,
        values,
      ),
      list === "expected"
        ? { rows: [] }
        : pool.query<PaperRow>(
            `select p.id, p.application_id as "applicationId", s.number, s.name, ${titled("p")} as title, p.contents, p.sender, p.state, p.came_on::text as "cameOn", p.upload_id as "uploadId",
               w.name as by, p.inspected_at as "inspectedAt", p.to_go_back_at as "toGoBackAt", p.sent_back_at as "sentBackAt"
             from paper p join person w on w.id = p.noted_by_id left join file_standing s on s.application_id = p.application_id
             where ${WHICH[list]} and ${mine} order by p.noted_at desc, p.id limit ${MOST}`,
            values,
          ),
      list === "expected"
        ? pool.query<ExpectedPaper>(
            `select n.id, s.number, s.name, n.way, n.expected_on::text as "expectedOn", ${titled("n")} as title from ${announced} order by n.expected_on, n.id limit ${MOST}`,
            values,
          )
        : { rows: [] },
    ]);
    const [counts] = counted.rows;
    if (!counts) return null;
    return { list, counts, rows: rows.rows, expected: expected.rows };
  },
});

export interface PaperPlace extends RequirementPlace {
  readonly title: string;
  /** By when it is said to be here; null where nobody has announced it. */
  readonly expectedOn: string | null;
}

export interface PaperFile {
  readonly applicationId: string;
  readonly number: string;
  readonly name: string;
  /** A scan is taken only once the application is here. */
  readonly submitted: boolean;
  /** What can come for it, what is expected or lacking first. */
  readonly places: readonly PaperPlace[];
}

/** How soon one thinks of a requirement when a paper comes: announced, owed on paper, lacking, any. */
function nearness(result: DocumentResult, announced: boolean): number {
  if (announced) return 0;
  if (result.owedProof !== null) return 1;
  return result.standing === "missing" || result.standing === "returned" ? 2 : 3;
}

/** For what a paper can have come in a file, by the file's number. */
export const paperFile = defineView({
  name: "paper-file",
  input: z.object({ number: z.string().max(20) }),
  read: async ({ pool, actor, now }, { number }): Promise<PaperFile | null> => {
    const scope = programmesOf(actor);
    if (scope === null || !holds(actor, OFFICE)) return null;
    const { rows } = await pool.query<{ id: string; name: string }>(
      `select s.application_id as id, s.name from file_standing s where s.number = $1 and ${fileInScope("s.application_id", "$2")}`,
      [number, scopeParameter(scope)],
    );
    const [row] = rows;
    const loaded = row ? await loadFile(pool, row.id) : null;
    if (!row || !loaded) return null;
    const { requirements } = assess({ ...loaded, office: await officeNow(pool), at: now.getTime() });
    const places = requirements
      .filter((r): r is DocumentResult => r.kind === "document" && r.standing !== "not needed")
      .map((r) => {
        const announced = loaded.facts.announced.find((p) => requirementKey(p) === resultKey(r));
        return {
          near: nearness(r, announced !== undefined),
          place: {
            requirement: r.key,
            scope: r.scope,
            entry: r.entry,
            title: r.title.en,
            expectedOn: announced?.expectedOn ?? null,
          },
        };
      });
    return {
      applicationId: row.id,
      number,
      name: row.name,
      submitted: loaded.facts.choices.some((c) => c.submittedAt !== null),
      places: places.toSorted((a, b) => a.near - b.near).map((p) => p.place),
    };
  },
});
