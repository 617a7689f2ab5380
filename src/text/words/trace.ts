import type { Leaf, LeafTrace, Trace } from "../../core/rules/trace";
import type { Locale, LocalText } from "../../core/text/local-text";
import { countryName, formatDate, languageName } from "../format";
import { linesOf } from "./trace-details";

/** Traces of rules as sentences with the numbers, for the office and for applicants alike. */

/** What facts are called: titles from the rulebook's fields and measures, by the names that rules use; their values, by `name=value`; and entries of lists, by `#id`. */
export type FactTitles = Readonly<Record<string, string>>;

/** The titles of facts in one language. */
export function localTitles(titles: Readonly<Record<string, LocalText>>, locale: Locale): FactTitles {
  return Object.fromEntries(Object.entries(titles).map(([name, title]) => [name, title[locale]]));
}

interface Words {
  readonly compared: Readonly<Record<Leaf["is"], string>>;
  /** The same of days, which come before or after each other. */
  readonly comparedDays: Readonly<Partial<Record<Leaf["is"], string>>>;
  readonly facts: FactTitles;
  readonly unknown: string;
  readonly yesNo: Readonly<Record<"true" | "false", string>>;
  readonly atLeast: string;
  readonly between: (least: string, most: string) => string;
  readonly notWhole: string;
  readonly fit: (seen: string, of: number, what: string) => string;
  readonly over: (entries: number) => string;
  readonly joined: Readonly<Record<Exclude<Trace["op"], LeafTrace["op"] | "atLeast">, string>>;
  readonly someOf: (needed: number) => string;
}

const WORDS: Readonly<Record<Locale, Words>> = {
  en: {
    compared: {
      equals: "must be",
      differs: "must not be",
      oneOf: "must be one of these:",
      includesOneOf: "must include at least one of these:",
      atLeast: "must be at least",
      atMost: "must be at most",
      over: "must be over",
      under: "must be under",
      known: "must be known",
    },
    comparedDays: {
      atLeast: "must be on or after",
      atMost: "must be on or before",
      over: "must be after",
      under: "must be before",
    },
    facts: {
      "courses.ects": "ECTS",
      degrees: "degrees",
      courses: "courses",
      tests: "test results",
      referees: "referees",
      schools: "schools",
      subjects: "subjects",
      sittings: "sittings",
      experience: "entries of practice",
      start: "start of studies",
      closing: "closing",
      submission: "submission",
      today: "today",
      group: "applicant group",
      "choice.language": "language of teaching",
      "choice.campus": "campus chosen",
      "choice.mode": "mode chosen",
      "choice.track": "track chosen",
      "choice.tracks": "tracks that would be taken",
      "choice.rank": "rank of the choice",
      "choice.answer": "answer to the offer",
    },
    unknown: "not known",
    yesNo: { true: "yes", false: "no" },
    atLeast: "at least ",
    between: (least, most) => `${least} to ${most}`,
    notWhole: "; the list is not whole yet",
    fit: (seen, of, what) => `${seen} of ${of} ${what} fit`,
    over: (entries) => ` over ${entries} ${entries === 1 ? "entry" : "entries"}`,
    joined: {
      all: "all of these",
      any: "one of these",
      not: "not this",
    },
    someOf: (needed) => `at least ${needed} of these`,
  },
  fr: {
    compared: {
      equals: "doit être",
      differs: "ne doit pas être",
      oneOf: "doit être l’un de ceux-ci :",
      includesOneOf: "doit comprendre au moins l’un de ceux-ci :",
      atLeast: "doit être au moins",
      atMost: "doit être au plus",
      over: "doit dépasser",
      under: "doit rester sous",
      known: "doit être connu",
    },
    comparedDays: {
      atLeast: "doit être au plus tôt le",
      atMost: "doit être au plus tard le",
      over: "doit être après le",
      under: "doit être avant le",
    },
    facts: {
      "courses.ects": "ECTS",
      degrees: "diplômes",
      courses: "cours",
      tests: "résultats de tests",
      referees: "référents",
      schools: "écoles",
      subjects: "matières",
      sittings: "sessions",
      experience: "entrées de pratique",
      start: "début des études",
      closing: "clôture",
      submission: "dépôt",
      today: "aujourd’hui",
      group: "groupe de candidats",
      "choice.language": "langue d’enseignement",
      "choice.campus": "campus choisi",
      "choice.mode": "rythme choisi",
      "choice.track": "parcours choisi",
      "choice.tracks": "parcours acceptés",
      "choice.rank": "rang du vœu",
      "choice.answer": "réponse à l’offre",
    },
    unknown: "pas connu",
    yesNo: { true: "oui", false: "non" },
    atLeast: "au moins ",
    between: (least, most) => `${least} à ${most}`,
    notWhole: " ; la liste n’est pas encore complète",
    fit: (seen, of, what) => `${seen} sur ${of} ${what} conviennent`,
    over: (entries) => ` sur ${entries} ${entries === 1 ? "entrée" : "entrées"}`,
    joined: {
      all: "tout ceci",
      any: "l’un de ceux-ci",
      not: "pas ceci",
    },
    someOf: (needed) => `au moins ${needed} de ceux-ci`,
  },
};

export function factWord(named: string, titles: FactTitles, list = "it", locale: Locale = "en"): string {
  const name = named.replace(/^it\./u, `${list}.`);
  return WORDS[locale].facts[name] ?? titles[name] ?? name.replace(/^(answers|it)\./u, "").replace(/\./gu, ", ");
}

/** A value that was picked in the words of the form; any other as it is. */
export function valueWord(value: string, fact: string, titles: FactTitles, list = "it"): string {
  return titles[`${fact.replace(/^it\./u, `${list}.`)}=${value}`] ?? value;
}

const COUNTRIES_SHOWN = 3;
const WHOLE_DAY = /^\d{4}-\d{2}-\d{2}$/u;

/** @param fact by its full name, with the list that it stands in */
function shown(value: string | null, locale: Locale, fact: string, titles: FactTitles): string {
  if (value === null) return WORDS[locale].unknown;
  const picked = titles[`${fact}=${value}`];
  if (picked !== undefined) return picked;
  if (value === "true" || value === "false") return WORDS[locale].yesNo[value];
  if (WHOLE_DAY.test(value)) return formatDate(locale, value);
  if (/^[a-z]{2}$/u.test(value) && fact.endsWith("language")) return languageName(locale, value);
  if (/^([A-Z]{2}, )+[A-Z]{2}$/u.test(value))
    return `${value
      .split(", ")
      .slice(0, COUNTRIES_SHOWN)
      .map((c) => countryName(locale, c))
      .join(", ")} …`;
  return value;
}

/** A limit is one value, or several with commas between them. */
function limitWord(limit: string | null, locale: Locale, fact: string, titles: FactTitles): string {
  const whole = shown(limit, locale, fact, titles);
  if (limit === null || whole !== limit || !limit.includes(", ")) return whole;
  return limit
    .split(", ")
    .map((value) => titles[`${fact}=${value}`] ?? value)
    .join(", ");
}

/** How a measured value came about: the formula with its numbers. */
export function detailLines(leaf: Leaf, locale: Locale = "en"): readonly string[] {
  return leaf.detail ? linesOf(leaf.detail, locale) : [];
}

/** One leaf as a sentence with the numbers; inside a list, the list says what `it` is. */
export function leafSentence(trace: LeafTrace, titles: FactTitles, list = "it", locale: Locale = "en"): string {
  const { leaf } = trace;
  const words = WORDS[locale];
  const fact = leaf.fact.replace(/^it\./u, `${list}.`);
  const least = shown(leaf.seen, locale, fact, titles);
  const seen = leaf.most ? words.between(least, leaf.most) : least;
  const name = factWord(leaf.fact, titles, list, locale);
  const ofDays = leaf.limit !== null && WHOLE_DAY.test(leaf.limit);
  const compared = (ofDays ? words.comparedDays[leaf.is] : undefined) ?? words.compared[leaf.is];
  const must = `${compared} ${leaf.is === "known" ? "" : limitWord(leaf.limit, locale, fact, titles)}`.trim();
  const growing = trace.op === "sum" || trace.op === "count" || leaf.most === null;
  const from = leaf.open && leaf.seen !== null && growing ? words.atLeast : "";
  if (trace.op === "some") return `${words.fit(seen, leaf.entries ?? 0, name)}${leaf.open ? words.notWhole : ""}`;
  if (trace.op === "sum") return `${from}${seen} ${name}${words.over(leaf.entries ?? 0)}; ${must}`;
  if (trace.op === "count") return `${from}${seen} ${name}; ${must}`;
  return `${name}: ${from}${seen}; ${must}`;
}

/** What the entry that a trace looked at is called; null where it looked at none, or nobody knows what it is called. */
export const entryWord = (trace: Trace, titles: FactTitles): string | null =>
  trace.entry === undefined ? null : (titles[`#${trace.entry}`] ?? null);

/** How the parts of a trace are joined: "all of these". */
export function joinWord(trace: Exclude<Trace, LeafTrace>, locale: Locale = "en"): string {
  return trace.op === "atLeast" ? WORDS[locale].someOf(trace.needed) : WORDS[locale].joined[trace.op];
}
