import type { ApplicantAssessment } from "../../core/assessment/applicants-share";
import type { Step } from "../../core/file/result";
import type { Locale } from "../../core/text/local-text";
import { formatDate } from "../format";
import { isTextKey, sentence } from "../sentence";

/** The one next step, as a sentence to the applicant. */
export function applicantStep(locale: Locale, assessment: ApplicantAssessment, programmeOf: ProgrammeOf): string {
  const { next, stage } = assessment.file;
  // Nobody is sent to fill in what cannot be submitted.
  if (stage === "preparing" && assessment.choices.every((c) => c.stage !== "preparing" || c.barredBy.length > 0))
    return sentence(locale, "next.barred");
  if (!next) return sentence(locale, stage === "closed" ? "next.closed" : "next.none");
  return stepSentence(locale, next, programmeOf);
}

/** What a choice is called where a file has several, by its id; null where there is nothing to tell apart. */
type ProgrammeOf = (scope: string) => string | null;

/** One step, as a sentence to the applicant. */
export function stepSentence(
  locale: Locale,
  { kind, count, due, title, scope, proof }: Step,
  programmeOf: ProgrammeOf,
): string {
  const values = {
    count: count ?? 1,
    due: due ? formatDate(locale, due) : "none",
    title: title?.[locale] ?? "",
    proof: sentence(locale, `proof.${proof ?? "original seen"}`),
    programme: programmeOf(scope ?? "") ?? "none",
  };
  return sentence(locale, `next.${kind}`, values);
}

/** What others do while the applicant has something to do: nobody is told that there is nothing to do for them. */
export function othersSentence(locale: Locale, step: Step, programmeOf: ProgrammeOf): string {
  const key = `meanwhile.${step.kind}`;
  return isTextKey(key)
    ? sentence(locale, key, { title: step.title?.[locale] ?? "" })
    : stepSentence(locale, step, programmeOf);
}
