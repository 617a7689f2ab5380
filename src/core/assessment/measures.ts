import type { Office } from "../office/reference-set";
import type { Measure } from "../rulebook/rulebook";
import type { Fact, FactSource } from "../rules/fact";
import { gradeMeasure } from "./grade";
import { type ChoiceDays, levelMeasure, monthsMeasure, proofMeasure, type ScoresOf } from "./language";
import { spanMeasure } from "./span";

/** Works out a measure of a rulebook. */
export function measureFact(
  measure: Measure,
  facts: FactSource,
  office: Office,
  days: ChoiceDays,
  scoresOf: ScoresOf,
): Fact {
  switch (measure.kind) {
    case "grade":
      return gradeMeasure(measure, facts, office);
    case "level":
      return levelMeasure(measure, facts, office, days, scoresOf);
    case "proof":
      return proofMeasure(measure, facts, office, days, scoresOf);
    case "studyMonths":
      return monthsMeasure(measure, facts);
    case "span":
      return spanMeasure(measure, facts, days.start);
  }
}
