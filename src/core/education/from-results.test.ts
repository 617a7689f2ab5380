import { describe, expect, it } from "vitest";
import { referenceSet } from "../../demo/reference-set";
import { education } from "../../demo/rulebooks/parts/studies";
import { degreeValues, type NamedDegree } from "./from-results";

const DEGREE: NamedDegree = {
  institution: "Hillview Sample University",
  country: "pt",
  title: "Bachelor in Data Studies",
  status: "completed",
  grade: "8.3",
  language: "EN",
  level: "6",
  start: "2021-09-01",
  date: "2024-06-30",
};
const TAKEN = {
  institution: "Hillview Sample University",
  country: "PT",
  title: "Bachelor in Data Studies",
  status: "completed",
  grade: "8.3",
  language: "en",
  level: "6",
  start: "2021-09-01",
  end: "2024-06-30",
};
const without = (...left: readonly string[]) =>
  Object.fromEntries(Object.entries(TAKEN).filter(([key]) => !left.includes(key)));

describe("a degree of a file of results, as an entry of the form", () => {
  it.each<[string, Partial<NamedDegree>, Readonly<Record<string, string>>]>([
    ["says all that the file says", {}, TAKEN],
    [
      "has no end while it runs, whatever day stands there",
      { status: "in progress" },
      { ...without("end"), status: "in progress" },
    ],
    ["has no status when it was not passed", { status: "failed" }, without("status", "end")],
    ["leaves a country out that the form does not offer", { country: "QQ" }, without("country")],
    ["leaves a level out that the two frameworks count otherwise", { level: "5" }, without("level")],
    ["leaves a day out that is none", { start: "2021-13-41" }, without("start")],
    ["leaves out what the form would not take", { title: "x".repeat(201) }, without("title")],
    ["leaves out what the file does not say", { language: "", grade: "" }, without("language", "grade")],
  ])("%s", (_, change, expected) =>
    expect(degreeValues({ ...DEGREE, ...change }, education.fields, referenceSet, new Set(["PT"]))).toEqual(expected),
  );
});
