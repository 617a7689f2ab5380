import type { ChoiceContext } from "../file/choice-context";
import type { AnswerFact } from "../file/facts";
import { factName } from "../rulebook/section";
import { applies, fieldsThatApply } from "./completeness";
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

/** What a submitted choice uses is locked with it and stays as it was, unless the office opened sections again. */
function lockedPlaces(submitted: readonly ChoiceContext[]): (answer: AnswerFact) => boolean {
  const sections = new Set(submitted.flatMap((c) => c.rulebook.body.sections.map((s) => s.key)));
  const choices = new Set(submitted.map((c) => c.choice.id));
  return ({ scope, section }) => (scope === "file" ? sections.has(section) : choices.has(scope));
}

/**
 * The answers that do not apply any more although they are awake, and those that sleep although they apply again. Sleeping
 * answers are kept, not submitted, and never enter the facts. One waking can wake the next: ask until nothing changes.
 * @param reopened whether the office has opened sections of a submission again
 */
export function dormancyChanges(
  awake: readonly AnswerFact[],
  asleep: readonly AnswerFact[],
  contexts: readonly ChoiceContext[],
  reopened: boolean,
): readonly AnswerFact[] {
  const live = contexts.filter((c) => c.choice.withdrawnAt === null);
  const submitted = reopened ? [] : live.filter((c) => c.choice.submittedAt !== null);
  if (submitted.length === live.length) return [];
  const isLocked = lockedPlaces(submitted);
  const isWrong = (answer: AnswerFact, sleeps: boolean): boolean => {
    const using = live.filter((c) => answer.scope === "file" || answer.scope === c.choice.id);
    if (using.length === 0 || isLocked(answer)) return false;
    return wanted(answer, using) === sleeps;
  };
  return [...awake.filter((a) => isWrong(a, false)), ...asleep.filter((a) => isWrong(a, true))];
}
