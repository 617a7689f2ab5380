import type { ChoiceContext } from "../file/choice-context";
import type { RequirementResult } from "../file/result";
import { standingFactOf } from "../rulebook/facts";
import type { RulebookBody } from "../rulebook/rulebook";
import { type Fact, type FactSource, UNKNOWN } from "../rules/fact";
import { factNames } from "../rules/names";
import { isSettled } from "./to-submit";

const reading = new WeakMap<RulebookBody, boolean>();

/** Whether an entry rule of the rulebook reads where something stands; most do not. */
function readsStandings(body: RulebookBody): boolean {
  const known = reading.get(body);
  if (known !== undefined) return known;
  const names = body.entryRules.flatMap((r) => [
    ...factNames(r.rule),
    ...(r.curable ? factNames(r.curable.possible) : []),
  ]);
  const reads = names.some((name) => standingFactOf(name) !== null);
  reading.set(body, reads);
  return reads;
}

/**
 * Where a requirement stands, as rules see it: how it was settled, and unknown while anything of it may still come. Of one that is asked
 * entry by entry, the whole: accepted where something was and nothing was excused.
 */
export function standingFact(key: string, choice: string, requirements: readonly RequirementResult[]): Fact {
  const own = requirements.filter((r) => r.key === key && r.choices.includes(choice));
  if (own.length === 0 || !own.every(isSettled)) return UNKNOWN;
  const value = (["excused", "accepted"] as const).find((s) => own.some((r) => r.standing === s)) ?? "not needed";
  return { kind: "value", value, confirmed: true };
}

/** The facts of a choice as its entry rules see them: with where its requirements stand, which is known only after all else. */
export function withStandings<Context extends Pick<ChoiceContext, "choice" | "rulebook" | "source">>(
  context: Context,
  requirements: readonly RequirementResult[],
): Context {
  const { choice, rulebook, source } = context;
  if (!readsStandings(rulebook.body)) return context;
  const seen: FactSource = {
    ...source,
    scalar: (name) => {
      const key = standingFactOf(name);
      return key === null ? source.scalar(name) : standingFact(key, choice.id, requirements);
    },
  };
  return { ...context, source: seen };
}
