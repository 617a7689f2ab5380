import { z } from "zod";
import { type Day, firstDayOf, parseDay, weekday } from "../time/day";

/**
 * Working days: weekdays outside the weekend set and outside the holiday lists that the office loaded, one list a year.
 * A year without a list is an open question, never a guess: the answer is then null.
 */
export const calendarSchema = z.object({
  weekend: z.array(z.int().min(1).max(7)),
  holidays: z.record(z.string().regex(/^\d{4}$/u), z.array(z.iso.date())),
});
export type CalendarData = z.infer<typeof calendarSchema>;

/** Years that follow each other and whose holidays are loaded, with the working days counted up once. */
interface LoadedYears {
  readonly first: Day;
  readonly last: Day;
  /** How many working days there are from the first day to each day, that day included. */
  readonly upTo: Uint32Array;
}

export interface WorkingCalendar {
  readonly weekend: ReadonlySet<number>;
  readonly holidays: ReadonlySet<Day>;
  readonly loaded: readonly LoadedYears[];
}

type Rules = Pick<WorkingCalendar, "weekend" | "holidays">;

export function isWorking({ weekend, holidays }: Rules, day: Day): boolean {
  return !weekend.has(weekday(day)) && !holidays.has(day);
}

function countedYears(rules: Rules, from: number, to: number): LoadedYears {
  const first = firstDayOf(from);
  const last = firstDayOf(to + 1) - 1;
  const upTo = new Uint32Array(last - first + 1);
  let count = 0;
  for (let i = 0; i < upTo.length; i += 1) {
    if (isWorking(rules, first + i)) count += 1;
    upTo[i] = count;
  }
  return { first, last, upTo };
}

export function workingCalendar(data: CalendarData): WorkingCalendar {
  const holidays = new Set(
    Object.values(data.holidays).flatMap((dates) => dates.flatMap((date) => parseDay(date) ?? [])),
  );
  const rules: Rules = { weekend: new Set(data.weekend), holidays };
  const years = Object.keys(data.holidays)
    .map(Number)
    .sort((a, b) => a - b);
  const begins = years.filter((year, i) => years[i - 1] !== year - 1);
  const ends = years.filter((year, i) => years[i + 1] !== year + 1);
  return { ...rules, loaded: begins.map((from, i) => countedYears(rules, from, ends[i] ?? from)) };
}

/** The years around a day for which holidays were loaded; undefined where its own year is not among them. */
export const yearsAround = ({ loaded }: WorkingCalendar, day: Day): LoadedYears | undefined =>
  loaded.find(({ first, last }) => first <= day && day <= last);

/** The working days before a day. */
const before = ({ first, upTo }: LoadedYears, day: Day): number => (day <= first ? 0 : (upTo[day - first - 1] ?? 0));

/** The working day with a rank among those of its years, counted from 1; null where they have no such day. */
function dayOfRank({ first, upTo }: LoadedYears, rank: number): Day | null {
  if (rank < 1 || rank > (upTo.at(-1) ?? 0)) return null;
  let low = 0;
  let high = upTo.length - 1;
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((upTo[middle] ?? 0) >= rank) high = middle;
    else low = middle + 1;
  }
  return first + low;
}

/**
 * The n-th working day after `start`, which is day 0 itself; n = 0 gives `start` or the next working day, a negative n counts back.
 * @returns null when the count runs into a year for which no holidays were loaded
 */
export function addWorking(calendar: WorkingCalendar, start: Day, n: number): Day | null {
  const counted = yearsAround(calendar, n === 0 ? start : start + Math.sign(n));
  if (!counted) return null;
  if (n < 0) return dayOfRank(counted, before(counted, start) + n + 1);
  return dayOfRank(counted, before(counted, n === 0 ? start : start + 1) + Math.max(n, 1));
}

/** Working days between two days: the first excluded, the last included; negative when `to` lies before `from`. */
export function workingBetween(calendar: WorkingCalendar, from: Day, to: Day): number {
  if (to < from) return -workingBetween(calendar, to, from);
  const counted = yearsAround(calendar, from + 1);
  if (counted && to <= counted.last) return before(counted, to + 1) - before(counted, from + 1);
  // Years without a calendar have their weekends alone.
  let count = 0;
  for (let day = from + 1; day <= to; day += 1) if (isWorking(calendar, day)) count += 1;
  return count;
}

/** Whether the holidays of every year from one day to another are loaded. */
export const isLoaded = (calendar: WorkingCalendar, from: Day, to: Day): boolean =>
  (yearsAround(calendar, from)?.last ?? from - 1) >= to;
