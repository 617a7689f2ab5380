import { workingBetween } from "../calendar/working-days";
import type { FileFacts, Turn, TurnFact } from "../file/facts";
import type { Stage } from "../file/result";
import type { Instant, PlainDate } from "../ids";
import type { Office } from "../standards/reference-set";
import { formatDay } from "../time/day";
import { dayAt, toInstant } from "../time/zone";

/** How long one party had the turn without a break. */
export interface TurnStretch {
  readonly turn: Turn;
  readonly from: PlainDate;
  /** Null while it lasts. */
  readonly to: PlainDate | null;
  /** Working days of the office: the day on which it began is not one of them, the day on which it ended is. */
  readonly days: number;
}

export interface TimeSpent {
  readonly since: PlainDate;
  readonly stretches: readonly TurnStretch[];
  /** The office's and the faculty's days, which are those that its clock counts. */
  readonly own: number;
  /** The days of those for whom the clock stands still. */
  readonly others: number;
}

/** Whose days the office's clock counts; it stands still in all other turns. */
export const isOwn = (turn: Turn): boolean => turn === "office" || turn === "faculty";

/** The turns between two instants, those that the same party had one after the other as one. */
function turnsBetween(turns: readonly TurnFact[], from: Instant, until: Instant) {
  const parts: { turn: Turn; from: Instant; to: Instant }[] = [];
  turns.forEach(({ turn, from: began }, i) => {
    const start = began > from ? began : from;
    const next = turns[i + 1]?.from ?? until;
    const end = next < until ? next : until;
    const last = parts.at(-1);
    if (start >= end) return;
    if (last?.turn === turn) last.to = end;
    else parts.push({ turn, from: start, to: end });
  });
  return parts;
}

/**
 * The working days that each party had a file, counted as the clock counts them: the parts add up to the whole.
 * @param from the first instant that counts, as a rule the submission
 * @param until the first that does not any more
 * @param ended whether nothing follows on the last stretch
 */
export function timeSpent(
  turns: readonly TurnFact[],
  from: Instant,
  until: Instant,
  { calendar, zone }: Pick<Office, "calendar" | "zone">,
  ended = false,
): TimeSpent {
  const dayOf = (at: Instant) => dayAt(zone, Date.parse(at));
  const parts = turnsBetween(turns, from, until);
  const stretches = parts.map((part, i): TurnStretch => {
    const start = dayOf(part.from);
    const end = dayOf(part.to);
    const lasts = i === parts.length - 1 && !ended;
    return {
      turn: part.turn,
      from: formatDay(start),
      to: lasts ? null : formatDay(end),
      days: workingBetween(calendar, start, end),
    };
  });
  const sum = (counts: (turn: Turn) => boolean) =>
    stretches.reduce((days, s) => (counts(s.turn) ? days + s.days : days), 0);
  return {
    since: formatDay(dayOf(from)),
    stretches,
    own: sum(isOwn),
    others: sum((turn) => !isOwn(turn) && turn !== "nobody"),
  };
}

/** When a file was first submitted; null for a draft. */
const firstSubmittedAt = ({ choices }: Pick<FileFacts, "choices">): Instant | null =>
  choices.reduce<Instant | null>(
    (first, { submittedAt }) => (submittedAt !== null && (first === null || submittedAt < first) ? submittedAt : first),
    null,
  );

/** Who had a file for how long since its first submission; null for a draft. */
export function spentOn(
  facts: Pick<FileFacts, "choices" | "turns">,
  stage: Stage,
  office: Pick<Office, "calendar" | "zone">,
  now: Date,
): TimeSpent | null {
  const from = firstSubmittedAt(facts);
  return from === null ? null : timeSpent(facts.turns, from, toInstant(now.getTime()), office, stage === "closed");
}
