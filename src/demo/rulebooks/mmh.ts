import type { RulebookBody } from "../../core/rulebook/rulebook";
import type { Condition } from "../../core/rules/condition";
import {
  ABOUT_YOU,
  BY_TEST,
  DECLARATION,
  ENGLISH_FORM,
  EXEMPT,
  englishProof,
  exemptMeasure,
  fee,
  feeItem,
  NAME_CHANGE,
  PASSPORT,
  PERMIT,
  pendingInTime,
  sections,
} from "./ask";
import {
  certificate,
  ectsAtLeast,
  firstDegreeRule,
  gradeOrMarks,
  overAllDegrees,
  percentOfMarks,
  taughtMeasure,
  taughtTwoYears,
  transcriptsOfPeriod,
} from "./degree";
import {
  awards,
  earlier,
  emergency,
  experience,
  figures,
  funding,
  heard,
  helper,
  special,
  visa,
  visaPapers,
  wantsFunding,
} from "./parts/circumstances";
import { curriculum, curriculumAsked } from "./parts/curriculum";
import { declaration } from "./parts/declaration";
import { field } from "./parts/field";
import { language, tests } from "./parts/language";
import { statement } from "./parts/own-words";
import { citizenship, contact, person } from "./parts/person";
import { covers, education, markedCourses, marking, unfinished, unfinishedAsked } from "./parts/studies";

const APPLICATION_FEE = ["Application fee", "Frais de candidature"] as const;

/** More is asked of writing than of the rest. */
const writtenEnglish: RulebookBody["measures"][number] = {
  key: "written",
  kind: "proof",
  title: { en: "English test reaches its minimum", fr: "le test d’anglais atteint son minimum" },
  minimums: [
    { test: "het", total: "38", every: "34", parts: { W: "40" }, mode: "single" },
    { test: "kle", every: "4", parts: { W: "5" }, mode: "single" },
  ],
};

/** Whoever studies in French writes the thesis in it, too. */
const TAUGHT_IN_FRENCH: Condition = { op: "fact", fact: "choice.language", is: "equals", value: "fr" };

/** MA Maritime Heritage: in English or in French; a statement, links to own work, an interview before the decision; part time or full time. */
export const mmh: RulebookBody = {
  sections: [
    person,
    contact,
    citizenship,
    visa,
    emergency,
    education,
    marking,
    markedCourses,
    covers,
    unfinished,
    language,
    tests,
    statement(
      { unit: "words", least: 400, most: 700, strict: true },
      {
        en: "Choose one object, boat or building of the coast. What does it tell, to whom, and what should become of it?",
        fr: "Choisissez un objet, un bateau ou un bâtiment de la côte. Que dit-il, à qui, et que devrait-il devenir ?",
      },
      {
        en: "Write it in English or in French, as you want to study.",
        fr: "Rédigez-le en français ou en anglais, selon la langue de vos études.",
      },
    ),
    {
      key: "portfolio",
      core: null,
      scope: "choice",
      title: { en: "Your work", fr: "Vos travaux" },
      intro: {
        en: "Texts, films, exhibitions, drawings: up to five links that anybody can open.",
        fr: "Textes, films, expositions, dessins : jusqu’à cinq liens que tout le monde peut ouvrir.",
      },
      fields: [
        field({ key: "links", kind: "links", least: 1, most: 5 }, "Links", "Liens", {
          en: "One address a line, for example https://work.example/harbour-film",
          fr: "Une adresse par ligne, par exemple https://travaux.example/film-du-port",
        }),
      ],
    },
    curriculum,
    experience,
    awards,
    helper,
    earlier,
    heard,
    funding,
    figures,
    special,
    declaration,
  ],
  requirements: [
    ABOUT_YOU,
    PASSPORT,
    PERMIT,
    NAME_CHANGE,
    sections(
      "studies",
      ["Degree and courses", "Diplôme et cours"],
      ["education", "marking", "courses", "covers", "unfinished"],
    ),
    certificate,
    ...transcriptsOfPeriod,
    ...unfinishedAsked,
    ENGLISH_FORM,
    englishProof({
      shows: ["tests.test", "tests.number", "tests.date", "tests.scores", "education.language", "education.start"],
    }),
    sections("statement", ["Statement", "Texte personnel"], ["statement"], "choice"),
    sections("portfolio", ["Links to own work", "Liens vers vos travaux"], ["portfolio"], "choice"),
    ...curriculumAsked,
    sections("practice", ["Practice and awards", "Pratique et prix"], ["experience", "awards"]),
    sections(
      "around",
      ["A few questions", "Quelques questions"],
      ["helper", "earlier", "heard", "funding", "figures", "special"],
    ),
    fee("application", APPLICATION_FEE, { neededBy: "submission", toSubmit: "accepted" }),
    DECLARATION,
    visaPapers,
  ],
  measures: [overAllDegrees, percentOfMarks, writtenEnglish, exemptMeasure, taughtMeasure],
  entryRules: [
    firstDegreeRule,
    { key: "credits", title: { en: "180 ECTS", fr: "180 ECTS" }, rule: ectsAtLeast(180), curable: null },
    {
      key: "modeAndVisa",
      title: {
        en: "Full time, or no visa needed: none is given for part-time study",
        fr: "À plein temps, ou sans besoin de visa : aucun n’est accordé pour des études à temps partiel",
      },
      rule: {
        op: "any",
        of: [
          { op: "fact", fact: "choice.mode", is: "equals", value: "full time" },
          { op: "fact", fact: "group", is: "equals", value: "home" },
          { op: "fact", fact: "answers.visa.holds", is: "equals", value: true },
        ],
      },
      curable: null,
      shownToApplicant: true,
    },
    {
      key: "modeAndFunding",
      title: {
        en: "Full time, or no funding asked for: it is given for full-time study alone",
        fr: "À plein temps, ou sans demande de financement : il n’est accordé qu’à plein temps",
      },
      rule: {
        op: "any",
        of: [
          { op: "fact", fact: "choice.mode", is: "equals", value: "full time" },
          { op: "not", of: wantsFunding },
        ],
      },
      curable: null,
      shownToApplicant: true,
    },
    gradeOrMarks,
    {
      key: "english",
      title: { en: "English for a thesis in the humanities", fr: "L’anglais d’un mémoire en lettres" },
      rule: {
        op: "any",
        of: [
          { op: "fact", fact: "measure.written", is: "equals", value: true },
          taughtTwoYears,
          EXEMPT,
          TAUGHT_IN_FRENCH,
        ],
      },
      curable: { way: BY_TEST, possible: pendingInTime },
    },
  ],
  fees: [feeItem("application", APPLICATION_FEE, 3500, 3500)],
};
