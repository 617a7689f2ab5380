import type { PlainDate } from "../ids";

/**
 * Calendar days as whole numbers (days since 1 January 1970), because the assessment compares and counts
 * thousands of them. The civil-date arithmetic is the proleptic Gregorian one over 400-year eras.
 */
export type Day = number;

interface Civil {
  readonly year: number;
  readonly month: number;
  readonly day: number;
}

function fromCivil({ year, month, day }: Civil): Day {
  const y = month <= 2 ? year - 1 : year;
  const era = Math.floor(y / 400);
  const yearOfEra = y - era * 400;
  const dayOfYear = Math.floor((153 * (month + (month > 2 ? -3 : 9)) + 2) / 5) + day - 1;
  const dayOfEra = yearOfEra * 365 + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100) + dayOfYear;
  return era * 146097 + dayOfEra - 719468;
}

function toCivil(value: Day): Civil {
  const z = value + 719468;
  const era = Math.floor(z / 146097);
  const dayOfEra = z - era * 146097;
  const yearOfEra = Math.floor(
    (dayOfEra - Math.floor(dayOfEra / 1460) + Math.floor(dayOfEra / 36524) - Math.floor(dayOfEra / 146096)) / 365,
  );
  const dayOfYear = dayOfEra - (365 * yearOfEra + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100));
  const shifted = Math.floor((5 * dayOfYear + 2) / 153);
  const month = shifted < 10 ? shifted + 3 : shifted - 9;
  return {
    year: yearOfEra + era * 400 + (month <= 2 ? 1 : 0),
    month,
    day: dayOfYear - Math.floor((153 * shifted + 2) / 5) + 1,
  };
}

const MONTHS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31] as const;

function daysInMonth(year: number, month: number): number {
  if (month === 2 && year % 4 === 0 && (year % 100 !== 0 || year % 400 === 0)) return 29;
  return MONTHS[month - 1] ?? 0;
}

/** The whole number that stands in a part of a text; not a number where anything else stands there. */
function digits(text: string, from: number, to: number): number {
  let value = 0;
  for (let i = from; i < to; i += 1) {
    const digit = text.charCodeAt(i) - 48;
    if (digit < 0 || digit > 9) return Number.NaN;
    value = value * 10 + digit;
  }
  return value;
}

/**
 * The day number of a `YYYY-MM-DD` date.
 * @returns null when the text is no such date or the day does not exist (30 February)
 */
export function parseDay(text: string): Day | null {
  if (text.length !== 10 || text[4] !== "-" || text[7] !== "-") return null;
  const civil = { year: digits(text, 0, 4), month: digits(text, 5, 7), day: digits(text, 8, 10) };
  const exists = civil.year >= 0 && civil.day >= 1 && civil.day <= daysInMonth(civil.year, civil.month);
  return exists ? fromCivil(civil) : null;
}

const ROUGH = /^(\d{4})(?:-(\d{2}))?$/u;

/** The days that a date known only to its year (`2019`) or its month (`2019-06`) can be: the first and the last of them. */
export interface RoughDate {
  readonly from: Day;
  readonly to: Day;
}

/** @returns null for anything but a year, or a year and a month that exists */
export function parseRough(text: string): RoughDate | null {
  const match = ROUGH.exec(text);
  if (!match) return null;
  const year = Number(match[1]);
  const month = match[2] === undefined ? null : Number(match[2]);
  if (month === null)
    return { from: fromCivil({ year, month: 1, day: 1 }), to: fromCivil({ year, month: 12, day: 31 }) };
  if (month < 1 || month > 12) return null;
  const from = fromCivil({ year, month, day: 1 });
  return { from, to: from + daysInMonth(year, month) - 1 };
}

/** The `YYYY-MM-DD` date of a day number. */
export function formatDay(value: Day): PlainDate {
  const { year, month, day } = toCivil(value);
  const pad = (n: number, width: number) => String(n).padStart(width, "0");
  return `${pad(year, 4)}-${pad(month, 2)}-${pad(day, 2)}` as PlainDate; // built in the branded shape
}

export function yearOf(value: Day): number {
  return toCivil(value).year;
}

/** The first of January. */
export const firstDayOf = (year: number): Day => fromCivil({ year, month: 1, day: 1 });

/** ISO weekday, 1 = Monday … 7 = Sunday. */
export function weekday(value: Day): number {
  return ((((value + 3) % 7) + 7) % 7) + 1;
}

/** Adds months, keeps the day and clamps it to the end of the month: 31 January + 1 is 28 or 29 February. */
export function addMonths(value: Day, months: number): Day {
  const civil = toCivil(value);
  const total = civil.year * 12 + civil.month - 1 + months;
  const year = Math.floor(total / 12);
  const month = total - year * 12 + 1;
  return fromCivil({ year, month, day: Math.min(civil.day, daysInMonth(year, month)) });
}

/** Whole months from one day to a later one; 0 when the second is not later. */
export function monthsBetween(from: Day, to: Day): number {
  if (to <= from) return 0;
  const a = toCivil(from);
  const b = toCivil(to);
  const months = (b.year - a.year) * 12 + b.month - a.month;
  return addMonths(from, months) > to ? months - 1 : months;
}
