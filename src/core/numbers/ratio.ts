/**
 * Exact fractions. Grades, credits and means are worked out on these and rounded once, at the very end,
 * because binary floating point turns 2.2 into 2.1999… and a cut decimal then decides wrongly.
 * A ratio is a numerator over a positive denominator, not necessarily in lowest terms.
 */
export interface Ratio {
  readonly n: bigint;
  readonly d: bigint;
}

export type Rounding = "truncate" | "half_up" | "half_even";

export const ZERO: Ratio = { n: 0n, d: 1n };

const DECIMAL = /^([+\-−]?)(\d+)(?:[.,](\d+))?$/u;

/**
 * Reads a decimal as people write it: point or comma, no thousands separators, an optional sign.
 * @returns null when the text is not a number
 */
export function parseDecimal(text: string): Ratio | null {
  if (text.length > LONGEST_KEPT) return readDecimal(text);
  const known = read.get(text);
  if (known !== undefined) return known;
  const ratio = readDecimal(text);
  if (read.size >= MOST_READ) read.clear();
  read.set(text, ratio);
  return ratio;
}

/** Credits and marks repeat from file to file, and making big integers of them is dear: what was read is kept for a while. */
const read = new Map<string, Ratio | null>();
const MOST_READ = 5000;
const LONGEST_KEPT = 16;

function readDecimal(text: string): Ratio | null {
  const match = DECIMAL.exec(text.trim());
  if (!match) return null;
  const fraction = match[3] ?? "";
  const n = BigInt(`${match[2]}${fraction}`);
  const negative = match[1] === "-" || match[1] === "−";
  return { n: negative ? -n : n, d: 10n ** BigInt(fraction.length) };
}

/** A ratio from a whole number. */
export function whole(value: number): Ratio {
  return { n: BigInt(value), d: 1n };
}

/** Keeps to the larger denominator where the smaller divides it, so that long sums of halves and tenths stay small. */
export function add(a: Ratio, b: Ratio): Ratio {
  if (a.d === b.d) return { n: a.n + b.n, d: a.d };
  if (a.d % b.d === 0n) return { n: a.n + b.n * (a.d / b.d), d: a.d };
  if (b.d % a.d === 0n) return { n: a.n * (b.d / a.d) + b.n, d: b.d };
  return { n: a.n * b.d + b.n * a.d, d: a.d * b.d };
}

/** The same ratio in lowest terms. */
export function reduce({ n, d }: Ratio): Ratio {
  let a = n < 0n ? -n : n;
  let b = d;
  while (b !== 0n) [a, b] = [b, a % b];
  return { n: n / a, d: d / a };
}

export function subtract(a: Ratio, b: Ratio): Ratio {
  return add(a, { n: -b.n, d: b.d });
}

export function multiply(a: Ratio, b: Ratio): Ratio {
  return { n: a.n * b.n, d: a.d * b.d };
}

/** @throws RangeError when the divisor is zero; callers test for it first and answer with a reason */
export function divide(a: Ratio, b: Ratio): Ratio {
  if (b.n === 0n) throw new RangeError("division by zero");
  return b.n < 0n ? { n: -a.n * b.d, d: a.d * -b.n } : { n: a.n * b.d, d: a.d * b.n };
}

/** Negative, zero or positive, as for sorting. */
export function compare(a: Ratio, b: Ratio): number {
  const left = a.n * b.d;
  const right = b.n * a.d;
  return left < right ? -1 : left > right ? 1 : 0;
}

function roundedUnits(value: Ratio, decimals: number, mode: Rounding): bigint {
  const scaled = value.n * 10n ** BigInt(decimals);
  const negative = scaled < 0n;
  const size = negative ? -scaled : scaled;
  const floor = size / value.d;
  const rest = size % value.d;
  const twice = rest * 2n;
  const up =
    mode === "half_up"
      ? twice >= value.d
      : mode === "half_even"
        ? twice > value.d || (twice === value.d && floor % 2n === 1n)
        : false;
  const units = up ? floor + 1n : floor;
  return negative ? -units : units;
}

/**
 * Rounds to a fixed number of decimals. `half_up` goes away from zero, `truncate` towards it.
 * @returns the rounded value as an exact ratio
 */
export function round(value: Ratio, decimals: number, mode: Rounding): Ratio {
  return { n: roundedUnits(value, decimals, mode), d: 10n ** BigInt(decimals) };
}

/** Prints with exactly `decimals` decimals and a point. */
export function toFixed(value: Ratio, decimals: number, mode: Rounding = "half_up"): string {
  const units = roundedUnits(value, decimals, mode);
  const digits = (units < 0n ? -units : units).toString().padStart(decimals + 1, "0");
  const sign = units < 0n ? "-" : "";
  return decimals === 0 ? sign + digits : `${sign}${digits.slice(0, -decimals)}.${digits.slice(-decimals)}`;
}

/** Prints with up to `most` decimals and without trailing zeros: 7.5, 180, 0.833. */
export function toShort(value: Ratio, most = 3): string {
  const fixed = toFixed(value, most);
  return fixed.includes(".") ? fixed.replace(/\.?0+$/u, "") : fixed;
}
