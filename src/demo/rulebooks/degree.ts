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

/** What is in another language comes with a translation. */
const LANGUAGES = {
  read: ["en", "fr"],
  translatedBy: { en: "a sworn translator", fr: "un traducteur assermenté" },
};

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
  languages: LANGUAGES,
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

export const transcript: DocumentRequirement = {
  key: "transcript",
  kind: "document",
  title: { en: "Transcript of records", fr: "Relevé de notes" },
  help: { en: "All pages, at least one full year.", fr: "Toutes les pages, au moins une année complète." },
  scope: "file",
  neededBy: "submission",
  proof: "copy",
  languages: LANGUAGES,
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

/** From the first term to the end of the second. */
const ACADEMIC_YEAR_MONTHS = 9;
const coversYear: Condition = {
  op: "fact",
  fact: "answers.covers.to",
  is: "atLeast",
  value: { fact: "answers.covers.from", plusMonths: ACADEMIC_YEAR_MONTHS },
};

/** Then the record of the time before is asked for, too. */
const coversLess: Condition = {
  op: "all",
  of: [
    { op: "fact", fact: "answers.covers.from", is: "known" },
    {
      op: "fact",
      fact: "answers.covers.to",
      is: "under",
      value: { fact: "answers.covers.from", plusMonths: ACADEMIC_YEAR_MONTHS },
    },
  ],
};

/** The transcript of a form that asks what time it covers where its credits are few, and the one of the time before. */
export const transcriptsOfPeriod: readonly Requirement[] = [
  {
    ...transcript,
    checks: [
      {
        key: "fullYear",
        title: {
          en: "covers at least one full year, or comes with the record of the time before",
          fr: "couvre au moins une année complète, ou est accompagné du relevé de la période précédente",
        },
        rule: { op: "any", of: [ectsAtLeast(60), coversYear, coversLess] },
      },
    ],
    shows: ["covers.from", "covers.to", ...transcript.shows],
  },
  {
    key: "earlierTranscript",
    kind: "document",
    title: { en: "Transcript of the time before", fr: "Relevé de la période précédente" },
    help: {
      en: "Your transcript covers less than a full year. Send the record of the time before it, too: of your last school, if that is what came before.",
      fr: "Votre relevé couvre moins d’une année. Envoyez aussi celui de la période précédente : de votre dernière école, si c’est elle.",
    },
    scope: "file",
    neededBy: "submission",
    proof: "copy",
    checks: [],
    shows: ["covers.from", "covers.to"],
    when: coversLess,
  },
];

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

/** Of several degrees each is carried over on its own scale, and their mean counts. */
export const overAllDegrees: RulebookBody["measures"][number] = {
  ...gradeMeasure,
  title: { en: "mean grade of all degrees", fr: "note moyenne de tous les diplômes" },
  several: "mean",
};

/** What mark sheets add up to. */
export const percentOfMarks: RulebookBody["measures"][number] = {
  key: "percentage",
  kind: "grade",
  title: { en: "percentage of the marks", fr: "pourcentage des points" },
  degree: firstDegree,
  method: { kind: "marks", of: "sums" },
  decimals: 1,
  rounding: "half_up",
  compare: "exact",
};

/** A grade over all degrees, or what the mark sheets add up to where courses are marked so. */
export const gradeOrMarks: RulebookBody["entryRules"][number] = {
  key: "grade",
  title: { en: "Grade 3.0, or 60 per cent of the marks", fr: "Note de 3,0, ou 60 % des points" },
  rule: {
    op: "any",
    of: [
      { op: "fact", fact: "measure.grade", is: "atMost", value: "3.0" },
      {
        op: "all",
        of: [
          { op: "fact", fact: "answers.marking.by", is: "equals", value: "marks" },
          { op: "fact", fact: "measure.percentage", is: "atLeast", value: 60 },
        ],
      },
    ],
  },
  curable: null,
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
