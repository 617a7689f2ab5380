import type { Money } from "../core/rulebook/fee-item";
import type { Locale } from "../core/text/local-text";

/** Dates, moments, numbers and money as people read them. Month names, never month numbers; deadlines with time and zone. */
const TAGS: Readonly<Record<Locale, string>> = { en: "en-GB", fr: "fr-FR" };

/** Formatters cost milliseconds to make and are kept. */
const dates = new Map<string, Intl.DateTimeFormat>();

function dateFormat(locale: Locale, key: string, options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const place = `${locale}|${key}`;
  const known = dates.get(place) ?? new Intl.DateTimeFormat(TAGS[locale], options);
  dates.set(place, known);
  return known;
}

/** A calendar day: 3 Feb 2027. */
export function formatDate(locale: Locale, date: string): string {
  if (/^\d{4}$/u.test(date)) return date;
  if (/^\d{4}-\d{2}$/u.test(date))
    return dateFormat(locale, "month", { month: "short", year: "numeric", timeZone: "UTC" }).format(
      new Date(`${date}-15T12:00:00Z`),
    );
  const value = new Date(`${date}T12:00:00Z`);
  return Number.isNaN(value.getTime())
    ? date
    : dateFormat(locale, "day", { day: "numeric", month: "short", year: "numeric", timeZone: "UTC" }).format(value);
}

/** A day and a time on a clock that stands beside it, `YYYY-MM-DDTHH:mm`: 3 Feb 2027, 18:00. */
export const formatWritten = (locale: Locale, moment: string): string => formatMoment(locale, `${moment}Z`, "UTC");

/** A moment in a named zone: 3 Feb 2027, 18:00. */
export function formatMoment(locale: Locale, instant: string, zone: string): string {
  return dateFormat(locale, zone, {
    day: "numeric",
    month: "short",
    year: "numeric",
    hour: "2-digit",
    minute: "2-digit",
    hourCycle: "h23",
    timeZone: zone,
  }).format(new Date(instant));
}

/** The day of an instant in a named zone: 3 Feb 2027. */
export function formatDayOf(locale: Locale, instant: string, zone: string): string {
  const options = { day: "numeric", month: "short", year: "numeric", timeZone: zone } as const;
  return dateFormat(locale, `day ${zone}`, options).format(new Date(instant));
}

/** The same with the zone named, for people who live in another one: 3 Feb 2027 (Europe/Dublin). */
export const formatDayInZone = (locale: Locale, instant: string, zone: string): string =>
  `${formatDayOf(locale, instant, zone)} (${formatZone(zone)})`;

/** The zone's name without its region's underscore: Port of Spain. */
export function formatZone(zone: string): string {
  return zone.replace(/_/gu, " ");
}

export function formatMoney(locale: Locale, money: Money): string {
  const number = new Intl.NumberFormat(TAGS[locale], {
    style: "currency",
    currency: money.currency,
    currencyDisplay: "code",
  });
  const { maximumFractionDigits = 2 } = number.resolvedOptions();
  const parts = number.formatToParts(money.minor / 10 ** maximumFractionDigits); // shown, never computed with
  const amount = parts
    .filter((p) => p.type !== "currency" && p.type !== "literal")
    .map((p) => p.value)
    .join("");
  return `${amount} ${money.currency}`;
}

export function formatBytes(locale: Locale, bytes: number): string {
  const unit = bytes < 1_000_000 ? "kilobyte" : "megabyte";
  const value = bytes / (unit === "kilobyte" ? 1000 : 1_000_000);
  return new Intl.NumberFormat(TAGS[locale], { style: "unit", unit, maximumFractionDigits: value < 10 ? 1 : 0 }).format(
    value,
  );
}

/** The name of a country or of a language. Codes for stateless people are not in the tables and are named by us. */
export function countryName(locale: Locale, code: string): string {
  const special: Readonly<Record<string, Readonly<Record<Locale, string>>>> = {
    XXA: { en: "Stateless", fr: "Apatride" },
    XXB: { en: "Refugee", fr: "Réfugié" },
    XXC: { en: "Refugee (other)", fr: "Réfugié (autre)" },
  };
  return special[code]?.[locale] ?? new Intl.DisplayNames([TAGS[locale]], { type: "region" }).of(code) ?? code;
}

/** Several words as one enumeration with "or". */
export const formatList = (locale: Locale, words: readonly string[]): string =>
  new Intl.ListFormat(TAGS[locale], { type: "disjunction" }).format(words);

export function languageName(locale: Locale, code: string): string {
  return new Intl.DisplayNames([TAGS[locale]], { type: "language" }).of(code) ?? code;
}
