import { compare, parseDecimal, type Ratio, toShort, whole } from "../numbers/ratio";
import { addMonths, type Day, formatDay, parseDay, parseRough, type RoughDate } from "../time/day";
import type { Comparison } from "./condition";
import type { Fact, Scalar } from "./fact";
import type { Truth } from "./truth";

/** The levels of the Common European Framework in ascending order, plus levels included. */
export const CEFR = ["pre-A1", "A1", "A2", "A2+", "B1", "B1+", "B2", "B2+", "C1", "C2"] as const;

function asRatio(value: Scalar | number): Ratio | null {
  if (typeof value === "number") return Number.isSafeInteger(value) ? whole(value) : parseDecimal(String(value));
  if (typeof value === "string") return parseDecimal(value);
  return typeof value === "object" && "n" in value ? value : null;
}

/** A limit with everything that a comparison may need of it, worked out once where the limit is a plain value. */
export interface ReadyLimit {
  readonly value: Scalar | number;
  /** The place among the levels; -1 for anything that is no level. */
  readonly level: number;
  readonly day: Day | null;
  readonly ratio: Ratio | null;
  /** As it stands in a trace. */
  readonly shown: string | null;
}

const levelAt = (text: string): number => CEFR.indexOf(text as (typeof CEFR)[number]);

export function readyLimit(value: Scalar | number): ReadyLimit {
  const text = typeof value === "string" ? value : null;
  return {
    value,
    level: text === null ? -1 : levelAt(text),
    day: text === null ? null : parseDay(text),
    ratio: asRatio(value),
    shown: show(value),
  };
}

/** Orders two values of the same kind: levels by their place, dates by the calendar, numbers exactly. */
function order(value: Scalar, limit: ReadyLimit): number | null {
  if (typeof value === "string") {
    const level = limit.level < 0 ? -1 : levelAt(value);
    if (level >= 0) return level - limit.level;
    const day = limit.day === null ? null : parseDay(value);
    if (day !== null && limit.day !== null) return day - limit.day;
  }
  const ratio = asRatio(value);
  return ratio && limit.ratio ? compare(ratio, limit.ratio) : null;
}

function same(value: Scalar, limit: ReadyLimit): boolean {
  if (typeof value === "string" && typeof limit.value === "string") return value === limit.value;
  if (typeof value === "boolean" || typeof limit.value === "boolean") return value === limit.value;
  return order(value, limit) === 0;
}

/** The plain value of a limit that is another fact, moved by its months and then its days; null where that fact is no date to move. */
export function limitValue(
  { plusMonths, plusDays }: { readonly plusMonths?: number | undefined; readonly plusDays?: number | undefined },
  of: Scalar,
): Scalar | null {
  if (plusMonths === undefined && plusDays === undefined) return of;
  const day = typeof of === "string" ? parseDay(of) : null;
  return day === null ? null : formatDay(addMonths(day, plusMonths ?? 0) + (plusDays ?? 0));
}

/** A value as it stands in a trace. */
export function show(value: Scalar | number | null): string | null {
  if (value === null) return null;
  if (typeof value === "string") return value;
  if (typeof value === "object") return "n" in value ? toShort(value) : value.join(", ");
  return String(value);
}

function decide(yes: boolean): Truth {
  return yes ? "met" : "not met";
}

function compareRange(low: Ratio, high: Ratio | null, is: Comparison, limit: Ratio): Truth {
  const lowSide = compare(low, limit);
  const highSide = high === null ? 1 : compare(high, limit);
  switch (is) {
    case "atLeast":
      return lowSide >= 0 ? "met" : highSide < 0 ? "not met" : "open";
    case "over":
      return lowSide > 0 ? "met" : highSide <= 0 ? "not met" : "open";
    case "atMost":
      return highSide <= 0 && high !== null ? "met" : lowSide > 0 ? "not met" : "open";
    case "under":
      return highSide < 0 && high !== null ? "met" : lowSide >= 0 ? "not met" : "open";
    case "equals":
      return lowSide > 0 || (high !== null && highSide < 0) ? "not met" : "open";
    case "known":
      return "met";
    default:
      return "open";
  }
}

/** A date known only to its year or month meets a limit when each of its days does, and fails it when none does. */
function compareRough({ from, to }: RoughDate, is: Comparison, limit: Day): Truth {
  const truth = (first: boolean, last: boolean): Truth => (first === last ? decide(first) : "open");
  switch (is) {
    case "atLeast":
      return truth(from >= limit, to >= limit);
    case "over":
      return truth(from > limit, to > limit);
    case "atMost":
      return truth(from <= limit, to <= limit);
    case "under":
      return truth(from < limit, to < limit);
    case "equals":
      return limit < from || limit > to ? "not met" : "open";
    case "differs":
      return limit < from || limit > to ? "met" : "open";
    default:
      return "open";
  }
}

/** Compares one fact with a limit. A value of the wrong kind for the comparison is open: it cannot be judged. */
export function compareFact(fact: Fact, is: Comparison, limit: ReadyLimit | null): Truth {
  if (is === "known") return decide(fact.kind !== "unknown");
  if (fact.kind === "unknown" || limit === null) return "open";
  if (fact.kind === "range") return limit.ratio ? compareRange(fact.low, fact.high, is, limit.ratio) : "open";
  // Texts of ten signs are whole dates or none, never a year or a month.
  const rough =
    typeof fact.value === "string" && limit.day !== null && fact.value.length < 10 ? parseRough(fact.value) : null;
  if (rough && limit.day !== null) return compareRough(rough, is, limit.day);
  const truth = compareValue(fact.value, is, limit);
  return truth === "not met" && fact.mayRise && (is === "atLeast" || is === "over") ? "open" : truth;
}

function compareValue(value: Scalar, is: Comparison, limit: ReadyLimit): Truth {
  const all = limit.value;
  switch (is) {
    case "equals":
      return decide(same(value, limit));
    case "differs":
      return decide(!same(value, limit));
    case "oneOf":
      return decide(Array.isArray(all) && typeof value === "string" && all.includes(value));
    case "includesOneOf":
      // A limit that is another fact may be one value or several.
      if (typeof all === "string") return decide(Array.isArray(value) && value.includes(all));
      return decide(Array.isArray(all) && Array.isArray(value) && value.some((v) => all.includes(v)));
    case "known":
      return "met";
  }
  const position = order(value, limit);
  if (position === null) return "open";
  switch (is) {
    case "atLeast":
      return decide(position >= 0);
    case "atMost":
      return decide(position <= 0);
    case "over":
      return decide(position > 0);
    case "under":
      return decide(position < 0);
  }
}
