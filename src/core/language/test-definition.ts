import { z } from "zod";
import {
  add,
  compare,
  divide,
  multiply,
  parseDecimal,
  type Ratio,
  round,
  toNumber,
  whole,
  ZERO,
} from "../numbers/ratio";
import { CEFR } from "../rules/compare";
import { localTextSchema } from "../text/local-text";
import { addMonths, type Day } from "../time/day";

/** A test as data: its parts, its total, how long a result is valid, and for a language the level that scores stand for. */
export const testDefinitionSchema = z.object({
  key: z.string(),
  title: localTextSchema,
  /** Null for a standardised test, which is of no language. */
  language: z.string().nullable(),
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

function scoreIssue(part: TestDefinition["parts"][number], scores: Scores): ScoreIssue["code"] | null {
  const score = parseDecimal(scores[part.key] ?? "");
  if (score === null) return "missing";
  const value = toNumber(score); // ranges and steps are small exact numbers
  if (value < part.min || value > part.max) return "range";
  return Number.isInteger((value - part.min) / part.step) ? null : "step";
}

/** What is wrong with a set of scores, part by part: missing, not a number, outside the range, off the step. */
export function checkScores(test: TestDefinition, scores: Scores): readonly ScoreIssue[] {
  const issues: ScoreIssue[] = [];
  for (const part of test.parts) {
    const code = scoreIssue(part, scores);
    if (code) issues.push({ part: part.key, code });
  }
  return issues;
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
  return divide(round(multiply(value, whole(2)), 0, "half_up"), whole(2));
}

interface ReadyLevel {
  readonly level: Level;
  readonly total: Ratio | null;
  readonly every: Ratio;
}

const readyLevels = new WeakMap<TestDefinition, readonly ReadyLevel[]>();

/** The levels of a test from the highest down, with their limits as ratios: worked out once a definition. */
function levelsOf(test: TestDefinition): readonly ReadyLevel[] {
  const known = readyLevels.get(test);
  if (known) return known;
  const levels = test.levels
    .map((row) => ({ level: row.level, total: row.total === null ? null : limit(row.total), every: limit(row.every) }))
    .sort((a, b) => CEFR.indexOf(b.level) - CEFR.indexOf(a.level));
  readyLevels.set(test, levels);
  return levels;
}

/** The highest level whose total and whose minimum in every part are reached; null below all of them. */
export function levelOf(test: TestDefinition, scores: Scores): Level | null {
  const sum = total(test, scores);
  let least: Ratio | null = null;
  for (const part of test.parts) {
    const score = parseDecimal(scores[part.key] ?? "");
    if (score === null) return null;
    if (least === null || compare(score, least) < 0) least = score;
  }
  for (const row of levelsOf(test)) {
    const enough = row.total === null || (sum !== null && compare(sum, row.total) >= 0);
    if (enough && (least === null || compare(least, row.every) >= 0)) return row.level;
  }
  return null;
}

function limit(value: number): Ratio {
  return parseDecimal(String(value)) ?? ZERO;
}

/** A sitting is valid on a day from the test date to the end of its validity, that day included. */
export function validOn(test: TestDefinition, date: Day, reference: Day): boolean {
  return date <= reference && (test.validMonths === null || reference <= addMonths(date, test.validMonths));
}
