import type { ValueIssue } from "../answers/check-value";
import type { Json } from "../file/facts";

/** Why one change is not taken, whatever becomes of the others that came with it. */
export type SaveRefusal = "locked" | "unknown" | "too-long" | "too-many" | "unreadable";

export type SaveResult =
  | { readonly state: "saved"; readonly version: number; readonly issue: ValueIssue | null }
  | { readonly state: "conflict"; readonly version: number; readonly value: Json }
  | { readonly state: "refused"; readonly why: SaveRefusal };
