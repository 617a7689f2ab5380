import { describe, expect, it } from "vitest";
import { referenceSet } from "../../demo/reference-set";
import { parseDecimal, toFixed, toShort } from "../numbers/ratio";
import type { Measure } from "../rulebook/rulebook";
import { type Entry, entryOf, type Fact, type FactSource } from "../rules/fact";
import { makeOffice } from "../standards/reference-set";
import { gradeMeasure } from "./grade";

type Grade = Extract<Measure, { kind: "grade" }>;

const SCALE = { title: { en: "", fr: "" } };
const office = makeOffice(1, {
  ...referenceSet,
  scales: [
    { ...SCALE, key: "twenty", best: "20", pass: "10", worst: "0" },
    {
      ...SCALE,
      key: "ten",
      best: "10",
      pass: "4",
      worst: "0",
      percent: { multiplier: "9.5", offset: "0", source: "p. 2" },
    },
    { ...SCALE, key: "six", best: "1", pass: "4", worst: "6" },
  ],
});

const NUMBERS = ["credits", "creditsPerYear", "gradeBest", "gradePass", "marksObtained", "marksTotal"];
type Fields = Readonly<Record<string, string>>;

function entry(id: string, fields: Fields, confirmed = true): Entry {
  const fact = (name: string, text: string): Fact => ({
    kind: "value",
    value: NUMBERS.includes(name) ? (parseDecimal(text) ?? text) : text,
    confirmed,
  });
  return entryOf(id, Object.fromEntries(Object.entries(fields).map(([name, text]) => [name, fact(name, text)])));
}

function factsOf(degree: Fields, courses: readonly Fields[], { open = false, confirmed = true } = {}): FactSource {
  const lists = {
    degrees: { entries: [entry("d", { end: "2025-06-30", ...degree }, confirmed)], open: false },
    courses: {
      entries: courses.map((c, i) => entry(`c${i}`, { status: "completed", title: `C${i}`, ...c }, confirmed)),
      open,
    },
  };
  return {
    scalar: () => ({ kind: "unknown" }),
    list: (name) => lists[name as keyof typeof lists] ?? { entries: [], open: false },
  };
}

const measure = (change: Partial<Grade> = {}): Grade => ({
  key: "grade",
  kind: "grade",
  title: { en: "", fr: "" },
  degree: { op: "all", of: [] },
  decimals: 2,
  rounding: "half_up",
  compare: "exact",
  ...change,
});

function worth(change: Partial<Grade>, degree: Fields, courses: readonly Fields[] = [], options = {}): string {
  const fact = gradeMeasure(measure(change), factsOf(degree, courses, options), office);
  if (fact.kind !== "value") return fact.kind;
  return `${toShort(fact.value as never)} ${fact.confirmed ? "confirmed" : "claimed"}`;
}

const BANDS: NonNullable<Grade["method"]> = {
  kind: "bands",
  tables: [
    {
      scale: "twenty",
      roundFirst: null,
      bands: [
        { from: "16", grade: "1" },
        { from: "12", grade: "2" },
        { from: "10", grade: "3" },
      ],
    },
  ],
};
const LINE: NonNullable<Grade["method"]> = {
  kind: "linear",
  anchors: "three_point",
  target: { best: "100", pass: "50", worst: "0" },
};

describe("a grade on our scale, by the programme's method", () => {
  it.each<[string, Partial<Grade>, Fields, string]>([
    ["the formula, where nothing else is named", {}, { scale: "twenty", grade: "15" }, "2.5 confirmed"],
    ["lower is better", {}, { scale: "six", grade: "2.5" }, "2.5 confirmed"],
    ["best and pass as entered", {}, { scale: "other", gradeBest: "5", gradePass: "3", grade: "4.2" }, "2.2 confirmed"],
    ["a line", { method: LINE }, { scale: "twenty", grade: "15" }, "75 confirmed"],
    ["a line below the pass mark", { method: LINE }, { scale: "twenty", grade: "5" }, "25 confirmed"],
    ["a table", { method: BANDS }, { scale: "twenty", grade: "15.99" }, "2 confirmed"],
    ["a table that does not know the scale", { method: BANDS }, { scale: "ten", grade: "8" }, "unknown"],
    ["a mark below the table", { method: BANDS }, { scale: "twenty", grade: "9" }, "unknown"],
    ["the issuer's multiplier", { method: { kind: "multiplier" } }, { scale: "ten", grade: "8.2" }, "77.9 confirmed"],
    ["no multiplier stated", { method: { kind: "multiplier" } }, { scale: "twenty", grade: "15" }, "unknown"],
    ["a mark beyond its scale is a question", {}, { scale: "twenty", grade: "20.5" }, "unknown"],
    ["no scale is a question", {}, { grade: "15" }, "unknown"],
    ["best and pass are one", {}, { scale: "other", gradeBest: "5", gradePass: "5", grade: "5" }, "unknown"],
  ])("%s", (_, change, degree, expected) => expect(worth(change, degree)).toBe(expected));

  it("what did not pass is compared as it is: rounded it would read as a pass", () => {
    const fact = gradeMeasure(
      measure({ compare: "rounded", decimals: 1, rounding: "truncate" }),
      factsOf({ scale: "other", gradeBest: "100", gradePass: "40", grade: "39.9" }, []),
      office,
    );
    expect(fact.kind === "value" && toFixed(fact.value as never, 3)).toBe("4.005");
    expect(fact).toMatchObject({ detail: { passed: false, shown: "4.0" } });
  });

  const courses: readonly Fields[] = [
    { code: "STA", credits: "6", grade: "8", date: "2024-06", area: "mathematics" },
    { code: "STA", credits: "6", grade: "12", date: "2025-01", area: "mathematics" },
    { code: "PHY", credits: "12", grade: "16", date: "2025-06", area: "physics" },
    { code: "LAB", credits: "6", grading: "pass_fail", date: "2025-06" },
    { code: "THE", credits: "15", status: "in progress" },
  ];
  const degree: Fields = { scale: "twenty", creditsPerYear: "60" };

  it.each<[string, Partial<Grade>, string]>([
    ["the mean of what counts, of a repeat the best attempt", {}, "2.6 confirmed"],
    ["the first attempt", { mean: { repeats: "first", failed: "include", transfer: "credits_only" } }, "3 confirmed"],
    [
      "the first that passed",
      { mean: { repeats: "first", failed: "exclude", transfer: "credits_only" } },
      "2.6 confirmed",
    ],
    ["one subject area", { areas: ["physics"] }, "2.2 confirmed"],
    ["the last twelve credits", { lastEcts: 12 }, "2.2 confirmed"],
    ["an area without courses", { areas: ["chemistry"] }, "unknown"],
  ])("%s", (_, change, expected) => expect(worth(change, degree, courses)).toBe(expected));

  it("the last credits are counted in those of the institution", () =>
    expect(worth({ lastEcts: 24 }, { ...degree, creditsPerYear: "30" }, courses)).toBe("2.2 confirmed"));
  it("waits while the list may grow, and while a grade that counts is missing", () => {
    expect(worth({}, degree, courses, { open: true })).toBe("unknown");
    expect(worth({}, degree, [...courses, { code: "X", credits: "3" }])).toBe("unknown");
  });
  it("takes the courses in any case where the rulebook says so", () => {
    const final = { ...degree, grade: "20" };
    expect(worth({}, final, courses)).toBe("1 confirmed");
    expect(worth({ basis: "courses" }, final, courses)).toBe("2.6 confirmed");
  });
  it("is claimed while a grade is", () => expect(worth({}, degree, courses, { confirmed: false })).toBe("2.6 claimed"));

  describe("over several degrees", () => {
    const own = { scale: "twenty", grade: "15", title: "BSc", end: "2022-06-30" };
    const other = { scale: "six", grade: "2", title: "MSc", end: "2024-06-30" };
    const over = (degrees: readonly Fields[], change: Partial<Grade> = { several: "mean" }, open = false) => {
      const entries = degrees.map((d, i) => entry(`d${i}`, d));
      return gradeMeasure(
        measure(change),
        {
          scalar: () => ({ kind: "unknown" }),
          list: (name) => ({ entries: name === "degrees" ? entries : [], open: name === "degrees" && open }),
        },
        office,
      );
    };
    const shown = (fact: Fact) => (fact.kind === "value" ? toShort(fact.value as never) : fact.kind);

    it("carries each over on its own scale, and takes their mean", () => {
      const fact = over([own, other]);
      expect(shown(fact)).toBe("2.25"); // 2.5 and 2
      expect(fact).toMatchObject({
        detail: {
          from: "mean of degrees",
          formula: "(2.5 + 2) ÷ 2",
          passed: true,
          degrees: [
            { title: "BSc", got: "15", best: "20", pass: "10", exact: "2.5" },
            { title: "MSc", got: "2", best: "1", pass: "4", exact: "2" },
          ],
        },
      });
    });
    it.each<[string, readonly Fields[], Partial<Grade>, boolean, string]>([
      ["the one that ends last, where nothing is said", [own, other], {}, false, "2"],
      ["one alone is no mean", [own], { several: "mean" }, false, "2.5"],
      ["waits while another may be entered", [own, other], { several: "mean" }, true, "unknown"],
      [
        "waits while the grade of one is missing",
        [own, { scale: "six", title: "MSc" }],
        { several: "mean" },
        false,
        "unknown",
      ],
      [
        "only those that count",
        [own, other],
        { several: "mean", degree: { op: "fact", fact: "it.title", is: "equals", value: "BSc" } },
        false,
        "2.5",
      ],
      [
        "percentages of marks",
        [own, other],
        { several: "mean", method: { kind: "marks", of: "sums" } },
        false,
        "unknown",
      ],
    ])("%s", (_, degrees, change, open, expected) => expect(shown(over(degrees, change, open))).toBe(expected));
    it("did not pass where one of them did not", () =>
      expect(over([own, { ...other, grade: "5" }])).toMatchObject({ detail: { passed: false } }));
  });

  const marks: readonly Fields[] = [
    { marksObtained: "412", marksTotal: "550" },
    { marksObtained: "75", marksTotal: "150" },
  ];
  it.each<["sums" | "rows", string]>([
    ["sums", "69.571 confirmed"],
    ["rows", "62.455 confirmed"],
  ])("the percentage of the marks, by %s", (of, expected) =>
    expect(worth({ method: { kind: "marks", of } }, {}, marks)).toBe(expected),
  );
});
