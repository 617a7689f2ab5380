import type { AnswerFact } from "../file/facts";
import type { LoadedFile } from "../file/loaded-file";
import { answerKey, entryKey } from "../file/place";

const compare = (a: string, b: string): number => (a === b ? 0 : a < b ? -1 : 1);

/** Entries are ordered, and not answers: those of one entry mostly come together, with their fields by name. */
const byEntry = (a: AnswerFact, b: AnswerFact): number =>
  compare(a.section, b.section) || a.position - b.position || compare(a.entry, b.entry);

const byField = (a: AnswerFact, b: AnswerFact): number => compare(a.field, b.field);

const isSameEntry = (a: AnswerFact, b: AnswerFact): boolean =>
  a.position === b.position && a.section === b.section && a.entry === b.entry;

/** Answers that come after each other as they should. */
interface Run {
  readonly first: AnswerFact;
  readonly from: number;
  readonly to: number;
}

function runsOf(answers: readonly AnswerFact[]): Run[] {
  const runs: Run[] = [];
  let from = 0;
  for (let i = 1; i <= answers.length; i += 1) {
    const [before, here, first] = [answers[i - 1], answers[i], answers[from]];
    if (before === undefined || first === undefined) continue;
    if (here !== undefined && isSameEntry(before, here) && before.field <= here.field) continue;
    runs.push({ first, from, to: i });
    from = i;
  }
  return runs;
}

/** Answers in the order in which a file holds them: section by section, entries as they were added, fields by name. */
export function inFileOrder(answers: readonly AnswerFact[]): readonly AnswerFact[] {
  const runs = runsOf(answers).sort((a, b) => byEntry(a.first, b.first));
  const ordered: AnswerFact[] = [];
  let before: Run | undefined;
  let begin = 0;
  for (const run of runs) {
    const goesOn = before !== undefined && isSameEntry(before.first, run.first);
    if (!goesOn) begin = ordered.length;
    for (const answer of answers.slice(run.from, run.to)) ordered.push(answer);
    // What belongs to one entry came in pieces.
    if (goesOn) ordered.push(...ordered.splice(begin).sort(byField));
    before = run;
  }
  return ordered;
}

/**
 * The file as it is once answers were written and entries were taken out. What is written is awake, whatever it was before: whether it
 * applies is settled afterwards.
 */
export function withAnswers(
  { facts, asleep, rulebooks, rounds }: LoadedFile,
  written: readonly AnswerFact[],
  removed: readonly Pick<AnswerFact, "scope" | "section" | "entry">[],
): LoadedFile {
  const places = new Set(written.map(answerKey));
  const entries = new Set(removed.map(entryKey));
  const stays = (a: AnswerFact) => !places.has(answerKey(a)) && !entries.has(entryKey(a));
  const kept = written.filter((a) => !entries.has(entryKey(a)));
  const answers = inFileOrder([...facts.answers.filter(stays), ...kept]);
  return { rulebooks, rounds, asleep: asleep.filter(stays), facts: { ...facts, answers } };
}
