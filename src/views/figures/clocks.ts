import { z } from "zod";
import { workingBetween } from "../../core/calendar/working-days";
import { FEWEST_SHOWN } from "../../core/figures/withheld";
import type { Turn } from "../../core/file/facts";
import type { FileReason } from "../../core/file/reason";
import type { LocalText } from "../../core/text/local-text";
import { dayAt } from "../../core/time/zone";
import { officeNow } from "../view/office-now";
import { fileInScope, programmesOf, scopeParameter } from "../view/scope";
import { defineView, type ViewContext } from "../view/view";

/** How long files wait now for the same thing. Days are working days of the office. */
export interface WaitingLine {
  readonly turn: Turn;
  readonly reason: FileReason;
  readonly count: number;
  /** Files past the day by which the step was due. */
  readonly late: number;
  /** So long or longer waits half of them. */
  readonly half: number;
  readonly longest: { readonly days: number; readonly number: string; readonly name: string };
}

/** How long decisions of one start took, from the submission to the release. Days are working days of the office. */
export interface DecidedLine {
  readonly code: string;
  readonly title: LocalText;
  readonly award: string;
  readonly startsOn: string;
  readonly count: number;
  /** Half of the decisions took at most so many days of the office's own, and nine of ten at most so many. */
  readonly half: number;
  readonly nine: number;
  /** Half of the files lay at most so many days with others. */
  readonly othersHalf: number;
  readonly published: boolean;
}

export type DecisionTimes = Pick<DecidedLine, "count" | "half" | "nine">;

export interface ClocksPage {
  readonly waiting: readonly WaitingLine[];
  readonly decided: readonly DecidedLine[];
}

const WAITING = `select s.turn, s.reason, count(*)::int as count, count(*) filter (where s.due_at < $2)::int as late,
    percentile_disc(0.5) within group (order by s.turn_since) as half, min(s.turn_since) as longest,
    (array_agg(s.number order by s.turn_since, s.number))[1] as number, (array_agg(s.name order by s.turn_since, s.number))[1] as name
  from file_standing s where s.turn <> 'nobody' and s.stage not in ('preparing', 'closed') and ${fileInScope("s.application_id", "$1")}
  group by s.turn, s.reason order by min(s.turn_since)`;

const FIGURES = `count(*)::int as count, percentile_disc(0.5) within group (order by k.own_days) as half,
    percentile_disc(0.9) within group (order by k.own_days) as nine, percentile_disc(0.5) within group (order by k.others_days) as "othersHalf"
  from choice_standing k join choice c on c.id = k.choice_id join intake i on i.id = c.intake_id join programme p on p.id = i.programme_id
  where k.own_days is not null`;

const DECIDED = `select p.code, p.title, p.award, i.starts_on::text as "startsOn", p.shows_times as published, ${FIGURES}
    and ($1::text[] is null or p.code = any($1::text[])) group by p.id, i.starts_on order by p.code, i.starts_on desc`;

async function waitingNow({ pool, now }: ViewContext, programmes: readonly string[] | null) {
  const { calendar, zone } = await officeNow(pool);
  const today = dayAt(zone, now.getTime());
  const daysSince = (at: Date) => workingBetween(calendar, dayAt(zone, at.getTime()), today);
  const { rows } = await pool.query<
    Pick<WaitingLine, "turn" | "reason" | "count" | "late"> & {
      half: Date;
      longest: Date;
      number: string;
      name: string;
    }
  >(WAITING, [programmes, now]);
  return rows.map(
    ({ half, longest, number, name, ...line }): WaitingLine => ({
      ...line,
      half: daysSince(half),
      longest: { days: daysSince(longest), number, name },
    }),
  );
}

/** Where files wait how long now, and how long decisions took. */
export const clocks = defineView({
  name: "clocks",
  input: z.object({}),
  read: async (ctx): Promise<ClocksPage | null> => {
    const scope = programmesOf(ctx.actor);
    if (scope === null) return null;
    const programmes = scopeParameter(scope);
    const [waiting, decided] = await Promise.all([
      waitingNow(ctx, programmes),
      ctx.pool.query<DecidedLine>(DECIDED, [programmes]),
    ]);
    return { waiting, decided: decided.rows };
  },
});

/** How long decisions on a programme took, for visitors: where the office publishes it, and enough were released to tell of nobody. */
export const decisionTimes = defineView({
  name: "decision-times",
  input: z.object({ code: z.string().max(20) }),
  read: async ({ pool }, { code }): Promise<{ readonly times: DecisionTimes | null }> => {
    const { rows } = await pool.query<DecisionTimes>(
      `select ${FIGURES} and p.code = $1 and p.shows_times having count(*) >= $2`,
      [code, FEWEST_SHOWN],
    );
    const [found] = rows;
    return { times: found ? { count: found.count, half: found.half, nine: found.nine } : null };
  },
});
