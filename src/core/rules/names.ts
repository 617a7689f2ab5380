import type { Condition, Limit } from "./condition";

function limitFact(limit: Limit | undefined): readonly string[] {
  return typeof limit === "object" && !Array.isArray(limit) ? [limit.fact] : [];
}

/**
 * The names of all facts that a condition reads, list fields as `list.field`: for finding the values behind a finding
 * and for refusing a rule that reads something which no section asks for.
 */
export function factNames(condition: Condition, list: string | null = null): readonly string[] {
  const inner = (c: Condition, l = list) => factNames(c, l);
  switch (condition.op) {
    case "all":
    case "any":
    case "atLeast":
      return condition.of.flatMap((c) => inner(c));
    case "not":
      return inner(condition.of);
    case "fact": {
      const own = condition.fact.startsWith("it.") && list ? `${list}.${condition.fact.slice(3)}` : condition.fact;
      return [own, ...limitFact(condition.value)];
    }
    case "some":
      return inner(condition.where, condition.list);
    case "count": {
      const { where, list: counted } = condition;
      return [...(where ? inner(where, counted) : [counted]), ...limitFact(condition.value)];
    }
    case "sum": {
      const { where, list: added, field } = condition;
      return [`${added}.${field}`, ...(where ? inner(where, added) : []), ...limitFact(condition.value)];
    }
  }
}
