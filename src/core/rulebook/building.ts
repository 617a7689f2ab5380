import type { Comparison, Condition, ConditionOp, Limit } from "../rules/condition";
import { comparisonsFor, type KnownFact, type KnownFacts } from "./facts";

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

/** What a new condition of a kind looks like; what stood there before goes into a group that is put around it. */
export function newCondition(
  op: ConditionOp,
  facts: KnownFacts,
  list: string | null,
  before: Condition | null,
): Condition {
  const [fact] = factsIn(facts, list);
  const name = fact?.name ?? "start";
  const is = fact ? (comparisonsFor(fact.type)[0] ?? "known") : "known";
  const limit = fact ? firstLimit(fact, is) : undefined;
  const leaf: Condition = { op: "fact", fact: name, is, ...(limit === undefined ? {} : { value: limit }) };
  const inner = before ?? leaf;
  const parts = before && (before.op === "all" || before.op === "any" || before.op === "atLeast") ? before.of : [inner];
  const firstList = facts.lists[0];
  const number = firstList?.facts.find((f) => f.type === "number");
  switch (op) {
    case "all":
      return { op: "all", of: parts };
    case "any":
      return { op: "any", of: parts };
    case "atLeast":
      return { op: "atLeast", count: 1, of: parts };
    case "not":
      return { op: "not", of: inner };
    case "fact":
      return leaf;
    case "some":
      return { op: "some", list: firstList?.name ?? "", where: { op: "all", of: [] } };
    case "count":
      return { op: "count", list: firstList?.name ?? "", is: "atLeast", value: 1 };
    case "sum":
      return { op: "sum", list: firstList?.name ?? "", field: number?.name.slice(3) ?? "", is: "atLeast", value: 1 };
  }
}
