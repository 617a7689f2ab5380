import type { RulebookBody } from "../../core/rulebook/rulebook";
import {
  DECLARATION,
  ENGLISH_FORM,
  englishMeasure,
  englishProof,
  englishRule,
  exemptMeasure,
  NAME_CHANGE,
  PASSPORT,
  PERMIT,
  REFEREES_NAMED,
} from "./ask";
import {
  certificate,
  completed,
  ectsAtLeast,
  firstDegreeRule,
  gradeMeasure,
  natural,
  taughtMeasure,
  taughtTwoYears,
  transcript,
} from "./degree";
import { declaration } from "./parts/declaration";
import { language, tests } from "./parts/language";
import { citizenship, contact, person } from "./parts/person";
import { referees } from "./parts/referees";
import { courses, education } from "./parts/studies";

/** MSc Estuary Science, version 1: the requirements and entry rules of the office's first rulebook. */
export const mes: RulebookBody = {
  sections: [person, contact, citizenship, education, courses, language, tests, referees, declaration],
  requirements: [
    {
      key: "form",
      kind: "sections",
      title: { en: "Person, contact, citizenship", fr: "Personne, contact, nationalité" },
      scope: "file",
      neededBy: "submission",
      sections: ["person", "contact", "citizenship"],
    },
    PASSPORT,
    PERMIT,
    NAME_CHANGE,
    {
      key: "studies",
      kind: "sections",
      title: { en: "Degree and courses", fr: "Diplôme et cours" },
      scope: "file",
      neededBy: "submission",
      sections: ["education", "courses"],
    },
    certificate,
    transcript,
    {
      key: "motivation",
      kind: "document",
      title: { en: "Letter of motivation", fr: "Lettre de motivation" },
      help: { en: "One page or two.", fr: "Une page ou deux." },
      takes: { formats: ["pdf"], mostPages: 2 },
      scope: "file",
      neededBy: "submission",
      proof: "copy",
      checks: [],
      shows: [],
    },
    ENGLISH_FORM,
    englishProof({
      shows: ["tests.test", "tests.number", "tests.date", "tests.scores", "education.language", "education.start"],
    }),
    {
      key: "reference",
      kind: "reference",
      title: { en: "Academic reference", fr: "Recommandation académique" },
      scope: "file",
      neededBy: "review",
      toSubmit: "promised",
      count: 1,
      role: "academic",
    },
    { ...REFEREES_NAMED, title: { en: "Referee named", fr: "Référent indiqué" } },
    {
      key: "fee",
      kind: "fee",
      title: { en: "Handling fee", fr: "Frais de dossier" },
      scope: "choice",
      neededBy: "submission",
      toSubmit: "accepted",
      item: "handling",
    },
    DECLARATION,
  ],
  measures: [gradeMeasure, englishMeasure, exemptMeasure, taughtMeasure],
  entryRules: (
    [
      firstDegreeRule,
      {
        key: "credits",
        title: { en: "180 ECTS", fr: "180 ECTS" },
        rule: ectsAtLeast(180, completed),
        curable: {
          way: { en: "by passing the courses in progress", fr: "par la réussite des cours en cours" },
          possible: ectsAtLeast(180),
        },
      },
      {
        key: "natural",
        title: { en: "20 ECTS in natural sciences", fr: "20 ECTS en sciences naturelles" },
        rule: ectsAtLeast(20, { op: "all", of: [completed, natural] }),
        curable: {
          way: { en: "by passing the courses in progress", fr: "par la réussite des cours en cours" },
          possible: ectsAtLeast(20, natural),
        },
      },
      {
        key: "grade",
        title: { en: "Grade 2.5 or better on our scale", fr: "Note de 2,5 ou mieux sur notre échelle" },
        rule: { op: "fact", fact: "measure.grade", is: "atMost", value: "2.5" },
        curable: null,
      },
      englishRule("C1", taughtTwoYears),
    ] satisfies RulebookBody["entryRules"]
  ).map((rule) => ({ ...rule, shownToApplicant: true })),
  fees: [
    {
      key: "handling",
      title: { en: "Handling fee", fr: "Frais de dossier" },
      per: "choice",
      currency: "EUR",
      amounts: [
        { group: "home", minor: 0 },
        { group: "overseas", minor: 6000 },
      ],
    },
  ],
};
