import type { Measure } from "../rulebook/rulebook";
import type { Fact, FactSource } from "../rules/fact";
import type { Office } from "../standards/reference-set";
import { ageMeasure } from "./age";
import type { ChoiceDays } from "./days";
import { gradeMeasure } from "./grade";
import { levelMeasure, monthsMeasure, proofMeasure, type Sittings } from "./language";
import { type RulingInputs, rulingMeasure } from "./ruling";
import { spanMeasure } from "./span";

/** Works out a measure of a rulebook. */
export function measureFact(
  measure: Measure,
  facts: FactSource,
  office: Office,
  days: ChoiceDays,
  sittings: () => Sittings,
  ruled: RulingInputs,
): Fact {
  switch (measure.kind) {
    case "grade":
      return gradeMeasure(measure, facts, office);
    case "level":
      return levelMeasure(measure, facts, office, days, sittings());
    case "proof":
      return proofMeasure(measure, facts, office, days, sittings());
    case "studyMonths":
      return monthsMeasure(measure, facts);
    case "age":
      return ageMeasure(measure, facts, days);
    case "ruling":
      return rulingMeasure(measure, facts, ruled);
    case "span":
      return spanMeasure(measure, facts, days);
  }
}
