import { compare, parseDecimal } from "../numbers/ratio";
import { nameSimilarity } from "../people/name-similarity";

/** One result as a registry of examinations knows it. */
export interface RegistryResult {
  readonly subject: string;
  /** As it was awarded. */
  readonly mark: string;
}

/** By what a registry finds the results of one sitting. */
export interface RegistryQuestion {
  readonly board: string;
  readonly year: string;
  readonly candidate: string;
}

/** A sitting by its board and year. */
export type RegistrySitting = Pick<RegistryQuestion, "board" | "year">;

/** `others`: further sittings of the same person that the registry knows; `since`: the first year of which it has results, where it says so. */
export type RegistryAnswer =
  | { readonly found: false; readonly since?: string | null }
  | {
      readonly found: true;
      readonly name: string;
      readonly results: readonly RegistryResult[];
      readonly others: readonly RegistrySitting[];
      readonly since?: string | null;
    };

/** The sittings of a registry that an applicant does not name, each once. */
export const leftOut = (
  known: readonly RegistrySitting[],
  named: readonly RegistrySitting[],
): readonly RegistrySitting[] =>
  known.filter((k, i) => {
    const same = (s: RegistrySitting) => s.board === k.board && s.year === k.year;
    return !named.some(same) && known.findIndex(same) === i;
  });

/** One line that the applicant claims for the sitting. */
export interface ClaimedResult {
  readonly entry: string;
  readonly subject: string;
  readonly mark: string;
}

export interface Matched {
  /** Claimed lines that the registry has, with the mark that it gives. */
  readonly known: readonly (ClaimedResult & { readonly awarded: string; readonly agrees: boolean })[];
  /** Claimed, and not among the results. Absence in the registry is not failure. */
  readonly unknown: readonly ClaimedResult[];
  /** Results that nobody claimed. */
  readonly unclaimed: readonly RegistryResult[];
}

function sameMark(a: string, b: string): boolean {
  const [x, y] = [parseDecimal(a), parseDecimal(b)];
  return x && y ? compare(x, y) === 0 : a.trim() === b.trim();
}

/** Holds what a registry answered against what was claimed, subject by subject. */
export function matchResults(claims: readonly ClaimedResult[], results: readonly RegistryResult[]): Matched {
  const of = (subject: string) => results.find((r) => r.subject === subject);
  return {
    known: claims.flatMap((claim) => {
      const result = of(claim.subject);
      return result ? [{ ...claim, awarded: result.mark, agrees: sameMark(claim.mark, result.mark) }] : [];
    }),
    unknown: claims.filter((claim) => of(claim.subject) === undefined),
    unclaimed: results.filter((r) => !claims.some((claim) => claim.subject === r.subject)),
  };
}

/** What a registry has now and did not have before, and what it has otherwise; what is gone says nothing. */
export function changedResults(
  before: readonly RegistryResult[],
  now: readonly RegistryResult[],
): { readonly added: readonly RegistryResult[]; readonly differing: readonly RegistryResult[] } {
  const old = (subject: string) => before.find((r) => r.subject === subject);
  return {
    added: now.filter((r) => old(r.subject) === undefined),
    differing: now.filter((r) => {
      const known = old(r.subject);
      return known !== undefined && !sameMark(known.mark, r.mark);
    }),
  };
}

/** Whether a registry cannot know a sitting, by the first year of which it has results. */
export const isBeyond = (since: string | null, year: string): boolean => since !== null && Number(year) < Number(since);

/** From here on a name in the registry is taken for the applicant's; below it a person has to look. */
const SURELY_ALIKE = 0.9;

export function isSameCandidate(applicant: string, registered: string): boolean {
  const { score, weakest } = nameSimilarity(applicant, registered);
  return score >= SURELY_ALIKE && weakest >= SURELY_ALIKE;
}
