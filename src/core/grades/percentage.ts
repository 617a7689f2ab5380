import { add, compare, divide, isPositive, multiply, type Ratio, whole, ZERO } from "../numbers/ratio";
import { type Conversion, MARK_MISSING } from "./conversion";

const HUNDRED = whole(100);

/** Marks obtained of marks possible; null where one is not known. */
export interface Marks {
  readonly got: Ratio | null;
  readonly total: Ratio | null;
}

/**
 * The percentage from marks. Of `sums` it is `100 × Σ obtained ÷ Σ total`; the mean of each row's own percentage (`rows`) is a
 * different number and used only where the issuer says so.
 */
export function percentageOf(rows: readonly Marks[], of: "sums" | "rows"): Conversion {
  let got = ZERO;
  let total = ZERO;
  let percents = ZERO;
  let missing = rows.length === 0;
  for (const row of rows) {
    if (row.total !== null && !isPositive(row.total)) return { status: "error", reason: "total_not_positive" };
    if (row.got !== null && (compare(row.got, ZERO) < 0 || (row.total !== null && compare(row.got, row.total) > 0)))
      return { status: "error", reason: "obtained_out_of_range" };
    if (row.got === null || row.total === null) missing = true;
    else {
      got = add(got, row.got);
      total = add(total, row.total);
      percents = add(percents, divide(multiply(HUNDRED, row.got), row.total));
    }
  }
  if (missing) return { status: "unknown", reason: "marks_missing" };
  const exact = of === "sums" ? divide(multiply(HUNDRED, got), total) : divide(percents, whole(rows.length));
  return { status: "ok", exact, clamped: false };
}

/**
 * The percentage that an issuer says a cumulative grade point average stands for: `average × multiplier + offset`, at most 100.
 * Without the issuer's own statement it is unknown: no multiplier is ever assumed.
 */
export function percentageOfAverage(
  average: Ratio | null,
  multiplier: Ratio | null,
  offset: Ratio | null = ZERO,
): Conversion {
  if (average === null) return MARK_MISSING;
  if (multiplier === null) return { status: "unknown", reason: "multiplier_missing" };
  const exact = add(multiply(average, multiplier), offset ?? ZERO);
  return compare(exact, HUNDRED) > 0
    ? { status: "ok", exact: HUNDRED, clamped: true }
    : { status: "ok", exact, clamped: false };
}
