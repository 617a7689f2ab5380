import { describe, expect, it } from "vitest";
import { referenceSet } from "../../demo/reference-set";
import { referenceProblems, type Uses } from "./reference-problems";
import { type ReferenceSet, referenceDraftSchema, referenceSetSchema } from "./reference-set";

const NOTHING: Uses = {
  groups: new Set(),
  campuses: new Set(),
  areas: new Set(),
  scales: new Set(),
  entitlements: new Set<string>(),
  graduates: new Set(),
  papers: new Set<string>(),
  tests: new Set(),
};
const FACTS = new Set(["citizenship.citizenships", "citizenship.residence", "citizenship.stay", "answers.graduate.of"]);
const [scale, , letters] = referenceSet.scales;
const [test] = referenceSet.tests;
const [home, alliance, overseas] = referenceSet.groups;
if (!scale || !letters || !test || !home || !alliance || !overseas)
  throw new Error("the demo's reference set has changed");

const found = (change: Partial<ReferenceSet>, uses: Partial<Uses> = {}) =>
  referenceProblems({ ...referenceSet, ...change }, FACTS, { ...NOTHING, ...uses }).map((p) =>
    `${p.code} ${p.area} ${p.about}`.trim(),
  );
const EMPTY = { en: " ", fr: "" };

describe("what keeps a reference set from being put in force", () => {
  it("is nothing in the demo's", () => expect(found({})).toEqual([]));

  it.each<readonly [string, Partial<ReferenceSet>, readonly string[]]>([
    [
      "a text that is missing",
      { areas: [{ key: "law", title: { en: "Law", fr: "" } }] },
      ["missing-text areas law: French"],
    ],
    ["the office's name", { name: EMPTY }, ["missing-text office name: English", "missing-text office name: French"]],
    ["a zone that does not exist", { zone: "Europe/Merrow" }, ["unknown-zone office Europe/Merrow"]],
    [
      "a short name twice",
      { areas: [...referenceSet.areas, ...referenceSet.areas.slice(0, 1)] },
      ["duplicate-key areas natural"],
    ],
    ["no group", { groups: [] }, ["no-groups groups"]],
    ["a last group that leaves somebody out", { groups: [home] }, ["last-group groups home"]],
    [
      "a group behind everybody",
      { groups: [overseas, home] },
      ["last-group groups home", "unreachable-group groups home"],
    ],
    [
      "a group that nobody can be in",
      {
        groups: [
          {
            ...home,
            when: {
              op: "all",
              of: [
                { op: "fact", fact: "citizenship.residence", is: "equals", value: "FR" },
                { op: "fact", fact: "citizenship.residence", is: "equals", value: "SR" },
              ],
            },
          },
          overseas,
        ],
      },
      ["never-met groups home"],
    ],
    [
      "a group that reads what no form asks",
      { groups: [{ ...home, when: { op: "fact", fact: "answers.law.field", is: "known" } }, overseas] },
      ["unknown-fact groups home: answers.law.field"],
    ],
    [
      "a mark that is no number",
      { scales: [{ ...scale, best: "twenty" }] },
      ["scale-number scales to20: best, pass and worst"],
    ],
    ["best and pass alike", { scales: [{ ...scale, pass: "20" }] }, ["scale-order scales to20: pass"]],
    ["a step that misses the best mark", { scales: [{ ...scale, step: "0.3" }] }, ["scale-step scales to20: 0.3"]],
    ["no step forward", { scales: [{ ...scale, step: "0" }] }, ["scale-step scales to20: 0"]],
    [
      "a percentage that nobody stated",
      { scales: [{ ...scale, percent: { multiplier: "x", offset: "0", source: " " } }] },
      ["scale-percent scales to20: numbers", "scale-percent scales to20: source"],
    ],
    ["a pass outside the scale", { scales: [{ ...scale, pass: "-1" }] }, ["scale-order scales to20: pass"]],
    [
      "letters twice, and off the scale",
      {
        scales: [
          {
            ...letters,
            letters: [
              { label: "A", points: "4" },
              { label: " a", points: "9" },
            ],
          },
        ],
      },
      ["letter-twice scales letters4: A", "letter-off-scale scales letters4:  a"],
    ],
    ["a test without parts", { tests: [{ ...test, parts: [] }] }, ["no-parts tests het:"]],
    [
      "a part without a range",
      { tests: [{ ...test, parts: test.parts.map((p, i) => (i === 0 ? { ...p, step: 0 } : p)) }] },
      ["part-range tests het: L"],
    ],
    [
      "levels that fall",
      {
        tests: [
          {
            ...test,
            levels: [
              { level: "B1", total: 30, every: 30 },
              { level: "B2", total: 29, every: 30 },
            ],
          },
        ],
      },
      ["levels-order tests het: B2"],
    ],
    [
      "a level that no score reaches",
      { tests: [{ ...test, levels: [{ level: "B1", total: 51, every: 20 }] }] },
      ["level-range tests het: B1"],
    ],
  ])("%s", (_, change, expected) => expect(found(change)).toEqual(expected));

  it("lets nothing go that is named elsewhere", () => {
    expect(found({ campuses: [] }, { campuses: new Set(["merrow"]), tests: new Set(["het"]) })).toEqual([
      "still-used campuses merrow",
    ]);
    expect(found({ papers: [] }, { papers: new Set(["passport"]) })).toEqual(["still-used papers passport"]);
  });

  it("asks for no facts while there is no form", () => {
    const groups = [{ ...home, when: { op: "fact" as const, fact: "anything", is: "known" as const } }, overseas];
    expect(referenceProblems({ ...referenceSet, groups }, null, NOTHING)).toEqual([]);
  });

  it("counts a scale whose best is low as well as one whose best is high", () => {
    expect(found({ scales: [{ key: "down", title: scale.title, best: "1", pass: "4", worst: "5" }] })).toEqual([]);
  });
});

describe("the draft of a reference set", () => {
  it("may lack texts, which the one in force may not", () => {
    const draft = { ...referenceSet, areas: [{ key: "law", title: { en: "", fr: "" } }] };
    expect(referenceDraftSchema.safeParse(draft).success).toBe(true);
    expect(referenceSetSchema.safeParse(draft).success).toBe(false);
  });

  it("is nothing in a standardised test, which is of no language and has no levels", () =>
    expect(
      found({
        tests: [
          {
            ...test,
            key: "sqt",
            language: null,
            parts: [
              { ...test.parts[0], key: "Q", title: { en: "Numbers", fr: "Nombres" }, min: 200, max: 800, step: 10 },
            ],
            levels: [],
          },
        ],
      }),
    ).toEqual([]));
});
