import type { Ratio } from "../numbers/ratio";

/**
 * What a rule can see. A fact is unknown, a value, or a number known only as a range (credits over a list that the
 * applicant has not finished). Each carries whether it stands on a confirmed value or only on the claim.
 */
export type Scalar = string | boolean | Ratio | readonly string[];

export type Fact =
  | { readonly kind: "unknown" }
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
      readonly from: "final grade" | "mean of courses";
      readonly best: string;
      readonly pass: string;
      readonly got: string;
      readonly credits: string | null;
      readonly exact: string;
      readonly shown: string;
      readonly compare: "exact" | "rounded";
    }
  | {
      readonly kind: "level";
      readonly test: string;
      readonly date: string;
      readonly scores: Readonly<Record<string, string>>;
      readonly total: string | null;
      readonly level: string | null;
    }
  | { readonly kind: "years"; readonly language: string; readonly months: number }
  | { readonly kind: "span"; readonly months: number; readonly entries: number; readonly until: string };

export interface Entry {
  readonly id: string;
  readonly fields: Readonly<Record<string, Fact>>;
}

export interface FactList {
  readonly entries: readonly Entry[];
  /** The applicant may still add entries: sums and counts are known only from below. */
  readonly open: boolean;
}

export interface FactSource {
  readonly scalar: (name: string) => Fact;
  readonly list: (name: string) => FactList;
  /** The list entry in view: what `it.field` reads. */
  readonly entry?: Entry | undefined;
}

export const UNKNOWN: Fact = { kind: "unknown" };
