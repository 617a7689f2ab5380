import { assess } from "../assessment/assess";
import type { FileFacts, Round } from "../file/facts";
import type { Assessment, ChoiceResult } from "../file/result";
import type { Rulebook } from "../rulebook/rulebook";
import type { Office } from "../standards/reference-set";

/**
 * What would change for one choice if its rulebook, or what the office goes by, became another: its group, eligibility, findings, what is
 * missing, what is due, and the day by which the next thing has to happen. Everything is a key or a number; the words stand elsewhere.
 */
export interface FileEffect {
  readonly applicationId: string;
  readonly number: string;
  readonly choiceId: string;
  readonly programme: string;
  readonly submitted: boolean;
  readonly group: Change<string | null> | null;
  readonly eligibility: Change<string> | null;
  /** By the key of the entry rule; null where a side has no such rule. */
  readonly findings: readonly (Change<string | null> & { readonly key: string })[];
  readonly missing: { readonly added: readonly string[]; readonly gone: readonly string[] };
  readonly due: (Change<number> & { readonly currency: string }) | null;
  readonly nextBy: Change<string | null> | null;
}

interface Change<T> {
  readonly before: T;
  readonly after: T;
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

const changed = <T>(before: T, after: T): Change<T> | null => (before === after ? null : { before, after });

/** What differs between two assessments of one file, for each of the named choices where anything does. */
function effectsBetween(
  facts: FileFacts,
  choices: FileFacts["choices"],
  before: Assessment,
  after: Assessment,
): readonly FileEffect[] {
  return choices.flatMap((choice): readonly FileEffect[] => {
    const was = before.choices.find((c) => c.id === choice.id);
    const is = after.choices.find((c) => c.id === choice.id);
    if (!was || !is) return [];
    const effect = {
      group: changed(before.file.group, after.file.group),
      eligibility: changed(was.eligibility, is.eligibility),
      findings: findingsChanged(was, is),
      missing: missingChanged(before, after, choice.id),
      due: dueChanged(before, after),
      nextBy: changed(before.file.dueAt, after.file.dueAt),
    };
    const { group, eligibility, findings, missing, due, nextBy } = effect;
    const same =
      !group &&
      !eligibility &&
      findings.length === 0 &&
      missing.added.length + missing.gone.length === 0 &&
      !due &&
      !nextBy;
    const { id: applicationId, number } = facts.application;
    const { id: choiceId, programme, submittedAt } = choice;
    return same ? [] : [{ applicationId, number, choiceId, programme, submitted: submittedAt !== null, ...effect }];
  });
}

/**
 * A file as it stands, and as it would stand by another rulebook.
 * @param from the rulebooks whose choices would move
 */
export function effectsOfRulebook(
  file: EffectInput,
  candidate: Rulebook,
  from: ReadonlySet<string>,
  office: Office,
  at: number,
): readonly FileEffect[] {
  const moving = file.facts.choices.filter((c) => c.withdrawnAt === null && from.has(c.rulebookId));
  if (moving.length === 0) return [];
  const facts: FileFacts = {
    ...file.facts,
    choices: file.facts.choices.map((c) => (moving.includes(c) ? { ...c, rulebookId: candidate.id } : c)),
  };
  const rulebooks = { ...file.rulebooks, [candidate.id]: candidate };
  const before = assess({ ...file, office, at });
  return effectsBetween(file.facts, moving, before, assess({ ...file, facts, rulebooks, office, at }));
}

/** A file as it stands, and as it would stand by another reference set. */
export function effectsOfOffice(
  file: EffectInput,
  office: Office,
  candidate: Office,
  at: number,
): readonly FileEffect[] {
  const live = file.facts.choices.filter((c) => c.withdrawnAt === null);
  return effectsBetween(file.facts, live, assess({ ...file, office, at }), assess({ ...file, office: candidate, at }));
}
