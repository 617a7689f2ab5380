import { describe, expect, it } from "vitest";
import { schools } from "../../demo/rulebooks/parts/school";
import { courses, education } from "../../demo/rulebooks/parts/studies";
import { AnswerIndex } from "../answers/answer-index";
import type { AnswerFact, ConfirmationFact } from "../file/facts";
import type { Instant } from "../ids";
import type { Section } from "../rulebook/section";
import { entriesInOrder } from "./entry-order";

function ordered(
  section: Section,
  rows: readonly (readonly [entry: string, field: string, value: string])[],
  confirmed: Readonly<Record<string, string>> = {},
): string {
  const place = (entry: string, field: string) => ({ scope: "file", section: section.key, entry, field });
  const answers = rows.map(
    ([entry, field, value], position): AnswerFact => ({ ...place(entry, field), value, version: 1, position }),
  );
  const confirmations = rows.flatMap(([entry, field]): readonly ConfirmationFact[] => {
    const value = confirmed[entry];
    return value === undefined
      ? []
      : [{ ...place(entry, field), value, at: "2026-11-20T09:00:00.000Z" as Instant, answerVersion: 1 }];
  });
  return entriesInOrder(new AnswerIndex({ answers, confirmations }), "file", section).join("");
}

describe("the entries of a list", () => {
  it("stand by their beginnings, however they were typed", () =>
    expect(
      ordered(education, [
        ["a", "start", "2024-09-01"],
        ["b", "start", "2019-10-01"],
      ]),
    ).toBe("ba"));

  it("stand by what was confirmed", () =>
    expect(
      ordered(
        education,
        [
          ["a", "start", "2024-09-01"],
          ["b", "start", "2019-10-01"],
        ],
        { a: "2018-09-01" },
      ),
    ).toBe("ab"));

  it("without a date stay behind, as they were typed", () =>
    expect(
      ordered(education, [
        ["a", "title", "x"],
        ["b", "title", "y"],
        ["c", "start", "2019-10-01"],
      ]),
    ).toBe("cab"));

  it("with rough dates stand before the days within them", () =>
    expect(
      ordered(schools, [
        ["a", "left", "2019-06-30"],
        ["b", "left", "2019"],
        ["c", "left", "2019-06"],
      ]),
    ).toBe("bca"));

  it("that were typed at the same time keep their order", () =>
    expect(
      ordered(courses, [
        ["a", "date", "2024"],
        ["b", "date", "2024"],
      ]),
    ).toBe("ab"));
});
