import type { Condition, ConditionOf } from "../rules/condition";
import { evaluate } from "../rules/evaluate";
import type { FactSource } from "../rules/fact";
import { leafOf } from "../rules/trace";
import type { LocalText } from "../text/local-text";
import type { RulebookBody } from "./rulebook";
import { factName, type Section } from "./section";

type Asked = ConditionOf<"sum" | "fact">;

interface AskedSum {
  /** The fact name of the list that is added up. */
  readonly list: string;
  readonly title: LocalText;
  /** The sum, or the months that a measure counts over the list. */
  readonly rule: Asked;
}

/** How far a list has come towards what an entry rule asks of it. */
export interface RunningSum {
  readonly title: LocalText;
  /** Decimal; null while nothing can be added up. */
  readonly now: string | null;
  readonly least: string;
}

/** The sums that have to reach something whatever else holds: one way among several may be none of this applicant’s. */
function sumsIn(condition: Condition): readonly Asked[] {
  if (condition.op === "sum" || (condition.op === "fact" && condition.fact.startsWith("measure.")))
    return condition.is === "atLeast" && typeof condition.value !== "object" ? [condition] : [];
  return condition.op === "all" ? condition.of.flatMap(sumsIn) : [];
}

/** The list over which a rule counts; null where it counts over none. */
function listOf(body: RulebookBody, rule: Asked): string | null {
  if (rule.op === "sum") return rule.list;
  const measure = body.measures.find((m) => `measure.${m.key}` === rule.fact);
  return measure?.kind === "span" ? measure.list : null;
}

const asked = new WeakMap<RulebookBody, readonly AskedSum[]>();

function sumsOf(body: RulebookBody): readonly AskedSum[] {
  const known = asked.get(body);
  if (known) return known;
  const found = body.entryRules.flatMap(({ title, rule }) => {
    const sums = sumsIn(rule).flatMap((r) => {
      const list = listOf(body, r);
      return list === null ? [] : [{ list, title, rule: r }];
    });
    // A rule that adds up several things is not told by one number.
    return sums.length === 1 ? sums : [];
  });
  asked.set(body, found);
  return found;
}

/** What the entry rules add up over a list of the form, as it stands: shown under the list while it is filled in. */
export function runningSums(body: RulebookBody, section: Section, facts: FactSource): readonly RunningSum[] {
  const name = factName(section);
  return sumsOf(body)
    .filter((s) => s.list === name)
    .map(({ title, rule }) => ({
      title,
      now: leafOf(evaluate(rule, facts))?.seen ?? null,
      least: String(rule.value),
    }));
}
