import type { Office } from "../office/reference-set";
import { planOf } from "../rulebook/plan";
import type { ChoiceContext } from "./context";
import type { FileFacts } from "./facts";
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
