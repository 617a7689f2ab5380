import type { PlainDate } from "../ids";

const formats = new Map<string, Intl.DateTimeFormat>();

/** The date on the calendar of a named zone at an instant, for pages: assessments use a table of the zone instead. */
export function dateIn(zone: string, instant: string): PlainDate {
  const format =
    formats.get(zone) ??
    new Intl.DateTimeFormat("en-GB", { timeZone: zone, year: "numeric", month: "2-digit", day: "2-digit" });
  formats.set(zone, format);
  const parts = Object.fromEntries(format.formatToParts(new Date(instant)).map((p) => [p.type, p.value]));
  return `${parts.year}-${parts.month}-${parts.day}` as PlainDate; // put together in the branded shape
}
