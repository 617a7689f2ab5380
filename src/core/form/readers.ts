import type { Field } from "../rulebook/section";

/** For whom a copy of an application is made: it holds what they may see, and nothing else. */
export const READERS = ["office", "assessors", "finance"] as const;
export type Reader = (typeof READERS)[number];
/** Applicants have copies of their own, with all that they wrote. */
export const COPY_READERS = [...READERS, "applicant"] as const;
export type CopyReader = (typeof COPY_READERS)[number];

const SEES: Readonly<Record<CopyReader, ReadonlySet<Field["seenBy"]>>> = {
  applicant: new Set(["assessment", "office", "advisers", "finance", "figures"]),
  office: new Set(["assessment", "office"]),
  assessors: new Set(["assessment"]),
  finance: new Set(["assessment", "finance"]),
};

/** Whether a reader may see a field. What is asked for figures alone is in no copy. */
export const sees = (reader: CopyReader, { seenBy }: Pick<Field, "seenBy">): boolean => SEES[reader].has(seenBy);
