import { compile, type Rule } from "./compile";
import type { Condition } from "./condition";
import type { FactList, FactSource } from "./fact";
import type { Trace } from "./trace";
import type { Judgement } from "./truth";

/** Published rules never change, so each condition is compiled once a process. */
const rules = new WeakMap<Condition, Rule>();

function ruleOf(condition: Condition): Rule {
  const known = rules.get(condition);
  if (known) return known;
  const rule = compile(condition);
  rules.set(condition, rule);
  return rule;
}

/**
 * Evaluates a condition over facts in three values and says why. Connectives are monotone, so a result that is met or not
 * met cannot be turned by a fact that is still open; only "open" can change.
 */
export function evaluate(condition: Condition, facts: FactSource): Trace {
  return ruleOf(condition).trace(facts);
}

/** The same result without its reasons, for the many conditions whose trace nobody reads. */
export function judge(condition: Condition, facts: FactSource): Judgement {
  return ruleOf(condition).judge(facts);
}

/** The same for every entry of a list at once, in their order. */
export function judgeEach(condition: Condition, list: FactList, facts: FactSource): readonly Judgement[] {
  return ruleOf(condition).judgeEach(list, facts);
}
