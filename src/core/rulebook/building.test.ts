import { describe, expect, it } from "vitest";
import { mes } from "../../demo/rulebooks/mes";
import { type Condition, conditionSchema } from "../rules/condition";
import { factNames } from "../rules/names";
import { factsIn, newCondition, type Shape, shapeOf } from "./building";
import { knownFacts } from "./facts";

const facts = knownFacts(mes, ["home", "overseas"]);
const SHAPES: readonly Shape[] = ["all", "any", "not", "atLeast", "fact", "some", "count", "sum"];
const before: Condition = { fact: "group", is: "equals", value: "home" };

describe("putting a condition together", () => {
  it.each(SHAPES)("a new %s is a condition of that shape that reads only facts that exist", (shape) => {
    const made = newCondition(shape, facts, null, null);
    expect(shapeOf(made)).toBe(shape);
    expect(conditionSchema.safeParse(made).success).toBe(true);
    const known = [
      ...facts.scalars.map((f) => f.name),
      ...facts.lists.flatMap((l) => [l.name, ...l.facts.map((f) => `${l.name}.${f.name.slice(3)}`)]),
    ];
    expect(known).toEqual(expect.arrayContaining([...factNames(made)]));
  });

  it.each<[Shape, Condition, Condition]>([
    ["all", before, { all: [before] }],
    ["not", before, { not: before }],
    ["any", { all: [before] }, { any: [before] }],
    ["atLeast", { any: [before] }, { atLeast: 1, of: [before] }],
    ["all", { atLeast: 1, of: [before] }, { all: [before] }],
  ])("to %s: what stood there goes along", (shape, old, next) =>
    expect(newCondition(shape, facts, null, old)).toEqual(next),
  );

  it("offers an entry\u2019s own facts first inside its list", () =>
    expect(factsIn(facts, "degrees")[0]?.name.startsWith("it.")).toBe(true));
});
