import type { Day } from "../time/day";
import { yearOf } from "../time/day";
import { isWorking, type WorkingCalendar } from "./working-days";

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

const FAR = 3660;

function counts(day: Day, start: Day, pauses: readonly Pause[], calendar: WorkingCalendar | null): boolean {
  if (day <= start || (calendar && !isWorking(calendar, day))) return false;
  return !pauses.some((p) => p.from < day && (p.to === null || day <= p.to));
}

/**
 * Reads a clock on a day.
 * @param calendar null counts calendar days
 */
export function readClock(
  start: Day,
  limit: number,
  pauses: readonly Pause[],
  asOf: Day,
  calendar: WorkingCalendar | null,
): ClockReading {
  let used = 0;
  for (let day = start + 1; day <= asOf; day += 1) if (counts(day, start, pauses, calendar)) used += 1;
  const paused = pauses.some((p) => p.from <= asOf && (p.to === null || asOf < p.to));
  const open = pauses.some((p) => p.to === null);
  return { used, paused, due: open ? null : dueDay(start, limit, pauses, calendar), overdue: used > limit };
}

function dueDay(start: Day, limit: number, pauses: readonly Pause[], calendar: WorkingCalendar | null): Day | null {
  let counted = 0;
  for (let day = start + 1; day < start + FAR; day += 1) {
    if (calendar && !calendar.years.has(yearOf(day))) return null;
    if (counts(day, start, pauses, calendar)) counted += 1;
    if (counted === limit) return day;
  }
  return null;
}
