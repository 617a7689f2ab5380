import { isSameCandidate } from "../education/registry-answer";
import { checkScores, type Scores, type TestDefinition } from "../language/test-definition";
import { compare, parseDecimal } from "../numbers/ratio";
import { compact, fold } from "../people/fold";
import type { TextTable } from "../tables/read-table";
import { parseDay } from "../time/day";
import { readTypedDate } from "../time/typed-date";

/** One result as the owner of a test lists it. */
export interface OwnerResult {
  /** As the list has it. */
  readonly number: string;
  readonly name: string;
  /** `2003-04-11`; null where the list does not give it. */
  readonly birthDate: string | null;
  /** The day of the test. */
  readonly takenOn: string;
  readonly scores: Scores;
}

/** Why a line of a list is not taken in. */
export interface ListProblem {
  /** Counted from 1 below the heads. */
  readonly line: number;
  readonly code:
    | "no-number"
    | "no-name"
    | "no-day"
    | "not-a-birth-date"
    | "score-missing"
    | "score-range"
    | "score-step"
    | "twice";
  /** The cell, or the part of the test. */
  readonly about: string;
}

export type OwnerList =
  | { readonly ok: false; readonly missing: readonly string[] }
  | { readonly ok: true; readonly results: readonly OwnerResult[]; readonly problems: readonly ListProblem[] };

/** A number as it is compared: letters and digits alone, without case. */
export const numberKey = (number: string): string => compact(fold(number));

const HEADS = {
  number: ["number", "candidate", "candidate number", "registration", "registration number", "id"],
  name: ["name", "candidate name", "full name"],
  given: ["given names", "given name", "first name"],
  family: ["family name", "last name", "surname"],
  birthDate: ["birth date", "date of birth", "born"],
  takenOn: ["date", "test date", "day", "day of the test"],
} as const;

const columnOf = (heads: readonly string[], names: readonly string[]): number =>
  heads.findIndex((head) => names.includes(fold(head)));

/** Where each of a list's columns stands; the parts of the test go by their key or their title in any language. */
function columnsOf(heads: readonly string[], test: TestDefinition) {
  const found = Object.fromEntries(
    Object.entries(HEADS).map(([key, names]) => [key, columnOf(heads, names)]),
  ) as Record<keyof typeof HEADS, number>; // every key of HEADS
  const parts = test.parts.map((part) => ({
    key: part.key,
    title: part.title.en,
    column: columnOf(heads, [part.key, part.title.en, part.title.fr].map(fold)),
  }));
  const missing = [
    ...(found.number < 0 ? ["number"] : []),
    ...(found.name < 0 && found.family < 0 ? ["name"] : []),
    ...(found.takenOn < 0 ? ["date"] : []),
    ...parts.filter((p) => p.column < 0).map((p) => p.title),
  ];
  return { ...found, parts, missing };
}

/** A day as an owner of tests writes it: where figures leave two, the day stands before the month. */
function dayIn(written: string): string | null {
  const read = readTypedDate(written);
  if (read.kind === "two ways") return read.values[0];
  return read.kind === "read" && parseDay(read.value) !== null ? read.value : null;
}

/**
 * Reads a list of results as the owner of a test sends it: a line each, with the number, the name, the day and a score for each part.
 * Wrong lines are told one by one and left out; a number that stands twice for a day counts the first time.
 */
export function readOwnerList(table: TextTable, test: TestDefinition): OwnerList {
  const columns = columnsOf(table.heads ?? [], test);
  if (columns.missing.length > 0) return { ok: false, missing: columns.missing };
  const results: OwnerResult[] = [];
  const problems: ListProblem[] = [];
  const known = new Set<string>();
  table.rows.forEach((row, i) => {
    const cell = (column: number): string => (column < 0 ? "" : (row[column] ?? "").trim());
    const number = cell(columns.number);
    const name = cell(columns.name) || [cell(columns.given), cell(columns.family)].filter(Boolean).join(" ");
    const [takenOn, born] = [cell(columns.takenOn), cell(columns.birthDate)].map(dayIn);
    const scores: Scores = Object.fromEntries(columns.parts.map((p) => [p.key, cell(p.column).replace(",", ".")]));
    const [issue] = checkScores(test, scores);
    const key = `${numberKey(number)} ${takenOn}`;
    const problem = (code: ListProblem["code"], about: string) => problems.push({ line: i + 1, code, about });
    if (numberKey(number) === "") problem("no-number", number);
    else if (name === "") problem("no-name", number);
    else if (!takenOn) problem("no-day", cell(columns.takenOn));
    else if (cell(columns.birthDate) !== "" && !born) problem("not-a-birth-date", cell(columns.birthDate));
    else if (issue) problem(`score-${issue.code}`, `${issue.part} ${scores[issue.part] ?? ""}`.trim());
    else if (known.has(key)) problem("twice", number);
    else {
      known.add(key);
      results.push({ number, name, birthDate: born ?? null, takenOn, scores });
    }
  });
  return { ok: true, results, problems };
}

/** Whose result it is, as far as the list and the file say. */
export interface Claimant {
  readonly name: string;
  readonly formerNames: readonly string[];
  /** "" while unknown. */
  readonly birthDate: string;
}

/**
 * Whether a result that stands under the number of a file is its applicant's: the name has to be alike enough, or a former one, and the
 * dates of birth must not differ where both are known. Anything else is looked at by a person.
 */
export function isTheirs(result: Pick<OwnerResult, "name" | "birthDate">, who: Claimant): boolean {
  const born = result.birthDate === null || who.birthDate === "" || result.birthDate === who.birthDate;
  return born && [who.name, ...who.formerNames].some((name) => isSameCandidate(name, result.name));
}

/** The parts in which a claim and the list differ; scores are compared as numbers. */
export function differingParts(claimed: Scores, listed: Scores): readonly string[] {
  return Object.keys(listed).filter((part) => {
    const [a, b] = [claimed[part], listed[part]].map((score) => parseDecimal(score ?? ""));
    return !a || !b || compare(a, b) !== 0;
  });
}
