import { describe, expect, it } from "vitest";
import { mes } from "../../demo/rulebooks/mes";
import { type Condition, type ConditionOp, conditionSchema } from "../rules/condition";
import { factNames } from "../rules/names";
import { factsIn, newCondition } from "./building";
import { knownFacts } from "./facts";

const facts = knownFacts(mes, ["home", "overseas"]);
const OPS: readonly ConditionOp[] = ["all", "any", "not", "atLeast", "fact", "some", "count", "sum"];
const before: Condition = { op: "fact", fact: "group", is: "equals", value: "home" };

describe("putting a condition together", () => {
  it.each(OPS)("a new %s is a condition of that kind that reads only facts that exist", (op) => {
    const made = newCondition(op, facts, null, null);
    expect(made.op).toBe(op);
    expect(conditionSchema.safeParse(made).success).toBe(true);
    const known = [
      ...facts.scalars.map((f) => f.name),
      ...facts.lists.flatMap((l) => [l.name, ...l.facts.map((f) => `${l.name}.${f.name.slice(3)}`)]),
    ];
    expect(known).toEqual(expect.arrayContaining([...factNames(made)]));
  });

  it.each<[ConditionOp, Condition, Condition]>([
    ["all", before, { op: "all", of: [before] }],
    ["not", before, { op: "not", of: before }],
    ["any", { op: "all", of: [before] }, { op: "any", of: [before] }],
    ["atLeast", { op: "any", of: [before] }, { op: "atLeast", count: 1, of: [before] }],
    ["all", { op: "atLeast", count: 1, of: [before] }, { op: "all", of: [before] }],
  ])("to %s: what stood there goes along", (op, old, next) => expect(newCondition(op, facts, null, old)).toEqual(next));

  it("offers an entry\u2019s own facts first inside its list", () =>
    expect(factsIn(facts, "degrees")[0]?.name.startsWith("it.")).toBe(true));
});
