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
  if ("all" in condition) return condition.all.flatMap((c) => inner(c));
  if ("any" in condition) return condition.any.flatMap((c) => inner(c));
  if ("of" in condition && "atLeast" in condition) return condition.of.flatMap((c) => inner(c));
  if ("not" in condition) return inner(condition.not);
  if ("fact" in condition) {
    const own = condition.fact.startsWith("it.") && list ? `${list}.${condition.fact.slice(3)}` : condition.fact;
    return [own, ...limitFact(condition.value)];
  }
  if ("some" in condition) return inner(condition.where, condition.some);
  const where = condition.where;
  if ("count" in condition)
    return [...(where ? inner(where, condition.count) : [condition.count]), ...limitFact(condition.value)];
  return [
    `${condition.sum}.${condition.of}`,
    ...(where ? inner(where, condition.sum) : []),
    ...limitFact(condition.value),
  ];
}
