import type { Comparison, Condition, Limit } from "../rules/condition";
import { comparisonsFor, type KnownFact, type KnownFacts } from "./facts";

/** How a condition is put together step by step: its shapes, and what a new one of each looks like. */
export type Shape = "all" | "any" | "not" | "atLeast" | "fact" | "some" | "count" | "sum";

export function shapeOf(condition: Condition): Shape {
  if ("all" in condition) return "all";
  if ("any" in condition) return "any";
  if ("not" in condition) return "not";
  if ("fact" in condition) return "fact";
  if ("some" in condition) return "some";
  if ("count" in condition) return "count";
  return "sum" in condition ? "sum" : "atLeast";
}

/** The facts that a condition may read at a place: inside a list its entry’s own first. */
export function factsIn(facts: KnownFacts, list: string | null): readonly KnownFact[] {
  const own = list === null ? [] : (facts.lists.find((l) => l.name === list)?.facts ?? []);
  return [...own, ...facts.scalars];
}

/** A limit to begin with, of the fact’s type. */
export function firstLimit(fact: KnownFact, is: Comparison): Limit | undefined {
  if (is === "known") return undefined;
  if (is === "oneOf" || is === "includesOneOf") return [];
  if (fact.type === "number") return 0;
  if (fact.type === "yesNo") return true;
  if (fact.type === "date") return { fact: "start" };
  return fact.options[0]?.value ?? "";
}

/** What a new condition of a shape looks like; what stood there before goes into a group that is put around it. */
export function newCondition(
  shape: Shape,
  facts: KnownFacts,
  list: string | null,
  before: Condition | null,
): Condition {
  const [fact] = factsIn(facts, list);
  const name = fact?.name ?? "start";
  const is = fact ? (comparisonsFor(fact.type)[0] ?? "known") : "known";
  const limit = fact ? firstLimit(fact, is) : undefined;
  const leaf: Condition = { fact: name, is, ...(limit === undefined ? {} : { value: limit }) };
  const inner = before ?? leaf;
  const parts =
    before && ("all" in before || "any" in before)
      ? "all" in before
        ? before.all
        : before.any
      : before && "of" in before && "atLeast" in before
        ? before.of
        : [inner];
  const firstList = facts.lists[0];
  const number = firstList?.facts.find((f) => f.type === "number");
  switch (shape) {
    case "all":
      return { all: parts };
    case "any":
      return { any: parts };
    case "atLeast":
      return { atLeast: 1, of: parts };
    case "not":
      return { not: inner };
    case "fact":
      return leaf;
    case "some":
      return { some: firstList?.name ?? "", where: { all: [] } };
    case "count":
      return { count: firstList?.name ?? "", is: "atLeast", value: 1 };
    case "sum":
      return { sum: firstList?.name ?? "", of: number?.name.slice(3) ?? "", is: "atLeast", value: 1 };
  }
}
