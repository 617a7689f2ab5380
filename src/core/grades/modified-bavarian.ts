import { add, compare, divide, isZero, multiply, type Ratio, subtract, whole } from "../numbers/ratio";
import { type Conversion, DEGENERATE, MARK_MISSING } from "./conversion";

const BEST = whole(1);
const LOWEST_PASS = whole(4);

/**
 * The modified Bavarian formula, `x = 1 + 3 × (Nmax − Nd) ÷ (Nmax − Nmin)`, to the scale on which 1 is best and 4 the
 * lowest pass. Nmax is the best mark that can be awarded, Nmin the lowest that passes, Nd the mark achieved; scales on
 * which lower is better need nothing else, both differences change sign. Whether it is a pass is decided on the unrounded x.
 * Source: the conversion agreed by the German ministers of education (KMK, 1991, last changed 2013).
 */
export function modifiedBavarian(best: Ratio | null, pass: Ratio | null, got: Ratio | null): Conversion {
  if (best === null || pass === null || got === null) return MARK_MISSING;
  const span = subtract(best, pass);
  if (isZero(span)) return DEGENERATE;
  const exact = add(BEST, multiply(whole(3), divide(subtract(best, got), span)));
  if (compare(exact, LOWEST_PASS) > 0) return { status: "not_passed", exact, kept: false };
  return compare(exact, BEST) < 0
    ? { status: "ok", exact: BEST, clamped: true }
    : { status: "ok", exact, clamped: false };
}
