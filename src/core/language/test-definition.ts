import { z } from "zod";
import {
  compare,
  divide,
  multiply,
  parseDecimal,
  type Ratio,
  RunningTotal,
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

const TWO = whole(2);

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

/** The parts of a result as numbers, in the order of the test; null where one is missing or no number. */
type Marks = readonly (Ratio | null)[];

const marksOf = (test: TestDefinition, scores: Scores): Marks =>
  test.parts.map((part) => parseDecimal(scores[part.key] ?? ""));

/** The total by the test's own method; ties of the half step and of the whole go up. Null without a total or with a gap. */
export const total = (test: TestDefinition, scores: Scores): Ratio | null => totalOf(test, marksOf(test, scores));

function totalOf(test: TestDefinition, marks: Marks): Ratio | null {
  if (!test.total) return null;
  const sum = new RunningTotal();
  for (const mark of marks) {
    if (mark === null) return null;
    sum.add(mark);
  }
  const value = test.total.method === "sum" ? sum.value : divide(sum.value, whole(test.parts.length));
  if (test.total.round === "none") return value;
  if (test.total.round === "whole") return round(value, 0, "half_up");
  return divide(round(multiply(value, TWO), 0, "half_up"), TWO);
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

export interface Result {
  readonly total: Ratio | null;
  /** Whether every part could be read: nothing is said of a level while one is missing. */
  readonly complete: boolean;
  /** Whether something stands in a part that is not on its scale. */
  readonly offScale: boolean;
  /** The highest level whose total and whose minimum in every part are reached; null below all of them. */
  readonly level: Level | null;
}

/** The same few scores come again from file to file: what they come to is kept for a while. */
const results = new WeakMap<TestDefinition, Map<string, Result>>();
const MOST_RESULTS = 5000;
const LONGEST_SCORES = 60;

/** What a set of scores comes to. */
export function resultOf(test: TestDefinition, scores: Scores): Result {
  let written = "";
  for (const { key } of test.parts) written += `${scores[key] ?? ""} `;
  if (written.length > LONGEST_SCORES) return workOut(test, scores);
  let kept = results.get(test);
  if (kept === undefined) {
    kept = new Map();
    results.set(test, kept);
  }
  const known = kept.get(written);
  if (known !== undefined) return known;
  if (kept.size >= MOST_RESULTS) kept.clear();
  const result = workOut(test, scores);
  kept.set(written, result);
  return result;
}

function workOut(test: TestDefinition, scores: Scores): Result {
  const marks = marksOf(test, scores);
  const sum = totalOf(test, marks);
  const complete = marks.every((mark) => mark !== null);
  const offScale = checkScores(test, scores).some(
    (issue) => issue.code !== "missing" || (scores[issue.part] ?? "") !== "",
  );
  return { total: sum, complete, offScale, level: complete ? levelOf(test, marks, sum) : null };
}

function levelOf(test: TestDefinition, marks: Marks, sum: Ratio | null): Level | null {
  const reached = levelsOf(test).find(
    (row) =>
      (row.total === null || (sum !== null && compare(sum, row.total) >= 0)) &&
      marks.every((mark) => mark !== null && compare(mark, row.every) >= 0),
  );
  return reached?.level ?? null;
}

function limit(value: number): Ratio {
  return parseDecimal(String(value)) ?? ZERO;
}

/** A sitting is valid on a day from the test date to the end of its validity, that day included. */
export function validOn(test: TestDefinition, date: Day, reference: Day): boolean {
  return date <= reference && (test.validMonths === null || reference <= addMonths(date, test.validMonths));
}
