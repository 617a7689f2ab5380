import { combText } from "../assessment/comb";
import { restsOn } from "../difference/affected-by-change";
import { TURNS, type Turn } from "../file/facts";
import type { LoadedFile } from "../file/loaded-file";
import { type FileReason, reasonOf } from "../file/reason";
import type { Assessment, AwaitedKind, ChoiceResult, Stage } from "../file/result";
import type { Instant } from "../ids";
import { personOf } from "../people/person-of";
import { candidateKeys, type PersonKeys } from "../people/same-person";
import { claimKey, numberedClaims } from "../results/numbered-claims";
import type { Office } from "../standards/reference-set";
import { toInstant } from "../time/zone";
import { timeSpent } from "../turns/spent";
import { fileTags, lastArrival } from "./file-tags";
import { searchText } from "./search-text";

/** What is kept of a file's latest result: what lists show, what it is found by, and how long it holds. */
export interface FileRow {
  readonly applicationId: string;
  readonly number: string;
  /** As the applicant wrote it; empty while there is none. */
  readonly name: string;
  readonly stage: Stage;
  readonly turn: Turn;
  readonly reason: FileReason;
  /** Since when the party whose turn it is has had it. */
  readonly turnSince: Instant;
  /** Everybody who owes a step, in the order of the turns: the turn is the first of them. */
  readonly owes: readonly Turn[];
  readonly requirement: string | null;
  readonly nextTitle: string | null;
  readonly nextCount: number | null;
  readonly dueAt: Instant | null;
  /** `dueAt`, or the far future: one value to order by. */
  readonly orderAt: Instant;
  readonly mendUntil: Instant | null;
  readonly comb: string;
  readonly programmes: string;
  /** What lists are narrowed down by; in order. */
  readonly tags: readonly string[];
  /** When something last came in from outside the office. */
  readonly arrivedAt: Instant | null;
  readonly validUntil: Instant | null;
  readonly assessedAt: Instant;
  readonly officeVersion: number;
  /** What of the reference set it rests on, and the rulebooks; in order. */
  readonly restsOn: readonly string[];
  /** In the order of their ids. */
  readonly choices: readonly ChoiceRow[];
  /** What it is found by. */
  readonly search: string;
  /** The keys under which other files of the same person are found; in order. */
  readonly keys: readonly string[];
  /** What is still to come: in order. */
  readonly awaited: readonly AwaitedRow[];
}

export interface ChoiceRow extends Pick<ChoiceResult, "stage" | "closedAs" | "eligibility"> {
  readonly choiceId: string;
  /** Working days from the submission to the release that were the office's own, and those that others had; null before. */
  readonly ownDays: number | null;
  readonly othersDays: number | null;
  readonly findings: readonly Pick<ChoiceResult["findings"][number], "key" | "finding" | "basis">[];
}

/** `due` is empty where no day was stated. */
export interface AwaitedRow {
  readonly kind: AwaitedKind;
  readonly about: string;
  readonly due: string;
}

/** Files without a date are ordered after all others. */
const NO_DUE = "9999-12-31T00:00:00.000Z" as Instant; // in the branded shape

const byText = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

function keysOf({ facts, rulebooks }: LoadedFile, person: PersonKeys): readonly string[] {
  const sections = Object.values(rulebooks).flatMap((r) => r.body.sections);
  const claims = numberedClaims(facts.answers, sections).map(claimKey);
  return [...new Set([...candidateKeys(person), ...claims])].sort();
}

function choiceRow({ facts }: LoadedFile, office: Office, result: ChoiceResult): ChoiceRow {
  const { id, stage, closedAs, eligibility, findings } = result;
  const choice = facts.choices.find((c) => c.id === id);
  const released = choice?.decision?.releasedAt ?? null;
  const spent =
    released !== null && choice?.submittedAt ? timeSpent(facts.turns, choice.submittedAt, released, office) : null;
  return {
    choiceId: id,
    stage,
    closedAs,
    eligibility,
    ownDays: spent?.own ?? null,
    othersDays: spent?.others ?? null,
    findings: findings.map(({ key, finding, basis }) => ({ key, finding, basis })),
  };
}

function awaitedRows({ awaited }: Assessment): readonly AwaitedRow[] {
  const textOf = (a: AwaitedRow) => `${a.kind}|${a.about}|${a.due}`;
  const rows = awaited.map(({ kind, about, due }) => ({ kind, about, due: due ?? "" }));
  const once = new Map(rows.map((row) => [textOf(row), row]));
  return [...once.values()].sort((a, b) => byText(textOf(a), textOf(b)));
}

/** @param at when it was assessed, in epoch milliseconds */
export function fileRow(loaded: LoadedFile, assessment: Assessment, office: Office, at: number): FileRow {
  const { file } = assessment;
  const { id, number } = loaded.facts.application;
  const person = personOf(loaded.facts, null);
  return {
    applicationId: id,
    number,
    name: person.name,
    stage: file.stage,
    turn: file.turn,
    reason: reasonOf(assessment),
    turnSince: loaded.facts.turns.at(-1)?.from ?? toInstant(at),
    owes: TURNS.filter((turn) => file.owed.some((s) => s.turn === turn)),
    requirement: file.next?.requirement ?? null,
    nextTitle: file.next?.title?.en ?? null,
    nextCount: file.next?.count ?? null,
    dueAt: file.dueAt,
    orderAt: file.dueAt ?? NO_DUE,
    mendUntil: file.mendUntil,
    comb: combText(file.comb),
    programmes: loaded.facts.choices.map((c) => c.programme).join(" "),
    tags: fileTags(loaded, assessment),
    arrivedAt: lastArrival(loaded.facts),
    validUntil: file.validUntil,
    assessedAt: toInstant(at),
    officeVersion: office.version,
    restsOn: restsOn(loaded.facts.answers, loaded.facts.confirmations, loaded.rulebooks),
    choices: assessment.choices.map((c) => choiceRow(loaded, office, c)).sort((a, b) => byText(a.choiceId, b.choiceId)),
    search: searchText(loaded, person),
    keys: keysOf(loaded, person),
    awaited: awaitedRows(assessment),
  };
}
