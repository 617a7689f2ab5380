import {
  add,
  compare,
  divide,
  isZero,
  multiply,
  type Ratio,
  type Rounding,
  round,
  subtract,
  whole,
} from "../numbers/ratio";

export type Conversion =
  | { readonly status: "ok"; readonly exact: Ratio; readonly rounded: Ratio; readonly clamped: boolean }
  | { readonly status: "not_passed"; readonly exact: Ratio }
  | { readonly status: "error"; readonly reason: "degenerate_scale" };

/**
 * The modified Bavarian formula, `x = 1 + 3 × (Nmax − Nd) ÷ (Nmax − Nmin)`, to the scale on which 1 is best and 4 the
 * lowest pass. Nmax is the best mark that can be awarded, Nmin the lowest that passes, Nd the mark achieved; scales on
 * which lower is better need nothing else, both differences change sign. Whether it is a pass is decided on the unrounded x.
 * Source: the conversion agreed by the German ministers of education (KMK, 1991, last changed 2013).
 */
export function modifiedBavarian(best: Ratio, pass: Ratio, got: Ratio, decimals: number, mode: Rounding): Conversion {
  const span = subtract(best, pass);
  if (isZero(span)) return { status: "error", reason: "degenerate_scale" };
  const exact = add(whole(1), multiply(whole(3), divide(subtract(best, got), span)));
  if (compare(exact, whole(4)) > 0) return { status: "not_passed", exact };
  if (compare(exact, whole(1)) < 0) return { status: "ok", exact: whole(1), rounded: whole(1), clamped: true };
  return { status: "ok", exact, rounded: round(exact, decimals, mode), clamped: false };
}
