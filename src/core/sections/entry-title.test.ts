import { describe, expect, it } from "vitest";
import { courses, education } from "../../demo/rulebooks/parts/studies";
import type { AnswerFact } from "../assessment/facts";
import { AnswerIndex } from "./answer-index";
import { withEntries } from "./entry-title";

const answer = (entry: string, field: string, value: string): AnswerFact => ({
  scope: "file",
  section: "education",
  entry,
  field,
  value,
  version: 1,
  position: 1,
});
const index = new AnswerIndex({
  answers: [
    answer("a", "institution", "University of Halden Sound"),
    answer("a", "country", "SR"),
    answer("a", "level", "6"),
    answer("a", "title", "BSc Coastal Science"),
    answer("b", "country", "NG"),
  ],
  confirmations: [],
});
const degree = courses.fields.find((f) => f.key === "degree") ?? courses.fields[0];

describe("the entries that a field may name", () => {
  it("are called by what was answered in them, never by a code, and by their place while nothing was", () =>
    expect(degree && withEntries(degree, [education, courses], index).options).toEqual([
      {
        value: "a",
        title: {
          en: "BSc Coastal Science, University of Halden Sound",
          fr: "BSc Coastal Science, University of Halden Sound",
        },
      },
      { value: "b", title: { en: "Your degree 2", fr: "Votre diplôme 2" } },
    ]));

  it("leave other fields and unknown lists alone", () => {
    expect(degree && withEntries(degree, [courses], index)).toBe(degree);
    expect(courses.fields[0] && withEntries(courses.fields[0], [education], index)).toBe(courses.fields[0]);
  });
});
