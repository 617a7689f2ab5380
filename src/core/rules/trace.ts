import type { Comparison } from "./condition";
import type { Detail } from "./fact";
import type { Truth } from "./truth";

/** Why a condition came out as it did: the trace mirrors the condition, and each leaf carries what was seen and the limit. */
export interface Trace {
  readonly op: "all" | "any" | "atLeast" | "not" | "fact" | "some" | "count" | "sum";
  readonly truth: Truth;
  /** False when anything that this result stands on is only claimed. */
  readonly confirmed: boolean;
  readonly parts?: readonly Trace[];
  readonly needed?: number;
  readonly leaf?: Leaf;
  /** The entry of a list that it looked at. */
  readonly entry?: string;
}

export interface Leaf {
  /** `person.birthDate`, `measure.grade`, `courses.ects`, or the list's own name for a count. */
  readonly fact: string;
  readonly is: Comparison;
  readonly limit: string | null;
  readonly seen: string | null;
  /** The list may still grow, or the value is known only from below. */
  readonly open: boolean;
  /** How many entries of a list took part. */
  readonly entries?: number;
  readonly detail?: Detail;
}
