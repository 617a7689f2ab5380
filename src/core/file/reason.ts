import { type Assessment, CLOSED_AS, STAGES, STEP_KINDS } from "./result";

/** Why a file stands where it stands: the kind of its next step, how it was closed, or its stage where nothing is owed. */
export const FILE_REASONS = [...STEP_KINDS, ...CLOSED_AS, ...STAGES] as const;
export type FileReason = (typeof FILE_REASONS)[number];

export const isFileReason = (word: string): word is FileReason => FILE_REASONS.some((reason) => reason === word);

/** The reason under which a file stands in the lists. */
export function reasonOf(assessment: Assessment): FileReason {
  if (assessment.file.next) return assessment.file.next.kind;
  return assessment.choices.map((c) => c.closedAs).find((c) => c !== null) ?? assessment.file.stage;
}
