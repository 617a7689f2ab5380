import { z } from "zod";
import { type LocalText, writtenTextSchema } from "../text/local-text";

/** Why a document goes back: reasons with which Unvex comes, and those that the office adds. */
export const RETURN_REASONS = [
  "unreadable",
  "incomplete",
  "wrong-document",
  "not-matching",
  "expired",
  "translation-needed",
  "other",
] as const;

/** The one that says nothing by itself: the note says it. */
export const BY_NOTE = "other";

/** A reason as the office keeps it: what it is called among us, and what the applicant reads. */
export interface KeptReason {
  readonly key: string;
  readonly title: string;
  readonly words: LocalText;
  /** Whether it may be chosen; one that is not stays readable where it was given. */
  readonly offered: boolean;
  /** 0 for one that is as it came. */
  readonly version: number;
}

export const saveReasonInput = z.object({
  /** Null for a new one. */
  key: z.string().max(60).nullable(),
  version: z.int().min(0),
  title: z.string().trim().min(1).max(80),
  words: writtenTextSchema,
  offered: z.boolean(),
});
export type WrittenReason = z.input<typeof saveReasonInput>;
