import { add, divide, isZero, multiply, type Ratio, ZERO } from "../numbers/ratio";

export interface WeightedMark {
  readonly credits: Ratio;
  readonly mark: Ratio;
}

/**
 * The credit-weighted mean, `Σ (credits × mark) ÷ Σ credits`, unrounded.
 * @returns null when no credits count: the mean is then unknown, not zero
 */
export function weightedMean(rows: readonly WeightedMark[]): { readonly mean: Ratio; readonly credits: Ratio } | null {
  let weighted = ZERO;
  let credits = ZERO;
  for (const row of rows) {
    weighted = add(weighted, multiply(row.credits, row.mark));
    credits = add(credits, row.credits);
  }
  return isZero(credits) ? null : { mean: divide(weighted, credits), credits };
}
