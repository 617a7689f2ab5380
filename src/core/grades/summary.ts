import { z } from "zod";
import { add, compare, divide, isZero, multiply, type Ratio, whole, ZERO } from "../numbers/ratio";

export const meanPolicySchema = z.object({
  /** Which attempt of a course taken more than once gives its grade. */
  repeats: z.enum(["best", "latest", "first", "mean"]),
  /** Whether failed attempts stand among the attempts. */
  failed: z.enum(["include", "exclude"]),
  /** Credits from another institution: with their grade, as credits alone, or not at all. */
  transfer: z.enum(["include", "credits_only", "exclude"]),
});
export type MeanPolicy = z.infer<typeof meanPolicySchema>;

export const USUAL_MEAN: MeanPolicy = { repeats: "best", failed: "include", transfer: "credits_only" };

/** One line of a transcript. Attempts of the same course share its code. */
export interface Attempt {
  /** The course's code, or its title where it has none. */
  readonly code: string;
  readonly credits: Ratio | null;
  readonly grade: Ratio | null;
  readonly status: "passed" | "failed" | "in_progress" | "withdrawn";
  readonly grading: "graded" | "pass_fail" | "ungraded";
  readonly origin: "home" | "transfer";
  /** As precise as it is known, `2025`, `2025-06` or `2025-06-20`; "" while unknown. */
  readonly date: string;
}

export interface CountedCourse {
  readonly code: string;
  readonly credits: Ratio;
  readonly grade: Ratio;
  readonly date: string;
}

export interface Summary {
  /** Unrounded; null while something that counts is not known, or nothing counts. */
  readonly mean: Ratio | null;
  readonly creditsInMean: Ratio;
  readonly creditsEarned: Ratio;
  readonly creditsInProgress: Ratio;
  readonly counted: readonly CountedCourse[];
  /** Attempts that gave way to another attempt of the same course. */
  readonly setAside: number;
  /** What is missing, as `CODE:credits_missing`, `CODE:grade_missing` or `CODE:date_missing`. */
  readonly unknown: readonly string[];
}

const fold = (code: string): string => code.replace(/\s+/gu, "").toLowerCase();

/** By date, and where that does not tell, in the order of the transcript. */
const inOrder = (attempts: readonly Attempt[]): readonly Attempt[] =>
  [...attempts].sort((a, b) => (a.date < b.date ? -1 : a.date > b.date ? 1 : 0));

function better(a: Ratio, b: Ratio, direction: "higher" | "lower"): boolean {
  return direction === "higher" ? compare(a, b) > 0 : compare(a, b) < 0;
}

/** The one attempt of a course taken once, if it was passed. */
const onlyPassed = ([attempt]: readonly Attempt[]): Attempt | undefined =>
  attempt?.status === "passed" ? attempt : undefined;

/** The grade and credits that a course counts with; null grade or credits are not known. */
function chosen(
  attempts: readonly Attempt[],
  { repeats }: MeanPolicy,
  direction: "higher" | "lower",
): Pick<Attempt, "credits" | "grade" | "date"> {
  const [only, ...others] = attempts;
  if (only && others.length === 0) return only;
  const ordered = inOrder(attempts);
  const last = ordered.at(-1) as Attempt; // a course has at least one attempt
  if (repeats === "latest") return last;
  if (repeats === "first") return ordered[0] ?? last;
  if (repeats === "mean") {
    const grades = ordered.map((a) => a.grade);
    const sum = grades.reduce<Ratio | null>((all, g) => (all === null || g === null ? null : add(all, g)), ZERO);
    return { credits: last.credits, grade: sum && divide(sum, whole(grades.length)), date: last.date };
  }
  // A failed attempt without a grade cannot be better than one that passed; any other without a grade might be.
  const passed = ordered.some((a) => a.status === "passed" && a.grade !== null);
  const candidates = passed ? ordered.filter((a) => a.grade !== null || a.status === "passed") : ordered;
  return candidates.reduce((best, a) => {
    if (best.grade === null) return best;
    return a.grade === null || better(a.grade, best.grade, direction) ? a : best;
  });
}

/** The latest of the counted courses that make up the credits; all of the day or term in which they are reached count. */
function latestOf(
  counted: readonly CountedCourse[],
  credits: Ratio,
): { readonly counted: readonly CountedCourse[]; readonly unknown: readonly string[] } {
  const all = counted.reduce<Ratio>((sum, c) => add(sum, c.credits), ZERO);
  if (compare(all, credits) <= 0) return { counted, unknown: [] };
  const undated = counted.filter((c) => c.date === "");
  const latestFirst = [...counted].sort((a, b) => (a.date > b.date ? -1 : a.date < b.date ? 1 : 0));
  const taken: CountedCourse[] = [];
  let sum = ZERO;
  for (const course of latestFirst) {
    if (compare(sum, credits) >= 0 && course.date !== taken.at(-1)?.date) break;
    taken.push(course);
    sum = add(sum, course.credits);
  }
  return { counted: taken, unknown: undated.map((c) => `${c.code}:date_missing`) };
}

/**
 * Sums up a transcript: the credit-weighted mean `Σ (credits × grade) ÷ Σ credits` of what counts, and the credits earned and running.
 * A running retake never displaces a finished attempt; pass/fail and ungraded courses give credits, never a grade.
 * @param direction whether a higher or a lower grade is better
 * @param last only so many of the latest credits, in the credits of the transcript; null: all of them
 */
export function summarise(
  attempts: readonly Attempt[],
  policy: MeanPolicy,
  direction: "higher" | "lower",
  last: Ratio | null = null,
): Summary {
  let creditsEarned = ZERO;
  let creditsInProgress = ZERO;
  let setAside = 0;
  const unknown: string[] = [];
  const all: CountedCourse[] = [];
  const courses = new Map<string, Attempt[]>();
  for (const attempt of attempts) {
    if (attempt.status === "withdrawn" || (attempt.origin === "transfer" && policy.transfer === "exclude")) continue;
    if (attempt.status === "in_progress") creditsInProgress = add(creditsInProgress, attempt.credits ?? ZERO);
    else {
      const key = fold(attempt.code);
      const known = courses.get(key);
      if (known) known.push(attempt);
      else courses.set(key, [attempt]);
    }
  }
  for (const course of courses.values()) {
    const passed =
      course.length === 1 ? onlyPassed(course) : inOrder(course.filter((a) => a.status === "passed")).at(-1);
    creditsEarned = add(creditsEarned, passed?.credits ?? ZERO);
    const graded = course.filter(
      (a) =>
        a.grading === "graded" &&
        (a.origin === "home" || policy.transfer === "include") &&
        (a.status !== "failed" || policy.failed === "include"),
    );
    if (graded.length === 0) continue;
    setAside += policy.repeats === "mean" ? 0 : graded.length - 1;
    const { credits, grade, date } = chosen(graded, policy, direction);
    const code = graded[0]?.code ?? "";
    if (credits === null) unknown.push(`${code}:credits_missing`);
    else if (grade === null) {
      if (!isZero(credits)) unknown.push(`${code}:grade_missing`);
    } else if (!isZero(credits)) all.push({ code, credits, grade, date });
  }
  const latest = last === null ? { counted: all, unknown: [] } : latestOf(all, last);
  unknown.push(...latest.unknown);
  const creditsInMean = latest.counted.reduce<Ratio>((sum, c) => add(sum, c.credits), ZERO);
  const weighted = latest.counted.reduce<Ratio>((sum, c) => add(sum, multiply(c.credits, c.grade)), ZERO);
  const mean = unknown.length > 0 || isZero(creditsInMean) ? null : divide(weighted, creditsInMean);
  return { mean, creditsInMean, creditsEarned, creditsInProgress, counted: latest.counted, setAside, unknown };
}
