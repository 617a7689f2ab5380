import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  add,
  compare,
  divide,
  multiply,
  parseDecimal,
  type Ratio,
  RunningTotal,
  reduce,
  round,
  subtract,
  toFixed,
  toShort,
  whole,
} from "./ratio";

const ratio = (text: string) => {
  const value = parseDecimal(text);
  if (!value) throw new Error(text);
  return value;
};
const decimals = fc
  .tuple(fc.bigInt({ min: -1_000_000n, max: 1_000_000n }), fc.integer({ min: 0, max: 4 }))
  .map(([n, d]) => ({ n, d: 10n ** BigInt(d) }));

describe("exact fractions", () => {
  it.each([
    ["7.5", "7.5"],
    ["7,5", "7.5"],
    [" 180 ", "180"],
    ["-0.75", "-0.75"],
    ["−2.3", "-2.3"],
    ["+4", "4"],
  ])("reads %s as %s", (text, shown) => expect(toShort(ratio(text))).toBe(shown));

  it.each(["", "abc", "1.2.3", "1 000", "1e5", ".5", "5."])("does not read %j as a number", (text) =>
    expect(parseDecimal(text)).toBeNull(),
  );

  it.each([
    ["2.35", 1, "truncate", "2.3"],
    ["2.35", 1, "half_up", "2.4"],
    ["2.35", 1, "half_even", "2.4"],
    ["2.25", 1, "half_even", "2.2"],
    ["-2.35", 1, "half_up", "-2.4"],
    ["-2.35", 1, "truncate", "-2.3"],
    ["0.05", 1, "half_up", "0.1"],
    ["0.049", 1, "half_up", "0.0"],
    ["9.999", 2, "half_up", "10.00"],
  ] as const)("rounds %s to %i decimals by %s: %s", (text, places, mode, shown) => {
    expect(toFixed(ratio(text), places, mode)).toBe(shown);
    expect(compare(round(ratio(text), places, mode), ratio(shown))).toBe(0);
  });

  it("adds what was subtracted and multiplies what was divided back", () => {
    fc.assert(fc.property(decimals, decimals, (a, b) => compare(add(subtract(a, b), b), a) === 0));
    fc.assert(fc.property(decimals, decimals, (a, b) => b.n === 0n || compare(multiply(divide(a, b), b), a) === 0));
  });

  it("works out the same on plain numbers as on big integers, where those end and beyond", () => {
    const part = fc.oneof(
      fc.bigInt({ min: -200n, max: 200n }),
      fc.bigInt({ min: -(2n ** 56n), max: 2n ** 56n }),
      fc.constantFrom(2n ** 53n - 1n, 1n - 2n ** 53n, 2n ** 53n, 2n ** 26n, 2n ** 27n),
    );
    const below = fc.oneof(fc.bigInt({ min: 1n, max: 700n }), fc.bigInt({ min: 1n, max: 2n ** 54n }));
    const fraction = fc.tuple(part, below);
    const made = ([n, d]: readonly [bigint, bigint]) => divide(ratio(String(n)), ratio(String(d)));
    const same = (value: Ratio, n: bigint, d: bigint) => BigInt(value.n) * d === n * BigInt(value.d) && value.d > 0;
    fc.assert(
      fc.property(fraction, fraction, (a, b) => {
        const [x, y] = [made(a), made(b)];
        const [[an, ad], [bn, bd]] = [a, b];
        expect(same(add(x, y), an * bd + bn * ad, ad * bd)).toBe(true);
        expect(same(subtract(x, y), an * bd - bn * ad, ad * bd)).toBe(true);
        expect(same(multiply(x, y), an * bn, ad * bd)).toBe(true);
        if (bn !== 0n) expect(same(divide(x, y), an * bd * (bn < 0n ? -1n : 1n), ad * (bn < 0n ? -bn : bn))).toBe(true);
        expect(Math.sign(compare(x, y))).toBe(an * bd < bn * ad ? -1 : an * bd > bn * ad ? 1 : 0);
        const size = ((an < 0n ? -an : an) * 100n) / ad;
        expect(same(round(x, 2, "truncate"), an < 0n ? -size : size, 100n)).toBe(true);
      }),
      { numRuns: 500 },
    );
  });

  it("adds alike in whatever order and over whatever denominators", () => {
    const fractions = fc
      .tuple(fc.bigInt({ min: -999n, max: 999n }), fc.constantFrom(1n, 2n, 6n, 10n, 60n, 600n, 7n))
      .map(([n, d]) => ({ n, d }));
    fc.assert(
      fc.property(fractions, fractions, fractions, (a, b, c) => {
        const cross = { n: a.n * b.d + b.n * a.d, d: a.d * b.d };
        return compare(add(a, b), cross) === 0 && compare(add(add(a, b), c), add(a, add(b, c))) === 0;
      }),
    );
  });

  it("keeps its value in lowest terms, where nothing divides both any more", () => {
    fc.assert(
      fc.property(decimals, fc.bigInt({ min: 1n, max: 500n }), (a, by) => {
        const wide = { n: a.n * by, d: a.d * by };
        const low = reduce(wide);
        expect(compare(low, a)).toBe(0);
        expect(low.d > 0 && reduce(low).d === low.d && low.d <= a.d).toBe(true);
      }),
    );
    expect(reduce({ n: 0n, d: 10n })).toEqual({ n: 0, d: 1 });
  });

  it("orders as the numbers do", () => {
    fc.assert(fc.property(decimals, decimals, (a, b) => Math.sign(compare(a, b)) === -Math.sign(compare(b, a))));
  });

  it("refuses to divide by zero", () => expect(() => divide(whole(1), whole(0))).toThrow(RangeError));
});

describe("a sum that grows", () => {
  it("is what adding one by one comes to, also beyond what plain numbers hold", () =>
    fc.assert(
      fc.property(fc.array(decimals, { maxLength: 30 }), (amounts) => {
        const total = new RunningTotal();
        for (const amount of amounts) total.add(amount);
        const one = amounts.reduce<Ratio>(add, whole(0));
        expect(compare(total.value, one)).toBe(0);
      }),
    ));

  it("keeps thirds and sevenths exact", () => {
    const total = new RunningTotal();
    for (const d of [3, 7, 3, 7, 21, 21]) total.add(divide(whole(1), whole(d)));
    expect(compare(total.value, divide(whole(22), whole(21)))).toBe(0);
  });
});
