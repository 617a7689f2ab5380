import { dormancyChanges } from "../answers/dormancy";
import { inFileOrder } from "../answers/with-answers";
import { asksAnswered } from "../asks/answered";
import { assessIn, type Prepared, prepare } from "../assessment/assess";
import type { AnswerFact, FileFacts, Turn } from "../file/facts";
import type { LoadedFile } from "../file/loaded-file";
import { answerKey } from "../file/place";
import type { Assessment, FeeDue } from "../file/result";
import type { Office } from "../standards/reference-set";
import { toInstant } from "../time/zone";
import { type Adjustment, chargeChanges, withCharges } from "./charges";
import { type FileRow, fileRow } from "./file-row";

/**
 * What follows from a file's facts, worked out in memory until nothing follows any more: which answers apply, what is charged, which
 * choices are complete for the first time, which asks are answered, whose turn it is, and what lists show. Acts, re-assessment, lists and `verify` all use
 * this one function, so that none of them can come apart from the others.
 */
export interface Settled {
  /** The file with everything in it that follows. */
  readonly file: LoadedFile;
  readonly assessment: Assessment;
  /** What the assessment was worked out from, for whoever shows more of it. */
  readonly prepared: Prepared;
  readonly effects: Effects;
  readonly row: FileRow;
}

/** What has to be written beside the row for lists; nothing of it for a file that was at rest. */
export interface Effects {
  /** Answers that fall asleep, or wake. */
  readonly turned: readonly AnswerFact[];
  readonly made: readonly (FeeDue & { readonly id: string })[];
  readonly adjusted: readonly Adjustment[];
  /** The choices that are complete for the first time: their promise counts from now. */
  readonly completed: readonly string[];
  /** What was asked for and came about since, without being supplied at its place: references and payments. */
  readonly answered: readonly string[];
  /** The turn, where it is another one than was recorded last. */
  readonly turn: Turn | null;
}

/** So often a file may change itself before it is a defect. */
const MOST_PASSES = 12;

/** The answers that are awake and do not apply, or asleep and apply again. Nothing turns in what was submitted and not opened again. */
function wronglyAwake({ facts, asleep }: LoadedFile, { all }: Prepared): readonly AnswerFact[] {
  const reopened = facts.reopenings.some((r) => r.answeredAt === null);
  if (!reopened && facts.choices.every((c) => c.submittedAt !== null || c.withdrawnAt !== null)) return [];
  return dormancyChanges(facts.answers, asleep, all, reopened);
}

function turnOver(file: LoadedFile, turned: readonly AnswerFact[]): LoadedFile {
  const places = new Set(turned.map(answerKey));
  const moves = (a: AnswerFact) => places.has(answerKey(a));
  const { answers } = file.facts;
  const awake = inFileOrder([...answers.filter((a) => !moves(a)), ...file.asleep.filter(moves)]);
  const asleep = inFileOrder([...file.asleep.filter((a) => !moves(a)), ...answers.filter(moves)]);
  return { ...file, asleep, facts: { ...file.facts, answers: awake } };
}

/** The choices that are complete for the first time. */
const newlyComplete = (facts: FileFacts, { choices }: Assessment): readonly string[] =>
  choices
    .filter((c) => c.stage === "complete" && facts.choices.some((f) => f.id === c.id && f.completeAt === null))
    .map((c) => c.id);

/**
 * A turn that began and ended in the same instant never was. One that was recorded by a clock that is ahead of ours counts as this
 * instant: what was recorded last is the last.
 */
function withTurn(turns: FileFacts["turns"], turn: Turn, at: number): FileFacts["turns"] {
  const last = turns.at(-1)?.from;
  const from = last !== undefined && Date.parse(last) > at ? last : toInstant(at);
  return [...turns.filter((t) => t.from !== from), { turn, from }];
}

/** The facts with the next thing that follows from them; null once nothing does. */
function nextFacts(
  { facts, ...file }: LoadedFile,
  assessment: Assessment,
  at: number,
  newId: () => string,
): { readonly facts: FileFacts; readonly effects: Partial<Effects> } | null {
  const { made: due, adjusted } = chargeChanges({ facts, ...file }, assessment.fees);
  if (due.length + adjusted.length > 0) {
    const made = due.map((fee) => ({ ...fee, id: newId() }));
    return { facts: { ...facts, charges: withCharges(facts.charges, made, adjusted) }, effects: { made, adjusted } };
  }
  const completed = newlyComplete(facts, assessment);
  if (completed.length > 0) {
    const choices = facts.choices.map((c) => (completed.includes(c.id) ? { ...c, completeAt: toInstant(at) } : c));
    return { facts: { ...facts, choices }, effects: { completed } };
  }
  const answered = asksAnswered(facts, assessment.requirements);
  if (answered.length > 0) {
    const asks = facts.asks.map((a) => (answered.includes(a.id) ? { ...a, answeredAt: toInstant(at) } : a));
    return { facts: { ...facts, asks }, effects: { answered } };
  }
  const { turn } = assessment.file;
  if (facts.turns.at(-1)?.turn === turn) return null;
  return { facts: { ...facts, turns: withTurn(facts.turns, turn, at) }, effects: { turn } };
}

/**
 * Settles one file.
 * @param at epoch milliseconds
 * @param newId gives the ids of charges that are made
 * @throws when answers, charges, completeness and turn keep changing each other: a defect of a rulebook or of ours
 */
export function settle(loaded: LoadedFile, office: Office, at: number, newId: () => string): Settled {
  let file = loaded;
  let made: Effects["made"] = [];
  let adjusted: Effects["adjusted"] = [];
  let completed: Effects["completed"] = [];
  let answered: Effects["answered"] = [];
  let turn: Effects["turn"] = null;
  for (let pass = 0; pass < MOST_PASSES; pass += 1) {
    const prepared = prepare({ ...file, office, at });
    const turned = wronglyAwake(file, prepared);
    if (turned.length > 0) {
      file = turnOver(file, turned);
      continue;
    }
    const assessment = assessIn(prepared, { ...file, office, at });
    const next = nextFacts(file, assessment, at, newId);
    if (!next) {
      const effects = { turned: turnedBetween(loaded, file), made, adjusted, completed, answered, turn };
      return { file, assessment, prepared, effects, row: fileRow(file, assessment, office, at) };
    }
    file = { ...file, facts: next.facts };
    made = [...made, ...(next.effects.made ?? [])];
    adjusted = [...adjusted, ...(next.effects.adjusted ?? [])];
    completed = [...completed, ...(next.effects.completed ?? [])];
    answered = [...answered, ...(next.effects.answered ?? [])];
    turn = next.effects.turn ?? turn;
  }
  throw new Error("a file did not settle: its answers, charges, completeness and turn keep changing each other");
}

/** The answers that sleep in one state of a file and are awake in the other. */
function turnedBetween(before: LoadedFile, after: LoadedFile): readonly AnswerFact[] {
  if (before.asleep === after.asleep) return [];
  const slept = new Set(before.asleep.map(answerKey));
  const sleeps = new Set(after.asleep.map(answerKey));
  return [...after.asleep, ...after.facts.answers].filter((a) => slept.has(answerKey(a)) !== sleeps.has(answerKey(a)));
}

/** Whether nothing follows from a file's facts that is not written yet, but for what lists show of it. */
export const isAtRest = ({ turned, made, adjusted, completed, answered, turn }: Effects): boolean =>
  turned.length + made.length + adjusted.length + completed.length + answered.length === 0 && turn === null;
