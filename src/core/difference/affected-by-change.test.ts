import { describe, expect, it } from "vitest";
import { referenceSet } from "../../demo/reference-set";
import { sampleRulebook } from "../../demo/sample-file";
import type { Instant } from "../ids";
import type { ReferenceSet } from "../standards/reference-set";
import { changedNames, isNamedIn, restsOn } from "./affected-by-change";

const SCALE = sampleRulebook.body.sections.flatMap((s) =>
  s.fields.flatMap((f) => (f.kind === "scale" ? [{ section: s.key, field: f.key }] : [])),
)[0];
const value = (field: string, text: string) => ({
  scope: "file",
  section: SCALE?.section ?? "",
  entry: "",
  field,
  value: text,
  version: 1,
  position: 0,
});
const stricter = (key: string): ReferenceSet => ({
  ...referenceSet,
  scales: referenceSet.scales.map((s) => (s.key === key ? { ...s, pass: "11" } : s)),
});

describe("what a change of the standards can touch", () => {
  it.each<[string, ReferenceSet, readonly string[] | null]>([
    ["nothing changed", { ...referenceSet }, []],
    ["a scale changed", stricter("to20"), ["scales to20"]],
    ["a scale went", { ...referenceSet, scales: referenceSet.scales.slice(1) }, ["scales to20"]],
    [
      "an area came",
      { ...referenceSet, areas: [...referenceSet.areas, { key: "law", title: { en: "Law", fr: "Droit" } }] },
      ["areas law"],
    ],
    ["lists stand in another order", { ...referenceSet, tests: [...referenceSet.tests].reverse() }, []],
    ["only the map changed", { ...referenceSet, map: { land: ["M0 0"], water: [] } }, []],
    ["another calendar", { ...referenceSet, calendar: { ...referenceSet.calendar, weekend: [7] } }, null],
    ["another group", { ...referenceSet, groups: referenceSet.groups.slice(1) }, null],
    ["a longer grace beside a scale", { ...stricter("to20"), graceMinutes: 99 }, null],
  ])("%s", (_, after, names) => expect(changedNames(referenceSet, after)).toEqual(names));
});

describe("what a file rests on", () => {
  const rulebooks = { [sampleRulebook.id]: sampleRulebook };
  const field = SCALE?.field ?? "";

  it("is what its answers and its confirmed values name, and its rulebook", () =>
    expect(
      restsOn(
        [value(field, "to20"), value("somethingElse", "to10")],
        [{ ...value(field, "to10"), at: "2026-11-25T09:00:00Z" as Instant, answerVersion: 1 }],
        rulebooks,
      ),
    ).toEqual([`rulebook ${sampleRulebook.id}`, "scales to10", "scales to20"]));

  it("is its rulebook alone while nothing was answered", () =>
    expect(restsOn([value(field, "")], [], rulebooks)).toEqual([`rulebook ${sampleRulebook.id}`]));
});

describe("what a rulebook names itself", () => {
  it("touches every file that stands on it", () => {
    expect(isNamedIn(sampleRulebook.body, ["tests het"])).toBe(true);
    expect(isNamedIn(sampleRulebook.body, ["scales nobody"])).toBe(false);
  });
});
