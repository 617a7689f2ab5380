import { addMonths, type Day, formatDay, parseDay, parseRough } from "./day";

/** When somebody born on 29 February has a birthday in a common year: a setting of the place. */
export const LEAP_BIRTHDAYS = ["1 March", "28 February"] as const;
export type LeapBirthday = (typeof LEAP_BIRTHDAYS)[number];

const MONTHS = 12;

/** The birthday after so many whole years. */
export function birthday(born: Day, years: number, leap: LeapBirthday = "1 March"): Day {
  const day = addMonths(born, years * MONTHS);
  const moved = formatDay(born).endsWith("-02-29") && formatDay(day).endsWith("-02-28");
  return moved && leap === "1 March" ? day + 1 : day;
}

/** Completed years on a day; negative before the birth. */
export function ageOn(born: Day, on: Day, leap: LeapBirthday = "1 March"): number {
  const years = Number(formatDay(on).slice(0, 4)) - Number(formatDay(born).slice(0, 4));
  return birthday(born, years, leap) > on ? years - 1 : years;
}

/** The fewest and the most completed years that a date of birth allows; they differ where only its year or month is known. */
export function agesOn(
  born: string,
  on: Day,
  leap?: LeapBirthday,
): { readonly low: number; readonly high: number } | null {
  const day = parseDay(born);
  const days = day === null ? parseRough(born) : { from: day, to: day };
  return days && { low: ageOn(days.to, on, leap), high: ageOn(days.from, on, leap) };
}

export const FULL_AGE = 18;
