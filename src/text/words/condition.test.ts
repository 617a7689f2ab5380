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
    [{ fact: "measure.grade", is: "atMost", value: "2.5" }, "grade on our scale is at most 2.5"],
    [{ fact: "answers.visa.holds", is: "equals", value: true }, "visa, holds is yes"],
    [{ fact: "person.birthDate", is: "known" }, "Date of birth is known"],
    [
      { fact: "person.birthDate", is: "over", value: { fact: "start", plusMonths: -216 } },
      "Date of birth is over 18 years before start of studies",
    ],
    [
      { fact: "x", is: "atLeast", value: { fact: "start", plusMonths: 1 } },
      "x is at least 1 month after start of studies",
    ],
    [
      { some: "degrees", where: { fact: "it.level", is: "atLeast", value: 6 } },
      "at least one of degrees where Level is at least 6",
    ],
    [
      {
        sum: "courses",
        of: "ects",
        is: "atLeast",
        value: 20,
        where: { fact: "it.area", is: "equals", value: "natural" },
      },
      "the sum of ECTS over courses where Subject area is natural is at least 20",
    ],
    [{ count: "tests", is: "atLeast", value: 1 }, "the number of test results is at least 1"],
    [{ all: [] }, "always"],
    [{ any: [] }, "never"],
    [
      {
        all: [
          { fact: "a", is: "known" },
          {
            any: [
              { fact: "b", is: "known" },
              { fact: "c", is: "known" },
            ],
          },
        ],
      },
      "a is known and (b is known or c is known)",
    ],
    [{ not: { fact: "a", is: "known" } }, "not (a is known)"],
    [
      {
        atLeast: 2,
        of: [
          { fact: "a", is: "known" },
          { fact: "b", is: "known" },
        ],
      },
      "at least 2 of: a is known; b is known",
    ],
    [{ fact: "c", is: "includesOneOf", value: ["IE", "FR"] }, "c includes one of Ireland, France"],
    [
      { fact: "c", is: "oneOf", value: ["AT", "BE", "BG", "CH", "CY", "CZ", "DE"] },
      "c is one of Austria, Belgium, Bulgaria, Switzerland, Cyprus and 2 more",
    ],
    [{ fact: "d", is: "over", value: "2027-02-03" }, "d is over 3 Feb 2027"],
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
      { some: "courses", where: { fact: "it.area", is: "oneOf", value: ["natural", "other", "unheard"] } },
      "at least one of courses where Subject area is one of Natural sciences, Other, unheard",
    ],
    [{ fact: "answers.english.way", is: "equals", value: "exempt" }, "How you prove your English is By an exemption"],
    [{ fact: "answers.english.way", is: "equals", value: "natural" }, "How you prove your English is natural"],
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
      "Subject area: Other; must be one of Natural sciences, unheard",
    );
  });
});
