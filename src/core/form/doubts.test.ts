import { describe, expect, it } from "vitest";
import { referenceSet } from "../../demo/reference-set";
import type { Json } from "../file/facts";
import { total } from "../language/test-definition";
import { toShort, whole } from "../numbers/ratio";
import { canBeDoubted, doubtOf } from "./doubts";

const SCALES = [
  ...referenceSet.scales,
  { key: "halves", title: { en: "", fr: "" }, best: "5", pass: "3", worst: "2", step: "0.5" },
];
const START = "2027-09-01";
const doubt = (key: string, values: Readonly<Record<string, string>>, start: string | null = START) =>
  doubtOf({ key, kind: "text" }, values, {
    scales: SCALES,
    tests: referenceSet.tests,
    start,
    name: "Ilse Quist",
    usual: ["percent"],
  })?.code ?? null;

describe("a total that a certificate prints", () => {
  const [test] = referenceSet.tests.filter((t) => t.total !== null);
  const scores = Object.fromEntries((test?.parts ?? []).map((p) => [p.key, String(p.max)]));
  const computed = toShort(total(test as NonNullable<typeof test>, scores) ?? whole(0));
  const stated = (statedTotal: string, values: Readonly<Record<string, Json>> = { test: test?.key ?? "", scores }) =>
    doubtOf(
      { key: "statedTotal", kind: "decimal" },
      { ...values, statedTotal },
      { scales: SCALES, tests: referenceSet.tests, start: START, name: "", usual: null },
    );
  it("is doubted where the parts give another", () => {
    expect(stated(computed)).toBeNull();
    expect(stated(computed.includes(".") ? `${computed}0` : `${computed}.0`)).toBeNull();
    expect(stated("1")).toEqual({ code: "total-differs", total: computed });
  });
  it("is left alone while the test or a part is missing", () =>
    expect([
      stated("1", { scores }),
      stated("1", { test: test?.key ?? "" }),
      stated("1", { test: test?.key ?? "", scores: {} }),
      stated(""),
    ]).toEqual([null, null, null, null]));
});

describe("a date of birth", () => {
  it.each<[string, string | null, string | null]>([
    ["2013-09-02", START, "unlikely-age"],
    ["2013-09-01", START, null],
    ["2027-09-01", START, "unlikely-age"],
    ["2030-01-01", START, "unlikely-age"],
    ["1937-09-01", START, null],
    ["1936-09-01", START, "unlikely-age"],
    ["1903-05-01", null, null],
    ["soon", START, null],
  ])("%s, where studies begin on %s: %s", (birthDate, start, code) =>
    expect(doubt("birthDate", { birthDate }, start)).toBe(code),
  );
});

describe("a signature", () => {
  const signed = (signature: string, kind: "name" | "text" = "name", name = "Ilse Quist") =>
    doubtOf(
      { key: "signature", kind },
      { signature },
      { scales: SCALES, tests: referenceSet.tests, start: START, name, usual: null },
    )?.code ?? null;
  it("is doubted where it is another name than the form's", () =>
    expect([signed("Ilse Quist"), signed("Quist"), signed("Quist", "text"), signed("Quist", "name", "")]).toEqual([
      null,
      "signed-otherwise",
      null,
      null,
    ]));
});

describe("what is implausible and may still be right", () => {
  it.each<[string, Readonly<Record<string, string>>, string | null]>([
    ["a grade on its scale", { grade: "15,5", scale: "to20", status: "completed" }, null],
    ["a grade beyond it", { grade: "20.5", scale: "to20" }, "off-scale"],
    ["a grade below it", { grade: "0.9", scale: "down6" }, "off-scale"],
    ["a word", { grade: "good", scale: "to20" }, "not-a-mark"],
    ["a letter of the scale", { grade: "b+", scale: "letters4" }, null],
    ["a letter that it does not have", { grade: "Z", scale: "letters4" }, "not-a-mark"],
    ["a mark between two steps", { grade: "3.25", scale: "halves" }, "off-step"],
    ["a mark on a step", { grade: "3.5", scale: "halves" }, null],
    ["a failing grade of a completed degree", { grade: "9", scale: "to20", status: "completed" }, "no-pass"],
    ["a failing grade where lower is better", { grade: "5", scale: "down6", status: "completed" }, "no-pass"],
    ["a low grade while it still runs", { grade: "9", scale: "to20", status: "in progress" }, null],
    ["a scale of one's own", { grade: "99", scale: "other" }, null],
    ["no grade yet", { grade: "", scale: "to20" }, null],
  ])("%s", (_, values, expected) => expect(doubt("grade", values)).toBe(expected));

  it.each<[string, string, Readonly<Record<string, string>>, string | null]>([
    ["best and lowest pass are one mark", "gradePass", { gradeBest: "10", gradePass: "10.0" }, "best-is-pass"],
    ["best and lowest pass differ", "gradePass", { gradeBest: "1", gradePass: "4" }, null],
    ["an end before its start", "end", { start: "2024-09-01", end: "2024-08-31" }, "ends-before-start"],
    ["an end on its start", "end", { start: "2024-09-01", end: "2024-09-01" }, null],
    ["a rough end that may be after the start", "end", { start: "2024-09-15", end: "2024-09" }, null],
    [
      "a rough end that is before it for certain",
      "expectedEnd",
      { start: "2024-09", expectedEnd: "2023" },
      "ends-before-start",
    ],
    ["a degree expected after the first day", "expectedEnd", { expectedEnd: "2027-09-02" }, "expected-after-start"],
    ["a degree expected in a later month", "expectedEnd", { expectedEnd: "2027-10" }, "expected-after-start"],
    ["a degree expected in the month of the first day", "expectedEnd", { expectedEnd: "2027-09" }, null],
    ["a passport that ends the day before", "passportExpiry", { passportExpiry: "2027-08-31" }, "ends-too-early"],
    ["a passport that ends on the first day", "passportExpiry", { passportExpiry: "2027-09-01" }, null],
  ])("%s", (_, key, values, expected) => expect(doubt(key, values)).toBe(expected));

  it("nothing is doubted while nothing is chosen, and not of other fields", () => {
    expect(doubt("passportExpiry", { passportExpiry: "2020-01-01" }, null)).toBeNull();
    expect(doubt("title", { title: "x", grade: "99", scale: "to20" })).toBeNull();
  });
});

describe("a mark and a scale", () => {
  it.each([
    ["17", "17", "as-printed"],
    ["17.0", "17", "as-printed"],
    ["71", "17", null],
    ["71", "B+", null],
    ["71", "", null],
    ["", "17", null],
  ])("the mark %s, on the sheet %s: %s", (mark, printed, code) => expect(doubt("mark", { mark, printed })).toBe(code));

  it.each([
    ["percent", null],
    ["to20", "unusual-scale"],
    ["other", "unusual-scale"],
    ["", null],
  ])("the scale %s, where the kind is marked in per cent: %s", (scale, code) =>
    expect(doubt("scale", { scale })).toBe(code),
  );
});

describe("a field of a section", () => {
  it.each([
    ["mark", ["subject", "printed", "mark"], true],
    ["mark", ["subject", "mark"], false],
    ["grade", ["grade", "credits"], false],
    ["birthDate", ["birthDate"], true],
    ["toString", [], false],
  ])("%s among %j can be doubted: %s", (key, fields, expected) =>
    expect(
      canBeDoubted(
        { key },
        fields.map((f) => ({ key: f })),
      ),
    ).toBe(expected),
  );
});
