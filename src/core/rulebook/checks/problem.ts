import type { AreaKey } from "../parts";

/** What keeps a rulebook from being published. */
export interface RulebookProblem {
  readonly code:
    | "unknown-fact"
    | "unknown-section"
    | "unknown-field"
    | "unknown-fee"
    | "unknown-role"
    | "unknown-registry-list"
    | "duplicate-key"
    | "missing-text"
    | "no-options"
    | "no-papers"
    | "no-paper-field"
    | "no-stretches"
    | "measure-number"
    | "target-order"
    | "bands-order"
    | "no-tables"
    | "no-minimums"
    | "no-question"
    | "nothing-asked"
    | "no-sections"
    | "deed-too-early"
    | "keeper-link"
    | "never-met"
    | "contradicts"
    | "asks-itself"
    | "compares-nothing"
    | "core-field"
    | "no-declaration"
    | "two-govern"
    | "standing-elsewhere";
  /** Where that part stands; left out where its key alone leads to it. */
  readonly area?: AreaKey;
  /** The key of the part it is about, and what is wrong with it there. */
  readonly about: string;
}
