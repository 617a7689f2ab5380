import type { Ratio } from "../numbers/ratio";
import type { LocalText } from "../text/local-text";
import type { Judgement, Truth } from "./truth";

/**
 * What a rule can see. A fact is unknown, a value, or a number known only as a range (credits over a list that the
 * applicant has not finished). Each carries whether it stands on a confirmed value or only on the claim.
 */
export type Scalar = string | boolean | Ratio | readonly string[];

export type Fact =
  | { readonly kind: "unknown"; readonly detail?: Detail }
  | {
      readonly kind: "value";
      readonly value: Scalar;
      readonly confirmed: boolean;
      readonly detail?: Detail /** A better value may still come: known only from below. */;
      readonly mayRise?: boolean;
    }
  | { readonly kind: "range"; readonly low: Ratio; readonly high: Ratio | null; readonly confirmed: boolean };

/** How a measured fact came about, in numbers: printed under the finding. */
export type Detail =
  | {
      readonly kind: "grade";
      readonly method: "bavarian" | "linear" | "bands" | "marks" | "multiplier";
      readonly from: "final grade" | "mean of courses" | "marks of courses" | "mean of degrees";
      readonly best: string | null;
      readonly pass: string | null;
      readonly got: string;
      /** Of the courses that count: their credits, how many they are, and how many attempts gave way to others. */
      readonly credits: string | null;
      readonly courses: number;
      readonly setAside: number;
      /** Of a mean over several degrees: each as it was carried over. */
      readonly degrees: readonly {
        readonly title: string;
        readonly got: string;
        readonly best: string | null;
        readonly pass: string | null;
        readonly exact: string;
      }[];
      /** What the count was cut down to. */
      readonly areas: readonly LocalText[];
      readonly lastEcts: number | null;
      readonly formula: string | null;
      readonly band: { readonly from: string; readonly grade: string } | null;
      readonly exact: string;
      readonly shown: string;
      readonly passed: boolean;
      readonly rounding: "truncate" | "half_up" | "half_even";
      readonly compare: "exact" | "rounded";
    }
  | {
      readonly kind: "level";
      readonly test: string;
      /** Several where the best parts of several sittings were put together. */
      readonly dates: readonly string[];
      readonly scores: Readonly<Record<string, string>>;
      readonly total: string | null;
      readonly level: string | null;
      /** What the applicant says of themselves, and by how many whole levels it stands above (or, negative, below) the result. */
      readonly stated: { readonly level: string; readonly above: number } | null;
    }
  | { readonly kind: "proof"; readonly parts: readonly ProofPart[] }
  | {
      readonly kind: "ruling";
      readonly cases: readonly {
        readonly title: LocalText;
        readonly institution: string;
        readonly country: string;
        readonly answer: "accepted" | "refused" | null;
        readonly by: "list" | "ruling" | null;
        readonly equalTo: string | null;
        readonly limits: string | null;
      }[];
    }
  | { readonly kind: "age"; readonly born: string; readonly on: string; readonly years: number }
  | { readonly kind: "years"; readonly language: string; readonly months: number }
  | { readonly kind: "span"; readonly months: number; readonly entries: number; readonly until: string };

/** How the sittings of one test stand to its minimum. */
export interface ProofPart {
  readonly test: string;
  readonly truth: Truth;
  readonly reasons: readonly string[];
  readonly dates: readonly string[];
  readonly scores: Readonly<Record<string, string>>;
  readonly total: string | null;
  readonly short: readonly { readonly part: string; readonly needed: string; readonly got: string | null }[];
}

/** One entry of a list as rules see it. */
export interface Entry {
  readonly id: string;
  /** The fact of a field; unknown where the entry has no such field. */
  readonly at: (field: string) => Fact;
}

export interface FactList {
  readonly entries: readonly Entry[];
  /** The applicant may still add entries: sums and counts are known only from below. */
  readonly open: boolean;
  /** The facts of one field in the order of the entries, where the list is kept by fields. */
  readonly column?: (field: string) => readonly Fact[];
  /** What came out for each entry by the condition's own key: rules of one file ask much the same. */
  readonly judged?: Map<string, readonly Judgement[]>;
}

/** The facts of one field in the order of the entries. */
export const columnOf = (list: FactList, field: string): readonly Fact[] =>
  list.column ? list.column(field) : list.entries.map((entry) => entry.at(field));

export interface FactSource {
  readonly scalar: (name: string) => Fact;
  readonly list: (name: string) => FactList;
  /** The list entry in view: what `it.field` reads. */
  readonly entry?: Entry | undefined;
}

export const UNKNOWN: Fact = { kind: "unknown" };

/** An entry of which every fact is at hand. */
export const entryOf = (id: string, facts: Readonly<Record<string, Fact>>): Entry => ({
  id,
  at: (field) => facts[field] ?? UNKNOWN,
});
