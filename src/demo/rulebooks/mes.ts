import type { RulebookBody } from "../../core/rulebook/rulebook";
import type { Condition } from "../../core/rules/condition";
import { citizenship, contact, courses, declaration, education, language, person, referees, tests } from "./parts";

const completed: Condition = { fact: "it.status", is: "equals", value: "completed" };
const natural: Condition = { fact: "it.area", is: "equals", value: "natural" };
const firstDegree: Condition = { fact: "it.level", is: "atLeast", value: 6 };
const running: Condition = {
  all: [
    firstDegree,
    { fact: "it.status", is: "equals", value: "in progress" },
    { fact: "it.expectedEnd", is: "atMost", value: { fact: "start" } },
  ],
};
const ectsAtLeast = (value: number, where?: Condition): Condition => ({
  sum: "courses",
  of: "ects",
  is: "atLeast",
  value,
  ...(where ? { where } : {}),
});
const pendingInTime: Condition = {
  some: "tests",
  where: {
    all: [
      { fact: "it.status", is: "equals", value: "pending" },
      { fact: "it.expected", is: "atMost", value: { fact: "start" } },
    ],
  },
};

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
    {
      key: "passport",
      kind: "document",
      title: { en: "Passport or identity card", fr: "Passeport ou carte d’identité" },
      help: {
        en: "The page with your photograph. It must be valid for three months after the start.",
        fr: "La page avec votre photo. Il doit être valable trois mois après le début.",
      },
      scope: "file",
      neededBy: "submission",
      proof: "copy",
      checks: [
        {
          key: "passportEnds",
          title: {
            en: "valid at least three months after the start",
            fr: "valable au moins trois mois après le début",
          },
          rule: { fact: "citizenship.passportExpiry", is: "atLeast", value: { fact: "start", plusMonths: 3 } },
        },
      ],
      shows: [
        "person.givenNames",
        "person.familyName",
        "person.birthDate",
        "citizenship.citizenships",
        "citizenship.passportNumber",
        "citizenship.passportExpiry",
      ],
    },
    {
      key: "studies",
      kind: "sections",
      title: { en: "Degree and courses", fr: "Diplôme et cours" },
      scope: "file",
      neededBy: "submission",
      sections: ["education", "courses"],
    },
    {
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
    },
    {
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
      ],
    },
    {
      key: "motivation",
      kind: "document",
      title: { en: "Letter of motivation", fr: "Lettre de motivation" },
      help: { en: "One page or two.", fr: "Une page ou deux." },
      scope: "file",
      neededBy: "submission",
      proof: "copy",
      checks: [],
      shows: [],
    },
    {
      key: "englishForm",
      kind: "sections",
      title: { en: "English", fr: "Anglais" },
      scope: "file",
      neededBy: "submission",
      sections: ["english", "tests"],
    },
    {
      key: "english",
      kind: "document",
      title: { en: "Proof of English", fr: "Preuve d’anglais" },
      help: {
        en: "The test report, or your school’s certificate of teaching in English.",
        fr: "Le rapport du test, ou l’attestation d’enseignement en anglais.",
      },
      scope: "file",
      neededBy: "submission",
      toSubmit: "promised",
      proof: "copy",
      promise: pendingInTime,
      checks: [],
      shows: ["tests.test", "tests.date", "tests.scores", "education.language", "education.start"],
    },
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
    {
      key: "referee",
      kind: "sections",
      title: { en: "Referee named", fr: "Référent indiqué" },
      scope: "file",
      neededBy: "submission",
      sections: ["referees"],
    },
    {
      key: "fee",
      kind: "fee",
      title: { en: "Handling fee", fr: "Frais de dossier" },
      scope: "choice",
      neededBy: "submission",
      toSubmit: "accepted",
      item: "handling",
    },
    {
      key: "declaration",
      kind: "sections",
      title: { en: "Declaration", fr: "Déclaration" },
      scope: "file",
      neededBy: "submission",
      sections: ["declaration"],
    },
  ],
  measures: [
    {
      key: "grade",
      kind: "grade",
      title: { en: "grade on our scale", fr: "note sur notre échelle" },
      degree: firstDegree,
      decimals: 1,
      rounding: "truncate",
      compare: "rounded",
    },
    {
      key: "english",
      kind: "level",
      title: { en: "level of English", fr: "niveau d’anglais" },
      language: "en",
      tests: ["het", "kle"],
    },
    {
      key: "taughtInEnglish",
      kind: "studyMonths",
      title: { en: "months of degree study in English", fr: "mois d’études supérieures en anglais" },
      language: "en",
      degree: firstDegree,
    },
  ],
  entryRules: [
    {
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
    },
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
      rule: ectsAtLeast(20, { all: [completed, natural] }),
      curable: {
        way: { en: "by passing the courses in progress", fr: "par la réussite des cours en cours" },
        possible: ectsAtLeast(20, natural),
      },
    },
    {
      key: "grade",
      title: { en: "Grade 2.5 or better on our scale", fr: "Note de 2,5 ou mieux sur notre échelle" },
      rule: { fact: "measure.grade", is: "atMost", value: "2.5" },
      curable: null,
    },
    {
      key: "english",
      title: { en: "English at C1", fr: "Anglais de niveau C1" },
      rule: {
        any: [
          { fact: "measure.english", is: "atLeast", value: "C1" },
          { fact: "measure.taughtInEnglish", is: "atLeast", value: 24 },
        ],
      },
      curable: {
        way: { en: "by a test result before the start", fr: "par un résultat de test avant le début" },
        possible: pendingInTime,
      },
    },
  ],
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
