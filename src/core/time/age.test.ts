import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { vectorsOf } from "../../../tests/support/vectors";
import { evaluate } from "../rules/evaluate";
import type { Truth } from "../rules/truth";
import { ageOn, agesOn, birthday } from "./age";
import { formatDay, parseDay } from "./day";

const day = (text: string) => parseDay(text) ?? Number.NaN;

describe("completed years on a day", () => {
  it.each(vectorsOf<{ born: string; on: string; leap?: "feb28" }, number>("age"))("%s", (_, { input, expected }) =>
    expect(ageOn(day(input.born), day(input.on), input.leap ? "28 February" : "1 March")).toBe(expected),
  );

  it.each([
    ["2009-09-01", "2027-09-01", [18, 18]],
    ["2009-09-02", "2027-09-01", [17, 17]],
    ["2009-09", "2027-09-01", [17, 18]],
    ["2009", "2027-09-01", [17, 18]],
    ["2009-10", "2027-09-01", [17, 17]],
    ["a while ago", "2027-09-01", null],
  ])("born %s, on %s: %j", (born, on, ages) => {
    const found = agesOn(born, day(on));
    expect(found && [found.low, found.high]).toEqual(ages);
  });

  const days = fc.integer({ min: day("1900-01-01"), max: day("2100-12-31") });

  it("grows by one on the birthday, and on no other day", () =>
    fc.assert(
      fc.property(days, fc.integer({ min: 1, max: 100 }), (born, years) => {
        const on = birthday(born, years);
        expect([ageOn(born, on - 1), ageOn(born, on)]).toEqual([years - 1, years]);
      }),
    ));

  it("of somebody born on 29 February there is a birthday each year", () => {
    const leap = day("2008-02-29");
    expect(["1 March", "28 February"].map((rule) => formatDay(birthday(leap, 18, rule as "1 March")))).toEqual([
      "2026-03-01",
      "2026-02-28",
    ]);
    expect(formatDay(birthday(leap, 20))).toBe("2028-02-29");
  });
});

describe("not longer ago than so many years, in the language of rules", () => {
  interface Input {
    readonly date: string;
    readonly reference: string;
    readonly years: number;
  }
  const TRUTHS: Readonly<Record<string, Truth>> = { met: "met", not_met: "not met", unknown: "open" };

  it.each(vectorsOf<Input, string>("withinYears"))("%s", (_, { input: { date, reference, years }, expected }) => {
    const facts: Readonly<Record<string, string>> = { date, reference };
    const trace = evaluate(
      {
        op: "all",
        of: [
          { op: "fact", fact: "date", is: "atLeast", value: { fact: "reference", plusMonths: -12 * years } },
          { op: "fact", fact: "date", is: "atMost", value: { fact: "reference" } },
        ],
      },
      {
        scalar: (name) => ({ kind: "value", value: facts[name] ?? "", confirmed: true }),
        list: () => ({ entries: [], open: false }),
      },
    );
    expect(trace.truth).toBe(TRUTHS[expected]);
  });
});
