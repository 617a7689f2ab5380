import { describe, expect, it } from "vitest";
import type { Json } from "../file/facts";
import { parseDay } from "../time/day";
import { lastPlaceOfStudy, notableIn, type Study, studyOf } from "./studies";

const stated = (fields: Readonly<Record<string, Json>>) => studyOf(new Map(Object.entries(fields)));
const studies = (...all: readonly Readonly<Record<string, Json>>[]): readonly Study[] =>
  all.flatMap((fields) => stated(fields) ?? []);

const BSC = { institution: "Halden", country: "IE", title: "BSc", start: "2021-09-01", end: "2024-06-30" };
const MSC = { institution: "Vell", country: "FR", title: "MSc", start: "2024-09-01", expectedEnd: "2027-10-15" };

describe("a study", () => {
  it.each<[string, Readonly<Record<string, Json>>, boolean]>([
    ["a degree", BSC, true],
    ["a school that was not left yet", { name: "Quay School", stage: "secondary" }, true],
    ["a school that was left", { name: "Quay School", left: "2020" }, true],
    ["a job", { employer: "Harbour", start: "2021-01" }, false],
    ["a referee", { name: "Prof. Aldous", institution: "Halden" }, false],
    ["nothing typed", {}, false],
    ["a number for a place", { institution: 7, start: "2021-01-01" }, false],
  ])("%s: %o", (_, fields, isStudy) => expect(stated(fields) !== null).toBe(isStudy));

  it("goes on until it says that it ended, and while it is interrupted", () => {
    const running = (fields: Readonly<Record<string, Json>>) => stated({ ...BSC, ...fields })?.isRunning;
    expect([running({}), running({ end: "" }), running({ why: "paused" }), running({ why: "own" })]).toEqual([
      false,
      true,
      true,
      false,
    ]);
  });
});

describe("the last place of study", () => {
  const place = (...all: readonly Readonly<Record<string, Json>>[]) =>
    lastPlaceOfStudy(studies(...all))?.institution ?? null;
  it("is where somebody studies, else what ended last, in whatever order it was typed", () => {
    expect(place()).toBeNull();
    expect([place(BSC, MSC), place(MSC, BSC)]).toEqual(["Vell", "Vell"]);
    const later = { ...BSC, institution: "Tarbrook", end: "2025" };
    expect([place(BSC, later), place(later, BSC)]).toEqual(["Tarbrook", "Tarbrook"]);
    expect(place({ employer: "Harbour", start: "2025-01-01" }, BSC)).toBe("Halden");
  });
});

describe("what is looked into", () => {
  const START = parseDay("2027-09-01");
  const found = (start: number | null, ...all: readonly Readonly<Record<string, Json>>[]) =>
    notableIn(studies(...all), start).map((n) => `${n.code}: ${n.study.title}`);
  it.each<[string, Readonly<Record<string, Json>>, readonly string[]]>([
    ["a degree that was awarded", BSC, []],
    ["one that is expected after the start", MSC, ["ends after start: MSc"]],
    ["one that is expected on the day", { ...MSC, expectedEnd: "2027-09-01" }, []],
    ["one that may end before, by its month", { ...MSC, expectedEnd: "2027-09" }, []],
    ["left freely", { ...BSC, why: "own" }, []],
    ["left with credits", { ...BSC, why: "own", credits: "30" }, ["may transfer: BSc"]],
    ["left with none", { ...BSC, why: "own", credits: "0" }, []],
    ["an exclusion", { ...BSC, why: "excluded", credits: "12" }, ["excluded: BSc", "may transfer: BSc"]],
    ["interrupted", { ...BSC, why: "paused", end: "2029" }, ["still enrolled: BSc"]],
  ])("%s", (_, study, codes) => expect(found(START, study)).toEqual(codes));

  it("needs the start to say that a degree comes too late", () => expect(found(null, MSC)).toEqual([]));
});
