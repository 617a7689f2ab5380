import { describe, expect, it } from "vitest";
import { sittings, subjects } from "../../demo/rulebooks/parts/school";
import { courses, education } from "../../demo/rulebooks/parts/studies";
import { AnswerIndex } from "../answers/answer-index";
import type { AnswerFact } from "../file/facts";
import { entryNames, withEntries } from "./entry-title";

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

describe("what entries are called in a trace", () => {
  const said = (section: string, entry: string, field: string, value: string): AnswerFact => ({
    ...answer(entry, field, value),
    section,
  });
  const subject = subjects.fields.find((f) => f.key === "subject")?.options?.[0];
  const board = sittings.fields.find((f) => f.key === "board")?.options?.[0];
  const school = new AnswerIndex({
    answers: [
      said("sittings", "s1", "board", board?.value ?? ""),
      said("sittings", "s1", "year", "2026"),
      said("subjects", "m", "sitting", "s1"),
      said("subjects", "m", "subject", subject?.value ?? ""),
      said("subjects", "n", "subject", subject?.value ?? ""),
    ],
    confirmations: [],
  });
  it("a subject names the sitting that it came from, where one is named", () => {
    const names = entryNames(school, [sittings, subjects]);
    expect(names.get("m")?.en).toBe(`${subject?.title.en} · ${board?.title.en}, 2026`);
    expect(names.get("m")?.fr).toBe(`${subject?.title.fr} · ${board?.title.fr}, 2026`);
    expect(names.get("n")?.en).toBe(subject?.title.en);
    expect(names.get("s1")?.en).toBe(`${board?.title.en}, 2026`);
  });
});
