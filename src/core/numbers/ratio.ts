/**
 * Exact fractions. Grades, credits and means are worked out on these and rounded once, at the very end,
 * because binary floating point turns 2.2 into 2.1999… and a cut decimal then decides wrongly.
 * A ratio is a numerator over a positive denominator, not necessarily in lowest terms. Both are plain numbers while they and every
 * product on the way are safe integers, which plain numbers hold exactly, and big integers beyond: the value is exact either way.
 */
export type Ratio = Small | Big;

interface Small {
  readonly n: number;
  readonly d: number;
}

interface Big {
  readonly n: bigint;
  readonly d: bigint;
}

export type Rounding = "truncate" | "half_up" | "half_even";

export const ZERO: Ratio = { n: 0, d: 1 };

const isSmall = (ratio: Ratio): ratio is Small => typeof ratio.n === "number";
const toBig = (ratio: Ratio): Big => (isSmall(ratio) ? { n: BigInt(ratio.n), d: BigInt(ratio.d) } : ratio);

/** A product of safe integers; not a number where it is too large to be one, which every sum and test then carries on. */
function product(a: number, b: number): number {
  const value = a * b;
  return Number.isSafeInteger(value) ? value : Number.NaN;
}

const areSafe = (n: number, d: number): boolean => Number.isSafeInteger(n) && Number.isSafeInteger(d);

/** Back to plain numbers where they suffice, if need be in lowest terms. */
function settle(n: bigint, d: bigint): Ratio {
  const plain = { n: Number(n), d: Number(d) };
  if (areSafe(plain.n, plain.d)) return plain;
  const low = lowest(n, d);
  const reduced = { n: Number(low.n), d: Number(low.d) };
  return areSafe(reduced.n, reduced.d) ? reduced : low;
}

function lowest(n: bigint, d: bigint): Big {
  let a = n < 0n ? -n : n;
  let b = d;
  while (b !== 0n) [a, b] = [b, a % b];
  return { n: n / a, d: d / a };
}

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
  const negative = match[1] === "-" || match[1] === "−";
  const n = BigInt(`${match[2]}${fraction}`);
  return settle(negative ? -n : n, 10n ** BigInt(fraction.length));
}

/**
 * A ratio from a whole number.
 * @throws RangeError for anything else
 */
export function whole(value: number): Ratio {
  if (!Number.isSafeInteger(value)) throw new RangeError(`${value} is not a whole number`);
  return { n: value, d: 1 };
}

/** Keeps to the larger denominator where the smaller divides it, so that long sums of halves and tenths stay small. */
export function add(a: Ratio, b: Ratio): Ratio {
  if (isSmall(a) && isSmall(b)) {
    const wide = a.d % b.d === 0 ? a.d : b.d % a.d === 0 ? b.d : product(a.d, b.d);
    const n = product(a.n, wide / a.d) + product(b.n, wide / b.d);
    if (areSafe(n, wide)) return { n, d: wide };
  }
  const x = toBig(a);
  const y = toBig(b);
  return settle(x.n * y.d + y.n * x.d, x.d * y.d);
}

/** A sum that grows: no fraction is made for a step while plain numbers hold it. */
export class RunningTotal {
  private n = 0;
  private d = 1;
  private beyond: Ratio | null = null;

  add(amount: Ratio): void {
    if (this.beyond === null && isSmall(amount)) {
      // Credits are mostly whole, or of the same part: nothing is widened then.
      if (amount.d === this.d) {
        const sum = this.n + amount.n;
        if (Number.isSafeInteger(sum)) {
          this.n = sum;
          return;
        }
      }
      const wide =
        amount.d === this.d || this.d % amount.d === 0
          ? this.d
          : amount.d % this.d === 0
            ? amount.d
            : product(this.d, amount.d);
      const n = product(this.n, wide / this.d) + product(amount.n, wide / amount.d);
      if (areSafe(n, wide)) {
        this.n = n;
        this.d = wide;
        return;
      }
    }
    this.beyond = add(this.value, amount);
  }

  get value(): Ratio {
    return this.beyond ?? { n: this.n, d: this.d };
  }
}

/** The same ratio in lowest terms. */
export function reduce(ratio: Ratio): Ratio {
  const { n, d } = toBig(ratio);
  const low = lowest(n, d);
  return settle(low.n, low.d);
}

export function negate(ratio: Ratio): Ratio {
  return isSmall(ratio) ? { n: 0 - ratio.n, d: ratio.d } : { n: -ratio.n, d: ratio.d };
}

export function subtract(a: Ratio, b: Ratio): Ratio {
  return add(a, negate(b));
}

export function multiply(a: Ratio, b: Ratio): Ratio {
  if (isSmall(a) && isSmall(b)) {
    const n = product(a.n, b.n);
    const d = product(a.d, b.d);
    if (areSafe(n, d)) return { n, d };
  }
  const x = toBig(a);
  const y = toBig(b);
  return settle(x.n * y.n, x.d * y.d);
}

/** @throws RangeError when the divisor is zero; callers test for it first and answer with a reason */
export function divide(a: Ratio, b: Ratio): Ratio {
  if (isZero(b)) throw new RangeError("division by zero");
  const { n, d } = b.n < 0 ? negate(b) : b;
  const turned = (b.n < 0 ? { n: -d, d: n } : { n: d, d: n }) as Ratio; // both parts are of the kind that b has
  return multiply(a, turned);
}

/** Negative, zero or positive, as for sorting. */
export function compare(a: Ratio, b: Ratio): number {
  if (isSmall(a) && isSmall(b)) {
    const left = product(a.n, b.d);
    const right = product(b.n, a.d);
    const difference = left - right;
    if (!Number.isNaN(difference)) return Math.sign(difference);
  }
  const x = toBig(a);
  const y = toBig(b);
  const left = x.n * y.d;
  const right = y.n * x.d;
  return left < right ? -1 : left > right ? 1 : 0;
}

export const isZero = (ratio: Ratio): boolean => ratio.n === 0 || ratio.n === 0n;
export const isPositive = (ratio: Ratio): boolean => ratio.n > 0;
export const isWhole = (ratio: Ratio): boolean => compare(round(ratio, 0, "truncate"), ratio) === 0;

/** The nearest binary fraction: for ranges and for drawing, never where a rounding decides. */
export const toNumber = (ratio: Ratio): number => Number(ratio.n) / Number(ratio.d);

/** Whether the part that is cut off takes the last digit kept one further. */
function roundsUp(mode: Rounding, twice: number | bigint, divisor: number | bigint, odd: boolean): boolean {
  if (mode === "truncate") return false;
  return twice > divisor || (twice === divisor && (mode === "half_up" || odd));
}

/** The rounded value in units of the last digit kept, without its sign. */
function roundedSize(value: Ratio, decimals: number, mode: Rounding): number | bigint {
  if (isSmall(value)) {
    const size = product(Math.abs(value.n), 10 ** decimals);
    const rest = size % value.d;
    const floor = (size - rest) / value.d;
    const twice = product(rest, 2);
    if (!Number.isNaN(twice)) return floor + (roundsUp(mode, twice, value.d, floor % 2 === 1) ? 1 : 0);
  }
  const { n, d } = toBig(value);
  const size = (n < 0n ? -n : n) * 10n ** BigInt(decimals);
  const floor = size / d;
  return floor + (roundsUp(mode, (size % d) * 2n, d, floor % 2n === 1n) ? 1n : 0n);
}

/**
 * Rounds to a fixed number of decimals. `half_up` goes away from zero, `truncate` towards it.
 * @returns the rounded value as an exact ratio
 */
export function round(value: Ratio, decimals: number, mode: Rounding): Ratio {
  const rounded = settle(BigInt(roundedSize(value, decimals, mode)), 10n ** BigInt(decimals));
  return value.n < 0 ? negate(rounded) : rounded;
}

/** Prints with exactly `decimals` decimals and a point. */
export function toFixed(value: Ratio, decimals: number, mode: Rounding = "half_up"): string {
  const size = roundedSize(value, decimals, mode);
  const digits = size.toString().padStart(decimals + 1, "0");
  const sign = value.n < 0 && size > 0 ? "-" : "";
  return decimals === 0 ? sign + digits : `${sign}${digits.slice(0, -decimals)}.${digits.slice(-decimals)}`;
}

/** Prints with up to `most` decimals and without trailing zeros: 7.5, 180, 0.833. */
export function toShort(value: Ratio, most = 3): string {
  if (isSmall(value) && value.n % value.d === 0) return String(value.n / value.d);
  const fixed = toFixed(value, most);
  return fixed.includes(".") ? fixed.replace(/\.?0+$/u, "") : fixed;
}
