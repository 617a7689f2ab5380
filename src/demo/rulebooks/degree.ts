import type { Requirement } from "../../core/requirements/definition";
import type { RulebookBody } from "../../core/rulebook/rulebook";
import type { Condition } from "../../core/rules/condition";

/** What programmes that people enter from a university ask of a degree: its papers, its credits, its grade, its language. */
export const completed: Condition = { fact: "it.status", is: "equals", value: "completed" };
export const natural: Condition = { fact: "it.area", is: "equals", value: "natural" };
export const firstDegree: Condition = { fact: "it.level", is: "atLeast", value: 6 };
export const running: Condition = {
  all: [
    firstDegree,
    { fact: "it.status", is: "equals", value: "in progress" },
    { fact: "it.expectedEnd", is: "atMost", value: { fact: "start" } },
  ],
};
export const ectsAtLeast = (value: number, where?: Condition): Condition => ({
  sum: "courses",
  of: "ects",
  is: "atLeast",
  value,
  ...(where ? { where } : {}),
});

export const certificate: Requirement = {
  key: "certificate",
  kind: "document",
  title: { en: "Degree certificate", fr: "Diplôme" },
  help: {
    en: "Or your school’s confirmation of the degree that you expect.",
    fr: "Ou la confirmation par votre école du diplôme attendu.",
  },
  scope: "file",
  neededBy: "submission",
  proof: "copy",
  laterProof: { level: "original seen", neededBy: "enrolment" },
  perEntryOf: "education",
  checks: [],
  shows: [
    "education.institution",
    "education.country",
    "education.level",
    "education.title",
    "education.status",
    "education.end",
    "education.expectedEnd",
    "education.grade",
    "education.scale",
    "education.gradeBest",
    "education.gradePass",
  ],
};

export const transcript: Requirement = {
  key: "transcript",
  kind: "document",
  title: { en: "Transcript of records", fr: "Relevé de notes" },
  help: { en: "All pages, at least one full year.", fr: "Toutes les pages, au moins une année complète." },
  scope: "file",
  neededBy: "submission",
  proof: "copy",
  perEntryOf: "education",
  checks: [
    {
      key: "fullYear",
      title: { en: "covers at least one full year", fr: "couvre au moins une année complète" },
      rule: ectsAtLeast(60),
    },
  ],
  shows: [
    "education.creditsPerYear",
    "courses.title",
    "courses.credits",
    "courses.area",
    "courses.status",
    "courses.grade",
    "courses.degree",
  ],
};

export const gradeMeasure: RulebookBody["measures"][number] = {
  key: "grade",
  kind: "grade",
  title: { en: "grade on our scale", fr: "note sur notre échelle" },
  degree: firstDegree,
  decimals: 1,
  rounding: "truncate",
  compare: "rounded",
};

export const taughtMeasure: RulebookBody["measures"][number] = {
  key: "taughtInEnglish",
  kind: "studyMonths",
  title: { en: "months of degree study in English", fr: "mois d’études supérieures en anglais" },
  language: "en",
  degree: firstDegree,
};

export const taughtTwoYears: Condition = { fact: "measure.taughtInEnglish", is: "atLeast", value: 24 };

export const firstDegreeRule: RulebookBody["entryRules"][number] = {
  key: "firstDegree",
  title: {
    en: "A first degree, completed or expected before the start",
    fr: "Un premier diplôme, obtenu ou attendu avant le début",
  },
  rule: {
    any: [
      { some: "degrees", where: { all: [firstDegree, completed] } },
      { all: [{ some: "degrees", where: running }, ectsAtLeast(150, completed)] },
    ],
  },
  curable: {
    way: { en: "by the award of the degree before the start", fr: "par l’obtention du diplôme avant le début" },
    possible: { some: "degrees", where: running },
  },
};
