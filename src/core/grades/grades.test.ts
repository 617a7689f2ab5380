import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { vectorsOf } from "../../../tests/support/vectors";
import { add, compare, parseDecimal, type Ratio, type Rounding, toFixed, whole } from "../numbers/ratio";
import { ects } from "./ects";
import { weightedMean } from "./mean";
import { modifiedBavarian } from "./modified-bavarian";
import { onScale, readMark } from "./scale";

const ratio = (text: string): Ratio => parseDecimal(text) ?? whole(0);

describe("the modified Bavarian formula", () => {
  interface Input {
    readonly best: string;
    readonly passing?: string;
    readonly got: string;
    readonly decimals?: number;
    readonly mode?: Rounding;
  }
  it.each(
    vectorsOf<Input, { status: string; value: string | null; reason: string | null }>("bavarian").filter(
      ([, v]) => v.input.passing !== undefined,
    ),
  )("%s", (_, { input, expected }) => {
    const places = input.decimals ?? 1;
    const result = modifiedBavarian(
      ratio(input.best),
      ratio(input.passing ?? ""),
      ratio(input.got),
      places,
      input.mode ?? "truncate",
    );
    expect(result.status).toBe(expected.status);
    if (result.status === "ok")
      expect([toFixed(result.rounded, places), result.clamped]).toEqual([
        expected.value,
        expected.reason === "clamped_to_best",
      ]);
    if (result.status === "error") expect(result.reason).toBe(expected.reason);
  });

  it("gives 1 for the best mark and 4 for the lowest pass, on every scale and in either direction", () => {
    fc.assert(
      fc.property(fc.integer({ min: -100, max: 100 }), fc.integer({ min: -100, max: 100 }), (best, pass) => {
        if (best === pass) return true;
        const at = (mark: number) => modifiedBavarian(whole(best), whole(pass), whole(mark), 3, "truncate");
        const top = at(best);
        const bottom = at(pass);
        return (
          top.status === "ok" &&
          bottom.status === "ok" &&
          compare(top.exact, whole(1)) === 0 &&
          compare(bottom.exact, whole(4)) === 0
        );
      }),
    );
  });

  it("never lets a better mark come out worse", () => {
    fc.assert(
      fc.property(fc.integer({ min: 10, max: 20 }), fc.integer({ min: 10, max: 20 }), (a, b) => {
        const convert = (mark: number) => modifiedBavarian(whole(20), whole(10), whole(mark), 1, "truncate");
        const [better, worse] = [convert(Math.max(a, b)), convert(Math.min(a, b))];
        return better.status === "ok" && worse.status === "ok" && compare(better.exact, worse.exact) <= 0;
      }),
    );
  });
});

describe("credits", () => {
  it.each(vectorsOf<{ credits: string; perFullTimeYear: string }, string>("ects"))("%s", (_, { input, expected }) => {
    const value = ects(ratio(input.credits), ratio(input.perFullTimeYear));
    expect(value && toFixed(value, 2)).toBe(expected);
  });
  it("are unknown where the credits of a year are unknown or not positive", () => {
    expect(ects(whole(30), null)).toBeNull();
    expect(ects(whole(30), whole(0))).toBeNull();
  });
  it("add up exactly where binary fractions do not: 108 credits at 36 a year are 180 ECTS", () => {
    const sum = Array.from({ length: 36 }, () => ects(whole(3), whole(36))).reduce<Ratio>(
      (all, one) => add(all, one ?? whole(0)),
      whole(0),
    );
    expect(compare(sum, whole(180))).toBe(0);
  });
});

describe("marks", () => {
  const letters = [
    { label: "A", points: "4.0" },
    { label: "A-", points: "3.7" },
  ];
  it.each([
    ["A", "4.0"],
    ["a -", "3.7"],
    ["A−", "3.7"],
    ["A–", "3.7"],
    ["3.5", "3.5"],
    ["15,5", "15.5"],
  ])("%s is read as %s", (text, points) => expect(readMark(text, letters)).toEqual(parseDecimal(points)));
  it("a letter that is not in the table is not guessed", () => expect(readMark("Z", letters)).toBeNull());
  it.each([
    ["20", "0", "20.0", true],
    ["20", "0", "20.1", false],
    ["1", "6", "6", true],
    ["1", "6", "0.9", false],
  ])("from %s to %s, %s lies on the scale: %s", (best, worst, mark, on) =>
    expect(onScale(ratio(mark), ratio(best), ratio(worst))).toBe(on),
  );
  it("have a mean weighted by credits, and none without credits", () => {
    const mean = weightedMean([
      { credits: ratio("7.5"), mark: whole(9) },
      { credits: whole(5), mark: whole(7) },
      { credits: ratio("2.5"), mark: whole(6) },
    ]);
    expect(mean && toFixed(mean.mean, 2)).toBe("7.83");
    expect(weightedMean([])).toBeNull();
  });
});
