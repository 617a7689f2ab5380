import type { AnswerFact } from "../file/facts";

/** The name under which the office knows a file: as the applicant wrote it, family name last; one-name people have one. */
export function shownName(facts: {
  readonly answers: readonly Pick<AnswerFact, "section" | "field" | "value">[];
}): string {
  const value = (field: string) => facts.answers.find((a) => a.section === "person" && a.field === field)?.value;
  return [value("givenNames"), value("familyName")]
    .filter((v): v is string => typeof v === "string" && v !== "")
    .join(" ");
}
