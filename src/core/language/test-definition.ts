import { z } from "zod";
import { add, compare, divide, parseDecimal, type Ratio, round, whole, ZERO } from "../numbers/ratio";
import { CEFR } from "../rules/compare";
import { localTextSchema } from "../text/local-text";
import { addMonths, type Day } from "../time/day";

/** A language test as data: its parts, its total, how long a result is valid, and the level that scores stand for. */
export const testDefinitionSchema = z.object({
  key: z.string(),
  title: localTextSchema,
  language: z.string(),
  parts: z.array(
    z.object({ key: z.string(), title: localTextSchema, min: z.number(), max: z.number(), step: z.number() }),
  ),
  total: z.object({ method: z.enum(["mean", "sum"]), round: z.enum(["none", "whole", "half"]) }).nullable(),
  validMonths: z.int().nullable(),
  levels: z.array(z.object({ level: z.enum(CEFR), total: z.number().nullable(), every: z.number() })),
});
export type TestDefinition = z.infer<typeof testDefinitionSchema>;

export type Scores = Readonly<Record<string, string>>;
type Level = (typeof CEFR)[number];

export interface ScoreIssue {
  readonly part: string;
  readonly code: "missing" | "range" | "step";
}

/** What is wrong with a set of scores, part by part: missing, not a number, outside the range, off the step. */
export function checkScores(test: TestDefinition, scores: Scores): readonly ScoreIssue[] {
  return test.parts.flatMap((part): readonly ScoreIssue[] => {
    const score = parseDecimal(scores[part.key] ?? "");
    if (score === null) return [{ part: part.key, code: "missing" }];
    const value = Number(score.n) / Number(score.d); // ranges and steps are small exact numbers
    if (value < part.min || value > part.max) return [{ part: part.key, code: "range" }];
    return Number.isInteger((value - part.min) / part.step) ? [] : [{ part: part.key, code: "step" }];
  });
}

/** The total by the test's own method; ties of the half step and of the whole go up. Null without a total or with a gap. */
export function total(test: TestDefinition, scores: Scores): Ratio | null {
  if (!test.total) return null;
  let sum = ZERO;
  for (const part of test.parts) {
    const score = parseDecimal(scores[part.key] ?? "");
    if (score === null) return null;
    sum = add(sum, score);
  }
  const value = test.total.method === "sum" ? sum : divide(sum, whole(test.parts.length));
  if (test.total.round === "none") return value;
  if (test.total.round === "whole") return round(value, 0, "half_up");
  return divide(round({ n: value.n * 2n, d: value.d }, 0, "half_up"), whole(2));
}

/** The highest level whose total and whose minimum in every part are reached; null below all of them. */
export function levelOf(test: TestDefinition, scores: Scores): Level | null {
  const sum = total(test, scores);
  const parts = test.parts.map((part) => parseDecimal(scores[part.key] ?? ""));
  const reached = test.levels.filter((row) => {
    const enough = row.total === null || (sum !== null && compare(sum, limit(row.total)) >= 0);
    return enough && parts.every((score) => score !== null && compare(score, limit(row.every)) >= 0);
  });
  return reached
    .map((row) => row.level)
    .reduce<Level | null>(
      (best, level) => (best === null || CEFR.indexOf(level) > CEFR.indexOf(best) ? level : best),
      null,
    );
}

function limit(value: number): Ratio {
  return parseDecimal(String(value)) ?? ZERO;
}

/** A sitting is valid on a day from the test date to the end of its validity, that day included. */
export function validOn(test: TestDefinition, date: Day, reference: Day): boolean {
  return date <= reference && (test.validMonths === null || reference <= addMonths(date, test.validMonths));
}
