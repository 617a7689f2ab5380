import type { RequirementResult, Stage } from "../../core/file/result";
import type { Locale } from "../../core/text/local-text";
import { isTextKey, sentence } from "../sentence";

/** The standing of a requirement in the applicant's words: a filled section is complete, not accepted. */
export function standingWord(
  locale: Locale,
  requirement: Pick<RequirementResult, "kind" | "standing">,
  stage: Stage,
): string {
  if (requirement.standing === "to check" && stage === "preparing") return sentence(locale, "standing.supplied");
  if (requirement.kind === "sections" && requirement.standing === "accepted")
    return sentence(locale, "standing.complete");
  if (requirement.kind === "fee" && requirement.standing === "accepted") return sentence(locale, "fee.paid");
  if (requirement.kind === "deed")
    return sentence(
      locale,
      requirement.standing === "missing"
        ? "standing.ours"
        : requirement.standing === "accepted"
          ? "standing.done"
          : "standing.not needed",
    );
  const key = `standing.${requirement.standing}`;
  return isTextKey(key) ? sentence(locale, key) : requirement.standing;
}
