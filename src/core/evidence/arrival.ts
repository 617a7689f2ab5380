import type { Instant, PlainDate } from "../ids";
import type { Moment } from "../rulebook/requirement";

/** Whether something that came was in time: before its round closed, or by the day for which it was asked again. */
export interface Arrival {
  readonly state: "in time" | "within the grace" | "late";
  /** What it is held against. */
  readonly by: { readonly kind: "closing"; readonly at: Instant } | { readonly kind: "ask"; readonly due: PlainDate };
}

/** What has to be there when the round closes. */
const AT_CLOSING: readonly Moment[] = ["submission", "checking", "review"];

/**
 * @param day the calendar day on which it came, in the office's zone
 * @param closings those of the choices that ask for it; the earliest counts
 * @param asks what was asked for at its place; the last before it came counts
 * @returns null where nothing says by when it has to be there
 */
export function arrivalOf(
  at: Instant,
  day: PlainDate,
  neededBy: Moment,
  closings: readonly { readonly closesAt: Instant; readonly acceptsUntil: Instant }[],
  asks: readonly { readonly askedAt: Instant; readonly due: PlainDate }[],
): Arrival | null {
  const ask = asks
    .filter((a) => a.askedAt <= at)
    .toSorted((a, b) => (a.askedAt < b.askedAt ? -1 : 1))
    .at(-1);
  if (ask) return { state: day <= ask.due ? "in time" : "late", by: { kind: "ask", due: ask.due } };
  const [closing] = closings.toSorted((a, b) => (a.closesAt < b.closesAt ? -1 : 1));
  if (!closing || !AT_CLOSING.includes(neededBy)) return null;
  const state = at < closing.closesAt ? "in time" : at < closing.acceptsUntil ? "within the grace" : "late";
  return { state, by: { kind: "closing", at: closing.closesAt } };
}
