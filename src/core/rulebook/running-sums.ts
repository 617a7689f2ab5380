import type { Condition } from "../rules/condition";
import { evaluate } from "../rules/evaluate";
import type { FactSource } from "../rules/fact";
import { factName, type Section } from "../sections/definition";
import type { LocalText } from "../text/local-text";
import type { RulebookBody } from "./rulebook";

type Sum = Extract<Condition, { sum: string }>;

interface AskedSum {
  /** The fact name of the list that is added up. */
  readonly list: string;
  readonly title: LocalText;
  readonly sum: Sum;
}

/** How far a list has come towards what an entry rule asks of it. */
export interface RunningSum {
  readonly title: LocalText;
  /** Decimal; null while nothing can be added up. */
  readonly now: string | null;
  readonly least: string;
}

/** The sums that have to reach something whatever else holds: one way among several may be none of this applicant’s. */
function sumsIn(condition: Condition): readonly Sum[] {
  if ("sum" in condition) return condition.is === "atLeast" && typeof condition.value !== "object" ? [condition] : [];
  return "all" in condition ? condition.all.flatMap(sumsIn) : [];
}

const asked = new WeakMap<RulebookBody, readonly AskedSum[]>();

function sumsOf(body: RulebookBody): readonly AskedSum[] {
  const known = asked.get(body);
  if (known) return known;
  const found = body.entryRules.flatMap(({ title, rule }) => {
    const sums = sumsIn(rule);
    // A rule that adds up several things is not told by one number.
    return sums.length === 1 ? sums.map((sum) => ({ list: sum.sum, title, sum })) : [];
  });
  asked.set(body, found);
  return found;
}

/** What the entry rules add up over a list of the form, as it stands: shown under the list while it is filled in. */
export function runningSums(body: RulebookBody, section: Section, facts: FactSource): readonly RunningSum[] {
  const name = factName(section);
  return sumsOf(body)
    .filter((s) => s.list === name)
    .map(({ title, sum }) => ({
      title,
      now: evaluate(sum, facts).leaf?.seen ?? null,
      least: String(sum.value),
    }));
}
