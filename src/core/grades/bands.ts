import { compare, type Ratio, round } from "../numbers/ratio";

export interface Band<Grade> {
  /** The worst mark that still belongs to it: a bound belongs to the better band. */
  readonly from: Ratio;
  readonly grade: Grade;
}

/**
 * Looks a mark up in a table of bands, best first: the first band whose bound it reaches.
 * @param roundFirst decimals to which the mark is rounded (half up) before it is looked up; null: not at all, 84.99 is not 85
 * @returns null below the last band
 */
export function bandOf<Grade>(
  bands: readonly Band<Grade>[],
  got: Ratio,
  direction: "higher" | "lower",
  roundFirst: number | null,
): Band<Grade> | null {
  const mark = roundFirst === null ? got : round(got, roundFirst, "half_up");
  const reaches = (from: Ratio) => (direction === "higher" ? compare(mark, from) >= 0 : compare(mark, from) <= 0);
  return bands.find((band) => reaches(band.from)) ?? null;
}
