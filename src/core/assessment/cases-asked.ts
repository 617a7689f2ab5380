import type { ChoiceContext } from "../file/choice-context";
import type { FileFacts } from "../file/facts";
import { planOf } from "../rulebook/plan";
import type { Office } from "../standards/reference-set";
import { type CaseResult, casesOf, type RulingMeasure } from "./ruling";

/** Everything that a choice's rulebook asks a ruling on, measure by measure. */
export function casesAsked(
  { choice, rulebook, source }: ChoiceContext,
  rulings: FileFacts["rulings"],
  office: Office,
): readonly { readonly measure: RulingMeasure; readonly cases: readonly CaseResult[] }[] {
  const { sections } = planOf(rulebook.body);
  return rulebook.body.measures.flatMap((measure) =>
    measure.kind === "ruling"
      ? [{ measure, cases: casesOf(measure, source, { sections, rulings, office, choice: choice.id }).cases }]
      : [],
  );
}

/** Where a case stands in the form. */
export type CasePlace = Pick<CaseResult, "scope" | "section" | "entry">;

/** The applicant's wish to have a case ruled on before submitting, if there is one. */
export function earlyWish(
  { earlyCases }: Pick<FileFacts, "earlyCases">,
  question: string,
  { scope, section, entry }: CasePlace,
): FileFacts["earlyCases"][number] | undefined {
  return earlyCases.find(
    (e) => e.question === question && e.scope === scope && e.section === section && e.entry === entry,
  );
}
