/** The days of a choice that a rulebook may name. */
export const DAY_NAMES = ["start", "closing", "submission"] as const;
/** The days up to which months are counted. */
export const SPAN_DAYS = [...DAY_NAMES, "today"] as const;
export type SpanDay = (typeof SPAN_DAYS)[number];
