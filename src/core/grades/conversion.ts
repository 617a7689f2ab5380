import type { Ratio } from "../numbers/ratio";

/** Why no number came out: something is missing (a question to an officer), or what was entered cannot be. */
export type WhyUnknown = "scale_or_mark_missing" | "marks_missing" | "multiplier_missing" | "outside_the_table";
export type WhyWrong = "degenerate_scale" | "total_not_positive" | "obtained_out_of_range";

/**
 * A mark carried over to another scale, unrounded. One that did not pass lies beyond the lowest pass; `kept` tells whether its number
 * means something there (three anchors) or only says on which side of the pass mark it lies.
 */
export type Conversion =
  | { readonly status: "ok"; readonly exact: Ratio; readonly clamped: boolean }
  | { readonly status: "not_passed"; readonly exact: Ratio; readonly kept: boolean }
  | { readonly status: "unknown"; readonly reason: WhyUnknown }
  | { readonly status: "error"; readonly reason: WhyWrong };

export const MARK_MISSING: Conversion = { status: "unknown", reason: "scale_or_mark_missing" };
export const DEGENERATE: Conversion = { status: "error", reason: "degenerate_scale" };
