import type { FileReason } from "../../core/file/reason";
import { STEP_KINDS, type StepKind } from "../../core/file/result";
import { REASON_WORDS, stepDeed } from "../../text/words/office";

const isStep = (reason: FileReason): reason is StepKind => STEP_KINDS.some((kind) => kind === reason);

/** What has to be done with a file, or why nothing has, as a sentence begins. */
export function turnDeed(row: {
  readonly reason: FileReason;
  readonly title: string | null;
  readonly count: number | null;
}): string {
  if (!isStep(row.reason)) return REASON_WORDS[row.reason];
  const text = stepDeed({ kind: row.reason, title: row.title ?? undefined, count: row.count ?? 1 });
  return text.charAt(0).toUpperCase() + text.slice(1);
}
