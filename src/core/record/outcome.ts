import type { Json } from "../file/facts";

/** How an act ends: with a value, or with a typed reason why it was not done. Sentences for the reasons live in the catalogues. */
export const REASONS = [
  "invalid-input",
  "not-yours",
  "not-found",
  "round-closed",
  "round-not-open",
  "not-complete",
  "locked",
  "already-done",
  "link-ended",
  "document-refused",
  "too-large",
  "check-failed",
  "needs-reason",
  "round-open",
  "needs-second-person",
  "not-eligible",
  "not-confirmed",
  "already-applied",
  "choice-rule",
  "not-open-to-you",
  "undertaking-missing",
  "said-twice",
  "kept-elsewhere",
  "not-offered",
  "nothing-due",
  "changed-meanwhile",
  "too-late-to-undo",
  "mailed-enough",
  "name-first",
  "own-address",
  "address-taken",
  "written-enough",
  "field-left",
  "unknown-field",
] as const;
export type Reason = (typeof REASONS)[number];

export type Outcome<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly reason: Reason; readonly details?: Readonly<Record<string, Json>> };

export const done = <T>(value: T): Outcome<T> => ({ ok: true, value });
export const refuse = (reason: Reason, details?: Readonly<Record<string, Json>>): Outcome<never> => ({
  ok: false,
  reason,
  ...(details ? { details } : {}),
});
