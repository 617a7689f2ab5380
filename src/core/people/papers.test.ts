import { describe, expect, it } from "vitest";
import type { Fact, FactSource } from "../rules/fact";
import { type CountingPaper, joinCounting, looksLike, type Paper, papersFor } from "./papers";

const local = (en: string) => ({ en, fr: en });
const PAPERS: readonly Paper[] = [
  { key: "passport", title: local("passport"), countries: [], numbers: ["A0000000"] },
  { key: "card", title: local("card"), countries: ["IE", "PT"], numbers: [] },
  { key: "birth", title: local("birth certificate"), countries: [], numbers: ["000/0000"] },
];

const known = (value: string | readonly string[]): Fact => ({ kind: "value", value, confirmed: false });
const person = (group: string | null, citizenships: readonly string[] | null): FactSource => ({
  scalar: (name) =>
    name === "group" && group !== null
      ? known(group)
      : name === "citizenship.citizenships" && citizenships !== null
        ? known(citizenships)
        : { kind: "unknown" },
  list: () => ({ entries: [], open: false }),
});

describe("the number of a paper", () => {
  it.each([
    ["R4417720", ["A0000000"], true],
    ["r 441 7720", ["A0000000"], true],
    ["4417720R", ["A0000000"], false],
    ["R441772", ["A0000000"], false],
    ["R44177201", ["A0000000"], false],
    ["É4417720", ["A0000000"], true],
    ["123/4567", ["000/0000"], true],
    ["123-4567", ["000/0000"], false],
    ["9F", ["00", "XX"], true],
    ["9?", ["00", "XX"], false],
    ["whatever", [], true],
    ["", ["0"], false],
  ])("%s against %j: %s", (number, patterns, expected) => {
    expect(looksLike(number, patterns)).toBe(expected);
  });
});

describe("the papers that count", () => {
  const COUNTING: readonly CountingPaper[] = [{ key: "passport" }, { key: "card", groups: ["home"] }];
  it.each([
    ["all of the office's without a list", undefined, "home", ["IE"], ["passport", "card", "birth"]],
    ["those of the rulebook for the group", COUNTING, "home", ["IE"], ["passport", "card"]],
    ["not those of another group", COUNTING, "overseas", ["PT"], ["passport"]],
    ["not those that only others hold", COUNTING, "home", ["JP"], ["passport"]],
    ["by any of several citizenships", COUNTING, "home", ["JP", "PT"], ["passport", "card"]],
    ["none ruled out by what is not known", COUNTING, null, null, ["passport", "card"]],
  ] as const)("%s", (_, counting, group, citizenships, expected) => {
    expect(papersFor(PAPERS, counting, person(group, citizenships)).map((p) => p.key)).toEqual(expected);
  });

  it.each([
    ["one list alone", [{ key: "a" }], undefined, [{ key: "a" }]],
    ["what stands in both", [{ key: "a" }, { key: "b" }], [{ key: "b" }], [{ key: "b" }]],
    ["the narrower groups", [{ key: "a" }], [{ key: "a", groups: ["home"] }], [{ key: "a", groups: ["home"] }]],
    [
      "the groups of both",
      [{ key: "a", groups: ["home", "partner"] }],
      [{ key: "a", groups: ["partner", "overseas"] }],
      [{ key: "a", groups: ["partner"] }],
    ],
    ["nothing without a group in common", [{ key: "a", groups: ["home"] }], [{ key: "a", groups: ["overseas"] }], []],
  ])("of two programmes: %s", (_, a, b, expected) => {
    expect(joinCounting(a, b)).toEqual(expected);
    if (b) expect(joinCounting(b, a)).toEqual(expected);
  });
});
