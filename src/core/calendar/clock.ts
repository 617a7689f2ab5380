import type { Day } from "../time/day";
import { addWorking, isLoaded, type WorkingCalendar, workingBetween } from "./working-days";

/**
 * A clock counts days towards a limit and stands still while somebody else has the turn.
 * A day counts when it lies after the start, is a (working) day, and no pause has `from < day ≤ to`: the day on which
 * we asked still counts, the day of the answer does not, and counting resumes on the day after.
 */
export interface Pause {
  readonly from: Day;
  /** The day of the answer; null while the pause is open. */
  readonly to: Day | null;
}

export interface ClockReading {
  /** Counted days up to and including the day asked about. */
  readonly used: number;
  readonly paused: boolean;
  /** The day on which the limit is reached; null while a pause is open or a year has no calendar. */
  readonly due: Day | null;
  readonly overdue: boolean;
}

/** A limit further away than ten years is none. */
const FAR = 3660;

/** A stretch of days that count: the first excluded, the last included. */
interface Running {
  readonly from: Day;
  readonly to: Day;
}

/** When the clock runs after its start, between the pauses. */
function running(start: Day, pauses: readonly Pause[]): readonly Running[] {
  const stretches: Running[] = [];
  let from = start;
  const end = start + FAR;
  for (const pause of [...pauses].sort((a, b) => a.from - b.from)) {
    if (pause.from > from) stretches.push({ from, to: Math.min(pause.from, end) });
    from = Math.max(from, pause.to ?? end);
  }
  return from < end ? [...stretches, { from, to: end }] : stretches;
}

const daysIn = (calendar: WorkingCalendar | null, from: Day, to: Day): number =>
  calendar ? workingBetween(calendar, from, to) : to - from;

/**
 * Reads a clock on a day.
 * @param limit at least 1
 * @param calendar null counts calendar days
 */
export function readClock(
  start: Day,
  limit: number,
  pauses: readonly Pause[],
  asOf: Day,
  calendar: WorkingCalendar | null,
): ClockReading {
  const stretches = running(start, pauses);
  let used = 0;
  for (const { from, to } of stretches) if (from < asOf) used += daysIn(calendar, from, Math.min(to, asOf));
  const paused = pauses.some((p) => p.from <= asOf && (p.to === null || asOf < p.to));
  const open = pauses.some((p) => p.to === null);
  return { used, paused, due: open ? null : dueDay(start, limit, stretches, calendar), overdue: used > limit };
}

function dueDay(
  start: Day,
  limit: number,
  stretches: readonly Running[],
  calendar: WorkingCalendar | null,
): Day | null {
  let left = limit;
  for (const { from, to } of stretches) {
    const day = calendar ? addWorking(calendar, from, left) : from + left;
    if (day !== null && day <= to) return calendar === null || isLoaded(calendar, start + 1, day) ? day : null;
    left -= daysIn(calendar, from, to);
  }
  return null;
}
