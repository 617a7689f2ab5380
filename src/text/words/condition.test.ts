import { describe, expect, it } from "vitest";
import type { Condition } from "../../core/rules/condition";
import { conditionSentence } from "./condition";
import { leafSentence } from "./trace";

const titles = {
  "person.birthDate": "Date of birth",
  "degrees.level": "Level",
  "courses.area": "Subject area",
  "measure.grade": "grade on our scale",
};

describe("a condition read as a sentence", () => {
  it.each<[Condition, string]>([
    [{ op: "fact", fact: "measure.grade", is: "atMost", value: "2.5" }, "grade on our scale is at most 2.5"],
    [{ op: "fact", fact: "answers.visa.holds", is: "equals", value: true }, "visa, holds is yes"],
    [{ op: "fact", fact: "person.birthDate", is: "known" }, "Date of birth is known"],
    [
      { op: "fact", fact: "person.birthDate", is: "over", value: { fact: "start", plusMonths: -216 } },
      "Date of birth is after 18 years before start of studies",
    ],
    [
      { op: "fact", fact: "x", is: "atLeast", value: { fact: "start", plusMonths: 1 } },
      "x is on or after 1 month after start of studies",
    ],
    [
      { op: "fact", fact: "x", is: "under", value: { fact: "closing", plusMonths: -3, plusDays: -1 } },
      "x is before 3 months and 1 day before closing",
    ],
    [
      { op: "fact", fact: "x", is: "over", value: { fact: "today", plusMonths: 1, plusDays: -2 } },
      "x is after 2 days before the day 1 month after today",
    ],
    [{ op: "fact", fact: "x", is: "atMost", value: { fact: "today" } }, "x is on or before today"],
    [
      { op: "some", list: "degrees", where: { op: "fact", fact: "it.level", is: "atLeast", value: 6 } },
      "at least one of degrees where Level is at least 6",
    ],
    [
      {
        op: "sum",
        list: "courses",
        field: "ects",
        is: "atLeast",
        value: 20,
        where: { op: "fact", fact: "it.area", is: "equals", value: "natural" },
      },
      "the sum of ECTS over courses where Subject area is natural is at least 20",
    ],
    [{ op: "count", list: "tests", is: "atLeast", value: 1 }, "the number of test results is at least 1"],
    [{ op: "all", of: [] }, "always"],
    [{ op: "any", of: [] }, "never"],
    [
      {
        op: "all",
        of: [
          { op: "fact", fact: "a", is: "known" },
          {
            op: "any",
            of: [
              { op: "fact", fact: "b", is: "known" },
              { op: "fact", fact: "c", is: "known" },
            ],
          },
        ],
      },
      "a is known and (b is known or c is known)",
    ],
    [{ op: "not", of: { op: "fact", fact: "a", is: "known" } }, "not (a is known)"],
    [
      {
        op: "atLeast",
        count: 2,
        of: [
          { op: "fact", fact: "a", is: "known" },
          { op: "fact", fact: "b", is: "known" },
        ],
      },
      "at least 2 of: a is known; b is known",
    ],
    [{ op: "fact", fact: "c", is: "includesOneOf", value: ["IE", "FR"] }, "c includes one of Ireland, France"],
    [
      { op: "fact", fact: "c", is: "oneOf", value: ["AT", "BE", "BG", "CH", "CY", "CZ", "DE"] },
      "c is one of Austria, Belgium, Bulgaria, Switzerland, Cyprus and 2 more",
    ],
    [{ op: "fact", fact: "d", is: "over", value: "2027-02-03" }, "d is after 3 Feb 2027"],
  ])("%j: %s", (condition, sentence) => expect(conditionSentence(condition, titles)).toBe(sentence));
});

describe("values that are picked", () => {
  const titles = {
    "courses.area": "Subject area",
    "courses.area=natural": "Natural sciences",
    "courses.area=other": "Other",
    "answers.english.way": "How you prove your English",
    "answers.english.way=exempt": "By an exemption",
  };
  it.each<readonly [Condition, string]>([
    [
      {
        op: "some",
        list: "courses",
        where: { op: "fact", fact: "it.area", is: "oneOf", value: ["natural", "other", "unheard"] },
      },
      "at least one of courses where Subject area is one of Natural sciences, Other, unheard",
    ],
    [
      { op: "fact", fact: "answers.english.way", is: "equals", value: "exempt" },
      "How you prove your English is By an exemption",
    ],
    [
      { op: "fact", fact: "answers.english.way", is: "equals", value: "natural" },
      "How you prove your English is natural",
    ],
  ])("%j are called as in the form", (condition, sentence) =>
    expect(conditionSentence(condition, titles)).toBe(sentence),
  );

  it("are called so in a trace, too, what is seen and what is asked for", () => {
    const trace = {
      op: "fact" as const,
      truth: "not met" as const,
      confirmed: true,
      leaf: { fact: "it.area", is: "oneOf" as const, limit: "natural, unheard", seen: "other", open: false },
    };
    expect(leafSentence(trace, titles, "courses")).toBe(
      "Subject area: Other; must be one of these: Natural sciences, unheard",
    );
  });
});
