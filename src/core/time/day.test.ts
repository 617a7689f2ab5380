import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { compareFact, readyLimit } from "../rules/compare";
import type { Comparison } from "../rules/condition";
import { formatDay, parseDay, parseRough } from "./day";

describe("a date known to its year or month", () => {
  it.each([
    ["2019", "2019-01-01", "2019-12-31"],
    ["2019-06", "2019-06-01", "2019-06-30"],
    ["2024-02", "2024-02-01", "2024-02-29"],
  ])("%s runs from %s to %s", (text, from, to) => {
    const rough = parseRough(text);
    expect(rough && [formatDay(rough.from), formatDay(rough.to)]).toEqual([from, to]);
  });

  it.each(["2019-13", "2019-06-01", "19", "", "June 2019"])("is not %j", (text) => expect(parseRough(text)).toBeNull());

  const fact = (value: string) => ({ kind: "value" as const, value, confirmed: false });
  it.each<[string, Comparison, string, string]>([
    ["2019", "atMost", "2019-12-31", "met"],
    ["2019", "atMost", "2019-12-30", "open"],
    ["2019", "atMost", "2018-12-31", "not met"],
    ["2019", "under", "2019-01-01", "not met"],
    ["2019-06", "atLeast", "2019-06-01", "met"],
    ["2019-06", "over", "2019-06-01", "open"],
    ["2019-06", "equals", "2019-06-15", "open"],
    ["2019-06", "equals", "2019-07-01", "not met"],
    ["2019-06", "differs", "2019-07-01", "met"],
  ])("%s %s %s: %s", (value, is, limit, truth) => expect(compareFact(fact(value), is, readyLimit(limit))).toBe(truth));

  it("never says more than every day in it says", () => {
    const day = fc.integer({ min: parseDay("2015-01-01") ?? 0, max: parseDay("2024-12-31") ?? 0 });
    const is = fc.constantFrom<Comparison>("atLeast", "atMost", "over", "under", "equals", "differs");
    fc.assert(
      fc.property(
        fc.integer({ min: 2015, max: 2024 }),
        fc.option(fc.integer({ min: 1, max: 12 })),
        day,
        is,
        (year, month, limit, how) => {
          const text = month === null ? String(year) : `${year}-${String(month).padStart(2, "0")}`;
          const rough = parseRough(text);
          if (!rough) throw new Error("no rough date");
          const ready = readyLimit(formatDay(limit));
          const each = new Set<string>();
          for (let d = rough.from; d <= rough.to; d += 1) each.add(compareFact(fact(formatDay(d)), how, ready));
          const expected = each.size === 1 ? [...each][0] : "open";
          expect(compareFact(fact(text), how, ready)).toBe(expected);
        },
      ),
    );
  });
});
