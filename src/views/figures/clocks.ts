import { z } from "zod";
import { workingBetween } from "../../core/calendar/working-days";
import { FEWEST_SHOWN } from "../../core/figures/withheld";
import type { Turn } from "../../core/file/facts";
import type { FileReason } from "../../core/file/reason";
import type { PlainDate } from "../../core/ids";
import type { LocalText } from "../../core/text/local-text";
import { dayAt, requireDay } from "../../core/time/zone";
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

/** How many files wait since which day for what: some hundred rows, however many files there are. */
const BY_DAY = `select s.turn, s.reason, (s.turn_since at time zone $3)::date::text as since, count(*)::int as count,
    count(*) filter (where s.due_at < $2)::int as late, min(s.turn_since)::text as first
  from file_standing s where s.turn <> 'nobody' and s.stage not in ('preparing', 'closed') and ${fileInScope("s.application_id", "$1")}
  group by 1, 2, 3 order by min(s.turn_since)`;

/** Of each turn and reason the file that waits longest, by the moment since when it does. */
const LONGEST = `select distinct on (s.turn, s.reason) s.turn, s.reason, s.number, s.name
  from unnest($2::text[], $3::text[], $4::timestamptz[]) as l(turn, reason, since)
  join file_standing s on s.turn = l.turn and s.reason = l.reason and s.turn_since = l.since
  where s.stage not in ('preparing', 'closed') and ${fileInScope("s.application_id", "$1")} order by s.turn, s.reason, s.number`;

const FIGURES = `count(*)::int as count, percentile_disc(0.5) within group (order by k.own_days) as half,
    percentile_disc(0.9) within group (order by k.own_days) as nine, percentile_disc(0.5) within group (order by k.others_days) as "othersHalf"
  from choice_standing k join choice c on c.id = k.choice_id join intake i on i.id = c.intake_id join programme p on p.id = i.programme_id
  where k.own_days is not null`;

const DECIDED = `select p.code, p.title, p.award, i.starts_on::text as "startsOn", p.shows_times as published, ${FIGURES}
    and ($1::text[] is null or p.code = any($1::text[])) group by p.id, i.starts_on order by p.code, i.starts_on desc`;

interface WaitingDay {
  readonly turn: Turn;
  readonly reason: FileReason;
  readonly since: PlainDate;
  readonly count: number;
  readonly late: number;
  /** The moment to its last digit, which a date of ours does not hold. */
  readonly first: string;
}

const sum = (days: readonly WaitingDay[], what: "count" | "late"): number => days.reduce((all, d) => all + d[what], 0);

/** The day since which half of the files have waited, or longer. @param days from the longest waiting on */
function halfSince(days: readonly WaitingDay[]): PlainDate | null {
  const all = sum(days, "count");
  let seen = 0;
  for (const { since, count } of days) {
    seen += count;
    if (seen * 2 >= all) return since;
  }
  return null;
}

async function waitingNow({ pool, now }: ViewContext, programmes: readonly string[] | null) {
  const { calendar, zone, set } = await officeNow(pool);
  const today = dayAt(zone, now.getTime());
  const daysSince = (day: PlainDate | null) => (day ? workingBetween(calendar, requireDay(day), today) : 0);
  const { rows } = await pool.query<WaitingDay>(BY_DAY, [programmes, now, set.zone]);
  const kinds = new Map(rows.map(({ turn, reason }) => [`${turn} ${reason}`, { turn, reason }]));
  const groups = [...kinds.values()].map((k) => rows.filter((r) => r.turn === k.turn && r.reason === k.reason));
  const firsts = groups.flatMap((days) => days[0] ?? []);
  const { rows: longest } = await pool.query<{ turn: Turn; reason: FileReason; number: string; name: string }>(
    LONGEST,
    [programmes, firsts.map((d) => d.turn), firsts.map((d) => d.reason), firsts.map((d) => d.first)],
  );
  return groups.flatMap((days): WaitingLine[] => {
    const [first] = days;
    const file = longest.find((l) => l.turn === first?.turn && l.reason === first.reason);
    // A file that has gone on since the first question was asked is no line any more.
    if (!first || !file) return [];
    return [
      {
        turn: first.turn,
        reason: first.reason,
        count: sum(days, "count"),
        late: sum(days, "late"),
        half: daysSince(halfSince(days)),
        longest: { days: daysSince(first.since), number: file.number, name: file.name },
      },
    ];
  });
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
