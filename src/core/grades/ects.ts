import { compare, divide, isPositive, multiply, type Ratio, reduce, whole } from "../numbers/ratio";

const FULL_TIME_YEAR = whole(60);

/** Local credits that are worth so many ECTS, where the credits of a full-time year are known and positive. */
export function localCredits(amount: number, perFullTimeYear: Ratio | null): Ratio | null {
  if (perFullTimeYear === null || !isPositive(perFullTimeYear)) return null;
  return divide(multiply(whole(amount), perFullTimeYear), FULL_TIME_YEAR);
}

/**
 * ECTS from local credits: `local × 60 ÷ (local credits of one full-time year)` (ECTS Users' Guide, 2015: 60 credits are one
 * full-time academic year).
 * @returns null when the credits of a year are unknown or not positive
 */
export function ects(local: Ratio, perFullTimeYear: Ratio | null): Ratio | null {
  if (perFullTimeYear === null || !isPositive(perFullTimeYear)) return null;
  if (compare(perFullTimeYear, FULL_TIME_YEAR) === 0) return local;
  return reduce(divide(multiply(local, FULL_TIME_YEAR), perFullTimeYear));
}
