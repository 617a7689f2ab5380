import { SPAN_DAYS } from "../../core/rulebook/day-names";
import type { Comparison, Condition, Limit } from "../../core/rules/condition";
import { countryName, formatDate } from "../format";
import { type FactTitles, factWord, valueWord } from "./trace";

/** Conditions read as sentences, for the office. */
const COMPARISON_WORDS: Readonly<Record<Comparison, string>> = {
  equals: "is",
  differs: "is not",
  oneOf: "is one of",
  includesOneOf: "includes one of",
  atLeast: "is at least",
  atMost: "is at most",
  over: "is over",
  under: "is under",
  known: "is known",
};

/** Days come before or after each other; they are no amounts. */
const DAY_COMPARISON_WORDS: Readonly<Record<Comparison, string>> = {
  ...COMPARISON_WORDS,
  atLeast: "is on or after",
  atMost: "is on or before",
  over: "is after",
  under: "is before",
};

/** A comparison in words, of days or of anything else. */
export const comparisonWord = (is: Comparison, ofDays: boolean): string =>
  (ofDays ? DAY_COMPARISON_WORDS : COMPARISON_WORDS)[is];

const WHOLE_DAY = /^\d{4}-\d{2}-\d{2}$/u;
const DAY_FACTS: readonly string[] = SPAN_DAYS;

/** Whether a limit is a day: one that is written, one that everybody has, or another fact that is moved. */
function isDay(limit: Limit | undefined): boolean {
  if (typeof limit === "string") return WHOLE_DAY.test(limit);
  if (typeof limit !== "object" || Array.isArray(limit)) return false;
  return DAY_FACTS.includes(limit.fact) || limit.plusMonths !== undefined || limit.plusDays !== undefined;
}

const MANY = 6;

const counted = (n: number, one: string): string => `${n} ${n === 1 ? one : `${one}s`}`;
const side = (by: number): string => (by > 0 ? "after" : "before");
const monthWords = (months: number): string =>
  months % 12 === 0 ? counted(months / 12, "year") : counted(months, "month");

/** "3 months and 1 day before closing". */
function movedDay(name: string, months: number, days: number): string {
  const [inMonths, inDays] = [monthWords(Math.abs(months)), counted(Math.abs(days), "day")];
  if (months === 0) return days === 0 ? name : `${inDays} ${side(days)} ${name}`;
  if (days === 0) return `${inMonths} ${side(months)} ${name}`;
  return side(months) === side(days)
    ? `${inMonths} and ${inDays} ${side(days)} ${name}`
    : `${inDays} ${side(days)} the day ${inMonths} ${side(months)} ${name}`;
}

function limitWords(limit: Limit | undefined, titles: FactTitles, fact: string, list: string): string {
  if (limit === undefined) return "";
  if (typeof limit === "boolean") return limit ? "yes" : "no";
  if (typeof limit === "number") return String(limit);
  if (typeof limit === "string")
    return WHOLE_DAY.test(limit) ? formatDate("en", limit) : valueWord(limit, fact, titles, list);
  if (Array.isArray(limit)) {
    const words = limit.map((v) => (/^[A-Z]{2}$/u.test(v) ? countryName("en", v) : valueWord(v, fact, titles, list)));
    return words.length > MANY
      ? `${words.slice(0, MANY - 1).join(", ")} and ${words.length - MANY + 1} more`
      : words.join(", ");
  }
  const name = factWord(limit.fact, titles);
  return movedDay(name, limit.plusMonths ?? 0, limit.plusDays ?? 0);
}

const comparison = (subject: string, is: Comparison, limit: string, ofDays = false): string =>
  `${subject} ${comparisonWord(is, ofDays)}${limit === "" ? "" : ` ${limit}`}`;

function joined(parts: readonly Condition[], word: string, titles: FactTitles, list: string): string {
  const sentences = parts.map((part) => {
    const text = conditionSentence(part, titles, list);
    return (part.op === "all" || part.op === "any") && part.of.length > 1 ? `(${text})` : text;
  });
  return sentences.join(` ${word} `);
}

/** One condition as a sentence; inside a list, `list` says what an entry's fields are called by. */
export function conditionSentence(condition: Condition, titles: FactTitles, list = "it"): string {
  switch (condition.op) {
    case "all":
      return condition.of.length === 0 ? "always" : joined(condition.of, "and", titles, list);
    case "any":
      return condition.of.length === 0 ? "never" : joined(condition.of, "or", titles, list);
    case "not":
      return `not (${conditionSentence(condition.of, titles, list)})`;
    case "atLeast":
      return `at least ${condition.count} of: ${condition.of.map((c) => conditionSentence(c, titles, list)).join("; ")}`;
    case "fact":
      return comparison(
        factWord(condition.fact, titles, list),
        condition.is,
        limitWords(condition.value, titles, condition.fact, list),
        isDay(condition.value),
      );
    case "some":
      return `at least one of ${factWord(condition.list, titles)} where ${conditionSentence(condition.where, titles, condition.list)}`;
    case "count":
    case "sum": {
      const { list: name, where } = condition;
      const which = where ? ` where ${conditionSentence(where, titles, name)}` : "";
      const subject =
        condition.op === "count"
          ? `the number of ${factWord(name, titles)}${which}`
          : `the sum of ${factWord(`it.${condition.field}`, titles, name)} over ${factWord(name, titles)}${which}`;
      return comparison(subject, condition.is, limitWords(condition.value, titles, "", list));
    }
  }
}
