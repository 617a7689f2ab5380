import { addMonths, type Day, monthsBetween } from "./day";

/** Days from the first to the one after the last. */
export interface Stretch {
  readonly from: Day;
  readonly to: Day;
}

/** The same days as stretches that neither meet nor overlap, in order; empty ones are left out. */
export function merged(stretches: readonly Stretch[]): readonly Stretch[] {
  const all = stretches.filter((s) => s.to > s.from).sort((a, b) => a.from - b.from);
  const result: Stretch[] = [];
  for (const next of all) {
    const last = result.at(-1);
    if (last && next.from <= last.to) result[result.length - 1] = { from: last.from, to: Math.max(last.to, next.to) };
    else result.push(next);
  }
  return result;
}

const DAYS_OF_A_MONTH = 30;

/**
 * The months that stretches cover together, days that lie in several counted once. Each merged stretch counts its whole calendar months;
 * of the days that are left over from all of them, thirty make a month more.
 */
export function coveredMonths(stretches: readonly Stretch[]): number {
  let months = 0;
  let days = 0;
  for (const { from, to } of merged(stretches)) {
    const whole = monthsBetween(from, to);
    months += whole;
    days += to - addMonths(from, whole);
  }
  return months + Math.floor(days / DAYS_OF_A_MONTH);
}
