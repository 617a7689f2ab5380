import type { AnswerFact, FileFacts, Json } from "../file/facts";
import { answerKey, entryKey } from "../file/place";

/** An answer as somebody supposes it to be; an entry that is not there yet is a new one. */
export interface Supposed {
  readonly scope: string;
  readonly section: string;
  readonly entry: string;
  readonly field: string;
  readonly value: Json;
}

/**
 * The facts of a file as if some answers were others: each takes the place of the claim and of what was confirmed there. The file
 * itself is not touched, and findings that were overridden show what the rules come to.
 */
export function supposing(facts: FileFacts, changes: readonly Supposed[]): FileFacts {
  const changed = new Set(changes.map(answerKey));
  const last = facts.answers.reduce((most, a) => Math.max(most, a.position), 0);
  const known = new Map(facts.answers.map((a) => [answerKey(a), a]));
  const positions = new Map(facts.answers.map((a) => [entryKey(a), a.position]));
  const supposed = changes.map(
    (change, i): AnswerFact => ({
      ...change,
      version: known.get(answerKey(change))?.version ?? 1,
      position: positions.get(entryKey(change)) ?? last + 1 + i,
    }),
  );
  return {
    ...facts,
    answers: [...facts.answers.filter((a) => !changed.has(answerKey(a))), ...supposed].sort(
      (a, b) => a.position - b.position,
    ),
    confirmations: facts.confirmations.filter((c) => !changed.has(answerKey(c))),
    overrides: [],
  };
}
