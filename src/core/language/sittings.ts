import { z } from "zod";
import { compare, parseDecimal, type Ratio, toShort } from "../numbers/ratio";
import { CEFR } from "../rules/compare";
import type { Truth } from "../rules/truth";
import type { Day } from "../time/day";
import { resultOf, type Scores, type TestDefinition, validOn } from "./test-definition";

/** What one test has to reach: all stated minima must hold. Numbers are decimal texts. */
export const minimumSchema = z.object({
  test: z.string(),
  total: z.string().optional(),
  /** In every part that has no minimum of its own. */
  every: z.string().optional(),
  parts: z.record(z.string(), z.string()).optional(),
  level: z.enum(CEFR).optional(),
  /** One sitting has to meet everything, or the best of each part over all valid sittings of the test counts. */
  mode: z.enum(["single", "combine"]),
});
export type Minimum = z.infer<typeof minimumSchema>;

export interface Sitting {
  readonly date: Day | null;
  readonly status: "final" | "pending";
  /** For a pending result: when it is due; null while unknown. */
  readonly expected: Day | null;
  readonly scores: Scores;
  readonly confirmed: boolean;
}

export type SittingReason = "pending_result" | "pending_after_cutoff" | "expired_or_future" | "score_not_on_scale";

/** What a minimum asked for and what was there; `got` is null where the part could not be read. */
export interface Shortfall {
  readonly part: string;
  readonly needed: string;
  readonly got: string | null;
}

/** The scores that came nearest: of one sitting, or put together from several. */
export interface Counted {
  readonly dates: readonly Day[];
  readonly scores: Scores;
  readonly total: string | null;
  readonly short: readonly Shortfall[];
  readonly confirmed: boolean;
}

export type ScoreSet = Pick<Counted, "dates" | "scores" | "confirmed">;

export interface Verdict {
  readonly truth: Truth;
  /** Sorted; empty when it is met. */
  readonly reasons: readonly SittingReason[];
  readonly counted: Counted | null;
}

interface Limits {
  readonly total: string | null;
  readonly part: (key: string) => string | null;
}

/** The alternatives of a minimum: its own, and for a level each row of the test's table that reaches it. */
function limitsOf(test: TestDefinition, minimum: Minimum): readonly Limits[] {
  const own = (key: string): string | null => minimum.parts?.[key] ?? minimum.every ?? null;
  const { level } = minimum;
  if (level === undefined) return [{ total: minimum.total ?? null, part: own }];
  return test.levels
    .filter((row) => CEFR.indexOf(row.level) >= CEFR.indexOf(level))
    .sort((a, b) => CEFR.indexOf(a.level) - CEFR.indexOf(b.level))
    .map((row) => ({
      total: higher(minimum.total ?? null, row.total === null ? null : String(row.total)),
      part: (key) => higher(own(key), String(row.every)),
    }));
}

function higher(a: string | null, b: string | null): string | null {
  if (a === null || b === null) return a ?? b;
  return compare(ratio(a), ratio(b)) >= 0 ? a : b;
}

function ratio(text: string): Ratio {
  const value = parseDecimal(text);
  if (value === null) throw new Error(`${text} is not a number`); // rulebooks and tests are checked before they are published
  return value;
}

/** How one set of scores stands to the limits; a part that could not be read is open, but never spoils what already fails. */
function shortOf(test: TestDefinition, limits: Limits, scores: Scores): { truth: Truth; short: readonly Shortfall[] } {
  const short: Shortfall[] = [];
  let truth: Truth = "met";
  const ask = (part: string, needed: string | null, got: Ratio | null, most: Ratio | null) => {
    if (needed === null) return;
    const limit = ratio(needed);
    if (got !== null && compare(got, limit) >= 0) return;
    const hopeless = got !== null || most === null || compare(most, limit) < 0;
    short.push({ part, needed, got: got && toShort(got) });
    if (hopeless) truth = "not met";
    else if (truth === "met") truth = "open";
  };
  for (const part of test.parts)
    ask(part.key, limits.part(part.key), parseDecimal(scores[part.key] ?? ""), ratio(String(part.max)));
  const best = Object.fromEntries(test.parts.map((p) => [p.key, scores[p.key] || String(p.max)]));
  ask("total", limits.total, resultOf(test, scores).total, resultOf(test, best).total);
  return { truth, short };
}

function judgeScores(test: TestDefinition, minimum: Minimum, scores: Scores) {
  const judged = limitsOf(test, minimum).map((limits) => shortOf(test, limits, scores));
  const rank = { met: 0, open: 1, "not met": 2 } as const;
  // Of several ways the one that is reached, else the first: the lowest level that would do.
  return judged.reduce<(typeof judged)[number] | null>(
    (best, one) => (best === null || rank[one.truth] < rank[best.truth] ? one : best),
    null,
  );
}

/** The best of each part over sittings that are all valid; a part that one of them could not show stays open if none shows it. */
function combined(test: TestDefinition, sittings: readonly Sitting[]): ScoreSet {
  const scores: Record<string, string> = {};
  const used = new Set<Sitting>();
  for (const { key } of test.parts) {
    let best: { score: Ratio; sitting: Sitting } | null = null;
    for (const sitting of sittings) {
      const score = parseDecimal(sitting.scores[key] ?? "");
      if (score !== null && (best === null || compare(score, best.score) > 0)) best = { score, sitting };
    }
    if (best === null) continue;
    scores[key] = best.sitting.scores[key] ?? "";
    used.add(best.sitting);
  }
  return {
    dates: [...used].flatMap((s) => (s.date === null ? [] : [s.date])),
    scores,
    confirmed: [...used].every((s) => s.confirmed),
  };
}

/** What can be counted at all: valid on the day, final, on the test's scale; the rest by the reason why not. */
export function countable(
  test: TestDefinition,
  sittings: readonly Sitting[],
  reference: Day,
  cutoff: Day,
): { readonly valid: readonly Sitting[]; readonly reasons: ReadonlySet<SittingReason> } {
  const reasons = new Set<SittingReason>();
  const valid = sittings.filter((sitting) => {
    if (sitting.status === "pending")
      reasons.add(sitting.expected === null || sitting.expected <= cutoff ? "pending_result" : "pending_after_cutoff");
    else if (sitting.date !== null && !validOn(test, sitting.date, reference)) reasons.add("expired_or_future");
    else if (sitting.date === null || resultOf(test, sitting.scores).offScale) reasons.add("score_not_on_scale");
    else return true;
    return false;
  });
  return { valid, reasons };
}

/** The sets of scores that a minimum may look at: each valid sitting, or the one put together from all of them. */
export function scoreSets(test: TestDefinition, valid: readonly Sitting[], mode: Minimum["mode"]): readonly ScoreSet[] {
  if (mode === "combine") return valid.length > 0 ? [combined(test, valid)] : [];
  return valid.map((s) => ({ dates: s.date === null ? [] : [s.date], scores: s.scores, confirmed: s.confirmed }));
}

/**
 * Whether the sittings of one test reach a minimum. Met if any way reaches it; else open if one may still turn out to; never from an
 * expired sitting, and a pending result never spoils what is already met.
 * @param reference the day on which a result has to be valid
 * @param cutoff the day by which a pending result has to be there
 */
export function judgeSittings(
  test: TestDefinition,
  minimum: Minimum,
  sittings: readonly Sitting[],
  reference: Day,
  cutoff: Day,
): Verdict {
  const { valid, reasons } = countable(test, sittings, reference, cutoff);
  let truth: Truth = reasons.has("pending_result") || reasons.has("score_not_on_scale") ? "open" : "not met";
  let counted: Counted | null = null;
  for (const set of scoreSets(test, valid, minimum.mode)) {
    const judged = judgeScores(test, minimum, set.scores);
    if (!judged) continue;
    const sum = resultOf(test, set.scores).total;
    if (counted === null || judged.truth === "met" || judged.short.length < counted.short.length)
      counted = { ...set, total: sum && toShort(sum), short: judged.short };
    if (judged.truth === "met") return { truth: "met", reasons: [], counted };
    if (judged.truth === "open") truth = "open";
  }
  return { truth, reasons: [...reasons].sort(), counted };
}
