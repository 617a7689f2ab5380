import { fold } from "../people/fold";
import { parseDay, parseRough } from "./day";

/**
 * Dates as people type them: in figures in several orders, with months in words, to the day, the month or the year. What can be
 * read in one way is read. What can be read in two ways is never guessed: both are given, and the person says which.
 */
export type TypedDate =
  /** `YYYY-MM-DD`, `YYYY-MM` or `YYYY`. */
  | { readonly kind: "read"; readonly value: string }
  /** Two days; the one that reads the day first stands first. */
  | { readonly kind: "two ways"; readonly values: readonly [string, string] }
  | { readonly kind: "unreadable"; readonly why: Unreadable };

/** Why a text is no date: a day that its month does not have, a year of two figures, or nothing that could be a date. */
export type Unreadable = "no-such-day" | "short-year" | "unclear";

const unreadable = (why: Unreadable): TypedDate => ({ kind: "unreadable", why });
const UNREADABLE = unreadable("unclear");

/** The months in English and French, in full and as they are shortened, folded. */
const MONTH_NAMES: readonly (readonly string[])[] = [
  ["january", "jan", "janvier", "janv"],
  ["february", "feb", "febr", "fevrier", "fevr", "fev"],
  ["march", "mar", "mars"],
  ["april", "apr", "avril", "avr"],
  ["may", "mai"],
  ["june", "jun", "juin"],
  ["july", "jul", "juillet", "juil"],
  ["august", "aug", "aout"],
  ["september", "sep", "sept", "septembre"],
  ["october", "oct", "octobre"],
  ["november", "nov", "novembre"],
  ["december", "dec", "decembre"],
];
const MONTH_OF = new Map(MONTH_NAMES.flatMap((names, i) => names.map((name) => [name, i + 1] as const)));

/** What stands around a date and says nothing of it: ordinals, articles, days of the week. */
const AROUND = new Set(
  `st nd rd th er e of the de le du on
   mon monday tue tues tuesday wed wednesday thu thur thurs thursday fri friday sat saturday sun sunday
   lun lundi mardi mer mercredi jeu jeudi ven vendredi sam samedi dim dimanche`.split(/\s+/u),
);

const PARTS = /\d+|\p{L}+/gu;
const BETWEEN = /^[\s,./\-–'’]*$/u;

const two = (part: string) => part.padStart(2, "0");
const isYear = (part: string): boolean => part.length === 4 && part >= "1000";
const isShort = (part: string): boolean => part.length <= 2;

/** The day, where it exists. */
const dayOf = (year: string, month: string, day: string): string | null => {
  const written = `${year}-${two(month)}-${two(day)}`;
  return parseDay(written) === null ? null : written;
};

const readAs = (value: string | null): TypedDate =>
  value === null ? unreadable("no-such-day") : { kind: "read", value };
const readMonth = (year: string, month: string): TypedDate => {
  const written = `${year}-${two(month)}`;
  return parseRough(written) ? readAs(written) : UNREADABLE;
};

/** A day, or a month, whose month is a word. */
function withWord(month: string, numbers: readonly string[]): TypedDate {
  const year = numbers.find(isYear);
  if (year === undefined) return numbers.length === 2 && numbers.every(isShort) ? unreadable("short-year") : UNREADABLE;
  const [day, more] = numbers.filter((n) => n !== year);
  if (more !== undefined || numbers.length > 2) return UNREADABLE;
  if (day === undefined) return readMonth(year, month);
  return isShort(day) ? readAs(dayOf(year, month, day)) : UNREADABLE;
}

/** A day in figures. Between full stops the day stands before the month wherever that exists; elsewhere there are two customs. */
function inFigures([a = "", b = "", c = ""]: readonly string[], stops: boolean): TypedDate {
  if (isYear(a)) return isShort(b) && isShort(c) ? readAs(dayOf(a, b, c)) : UNREADABLE;
  if (!isShort(a) || !isShort(b)) return UNREADABLE;
  if (!isYear(c)) return isShort(c) ? unreadable("short-year") : UNREADABLE;
  const dayFirst = dayOf(c, b, a);
  const monthFirst = dayOf(c, a, b);
  if (dayFirst === null || monthFirst === null || dayFirst === monthFirst || stops)
    return readAs(dayFirst ?? monthFirst);
  return { kind: "two ways", values: [dayFirst, monthFirst] };
}

/** Reads a date as somebody typed it. A year of two figures, and a day that does not exist, cannot be read. */
export function readTypedDate(typed: string): TypedDate {
  const text = typed
    .normalize("NFKC")
    .replace(/[年月]/gu, "-")
    .replace(/日/gu, "")
    .trim();
  if (!BETWEEN.test(text.replace(PARTS, ""))) return UNREADABLE;
  const parts = (text.match(PARTS) ?? []).map((part) => (/\d/u.test(part) ? part : fold(part)));
  const words = parts.filter((part) => !/\d/u.test(part) && !AROUND.has(part));
  const numbers = parts.filter((part) => /\d/u.test(part));
  const [word, another] = words;
  if (another !== undefined) return UNREADABLE;
  if (word !== undefined) {
    const month = MONTH_OF.get(word);
    return month === undefined ? UNREADABLE : withWord(String(month), numbers);
  }
  if (numbers.length === 3) return inFigures(numbers, text.includes("."));
  const [a = "", b = ""] = numbers;
  if (numbers.length === 2) {
    if (isYear(b) && isShort(a)) return readMonth(b, a);
    return isYear(a) && isShort(b) ? readMonth(a, b) : UNREADABLE;
  }
  if (numbers.length !== 1) return UNREADABLE;
  if (a.length === 8) return readAs(dayOf(a.slice(0, 4), a.slice(4, 6), a.slice(6)));
  return isYear(a) ? readAs(a) : UNREADABLE;
}

const TIME = /^(.*?)[\s,T]+(?:at |à )?(\d{1,2})\s*(?:[:.h]\s*(\d{2})|h)$/iu;

/** A day and a time of day on a clock that stands beside it, as `YYYY-MM-DDTHH:mm`. */
export function readTypedMoment(typed: string): TypedDate {
  const [, date = "", hour = "", minute = "00"] = TIME.exec(typed.trim()) ?? [];
  if (date === "" || Number(hour) > 23 || Number(minute) > 59) return UNREADABLE;
  const day = readTypedDate(date);
  const at = (value: string) => `${value}T${two(hour)}:${minute}`;
  if (day.kind === "two ways") return { kind: day.kind, values: [at(day.values[0]), at(day.values[1])] };
  return day.kind === "read" && day.value.length === 10 ? readAs(at(day.value)) : UNREADABLE;
}
