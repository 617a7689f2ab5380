import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { vectorsOf } from "../../../tests/support/vectors";
import { parseDecimal, type Ratio, toFixed, whole } from "../numbers/ratio";
import { type Attempt, type MeanPolicy, summarise, USUAL_MEAN } from "./summary";

interface Row {
  readonly code: string;
  readonly credits: string | null;
  readonly grade: string | null;
  readonly status?: Attempt["status"];
  readonly grading?: Attempt["grading"];
  readonly origin?: Attempt["origin"];
  readonly date?: string;
}
interface Input {
  readonly courses: readonly Row[];
  readonly policy: MeanPolicy & { readonly direction: "higher" | "lower" };
}

const read = (text: string | null): Ratio | null => (text === null ? null : parseDecimal(text));
const attempt = (row: Row): Attempt => ({
  code: row.code,
  credits: read(row.credits),
  grade: read(row.grade),
  status: row.status ?? "passed",
  grading: row.grading ?? "graded",
  origin: row.origin ?? "home",
  date: row.date ?? "",
});

describe("a transcript summed up", () => {
  it.each(vectorsOf<Input, unknown>("summarise"))("%s", (_, { input, expected }) => {
    const { direction, ...policy } = input.policy;
    const summary = summarise(input.courses.map(attempt), policy, direction);
    expect({
      mean: summary.mean && toFixed(summary.mean, 2),
      creditsInMean: toFixed(summary.creditsInMean, 1),
      creditsEarned: toFixed(summary.creditsEarned, 1),
      creditsInProgress: toFixed(summary.creditsInProgress, 1),
      unknown: summary.unknown,
    }).toEqual(expected);
  });

  const mean = (rows: readonly Row[], policy: Partial<MeanPolicy> = {}, last: Ratio | null = null) => {
    const summary = summarise(rows.map(attempt), { ...USUAL_MEAN, ...policy }, "higher", last);
    return summary.mean === null ? summary.unknown.join(" ") : toFixed(summary.mean, 2);
  };
  const dated: readonly Row[] = [
    { code: "A", credits: "6", grade: "6", date: "2024-06" },
    { code: "B", credits: "6", grade: "7", date: "2025-01" },
    { code: "C", credits: "6", grade: "8", date: "2025-06" },
    { code: "D", credits: "6", grade: "10", date: "2025-06" },
  ];

  it.each<[string, readonly Row[], Partial<MeanPolicy>, number | null, string]>([
    ["the last twelve credits", dated, {}, 12, "9.00"],
    ["all of the term in which they are reached", dated, {}, 6, "9.00"],
    ["more than there are", dated, {}, 240, "7.75"],
    [
      "a date is missing where it matters",
      [...dated, { code: "E", credits: "6", grade: "9" }],
      {},
      12,
      "E:date_missing",
    ],
    ["a date is missing where everything counts", [{ code: "E", credits: "6", grade: "9" }], {}, 12, "9.00"],
    [
      "courses without credits drop out by themselves",
      [...dated, { code: "Z", credits: "0", grade: null }],
      {},
      null,
      "7.75",
    ],
    [
      "nothing counts: unknown, not zero",
      [{ code: "S", credits: "3", grade: null, grading: "pass_fail" }],
      {},
      null,
      "",
    ],
    ["a grade that nobody knows", [{ code: "S", credits: "3", grade: null }], {}, null, "S:grade_missing"],
    [
      "the same code, written differently",
      [
        { code: "STA 101", credits: "6", grade: "5" },
        { code: "sta101", credits: "6", grade: "9" },
      ],
      {},
      null,
      "9.00",
    ],
    [
      "of the best, one that failed without a grade does not matter once another passed",
      [
        { code: "S", credits: "6", grade: null, status: "failed", date: "2025-01-01" },
        { code: "S", credits: "6", grade: "7", date: "2025-06-01" },
      ],
      {},
      null,
      "7.00",
    ],
    [
      "one that passed without a grade might be better",
      [
        { code: "S", credits: "6", grade: null, date: "2025-01-01" },
        { code: "S", credits: "6", grade: "7", date: "2025-06-01" },
      ],
      {},
      null,
      "S:grade_missing",
    ],
  ])("%s", (_, rows, policy, last, expected) =>
    expect(mean(rows, policy, last === null ? null : whole(last))).toBe(expected),
  );

  it("does not hang on the order of the lines", () => {
    const line = fc.record({
      code: fc.constantFrom("A", "B", "C"),
      credits: fc.constantFrom("3", "6", "7.5"),
      grade: fc.constantFrom("4", "6", "8.5", "10"),
      day: fc.integer({ min: 1, max: 28 }),
      status: fc.constantFrom<Attempt["status"]>("passed", "failed", "in_progress"),
    });
    fc.assert(
      fc.property(
        fc.uniqueArray(line, { maxLength: 12, selector: (l) => l.day }),
        fc.constantFrom<MeanPolicy["repeats"]>("latest", "first", "mean"),
        (lines, repeats) => {
          const rows = lines.map(({ day, ...l }) => ({ ...l, date: `2025-03-${String(day).padStart(2, "0")}` }));
          return mean(rows, { repeats }) === mean([...rows].reverse(), { repeats });
        },
      ),
    );
  });

  it("never counts more than was earned or taken", () => {
    const line = fc.record({
      code: fc.constantFrom("A", "B", "C", "D"),
      credits: fc.constantFrom("3", "6"),
      grade: fc.constantFrom("4", "6", "8"),
      status: fc.constantFrom<Attempt["status"]>("passed", "failed", "withdrawn", "in_progress"),
    });
    fc.assert(
      fc.property(fc.array(line, { maxLength: 15 }), (lines) => {
        const { creditsInMean, creditsEarned } = summarise(lines.map(attempt), USUAL_MEAN, "higher");
        return Number(toFixed(creditsInMean, 0)) <= 24 && Number(toFixed(creditsEarned, 0)) <= 24;
      }),
    );
  });
});
