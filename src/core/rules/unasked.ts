import type { Condition } from "./condition";

/** What holds of nobody. */
const NEVER: Condition = { op: "any", of: [] };

/**
 * A condition as it reads where some facts outside lists are never asked for: a comparison of one of them holds of nobody, and is not open
 * for good.
 */
export function withoutUnasked(condition: Condition, isAsked: (fact: string) => boolean): Condition {
  switch (condition.op) {
    case "all":
    case "any":
    case "atLeast":
      return { ...condition, of: condition.of.map((c) => withoutUnasked(c, isAsked)) };
    case "not":
      return { ...condition, of: withoutUnasked(condition.of, isAsked) };
    case "fact":
      return isAsked(condition.fact) ? condition : NEVER;
    default:
      return condition;
  }
}
