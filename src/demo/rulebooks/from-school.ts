import type { Measure, RulebookBody } from "../../core/rulebook/rulebook";
import type { Section } from "../../core/rulebook/section";
import type { Condition } from "../../core/rules/condition";
import {
  ABOUT_YOU,
  AROUND,
  DECLARATION,
  document,
  ENGLISH_FORM,
  englishMeasure,
  englishProof,
  englishRule,
  exemptMeasure,
  fee,
  feeItem,
  NAME_CHANGE,
  PASSPORT,
  PERMIT,
  pendingInTime,
  REFEREES_NAMED,
  reference,
  schooledInEnglish,
  sections,
} from "./ask";
import { earlier, emergency, guardian, guardianAsked, heard, helper, special, visa } from "./parts/circumstances";
import { declaration } from "./parts/declaration";
import { field, option } from "./parts/field";
import { schoolLanguage, tests } from "./parts/language";
import { statement } from "./parts/own-words";
import { citizenship, contact, person } from "./parts/person";
import { referees } from "./parts/referees";
import { college, collegeAsked, equivalence, schools, sittings, subjects } from "./parts/school";
import { beyond, bursary, clearance, elsewhere, interests, wantsBursary } from "./parts/standing";

/** The two bachelor programmes: twelve years of school, leaving examinations in up to two sittings, subjects with marks. */
const subject = (key: string, mark: number): Condition => ({
  op: "some",
  list: "subjects",
  where: {
    op: "all",
    of: [
      { op: "fact", fact: "it.subject", is: "equals", value: key },
      { op: "fact", fact: "it.mark", is: "atLeast", value: mark },
    ],
  },
});

const results = document(
  "results",
  ["Examination results", "Résultats d’examen"],
  ["The result sheet of each sitting, front and back.", "La feuille de résultats de chaque session, recto et verso."],
  {
    perEntryOf: "sittings",
    // No paper of what the registry gives.
    when: {
      op: "any",
      of: [
        { op: "fact", fact: "it.board", is: "equals", value: "other" },
        { op: "not", of: { op: "fact", fact: "it.candidate", is: "known" } },
        { op: "fact", fact: "it.marks", is: "equals", value: "typed" },
      ],
    },
    shows: ["sittings.board", "sittings.year", "sittings.candidate", "subjects.subject", "subjects.mark"],
  },
);

const schoolSections = [
  person,
  contact,
  citizenship,
  visa,
  guardian,
  emergency,
  schools,
  sittings,
  subjects,
  college,
  schoolLanguage,
  tests,
];
const aroundSections = [helper, earlier, heard, special, declaration];

const schoolRequirements = [
  ABOUT_YOU,
  PASSPORT,
  PERMIT,
  NAME_CHANGE,
  ...guardianAsked,
  sections(
    "schooling",
    ["Schools and examinations", "Écoles et examens"],
    ["schools", "sittings", "subjects", "college"],
  ),
  results,
  equivalence,
  ...collegeAsked,
  ENGLISH_FORM,
  englishProof({
    shows: ["tests.test", "tests.number", "tests.date", "tests.scores", "schools.language", "schools.years"],
  }),
];

const twelveYears: RulebookBody["entryRules"][number] = {
  key: "schooling",
  title: { en: "Twelve years of school", fr: "Douze années d’école" },
  rule: { op: "sum", list: "schools", field: "years", is: "atLeast", value: 12 },
  curable: null,
};

const otherBoards: Condition = { op: "fact", fact: "it.board", is: "equals", value: "other" };

/** Whether a leaving certificate of another system opens studies here: by the office's list, or by a ruling for its country and name. */
const entryRight = {
  key: "entryRight",
  kind: "ruling",
  title: { en: "the leaving certificate opens studies", fr: "le diplôme de fin d’études ouvre aux études" },
  of: "sittings",
  where: otherBoards,
  question: "university entry",
  entitlement: "leaving",
} satisfies Measure;

const entryRightRule: RulebookBody["entryRules"][number] = {
  key: "entryRight",
  title: { en: "A leaving certificate that opens studies", fr: "Un diplôme de fin d’études ouvrant aux études" },
  rule: {
    op: "any",
    of: [
      { op: "some", list: "sittings", where: { op: "not", of: otherBoards } },
      { op: "fact", fact: "measure.entryRight", is: "equals", value: true },
    ],
  },
  curable: null,
};

const APPLICATION_FEE = ["Application fee", "Frais de candidature"] as const;
const fees = [feeItem("application", APPLICATION_FEE, 3000, 4500)];
const feeAsked = fee("application", APPLICATION_FEE, { neededBy: "submission", toSubmit: "accepted" });

/** BSc Marine Restoration. */
export const bmr: RulebookBody = {
  sections: [
    ...schoolSections,
    statement(
      { unit: "words", least: 150, most: 400, strict: true },
      {
        en: "Which damaged piece of coast or sea do you know, and what would you try there first?",
        fr: "Quel morceau abîmé de côte ou de mer connaissez-vous, et qu’essaieriez-vous d’abord ?",
      },
    ),
    referees,
    ...aroundSections,
  ],
  requirements: [
    ...schoolRequirements,
    sections("statement", ["Statement", "Texte personnel"], ["statement"], "choice"),
    REFEREES_NAMED,
    reference(
      "scienceReference",
      ["Science teacher’s reference", "Recommandation d’un professeur de sciences"],
      1,
      "science teacher",
    ),
    reference("reference", ["Second reference", "Seconde recommandation"], 1, "teacher"),
    AROUND,
    feeAsked,
    DECLARATION,
  ],
  measures: [entryRight, englishMeasure, exemptMeasure],
  entryRules: [
    entryRightRule,
    twelveYears,
    {
      key: "subjects",
      title: {
        en: "Two of biology, chemistry, geography and mathematics with 60 or more",
        fr: "Deux matières parmi biologie, chimie, géographie et mathématiques avec 60 ou plus",
      },
      rule: {
        op: "atLeast",
        count: 2,
        of: [subject("biology", 60), subject("chemistry", 60), subject("geography", 60), subject("mathematics", 60)],
      },
      curable: null,
    },
    englishRule("B2", schooledInEnglish(3)),
  ],
  fees,
};

const campusPreference: Section = {
  key: "campuses",
  core: null,
  scope: "choice",
  title: { en: "Campus preference", fr: "Préférence de campus" },
  intro: {
    en: "Places are given out by merit, and then by this order. Leave out a campus to which you would not go.",
    fr: "Les places sont attribuées au mérite, puis dans cet ordre. Laissez de côté un campus où vous n’iriez pas.",
  },
  fields: [
    field(
      {
        key: "order",
        kind: "ranked",
        least: 1,
        options: [option("merrow", "Port Merrow", "Port Merrow"), option("vell", "Inish Vell", "Inish Vell")],
      },
      "Campuses, the best first",
      "Campus, le préféré d’abord",
    ),
  ],
};

/** Everybody takes the numeracy test; a test of English stands beside it where English is proved by one. */
const entranceTests: Section = {
  ...tests,
  intro: {
    en: "The Tiller Numeracy Gauge is asked of everybody; add your test of English where you prove it by one.",
    fr: "Le Tiller Numeracy Gauge est demandé à tous ; ajoutez votre test d’anglais si vous le prouvez ainsi.",
  },
  when: undefined,
};

/** BEng Harbour and Tidal Engineering. */
export const bht: RulebookBody = {
  sections: [
    ...schoolSections.map((s) => (s === tests ? entranceTests : s)),
    campusPreference,
    beyond,
    interests,
    elsewhere,
    bursary,
    clearance,
    ...aroundSections,
  ],
  requirements: [
    ...schoolRequirements,
    sections("beyond", ["Beyond school", "En dehors de l’école"], ["beyond", "interests", "elsewhere"]),
    document(
      "numeracy",
      ["Report of the numeracy test", "Rapport du test de calcul"],
      ["With your name and both parts.", "Avec votre nom et les deux parties."],
      {
        toSubmit: "promised",
        promise: pendingInTime,
        shows: ["tests.test", "tests.number", "tests.date", "tests.scores"],
      },
    ),
    sections("clearance", ["Fit for sea", "Aptitude à la mer"], ["clearance"]),
    {
      ...document(
        "medical",
        ["Medical certificate", "Certificat médical"],
        ["For work at sea, valid on the first day.", "Pour le travail en mer, valable le premier jour."],
        {
          toSubmit: "promised",
          promise: { op: "fact", fact: "answers.clearance.has", is: "equals", value: "later" },
          checks: [
            {
              key: "validAtStart",
              title: { en: "valid on the first day", fr: "valable le premier jour" },
              rule: {
                op: "any",
                of: [
                  { op: "fact", fact: "answers.clearance.has", is: "equals", value: "later" },
                  { op: "fact", fact: "answers.clearance.expiry", is: "atLeast", value: { fact: "start" } },
                ],
              },
            },
          ],
          shows: ["clearance.number", "clearance.expiry"],
        },
      ),
      neededBy: "enrolment",
    },
    sections("bursary", ["Bursary", "Bourse"], ["bursary"]),
    {
      ...document(
        "income",
        ["Income statement", "Justificatif de revenus"],
        [
          "For the last full year. Asked only because you want to be considered for a bursary.",
          "Pour la dernière année complète. Demandé seulement parce que vous souhaitez une bourse.",
        ],
        { forFinance: true },
      ),
      when: wantsBursary,
      neededBy: "review",
    },
    document(
      "signature",
      ["Your signature, as a picture", "Votre signature, en image"],
      ["Signed on white paper and photographed.", "Signée sur papier blanc et photographiée."],
      { picture: { width: 600, height: 200 }, keptBack: true },
    ),
    document(
      "portrait",
      ["A portrait for your sea card", "Un portrait pour votre carte de mer"],
      [
        "Your face from the front, without a hat. It is printed on the card.",
        "Votre visage de face, sans chapeau. Il est imprimé sur la carte.",
      ],
      { picture: { width: 480, height: 600 } },
    ),
    sections("campuses", ["Campus preference", "Préférence de campus"], ["campuses"], "choice"),
    AROUND,
    feeAsked,
    DECLARATION,
  ],
  measures: [
    entryRight,
    {
      key: "numeracy",
      kind: "proof",
      title: { en: "numeracy test", fr: "test de calcul" },
      minimums: [{ test: "tng", total: "100", parts: { G: "45" }, mode: "single" }],
      resultBy: "closing",
    },
    englishMeasure,
    exemptMeasure,
  ],
  entryRules: [
    entryRightRule,
    twelveYears,
    {
      key: "numeracy",
      title: {
        en: "Numeracy: 100 in all, 45 in geometry",
        fr: "Calcul : 100 au total, 45 en géométrie",
      },
      rule: { op: "fact", fact: "measure.numeracy", is: "equals", value: true },
      curable: null,
      shownToApplicant: true,
    },
    {
      key: "mathematics",
      title: { en: "Mathematics with 65 or more", fr: "Mathématiques avec 65 ou plus" },
      rule: subject("mathematics", 65),
      curable: null,
    },
    {
      key: "physics",
      title: { en: "Physics with 60 or more", fr: "Physique avec 60 ou plus" },
      rule: subject("physics", 60),
      curable: null,
    },
    englishRule("B2", schooledInEnglish(3)),
  ],
  fees,
};
