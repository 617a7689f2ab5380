import { dequal } from "dequal";
import type { ConfirmationFact, FileFacts, Json } from "../file/facts";
import type { AnswerIndex } from "./answer-index";

/** A value that the office established, beside what the applicant states. */
export interface Established extends Pick<ConfirmationFact, "scope" | "section" | "entry" | "field" | "value"> {
  /** Null where the applicant states nothing. */
  readonly claim: Json;
}

/**
 * Where what the office established differs from what the applicant states now. What was corrected by the applicant since is the
 * applicant's word again, and none of these.
 */
export function establishedOtherwise(
  { confirmations }: Pick<FileFacts, "confirmations">,
  index: AnswerIndex,
): readonly Established[] {
  return confirmations.flatMap((c) => {
    const { scope, section, entry, field, value } = c;
    const claim = index.claim(scope, section, entry, field) ?? null;
    return index.isStale(c) || dequal(claim, value) ? [] : [{ scope, section, entry, field, value, claim }];
  });
}
