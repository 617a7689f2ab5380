import type { ChoiceContext } from "../assessment/context";
import type { AnswerFact } from "../assessment/facts";
import { applies, fieldsThatApply } from "./completeness";
import { factName } from "./definition";
import { COMPLETE_FIELD } from "./typed-facts";

function wanted(answer: AnswerFact, using: readonly ChoiceContext[]): boolean {
  return using.some(({ rulebook, source }) => {
    const section = rulebook.body.sections.find((s) => s.key === answer.section);
    if (!section || !applies(section.when, source)) return false;
    return (
      answer.field === COMPLETE_FIELD ||
      fieldsThatApply(section, source, factName(section), answer.entry).some((f) => f.key === answer.field)
    );
  });
}

/**
 * The answers that do not apply any more although they are awake, and those that sleep although they apply again. Sleeping
 * answers are kept, not submitted, and never enter the facts. One waking can wake the next: ask until nothing changes.
 */
export function dormancyChanges(
  awake: readonly AnswerFact[],
  asleep: readonly AnswerFact[],
  contexts: readonly ChoiceContext[],
): readonly AnswerFact[] {
  const live = contexts.filter((c) => c.choice.withdrawnAt === null);
  const submitted = live.filter((c) => c.choice.submittedAt !== null);
  if (submitted.length === live.length) return [];
  // What a submitted choice uses is locked with it and stays as it was.
  const locked = new Set(submitted.flatMap((c) => c.rulebook.body.sections.map((s) => s.key)));
  const isWrong = (answer: AnswerFact, sleeps: boolean): boolean => {
    const using = live.filter((c) => answer.scope === "file" || answer.scope === c.choice.id);
    if (using.length === 0 || (answer.scope === "file" && locked.has(answer.section))) return false;
    return wanted(answer, using) === sleeps;
  };
  return [...awake.filter((a) => isWrong(a, false)), ...asleep.filter((a) => isWrong(a, true))];
}
