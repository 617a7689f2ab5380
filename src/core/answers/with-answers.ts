import type { AnswerFact } from "../file/facts";
import type { LoadedFile } from "../file/loaded-file";

export const placeOf = (a: Pick<AnswerFact, "scope" | "section" | "entry" | "field">): string =>
  `${a.scope}|${a.section}|${a.entry}|${a.field}`;

const compare = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/** Answers in the order in which a file holds them: section by section, entries as they were added, fields by name. */
export const inFileOrder = (answers: readonly AnswerFact[]): readonly AnswerFact[] =>
  [...answers].sort(
    (a, b) =>
      compare(a.section, b.section) ||
      a.position - b.position ||
      compare(a.entry, b.entry) ||
      compare(a.field, b.field),
  );

/**
 * The file as it is once answers were written and entries were taken out. What is written is awake, whatever it was before: whether it
 * applies is settled afterwards.
 */
export function withAnswers(
  { facts, asleep, rulebooks, rounds }: LoadedFile,
  written: readonly AnswerFact[],
  removed: readonly Pick<AnswerFact, "scope" | "section" | "entry">[],
): LoadedFile {
  const places = new Set(written.map(placeOf));
  const entries = new Set(removed.map((r) => `${r.scope}|${r.section}|${r.entry}`));
  const stays = (a: AnswerFact) => !places.has(placeOf(a)) && !entries.has(`${a.scope}|${a.section}|${a.entry}`);
  const kept = written.filter((a) => !entries.has(`${a.scope}|${a.section}|${a.entry}`));
  const answers = inFileOrder([...facts.answers.filter(stays), ...kept]);
  return { rulebooks, rounds, asleep: asleep.filter(stays), facts: { ...facts, answers } };
}
