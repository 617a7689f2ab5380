import { describe, expect, it } from "vitest";
import type { Detail } from "../../core/rules/fact";
import { linesOf } from "./trace-details";

const GRADE: Extract<Detail, { kind: "grade" }> = {
  kind: "grade",
  method: "bavarian",
  from: "mean of courses",
  best: "10",
  pass: "5",
  got: "7.8333",
  credits: "15",
  courses: 3,
  setAside: 0,
  areas: [],
  degrees: [],
  lastEcts: null,
  formula: null,
  band: null,
  exact: "2.3",
  shown: "2.3",
  passed: true,
  rounding: "truncate",
  compare: "rounded",
};

describe("how a measured value came about", () => {
  it("a mean, the formula and what was done with it", () =>
    expect(linesOf(GRADE, "en")).toEqual([
      "Mean 7.8333 over 15 credits in 3 courses; best 10, lowest pass 5",
      "1 + 3 × (10 − 7.8333) ÷ (10 − 5) = 2.3",
      "cut to 2.3, compared as 2.3",
    ]));
  it("what was left out", () =>
    expect(
      linesOf({ ...GRADE, areas: [{ en: "Physics", fr: "Physique" }], lastEcts: 60, setAside: 1, courses: 1 }, "en")[0],
    ).toBe(
      "Mean 7.8333 over 15 credits in 1 course; best 10, lowest pass 5; only courses in Physics; only the latest 60 ECTS; 1 attempt gives way to another of the same course",
    ));
  it.each([
    ["en", 0, "says C1 of themselves: as the result shows"],
    ["en", 1, "says C1 of themselves: 1 level above the result"],
    ["en", -2, "says C1 of themselves: 2 levels below the result, which is far apart"],
    ["fr", 3, "se dit de niveau C1 : 3 niveaux au-dessus du résultat, ce qui est loin"],
  ] as const)("what somebody says of themselves, beside a result (%s, %d)", (locale, above, expected) => {
    const detail = {
      ...{ kind: "level" as const, test: "het", dates: ["2026-08-01"], scores: { L: "30" }, total: null, level: "B1" },
      stated: { level: "C1", above },
    };
    expect(linesOf(detail, locale).at(-1)).toBe(expected);
    expect(linesOf({ ...detail, stated: null }, locale)).toHaveLength(2);
  });
  it("a ruling, with what it holds equal and its limits", () =>
    expect(
      linesOf(
        {
          kind: "ruling",
          cases: [
            {
              title: { en: "MSc Tides", fr: "MSc Tides" },
              institution: "Halden Sound",
              country: "SR",
              answer: "accepted",
              by: "ruling",
              equalTo: "a master",
              limits: "for sediment",
            },
          ],
        },
        "en",
      ),
    ).toEqual([
      "MSc Tides, Halden Sound, Suriname: accepted by a ruling; held equal to a master; within limits: for sediment",
    ]));
  it("a mean over degrees, each on its own scale", () =>
    expect(
      linesOf(
        {
          ...GRADE,
          from: "mean of degrees",
          got: "2.25",
          best: null,
          pass: null,
          credits: null,
          formula: "(2.5 + 2) ÷ 2",
          exact: "2.25",
          degrees: [
            { title: "BSc", got: "15", best: "20", pass: "10", exact: "2.5" },
            { title: "MSc", got: "2", best: "1", pass: "4", exact: "2" },
          ],
        },
        "en",
      ),
    ).toEqual([
      "Mean of the degrees 2.25",
      "BSc: 15 (best 20, lowest pass 10) comes to 2.5",
      "MSc: 2 (best 1, lowest pass 4) comes to 2",
      "(2.5 + 2) ÷ 2 = 2.25",
      "cut to 2.3, compared as 2.3",
    ]));
  it("a table", () =>
    expect(
      linesOf(
        {
          ...GRADE,
          method: "bands",
          from: "final grade",
          credits: null,
          formula: null,
          band: { from: "12", grade: "2" },
          exact: "2",
          shown: "2.0",
          compare: "exact",
          rounding: "half_up",
        },
        "en",
      ),
    ).toEqual([
      "Final grade 7.8333; best 10, lowest pass 5",
      "in the table: from 12 it is 2",
      "rounded to 2.0, compared exactly, as 2",
    ]));
  it("what did not pass", () =>
    expect(linesOf({ ...GRADE, passed: false }, "fr").at(-1)).toBe("au-delà de 4 : non réussi"));

  const PART = {
    test: "het",
    truth: "not met" as const,
    reasons: [],
    dates: ["2026-03-07"],
    scores: { L: "7", W: "5.5" },
    total: "6.5",
    short: [{ part: "W", needed: "6", got: "5.5" }],
  };
  it("the exact shortfall of a test", () =>
    expect(linesOf({ kind: "proof", parts: [PART] }, "en")).toEqual([
      "HET of 7 Mar 2026: L 7, W 5.5, total 6.5",
      "W is 5.5, 6 is needed",
    ]));
  it("the best parts of several sittings", () =>
    expect(
      linesOf(
        { kind: "proof", parts: [{ ...PART, truth: "met", dates: ["2026-03-07", "2026-09-12"], short: [] }] },
        "fr",
      ),
    ).toEqual([
      "HET, les meilleures parties des sessions du 7 mars 2026 et 12 sept. 2026: L 7, W 5.5, total 6.5",
      "atteint ce qui est demandé",
    ]));
  it("why there is nothing to count yet", () =>
    expect(
      linesOf(
        { kind: "proof", parts: [{ ...PART, truth: "open", dates: [], short: [], reasons: ["pending_result"] }] },
        "en",
      ),
    ).toEqual(["HET", "a result is still to come in time"]));
});
