import { assess } from "../assessment/assess";
import type { FileFacts, Round } from "../assessment/facts";
import type { Assessment, ChoiceResult } from "../assessment/result";
import type { Office } from "../office/reference-set";
import type { Rulebook } from "./rulebook";

/**
 * What would change for one choice if its rulebook became another: eligibility, findings, what is missing, and what is due.
 * Everything is a key or a number; the words stand in the rulebooks.
 */
export interface FileEffect {
  readonly applicationId: string;
  readonly number: string;
  readonly choiceId: string;
  readonly submitted: boolean;
  readonly eligibility: { readonly before: string; readonly after: string } | null;
  /** By the key of the entry rule; null where a side has no such rule. */
  readonly findings: readonly { readonly key: string; readonly before: string | null; readonly after: string | null }[];
  readonly missing: { readonly added: readonly string[]; readonly gone: readonly string[] };
  readonly due: { readonly before: number; readonly after: number; readonly currency: string } | null;
}

export interface EffectInput {
  readonly facts: FileFacts;
  readonly rulebooks: Readonly<Record<string, Rulebook>>;
  readonly rounds: Readonly<Record<string, Round>>;
}

function findingsChanged(before: ChoiceResult, after: ChoiceResult): FileEffect["findings"] {
  const keys = [...new Set([...before.findings, ...after.findings].map((f) => f.key))];
  return keys.flatMap((key) => {
    const was = before.findings.find((f) => f.key === key)?.finding ?? null;
    const is = after.findings.find((f) => f.key === key)?.finding ?? null;
    return was === is ? [] : [{ key, before: was, after: is }];
  });
}

function missingChanged(before: Assessment, after: Assessment, choiceId: string): FileEffect["missing"] {
  const open = (assessment: Assessment) =>
    assessment.requirements
      .filter((r) => r.choices.includes(choiceId) && (r.standing === "missing" || r.standing === "returned"))
      .map((r) => r.key);
  const [was, is] = [open(before), open(after)];
  return {
    added: [...new Set(is.filter((key) => !was.includes(key)))],
    gone: [...new Set(was.filter((key) => !is.includes(key)))],
  };
}

function dueChanged(before: Assessment, after: Assessment): FileEffect["due"] {
  const sum = (assessment: Assessment) => assessment.fees.reduce((all, f) => all + f.amount.minor, 0);
  const currency = after.fees[0]?.amount.currency ?? before.fees[0]?.amount.currency;
  return currency === undefined || sum(before) === sum(after)
    ? null
    : { before: sum(before), after: sum(after), currency };
}

/**
 * Assesses a file as it stands and as it would stand, and says what differs for each choice of the intake.
 * @param from the rulebooks whose choices would move
 */
export function effectsOf(
  file: EffectInput,
  candidate: Rulebook,
  from: ReadonlySet<string>,
  office: Office,
  at: number,
): readonly FileEffect[] {
  const moving = file.facts.choices.filter((c) => c.withdrawnAt === null && from.has(c.rulebookId));
  if (moving.length === 0) return [];
  const before = assess({ ...file, office, at });
  const facts: FileFacts = {
    ...file.facts,
    choices: file.facts.choices.map((c) => (moving.includes(c) ? { ...c, rulebookId: candidate.id } : c)),
  };
  const rulebooks = { ...file.rulebooks, [candidate.id]: candidate };
  const after = assess({ ...file, facts, rulebooks, office, at });
  return moving.flatMap((choice): readonly FileEffect[] => {
    const was = before.choices.find((c) => c.id === choice.id);
    const is = after.choices.find((c) => c.id === choice.id);
    if (!was || !is) return [];
    const effect = {
      eligibility: was.eligibility === is.eligibility ? null : { before: was.eligibility, after: is.eligibility },
      findings: findingsChanged(was, is),
      missing: missingChanged(before, after, choice.id),
      due: dueChanged(before, after),
    };
    const { eligibility, findings, missing, due } = effect;
    const same = !eligibility && findings.length === 0 && missing.added.length + missing.gone.length === 0 && !due;
    const { id: applicationId, number } = file.facts.application;
    return same
      ? []
      : [{ applicationId, number, choiceId: choice.id, submitted: choice.submittedAt !== null, ...effect }];
  });
}
