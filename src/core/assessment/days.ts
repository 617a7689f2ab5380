import type { Day } from "../time/day";

/** The days on which a result may have to be valid, or by which it has to be there. */
export interface ChoiceDays {
  readonly start: Day;
  readonly closing: () => Day;
  readonly submission: Day | null;
}

export const DAY_NAMES = ["start", "closing", "submission"] as const;
export type DayName = (typeof DAY_NAMES)[number];

/** A choice that is not submitted yet would be today or later: until then its closing stands for it. */
export function dayOf(days: ChoiceDays, name: DayName | undefined): Day {
  if (name === "closing") return days.closing();
  return name === "submission" ? (days.submission ?? days.closing()) : days.start;
}
