import type { AnswerFact } from "../file/facts";
import type { Section } from "../rulebook/section";
import type { ReferenceSet } from "../standards/reference-set";
import { checkValue } from "./check-value";
import { COMPLETE_FIELD } from "./typed-facts";

/** What stays the same from one application to the next: who somebody is, and what they have studied. */
const PROFILE: readonly Section["core"][] = [
  "person",
  "contact",
  "citizenship",
  "education",
  "courses",
  "schools",
  "sittings",
  "subjects",
];

/**
 * The answers of an earlier application that a new form asks for again, as far as they pass its checks. That a list is whole is not
 * carried: the applicant says it anew, because more may have come since.
 * @param sections the new form
 */
export function carriedAnswers(
  earlier: readonly AnswerFact[],
  sections: readonly Section[],
  office: ReferenceSet,
): readonly AnswerFact[] {
  const wanted = new Map(
    sections
      .filter((s) => s.scope === "file" && PROFILE.includes(s.core))
      .flatMap((s) =>
        s.fields.map((f) => [`${s.key}.${f.key}`, { repeats: s.repeats !== undefined, field: f }] as const),
      ),
  );
  return earlier.filter((answer) => {
    const asked = wanted.get(`${answer.section}.${answer.field}`);
    if (!asked || answer.scope !== "file" || answer.field === COMPLETE_FIELD) return false;
    if (asked.repeats !== (answer.entry !== "") || answer.value === null || answer.value === "") return false;
    return checkValue(asked.field, office, answer.value) === null;
  });
}
