import { Temporal } from "temporal-polyfill";
import type { Instant, PlainDate } from "../ids";
import { type Day, formatDay, parseDay } from "./day";

/**
 * A zone's offsets as a table of transitions, made once with Temporal, because the assessment asks for
 * "the day in the office's zone" thousands of times and a conversion through Temporal costs tens of microseconds.
 */
export interface ZoneTable {
  readonly zone: string;
  /** Ascending epoch milliseconds from which the offset of the same index holds. */
  readonly from: readonly number[];
  readonly offsetMs: readonly number[];
}

const FIRST_YEAR = 2000;
const LAST_YEAR = 2060;

/** The table of a named IANA zone for the years in which files live. */
export function zoneTable(zone: string): ZoneTable {
  let at: Temporal.ZonedDateTime | null = Temporal.ZonedDateTime.from({
    year: FIRST_YEAR,
    month: 1,
    day: 1,
    timeZone: zone,
  });
  const from: number[] = [];
  const offsetMs: number[] = [];
  while (at && at.year <= LAST_YEAR) {
    from.push(at.epochMilliseconds);
    offsetMs.push(at.offsetNanoseconds / 1_000_000);
    at = at.getTimeZoneTransition("next");
  }
  return { zone, from, offsetMs };
}

function offsetAt(table: ZoneTable, epochMs: number): number {
  let low = 0;
  let high = table.from.length - 1;
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if ((table.from[middle] ?? 0) <= epochMs) low = middle;
    else high = middle - 1;
  }
  return table.offsetMs[low] ?? 0;
}

/** The calendar day that the office's wall shows at an instant. */
export function dayAt(table: ZoneTable, epochMs: number): Day {
  return Math.floor((epochMs + offsetAt(table, epochMs)) / 86_400_000);
}

/** The instant at which a day begins in the zone (the earlier one should midnight come twice). */
export function startOfDay(table: ZoneTable, day: Day): number {
  const wall = day * 86_400_000;
  const guess = wall - offsetAt(table, wall);
  return wall - offsetAt(table, guess);
}

export interface WallTime {
  readonly utc: Instant;
  /** Whether the wall time exists once, was skipped by summer time, or comes twice. */
  readonly kind: "plain" | "gap" | "overlap";
  /** The wall time after a skipped one was moved forward. */
  readonly local: string;
}

/**
 * The instant of a wall time in a zone. A skipped time moves forward by the length of the gap (RFC 5545, 3.3.5);
 * a time that comes twice is the earlier one for an opening and the later one for a closing.
 */
export function toUtc(local: string, zone: string, mode: "earlier" | "later" = "earlier"): WallTime {
  const plain = Temporal.PlainDateTime.from(local);
  const early = plain.toZonedDateTime(zone, { disambiguation: "earlier" });
  const late = plain.toZonedDateTime(zone, { disambiguation: "later" });
  const kind =
    early.epochMilliseconds === late.epochMilliseconds
      ? "plain"
      : early.toPlainDateTime().equals(plain)
        ? "overlap"
        : "gap";
  const chosen = kind === "gap" || mode === "later" ? late : early;
  return {
    utc: toInstant(chosen.epochMilliseconds),
    kind,
    local: chosen.toPlainDateTime().toString({ smallestUnit: "second" }),
  };
}

/** Files share their closings and their days: the texts of instants are kept for a while. */
const instants = new Map<number, Instant>();
const MOST_INSTANTS = 2000;

export function toInstant(epochMs: number): Instant {
  const known = instants.get(epochMs);
  if (known !== undefined) return known;
  const instant = new Date(epochMs).toISOString() as Instant; // toISOString has the branded shape
  if (instants.size >= MOST_INSTANTS) instants.clear();
  instants.set(epochMs, instant);
  return instant;
}

/** @throws RangeError for a text that is no date: a defect, since inputs are checked before they get here */
export function requireDay(date: PlainDate): Day {
  const day = parseDay(date);
  if (day === null) throw new RangeError(`no date: ${date}`);
  return day;
}

export function addDays(date: PlainDate, days: number): PlainDate {
  return formatDay(requireDay(date) + days);
}
