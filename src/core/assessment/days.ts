import type { SpanDay } from "../rulebook/day-names";
import type { Day } from "../time/day";

/** The days that a choice's rules may speak of: on which a result has to be valid, by which it has to be there, up to which months count. */
export interface ChoiceDays {
  /** On the office's clock. What was worked out with it holds for that day alone. */
  readonly today: () => Day;
  readonly start: Day;
  readonly closing: () => Day;
  readonly submission: Day | null;
}

/** A choice that is not submitted yet would be today or later: until then its closing stands for it. */
export function dayOf(days: ChoiceDays, name: SpanDay | undefined): Day {
  if (name === "today") return days.today();
  if (name === "closing") return days.closing();
  return name === "submission" ? (days.submission ?? days.closing()) : days.start;
}
