import { z } from "zod";
import type { Turn } from "../../core/file/facts";
import { AWAITED_KINDS, type AwaitedKind } from "../../core/file/result";
import { fileInScope, programmesOf, scopeParameter } from "../view/scope";
import { defineView } from "../view/view";

export interface AwaitedRow {
  readonly number: string;
  readonly name: string;
  readonly programmes: string;
  readonly turn: Turn;
  readonly kind: AwaitedKind;
  readonly about: string;
  /** `2027-06-30`, `2027-06` or `2027`; empty where no day was stated. */
  readonly due: string;
}

export interface AwaitedPage {
  readonly kind: AwaitedKind;
  readonly now: string;
  readonly counts: Readonly<Record<AwaitedKind, number>>;
  readonly rows: readonly AwaitedRow[];
}

const MOST_LISTED = 300;

/** What is still to come over all files of an office: results, degrees, running courses, by the day that was stated. */
export const awaited = defineView({
  name: "awaited",
  input: z.object({ kind: z.enum(AWAITED_KINDS).catch("result").default("result") }),
  read: async ({ pool, actor, now }, { kind }): Promise<AwaitedPage | null> => {
    const scope = programmesOf(actor);
    if (scope === null) return null;
    const own = scopeParameter(scope);
    const [counted, listed] = await Promise.all([
      pool.query<{ kind: AwaitedKind; count: number }>(
        `select w.kind, count(*)::int as count from awaited w where ${fileInScope("w.application_id", "$1")} group by w.kind`,
        [own],
      ),
      pool.query<AwaitedRow>(
        `select s.number, s.name, s.programmes, s.turn, w.kind, w.about, w.due from awaited w join file_standing s on s.application_id = w.application_id
         where w.kind = $2 and ${fileInScope("w.application_id", "$1")} order by w.due = '', w.due, s.number limit ${MOST_LISTED}`,
        [own, kind],
      ),
    ]);
    const counts = Object.fromEntries(
      AWAITED_KINDS.map((k) => [k, counted.rows.find((r) => r.kind === k)?.count ?? 0]),
    ) as AwaitedPage["counts"]; // every kind stands in it
    return { kind, now: now.toISOString(), counts, rows: listed.rows };
  },
});
