import type { Comparison, Condition, Limit } from "../../core/rules/condition";
import { countryName, formatDate } from "../format";
import { type FactTitles, factWord, valueWord } from "./trace";

/** Conditions read as sentences, for the office. */
export const COMPARISON_WORDS: Readonly<Record<Comparison, string>> = {
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

const MANY = 6;

function limitWords(limit: Limit | undefined, titles: FactTitles, fact: string, list: string): string {
  if (limit === undefined) return "";
  if (typeof limit === "boolean") return limit ? "yes" : "no";
  if (typeof limit === "number") return String(limit);
  if (typeof limit === "string")
    return /^\d{4}-\d{2}-\d{2}$/u.test(limit) ? formatDate("en", limit) : valueWord(limit, fact, titles, list);
  if (Array.isArray(limit)) {
    const words = limit.map((v) => (/^[A-Z]{2}$/u.test(v) ? countryName("en", v) : valueWord(v, fact, titles, list)));
    return words.length > MANY
      ? `${words.slice(0, MANY - 1).join(", ")} and ${words.length - MANY + 1} more`
      : words.join(", ");
  }
  const name = factWord(limit.fact, titles);
  if (!limit.plusMonths) return name;
  const months = Math.abs(limit.plusMonths);
  const span =
    months % 12 === 0
      ? `${months / 12} ${months === 12 ? "year" : "years"}`
      : `${months} ${months === 1 ? "month" : "months"}`;
  return `${span} ${limit.plusMonths > 0 ? "after" : "before"} ${name}`;
}

const comparison = (subject: string, is: Comparison, limit: string): string =>
  `${subject} ${COMPARISON_WORDS[is]}${limit === "" ? "" : ` ${limit}`}`;

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
