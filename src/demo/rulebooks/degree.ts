import type { DocumentRequirement, Requirement } from "../../core/rulebook/requirement";
import type { RulebookBody } from "../../core/rulebook/rulebook";
import type { Condition } from "../../core/rules/condition";

/** What programmes that people enter from a university ask of a degree: its papers, its credits, its grade, its language. */
export const completed: Condition = { op: "fact", fact: "it.status", is: "equals", value: "completed" };
export const natural: Condition = { op: "fact", fact: "it.area", is: "equals", value: "natural" };
export const firstDegree: Condition = { op: "fact", fact: "it.level", is: "atLeast", value: 6 };
export const running: Condition = {
  op: "all",
  of: [
    firstDegree,
    { op: "fact", fact: "it.status", is: "equals", value: "in progress" },
    { op: "fact", fact: "it.expectedEnd", is: "atMost", value: { fact: "start" } },
  ],
};
export const ectsAtLeast = (value: number, where?: Condition): Condition => ({
  op: "sum",
  list: "courses",
  field: "ects",
  is: "atLeast",
  value,
  ...(where ? { where } : {}),
});

export const certificate: DocumentRequirement = {
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

const GRADES = ["1.0", "1.7", "2.3", "3.0", "4.0"] as const;
const table = (scale: string, ...from: readonly [string, string, string, string, string]) => ({
  scale,
  roundFirst: null,
  bands: GRADES.map((grade, i) => ({ grade, from: from[i] ?? "" })),
});

/** By the tables that the engineers agreed on, and by nothing between their lines. */
export const bandedGrade: RulebookBody["measures"][number] = {
  ...gradeMeasure,
  method: {
    kind: "bands",
    tables: [
      table("to20", "17", "15", "13", "11", "10"),
      table("down6", "1.5", "2.0", "2.7", "3.5", "4.0"),
      table("letters4", "3.8", "3.4", "2.8", "2.0", "1.0"),
      table("percent40", "75", "66", "58", "50", "40"),
    ],
  },
};

/** The master's grade, along straight lines between worst, pass and best. */
export const masterGrade: RulebookBody["measures"][number] = {
  ...gradeMeasure,
  degree: { op: "fact", fact: "it.level", is: "atLeast", value: 7 },
  method: { kind: "linear", anchors: "three_point", target: { best: "1.0", pass: "4.0", worst: "5.0" } },
  rounding: "half_up",
};

export const taughtMeasure: RulebookBody["measures"][number] = {
  key: "taughtInEnglish",
  kind: "studyMonths",
  title: { en: "months of degree study in English", fr: "mois d’études supérieures en anglais" },
  language: "en",
  degree: firstDegree,
};

export const taughtTwoYears: Condition = { op: "fact", fact: "measure.taughtInEnglish", is: "atLeast", value: 24 };

export const firstDegreeRule: RulebookBody["entryRules"][number] = {
  key: "firstDegree",
  title: {
    en: "A first degree, completed or expected before the start",
    fr: "Un premier diplôme, obtenu ou attendu avant le début",
  },
  rule: {
    op: "any",
    of: [
      { op: "some", list: "degrees", where: { op: "all", of: [firstDegree, completed] } },
      { op: "all", of: [{ op: "some", list: "degrees", where: running }, ectsAtLeast(150, completed)] },
    ],
  },
  curable: {
    way: { en: "by the award of the degree before the start", fr: "par l’obtention du diplôme avant le début" },
    possible: { op: "some", list: "degrees", where: running },
  },
};
