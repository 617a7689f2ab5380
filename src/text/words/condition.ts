import { SPAN_DAYS } from "../../core/rulebook/day-names";
import type { Comparison, Condition, Limit } from "../../core/rules/condition";
import type { Locale } from "../../core/text/local-text";
import { countryName, formatDate, languageName } from "../format";
import { type FactTitles, factWord, valueWord } from "./trace";

type Unit = "year" | "month" | "day";

/** Conditions read as sentences. */
interface Words {
  readonly compared: Readonly<Record<Comparison, string>>;
  /** Days come before or after each other; they are no amounts. */
  readonly comparedDays: Readonly<Partial<Record<Comparison, string>>>;
  readonly filledIn: string;
  readonly quoted: (title: string) => string;
  readonly counted: (n: number, unit: Unit) => string;
  readonly side: Readonly<Record<"after" | "before", string>>;
  readonly and: string;
  readonly or: string;
  readonly theDay: string;
  readonly yesNo: Readonly<Record<"true" | "false", string>>;
  readonly more: (n: number) => string;
  readonly always: string;
  readonly never: string;
  readonly not: (what: string) => string;
  readonly someOf: (count: number, what: string) => string;
  readonly oneOf: (list: string, where: string) => string;
  readonly where: (what: string) => string;
  readonly number: (list: string) => string;
  readonly sum: (field: string, list: string) => string;
}

const UNITS: Readonly<Record<Unit, readonly [string, string]>> = {
  year: ["an", "ans"],
  month: ["mois", "mois"],
  day: ["jour", "jours"],
};

const WORDS: Readonly<Record<Locale, Words>> = {
  en: {
    compared: {
      equals: "is",
      differs: "is not",
      oneOf: "is one of",
      includesOneOf: "includes one of",
      atLeast: "is at least",
      atMost: "is at most",
      over: "is over",
      under: "is under",
      known: "is known",
    },
    comparedDays: { atLeast: "is on or after", atMost: "is on or before", over: "is after", under: "is before" },
    filledIn: "is filled in",
    quoted: (title) => `“${title}”`,
    counted: (n, unit) => `${n} ${unit}${n === 1 ? "" : "s"}`,
    side: { after: "after", before: "before" },
    and: "and",
    or: "or",
    theDay: "the day",
    yesNo: { true: "yes", false: "no" },
    more: (n) => `and ${n} more`,
    always: "always",
    never: "never",
    not: (what) => `not (${what})`,
    someOf: (count, what) => `at least ${count} of: ${what}`,
    oneOf: (list, where) => `at least one of ${list} where ${where}`,
    where: (what) => ` where ${what}`,
    number: (list) => `the number of ${list}`,
    sum: (field, list) => `the sum of ${field} over ${list}`,
  },
  fr: {
    compared: {
      equals: "est",
      differs: "n’est pas",
      oneOf: "est l’un de",
      includesOneOf: "comprend l’un de",
      atLeast: "est au moins",
      atMost: "est au plus",
      over: "dépasse",
      under: "reste sous",
      known: "est connu",
    },
    comparedDays: {
      atLeast: "est au plus tôt",
      atMost: "est au plus tard",
      over: "est après",
      under: "est avant",
    },
    filledIn: "est rempli",
    quoted: (title) => `« ${title} »`,
    counted: (n, unit) => `${n} ${UNITS[unit][n === 1 ? 0 : 1]}`,
    side: { after: "après", before: "avant" },
    and: "et",
    or: "ou",
    theDay: "le jour",
    yesNo: { true: "oui", false: "non" },
    more: (n) => `et ${n} de plus`,
    always: "toujours",
    never: "jamais",
    not: (what) => `pas (${what})`,
    someOf: (count, what) => `au moins ${count} de : ${what}`,
    oneOf: (list, where) => `au moins une entrée de « ${list} » où ${where}`,
    where: (what) => ` où ${what}`,
    number: (list) => `le nombre de ${list}`,
    sum: (field, list) => `la somme de ${field} sur ${list}`,
  },
};

/** A comparison in words, of days or of anything else. */
export function comparisonWord(is: Comparison, ofDays: boolean, locale: Locale = "en"): string {
  const { compared, comparedDays } = WORDS[locale];
  return (ofDays ? comparedDays[is] : undefined) ?? compared[is];
}

const LANGUAGE = /^[a-z]{2}$/u;
const WHOLE_DAY = /^\d{4}-\d{2}-\d{2}$/u;
const DAY_FACTS: readonly string[] = SPAN_DAYS;

/** Whether a limit is a day: one that is written, one that everybody has, or another fact that is moved. */
function isDay(limit: Limit | undefined): boolean {
  if (typeof limit === "string") return WHOLE_DAY.test(limit);
  if (typeof limit !== "object" || Array.isArray(limit)) return false;
  return DAY_FACTS.includes(limit.fact) || limit.plusMonths !== undefined || limit.plusDays !== undefined;
}

const MANY = 6;

/** "3 months and 1 day before closing". */
function movedDay(name: string, months: number, days: number, words: Words): string {
  const side = (by: number) => words.side[by > 0 ? "after" : "before"];
  const ofMonths = Math.abs(months);
  const inMonths = ofMonths % 12 === 0 ? words.counted(ofMonths / 12, "year") : words.counted(ofMonths, "month");
  const inDays = words.counted(Math.abs(days), "day");
  if (months === 0) return days === 0 ? name : `${inDays} ${side(days)} ${name}`;
  if (days === 0) return `${inMonths} ${side(months)} ${name}`;
  return side(months) === side(days)
    ? `${inMonths} ${words.and} ${inDays} ${side(days)} ${name}`
    : `${inDays} ${side(days)} ${words.theDay} ${inMonths} ${side(months)} ${name}`;
}

/** Who reads a sentence: in which language, and whether they know the form by its titles only. */
interface Audience {
  readonly locale: Locale;
  readonly forApplicants: boolean;
}

/** Says conditions in one language, with the titles of one rulebook. */
class Sayer {
  readonly titles: FactTitles;
  readonly locale: Locale;
  readonly #words: Words;
  readonly #forApplicants: boolean;
  constructor(titles: FactTitles, { locale = "en", forApplicants = false }: Partial<Audience>) {
    this.titles = titles;
    this.locale = locale;
    this.#words = WORDS[locale];
    this.#forApplicants = forApplicants;
  }

  /** What a fact is called. Whoever does not know the form sees by the quotes that these are words of it. */
  #fact(name: string, list?: string): string {
    const word = factWord(name, this.titles, list, this.locale);
    return this.#forApplicants && name in this.titles ? this.#words.quoted(word) : word;
  }

  #value(value: string, fact: string, list: string): string {
    if (WHOLE_DAY.test(value)) return formatDate(this.locale, value);
    if (/^[A-Z]{2}$/u.test(value)) return countryName(this.locale, value);
    const word = valueWord(value, fact, this.titles, list);
    return word === value && LANGUAGE.test(value) && fact.endsWith("language")
      ? languageName(this.locale, value)
      : word;
  }

  #limit(limit: Limit | undefined, fact: string, list: string): string {
    const words = this.#words;
    if (limit === undefined) return "";
    if (typeof limit === "boolean") return words.yesNo[limit ? "true" : "false"];
    if (typeof limit === "number") return String(limit);
    if (typeof limit === "string") return this.#value(limit, fact, list);
    if (Array.isArray(limit)) {
      const values = limit.map((v) => this.#value(v, fact, list));
      return values.length > MANY
        ? `${values.slice(0, MANY - 1).join(", ")} ${words.more(values.length - MANY + 1)}`
        : values.join(", ");
    }
    return movedDay(this.#fact(limit.fact), limit.plusMonths ?? 0, limit.plusDays ?? 0, words);
  }

  #comparison(subject: string, is: Comparison, limit: string, ofDays = false): string {
    const compared =
      is === "known" && this.#forApplicants ? this.#words.filledIn : comparisonWord(is, ofDays, this.locale);
    return `${subject} ${compared}${limit === "" ? "" : ` ${limit}`}`;
  }

  #joined(parts: readonly Condition[], word: string, list: string): string {
    const sentences = parts.map((part) => {
      const text = this.say(part, list);
      return (part.op === "all" || part.op === "any") && part.of.length > 1 ? `(${text})` : text;
    });
    return sentences.join(` ${word} `);
  }

  say(condition: Condition, list: string): string {
    const words = this.#words;
    switch (condition.op) {
      case "all":
        return condition.of.length === 0 ? words.always : this.#joined(condition.of, words.and, list);
      case "any":
        return condition.of.length === 0 ? words.never : this.#joined(condition.of, words.or, list);
      case "not":
        return words.not(this.say(condition.of, list));
      case "atLeast":
        return words.someOf(condition.count, condition.of.map((c) => this.say(c, list)).join("; "));
      case "fact": {
        const { fact, is, value } = condition;
        return this.#comparison(this.#fact(fact, list), is, this.#limit(value, fact, list), isDay(value));
      }
      case "some":
        return words.oneOf(this.#fact(condition.list), this.say(condition.where, condition.list));
      case "count":
      case "sum": {
        const { list: name, where } = condition;
        const which = where ? words.where(this.say(where, name)) : "";
        const subject =
          condition.op === "count"
            ? words.number(this.#fact(name))
            : words.sum(this.#fact(`it.${condition.field}`, name), this.#fact(name));
        return this.#comparison(`${subject}${which}`, condition.is, this.#limit(condition.value, "", list));
      }
    }
  }
}

/** One condition as a sentence; inside a list, `list` says what an entry's fields are called by. */
export const conditionSentence = (
  condition: Condition,
  titles: FactTitles,
  { list = "it", ...audience }: Partial<Audience> & { readonly list?: string } = {},
): string => new Sayer(titles, audience).say(condition, list);
