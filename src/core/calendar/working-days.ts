import { z } from "zod";
import { type Day, parseDay, weekday, yearOf } from "../time/day";

/**
 * Working days: weekdays outside the weekend set and outside the holiday lists that the office loaded, one list a year.
 * A year without a list is an open question, never a guess: the answer is then null.
 */
export const calendarSchema = z.object({
  weekend: z.array(z.int().min(1).max(7)),
  holidays: z.record(z.string().regex(/^\d{4}$/u), z.array(z.iso.date())),
});
export type CalendarData = z.infer<typeof calendarSchema>;

export interface WorkingCalendar {
  readonly weekend: ReadonlySet<number>;
  readonly holidays: ReadonlySet<Day>;
  readonly years: ReadonlySet<number>;
}

export function workingCalendar(data: CalendarData): WorkingCalendar {
  const holidays = new Set<Day>();
  for (const dates of Object.values(data.holidays))
    for (const date of dates) {
      const day = parseDay(date);
      if (day !== null) holidays.add(day);
    }
  return { weekend: new Set(data.weekend), holidays, years: new Set(Object.keys(data.holidays).map(Number)) };
}

export function isWorking(calendar: WorkingCalendar, day: Day): boolean {
  return !calendar.weekend.has(weekday(day)) && !calendar.holidays.has(day);
}

/**
 * The n-th working day after `start`, which is day 0 itself; n = 0 gives `start` or the next working day, a negative n counts back.
 * @returns null when the count runs into a year for which no holidays were loaded
 */
export function addWorking(calendar: WorkingCalendar, start: Day, n: number): Day | null {
  const step = n < 0 ? -1 : 1;
  let day = start;
  let left = Math.abs(n);
  if (n === 0) while (calendar.years.has(yearOf(day)) && !isWorking(calendar, day)) day += 1;
  while (left > 0) {
    day += step;
    if (!calendar.years.has(yearOf(day))) return null;
    if (isWorking(calendar, day)) left -= 1;
  }
  return calendar.years.has(yearOf(day)) ? day : null;
}

/** Working days between two days: the first excluded, the last included; negative when `to` lies before `from`. */
export function workingBetween(calendar: WorkingCalendar, from: Day, to: Day): number {
  if (to < from) return -workingBetween(calendar, to, from);
  let count = 0;
  for (let day = from + 1; day <= to; day += 1) if (isWorking(calendar, day)) count += 1;
  return count;
}
