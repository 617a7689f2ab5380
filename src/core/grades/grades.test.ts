import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { vectorsOf } from "../../../tests/support/vectors";
import { add, compare, divide, parseDecimal, type Ratio, type Rounding, toFixed, whole } from "../numbers/ratio";
import { bandOf } from "./bands";
import type { Conversion } from "./conversion";
import { ects } from "./ects";
import { type Anchored, type Anchors, linear } from "./linear";
import { modifiedBavarian } from "./modified-bavarian";
import { percentageOf, percentageOfAverage } from "./percentage";
import { onScale, readMark } from "./scale";

const ratio = (text: string): Ratio => parseDecimal(text) ?? whole(0);

/** A conversion as the worked cases write it. */
function written(result: Conversion, decimals: number, mode: Rounding, clampedTo: string) {
  if (result.status === "unknown" || result.status === "error")
    return { status: result.status, value: null, reason: result.reason };
  if (result.status === "ok")
    return {
      status: "ok",
      value: toFixed(result.exact, decimals, mode),
      reason: result.clamped ? clampedTo : null,
    };
  return result.kept
    ? { status: "not_passed", value: toFixed(result.exact, decimals, mode), reason: null }
    : { status: "not_passed", value: null, reason: "below_lowest_pass" };
}
type Written = ReturnType<typeof written>;
const maybe = (text: string | number | null | undefined): Ratio | null =>
  text === null || text === undefined ? null : parseDecimal(String(text));

describe("the modified Bavarian formula", () => {
  interface Input {
    readonly best: string;
    readonly passing?: string;
    readonly got: string;
    readonly decimals?: number;
    readonly mode?: Rounding;
  }
  it.each(vectorsOf<Input, Written>("bavarian"))("%s", (_, { input, expected }) => {
    const result = modifiedBavarian(maybe(input.best), maybe(input.passing), maybe(input.got));
    expect(written(result, input.decimals ?? 1, input.mode ?? "truncate", "clamped_to_best")).toEqual(expected);
  });

  it("gives 1 for the best mark and 4 for the lowest pass, on every scale and in either direction", () => {
    fc.assert(
      fc.property(fc.integer({ min: -100, max: 100 }), fc.integer({ min: -100, max: 100 }), (best, pass) => {
        if (best === pass) return true;
        const at = (mark: number) => modifiedBavarian(whole(best), whole(pass), whole(mark));
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
        const convert = (mark: number) => modifiedBavarian(whole(20), whole(10), whole(mark));
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
});

describe("lines between anchors", () => {
  interface Ends {
    readonly best?: number;
    readonly pass?: number;
    readonly worst?: number;
  }
  const ends = (e: Ends): Anchored => ({ best: maybe(e.best), pass: maybe(e.pass), worst: maybe(e.worst) });
  interface Input {
    readonly src: Ends;
    readonly dst: Ends;
    readonly got: string;
    readonly anchors?: Anchors;
  }
  it.each(vectorsOf<Input, Written>("linear"))("%s", (_, { input, expected }) => {
    const result = linear(ends(input.src), ends(input.dst), maybe(input.got), input.anchors ?? "pass_best");
    expect(written(result, 2, "half_up", "clamped")).toEqual(expected);
  });

  it.each<[string, Ends, Ends, string, Anchors, Written]>([
    [
      "a failing mark has no number",
      { best: 20, pass: 10 },
      { best: 1, pass: 4 },
      "9.9",
      "pass_best",
      { status: "not_passed", value: null, reason: "below_lowest_pass" },
    ],
    [
      "a mark above the best is clamped and said so",
      { best: 20, pass: 10 },
      { best: 1, pass: 4 },
      "20.5",
      "pass_best",
      { status: "ok", value: "1.00", reason: "clamped" },
    ],
    [
      "lower is better on both",
      { best: 1, pass: 4 },
      { best: 1, pass: 3 },
      "2.5",
      "pass_best",
      { status: "ok", value: "2.00", reason: null },
    ],
    [
      "below the worst it stays there",
      { best: 4, worst: 0 },
      { best: 100, worst: 0 },
      "-1",
      "worst_best",
      { status: "ok", value: "0.00", reason: "clamped" },
    ],
    [
      "over the whole range a mark that fails at home keeps its value and stays failed",
      { best: 20, pass: 10, worst: 0 },
      { best: 100, worst: 0 },
      "9",
      "worst_best",
      { status: "not_passed", value: "45.00", reason: null },
    ],
    [
      "over the whole range the pass mark of the other scale does not matter",
      { best: 20, pass: 10, worst: 0 },
      { best: 1, pass: 4, worst: 6 },
      "12",
      "worst_best",
      { status: "ok", value: "3.00", reason: null },
    ],
    [
      "three anchors: a pass goes along the upper piece",
      { best: 100, pass: 50, worst: 0 },
      { best: 1, pass: 4, worst: 6 },
      "75",
      "three_point",
      { status: "ok", value: "2.50", reason: null },
    ],
    [
      "three anchors: the pass mark itself",
      { best: 100, pass: 50, worst: 0 },
      { best: 1, pass: 4, worst: 6 },
      "50",
      "three_point",
      { status: "ok", value: "4.00", reason: null },
    ],
    [
      "no pass mark, no number",
      { best: 100 },
      { best: 1, pass: 4 },
      "75",
      "pass_best",
      { status: "unknown", value: null, reason: "scale_or_mark_missing" },
    ],
    [
      "best and pass are one",
      { best: 10, pass: 10 },
      { best: 1, pass: 4 },
      "10",
      "pass_best",
      { status: "error", value: null, reason: "degenerate_scale" },
    ],
  ])("%s", (_, src, dst, got, anchors, expected) =>
    expect(written(linear(ends(src), ends(dst), maybe(got), anchors), 2, "half_up", "clamped")).toEqual(expected),
  );

  it("lead back to the mark they came from", () => {
    const mark = fc.integer({ min: 0, max: 1000 });
    fc.assert(
      fc.property(mark, (tenths) => {
        const from = ends({ best: 100, pass: 50, worst: 0 });
        const to = ends({ best: 1, pass: 4, worst: 6 });
        const there = linear(from, to, divide(whole(tenths), whole(10)), "three_point");
        if (there.status !== "ok" && there.status !== "not_passed") return false;
        const back = linear(to, from, there.exact, "three_point");
        return (
          (back.status === "ok" || back.status === "not_passed") && toFixed(back.exact, 1) === (tenths / 10).toFixed(1)
        );
      }),
    );
  });
});

describe("tables of bands", () => {
  interface Input {
    readonly bands: readonly { readonly from: string | number; readonly grade: string }[];
    readonly got: string;
    readonly direction?: "higher" | "lower";
    readonly roundFirst?: number;
  }
  it.each(vectorsOf<Input, string | null>("band"))("%s", (_, { input, expected }) => {
    const bands = input.bands.map(({ from, grade }) => ({ from: ratio(String(from)), grade }));
    const band = bandOf(bands, ratio(input.got), input.direction ?? "higher", input.roundFirst ?? null);
    expect(band?.grade ?? null).toBe(expected);
  });
});

describe("percentages", () => {
  interface Rows {
    readonly rows: readonly { readonly got: string | null; readonly total: string | null }[];
  }
  const marks = ({ rows }: Rows) => rows.map(({ got, total }) => ({ got: maybe(got), total: maybe(total) }));
  it.each(vectorsOf<Rows, Written>("marks"))("%s", (_, { input, expected }) =>
    expect(written(percentageOf(marks(input), "sums"), 2, "half_up", "clamped")).toEqual(expected),
  );
  it.each(vectorsOf<Rows, string>("marksMeanOfPercent"))("%s", (_, { input, expected }) =>
    expect(written(percentageOf(marks(input), "rows"), 2, "half_up", "clamped").value).toBe(expected),
  );
  it.each<[string, Rows["rows"], Written]>([
    ["a mark is missing", [{ got: null, total: "50" }], { status: "unknown", value: null, reason: "marks_missing" }],
    ["there are none", [], { status: "unknown", value: null, reason: "marks_missing" }],
    ["out of nothing", [{ got: "0", total: "0" }], { status: "error", value: null, reason: "total_not_positive" }],
    [
      "less than nothing",
      [{ got: "-1", total: "50" }],
      { status: "error", value: null, reason: "obtained_out_of_range" },
    ],
  ])("%s", (_, rows, expected) =>
    expect(written(percentageOf(marks({ rows }), "sums"), 2, "half_up", "clamped")).toEqual(expected),
  );

  interface Average {
    readonly value?: string;
    readonly multiplier?: string;
    readonly offset?: string;
  }
  it.each(vectorsOf<Average, Written>("cgpa"))("%s", (_, { input, expected }) => {
    const result = percentageOfAverage(maybe(input.value), maybe(input.multiplier), maybe(input.offset));
    expect(written(result, 2, "half_up", "clamped")).toEqual(expected);
  });
  it("are at most a hundred", () =>
    expect(written(percentageOfAverage(whole(10), ratio("10.5")), 2, "half_up", "clamped")).toEqual({
      status: "ok",
      value: "100.00",
      reason: "clamped",
    }));
});
