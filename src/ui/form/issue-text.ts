import type { ScoreRange, ValueIssue } from "../../core/answers/check-value";
import type { Locale } from "../../core/text/local-text";
import { formatDate } from "../../text/format";
import { isTextKey, sentence } from "../../text/sentence";
import { numberShapes } from "../../text/words/number-shapes";

const rangeText = (locale: Locale, { title, least, most, step }: ScoreRange): string =>
  sentence(locale, step === 1 ? "issue.part" : "issue.partInSteps", { part: title[locale], least, most, step });

/** What is wrong with a value, as a sentence that says what is expected. */
export function issueText(locale: Locale, issue: ValueIssue): string {
  const key = `issue.${issue.code}`;
  if (!isTextKey(key)) return "";
  const values: Record<string, string | number> = {};
  for (const [name, value] of Object.entries(issue))
    if (name === "days") values.days = (value as readonly string[]).map((day) => formatDate(locale, day)).join(" / ");
    else if (name === "like") values.like = numberShapes(locale, value as readonly string[]);
    else if (name === "parts")
      values.parts = (value as readonly ScoreRange[]).map((part) => rangeText(locale, part)).join("; ");
    else if (name !== "code") values[name] = Array.isArray(value) ? value.join(", ") : String(value);
  return sentence(locale, key, values);
}
