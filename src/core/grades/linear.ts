import { add, compare, divide, isZero, multiply, type Ratio, subtract } from "../numbers/ratio";
import { type Conversion, DEGENERATE, MARK_MISSING } from "./conversion";

/** The named marks of a scale; those that are not known are null. */
export interface Anchored {
  readonly best: Ratio | null;
  readonly pass: Ratio | null;
  readonly worst: Ratio | null;
}

export const ANCHORS = ["pass_best", "worst_best", "three_point"] as const;
export type Anchors = (typeof ANCHORS)[number];

/** The straight line through two anchors on each scale: `y = P2 + (g − P1) ÷ (B1 − P1) × (B2 − P2)`. */
function onLine(got: Ratio, from: readonly [Ratio, Ratio], to: readonly [Ratio, Ratio]): Ratio {
  const share = divide(subtract(got, from[0]), subtract(from[1], from[0]));
  return add(to[0], multiply(share, subtract(to[1], to[0])));
}

/** Whether `a` is better than `b` on a scale that runs from `worse` to `better`. */
function isBetter(a: Ratio, b: Ratio, worse: Ratio, better: Ratio): boolean {
  return compare(better, worse) > 0 ? compare(a, b) > 0 : compare(a, b) < 0;
}

/**
 * Carries a mark over along straight lines between anchors, whatever the direction of either scale.
 * `pass_best` maps pass to pass and best to best, for marks that pass; `worst_best` the whole range, where pass marks need not meet: a
 * mark that fails by the lowest pass of its own scale keeps its value and stays failed, one of a scale without a pass mark is not judged;
 * `three_point` worst, pass and best, with a bend at the pass mark, so that a failing mark keeps a value. What lies beyond the ends of
 * the target is clamped and flagged.
 */
export function linear(source: Anchored, target: Anchored, got: Ratio | null, anchors: Anchors): Conversion {
  const low = anchors === "worst_best" ? "worst" : "pass";
  const [best, turn] = [source.best, source[low]];
  const [toBest, toTurn] = [target.best, target[low]];
  if (got === null || best === null || turn === null || toBest === null || toTurn === null) return MARK_MISSING;
  if (isZero(subtract(best, turn)) || isZero(subtract(toBest, toTurn))) return DEGENERATE;
  if (isBetter(got, best, turn, best)) return { status: "ok", exact: toBest, clamped: true };
  const along = onLine(got, [turn, best], [toTurn, toBest]);
  const beyond = isBetter(turn, got, turn, best);
  if (anchors === "worst_best") {
    const exact = beyond ? toTurn : along;
    const failed = source.pass !== null && isBetter(source.pass, got, turn, best);
    return failed ? { status: "not_passed", exact, kept: true } : { status: "ok", exact, clamped: beyond };
  }
  if (!beyond) return { status: "ok", exact: along, clamped: false };
  if (anchors === "pass_best") return { status: "not_passed", exact: along, kept: false };
  const { worst } = source;
  const toWorst = target.worst;
  if (worst === null || toWorst === null) return MARK_MISSING;
  if (isZero(subtract(turn, worst))) return DEGENERATE;
  const exact = isBetter(worst, got, worst, best) ? toWorst : onLine(got, [worst, turn], [toWorst, toTurn]);
  return { status: "not_passed", exact, kept: true };
}
