import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Condition } from "./condition";
import { judge } from "./evaluate";
import { canBeMet } from "./possible";

const age = (is: "atLeast" | "atMost" | "over" | "under" | "equals" | "differs", value: number): Condition => ({
  fact: "age",
  is,
  value,
});
const mode = (value: string): Condition => ({ fact: "mode", is: "equals", value });

describe("whether a condition can be met at all", () => {
  it.each<[string, Condition, boolean]>([
    ["everything", { all: [] }, true],
    ["nothing", { any: [] }, false],
    ["two bounds that meet", { all: [age("atLeast", 18), age("atMost", 18)] }, true],
    ["two bounds that cross", { all: [age("atLeast", 18), age("under", 18)] }, false],
    ["open bounds around nothing", { all: [age("over", 18), age("under", 18)] }, false],
    [
      "a gap in one alternative only",
      { any: [{ all: [age("over", 20), age("under", 10)] }, age("atLeast", 18)] },
      true,
    ],
    ["two values at once", { all: [mode("full"), mode("part")] }, false],
    ["a value and its opposite", { all: [mode("full"), { not: mode("full") }] }, false],
    [
      "a value outside a list",
      { all: [mode("full"), { fact: "mode", is: "oneOf", value: ["part", "evening"] }] },
      false,
    ],
    [
      "levels that cross",
      {
        all: [
          { fact: "l", is: "atLeast", value: "C1" },
          { fact: "l", is: "atMost", value: "B2" },
        ],
      },
      false,
    ],
    [
      "days that cross",
      {
        all: [
          { fact: "d", is: "over", value: "2027-02-01" },
          { fact: "d", is: "under", value: "2027-01-01" },
        ],
      },
      false,
    ],
    [
      "sums of one list that cross",
      {
        all: [
          { sum: "courses", of: "ects", is: "atLeast", value: 180 },
          { sum: "courses", of: "ects", is: "under", value: 60 },
        ],
      },
      false,
    ],
    [
      "sums over different entries",
      {
        all: [
          { sum: "courses", of: "ects", is: "atLeast", value: 180 },
          { sum: "courses", of: "ects", is: "under", value: 60, where: mode("x") },
        ],
      },
      true,
    ],
    ["an entry that cannot be", { some: "courses", where: { all: [age("over", 2), age("under", 1)] } }, false],
    ["none of it", { not: { any: [age("atLeast", 18), age("under", 18)] } }, false],
    ["two of three that exclude each other", { atLeast: 2, of: [mode("a"), mode("b"), mode("c")] }, false],
    ["one of three that exclude each other", { atLeast: 1, of: [mode("a"), mode("b"), mode("c")] }, true],
    ["more than there are", { atLeast: 3, of: [age("over", 1), age("over", 2)] }, false],
    [
      "not even two of three",
      { not: { atLeast: 2, of: [age("atLeast", 1), age("atLeast", 2), age("atLeast", 3)] } },
      true,
    ],
    [
      "a limit that is another fact",
      {
        all: [
          { fact: "a", is: "over", value: { fact: "b" } },
          { fact: "a", is: "under", value: { fact: "b" } },
        ],
      },
      true,
    ],
  ])("%s: %j", (_, condition, possible) => expect(canBeMet(condition)).toBe(possible));

  const leaf = fc
    .tuple(fc.constantFrom("atLeast", "atMost", "over", "under", "equals", "differs"), fc.integer({ min: 0, max: 6 }))
    .map(([is, value]) => age(is as "atLeast", value));
  const { tree } = fc.letrec<{ tree: Condition }>((tie) => ({
    tree: fc.oneof(
      { maxDepth: 3, withCrossShrink: true },
      leaf,
      fc.array(tie("tree"), { maxLength: 3 }).map((all) => ({ all })),
      fc.array(tie("tree"), { maxLength: 3 }).map((any) => ({ any })),
      tie("tree").map((not) => ({ not })),
      fc
        .tuple(fc.integer({ min: 0, max: 3 }), fc.array(tie("tree"), { maxLength: 3 }))
        .map(([atLeast, of]) => ({ atLeast, of })),
    ),
  }));

  it("is never denied of a condition that some value meets", () =>
    fc.assert(
      fc.property(tree, fc.integer({ min: -1, max: 14 }), (condition, half) => {
        const value = { n: BigInt(half), d: 2n };
        const met = judge(condition, {
          scalar: () => ({ kind: "value", value, confirmed: true }),
          list: () => ({ entries: [], open: false }),
        }).truth;
        return met !== "met" || canBeMet(condition);
      }),
    ));
});
