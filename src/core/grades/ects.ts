import { divide, multiply, type Ratio, whole } from "../numbers/ratio";

/**
 * ECTS from local credits: `local × 60 ÷ (local credits of one full-time year)` (ECTS Users' Guide, 2015: 60 credits are one
 * full-time academic year).
 * @returns null when the credits of a year are unknown or not positive
 */
export function ects(local: Ratio, perFullTimeYear: Ratio | null): Ratio | null {
  return perFullTimeYear === null || perFullTimeYear.n <= 0n
    ? null
    : divide(multiply(local, whole(60)), perFullTimeYear);
}
