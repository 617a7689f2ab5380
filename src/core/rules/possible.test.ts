import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Condition } from "./condition";
import { judge } from "./evaluate";
import { canBeMet } from "./possible";

const age = (is: "atLeast" | "atMost" | "over" | "under" | "equals" | "differs", value: number): Condition => ({
  op: "fact",
  fact: "age",
  is,
  value,
});
const mode = (value: string): Condition => ({ op: "fact", fact: "mode", is: "equals", value });

describe("whether a condition can be met at all", () => {
  it.each<[string, Condition, boolean]>([
    ["everything", { op: "all", of: [] }, true],
    ["nothing", { op: "any", of: [] }, false],
    ["two bounds that meet", { op: "all", of: [age("atLeast", 18), age("atMost", 18)] }, true],
    ["two bounds that cross", { op: "all", of: [age("atLeast", 18), age("under", 18)] }, false],
    ["open bounds around nothing", { op: "all", of: [age("over", 18), age("under", 18)] }, false],
    [
      "a gap in one alternative only",
      { op: "any", of: [{ op: "all", of: [age("over", 20), age("under", 10)] }, age("atLeast", 18)] },
      true,
    ],
    ["two values at once", { op: "all", of: [mode("full"), mode("part")] }, false],
    ["a value and its opposite", { op: "all", of: [mode("full"), { op: "not", of: mode("full") }] }, false],
    [
      "a value outside a list",
      { op: "all", of: [mode("full"), { op: "fact", fact: "mode", is: "oneOf", value: ["part", "evening"] }] },
      false,
    ],
    [
      "levels that cross",
      {
        op: "all",
        of: [
          { op: "fact", fact: "l", is: "atLeast", value: "C1" },
          { op: "fact", fact: "l", is: "atMost", value: "B2" },
        ],
      },
      false,
    ],
    [
      "days that cross",
      {
        op: "all",
        of: [
          { op: "fact", fact: "d", is: "over", value: "2027-02-01" },
          { op: "fact", fact: "d", is: "under", value: "2027-01-01" },
        ],
      },
      false,
    ],
    [
      "sums of one list that cross",
      {
        op: "all",
        of: [
          { op: "sum", list: "courses", field: "ects", is: "atLeast", value: 180 },
          { op: "sum", list: "courses", field: "ects", is: "under", value: 60 },
        ],
      },
      false,
    ],
    [
      "sums over different entries",
      {
        op: "all",
        of: [
          { op: "sum", list: "courses", field: "ects", is: "atLeast", value: 180 },
          { op: "sum", list: "courses", field: "ects", is: "under", value: 60, where: mode("x") },
        ],
      },
      true,
    ],
    [
      "an entry that cannot be",
      { op: "some", list: "courses", where: { op: "all", of: [age("over", 2), age("under", 1)] } },
      false,
    ],
    ["none of it", { op: "not", of: { op: "any", of: [age("atLeast", 18), age("under", 18)] } }, false],
    ["two of three that exclude each other", { op: "atLeast", count: 2, of: [mode("a"), mode("b"), mode("c")] }, false],
    ["one of three that exclude each other", { op: "atLeast", count: 1, of: [mode("a"), mode("b"), mode("c")] }, true],
    ["more than there are", { op: "atLeast", count: 3, of: [age("over", 1), age("over", 2)] }, false],
    [
      "not even two of three",
      { op: "not", of: { op: "atLeast", count: 2, of: [age("atLeast", 1), age("atLeast", 2), age("atLeast", 3)] } },
      true,
    ],
    [
      "a limit that is another fact",
      {
        op: "all",
        of: [
          { op: "fact", fact: "a", is: "over", value: { fact: "b" } },
          { op: "fact", fact: "a", is: "under", value: { fact: "b" } },
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
      fc.array(tie("tree"), { maxLength: 3 }).map((of): Condition => ({ op: "all", of })),
      fc.array(tie("tree"), { maxLength: 3 }).map((of): Condition => ({ op: "any", of })),
      tie("tree").map((of): Condition => ({ op: "not", of })),
      fc
        .tuple(fc.integer({ min: 0, max: 3 }), fc.array(tie("tree"), { maxLength: 3 }))
        .map(([count, of]): Condition => ({ op: "atLeast", count, of })),
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
