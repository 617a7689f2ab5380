import type { AnswerFact, ConfirmationFact, Json } from "../file/facts";

/** What of a file says who somebody is; confirmations may be left out where nothing was confirmed yet. */
export interface SaidOfPerson {
  readonly answers: readonly Pick<AnswerFact, "section" | "field" | "value">[];
  readonly confirmations?: readonly Pick<ConfirmationFact, "section" | "field" | "value">[];
}

/** What stands in a field outside lists: as the office has confirmed or corrected it, else as it is claimed. */
export function standsIn({ answers, confirmations = [] }: SaidOfPerson, section: string, field: string): Json {
  const here = (said: { readonly section: string; readonly field: string }) =>
    said.section === section && said.field === field;
  return confirmations.find(here)?.value ?? answers.find(here)?.value ?? null;
}

/** The name under which the office knows a file, family name last; one-name people have one. */
export function shownName(facts: SaidOfPerson): string {
  return ["givenNames", "familyName"]
    .map((field) => standsIn(facts, "person", field))
    .filter((v): v is string => typeof v === "string" && v !== "")
    .join(" ");
}
