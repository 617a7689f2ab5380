import { z } from "zod";
import { compare, divide, isWhole, parseDecimal, type Ratio, subtract } from "../numbers/ratio";
import { localTextSchema } from "../text/local-text";

/**
 * A grade scale is data. `best` is the best mark that can be awarded and `pass` the worst that still passes, whatever
 * the direction; a scale of letters has a table from label to points and its bounds are points.
 */
export const gradeScaleSchema = z.object({
  key: z.string(),
  title: localTextSchema,
  best: z.string(),
  pass: z.string(),
  worst: z.string(),
  letters: z.array(z.object({ label: z.string(), points: z.string() })).optional(),
  /** Distance between neighbouring marks; none where marks are continuous. */
  step: z.string().optional(),
  /** What percentage a mark stands for by the issuer's own statement, `mark × multiplier + offset`, and where it is written. */
  percent: z.object({ multiplier: z.string(), offset: z.string(), source: z.string() }).optional(),
});
export type GradeScale = z.infer<typeof gradeScaleSchema>;

function foldLabel(label: string): string {
  return label.replace(/\s+/gu, "").replace(/[−–]/gu, "-").toUpperCase();
}

/**
 * A mark as a number of points on its scale; letters are looked up in the table, folded for case, blanks and minus signs.
 * @returns null when it cannot be read
 */
export function readMark(text: string, letters: GradeScale["letters"]): Ratio | null {
  if (letters === undefined) return parseDecimal(text);
  const label = foldLabel(text);
  const row = letters.find((l) => foldLabel(l.label) === label);
  return parseDecimal(row ? row.points : text);
}

/** Whether a mark lies between the worst and the best mark. One beyond usually means that the scale is wrong. */
export function onScale(mark: Ratio, best: Ratio, worst: Ratio): boolean {
  const up = compare(best, worst) > 0;
  return up
    ? compare(mark, worst) >= 0 && compare(mark, best) <= 0
    : compare(mark, worst) <= 0 && compare(mark, best) >= 0;
}

/** Whether a mark is one that the scale has, counted in steps from the best. A mean of marks need not be. */
export function onStep(mark: Ratio, best: Ratio, step: Ratio): boolean {
  return isWhole(divide(subtract(best, mark), step));
}
