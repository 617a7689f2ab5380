import type { Comparison } from "./condition";
import type { Detail } from "./fact";
import type { Truth } from "./truth";

interface CameOut {
  readonly truth: Truth;
  /** False when anything that this result stands on is only claimed. */
  readonly confirmed: boolean;
  /** The entry of a list that it looked at. */
  readonly entry?: string | undefined;
}

/** Why a condition came out as it did: the trace mirrors the condition, and each leaf carries what was seen and the limit. */
export type Trace =
  | (CameOut & {
      readonly op: "all" | "any" | "atLeast";
      /** How many of the parts have to hold. */
      readonly needed: number;
      readonly parts: readonly Trace[];
    })
  | (CameOut & { readonly op: "not"; readonly part: Trace })
  | (CameOut & { readonly op: "fact" | "count" | "sum"; readonly leaf: Leaf })
  /** Entry by entry, so that it can be seen why each fits or does not. */
  | (CameOut & { readonly op: "some"; readonly leaf: Leaf; readonly entries: readonly Trace[] });

/** A trace that was decided by what was seen, and not by other traces alone. */
export type LeafTrace = Extract<Trace, { readonly leaf: Leaf }>;
export const isLeaf = (trace: Trace): trace is LeafTrace => "leaf" in trace;

/** What decided a trace by itself; null where its parts did. */
export const leafOf = (trace: Trace): Leaf | null => (isLeaf(trace) ? trace.leaf : null);

export interface Leaf {
  /** `person.birthDate`, `measure.grade`, `courses.ects`, or the list's own name for a count. */
  readonly fact: string;
  readonly is: Comparison;
  readonly limit: string | null;
  readonly seen: string | null;
  /** Of a number that is known only as a range: up to what, null for no bound. `seen` is its lower end. */
  readonly most?: string | null;
  /** The list may still grow, or the value is known only from below. */
  readonly open: boolean;
  /** How many entries of a list took part. */
  readonly entries?: number;
  readonly detail?: Detail | undefined;
}
