import type { Section } from "../../../core/sections/definition";
import { field, option } from "./field";

/** School and its leaving examinations: for programmes that people enter from school. */
export const schools: Section = {
  key: "schools",
  core: "schools",
  scope: "file",
  title: { en: "Schools", fr: "Écoles" },
  intro: {
    en: "All schools from the first year on, one entry each. The order does not matter.",
    fr: "Toutes les écoles depuis la première année, une entrée par école. L’ordre n’importe pas.",
  },
  repeats: { min: 1, max: 12 },
  fields: [
    field({ key: "name", kind: "institution", most: 200 }, "School", "École"),
    field({ key: "country", kind: "country" }, "Country", "Pays"),
    field(
      {
        key: "stage",
        kind: "choice",
        options: [
          option("primary", "Primary school", "École primaire"),
          option("secondary", "Secondary school", "École secondaire"),
        ],
      },
      "Stage",
      "Degré",
    ),
    field(
      { key: "years", kind: "decimal", least: 0.5, most: 14 },
      "School years spent there",
      "Années scolaires passées là",
      {
        en: "Count whole and half years, for example 6 or 2.5.",
        fr: "Comptez les années entières et les moitiés, par exemple 6 ou 2,5.",
      },
    ),
    field({ key: "language", kind: "language" }, "Language of teaching", "Langue d’enseignement"),
    field(
      { key: "left", kind: "date", required: false, rough: true },
      "Left on, if you have left",
      "Quittée le, si c’est fait",
    ),
  ],
};

export const sittings: Section = {
  key: "sittings",
  core: "sittings",
  scope: "file",
  title: { en: "Leaving examinations", fr: "Examens de fin d’études" },
  intro: {
    en: "One entry for each sitting. A second sitting may make up for single subjects of the first.",
    fr: "Une entrée par session. Une seconde session peut compléter certaines matières de la première.",
  },
  repeats: { min: 1, max: 2 },
  fields: [
    field(
      {
        key: "board",
        kind: "choice",
        options: [
          option("northern", "Northern Examinations Council", "Conseil d’examens du Nord"),
          option("strand", "Strand Certificate Board", "Office des certificats de Strand"),
          option("other", "Another board", "Un autre organisme"),
        ],
      },
      "Examining board",
      "Organisme d’examen",
    ),
    field(
      { key: "otherBoard", kind: "text", most: 120, when: { fact: "it.board", is: "equals", value: "other" } },
      "Its name",
      "Son nom",
    ),
    field({ key: "year", kind: "whole", least: 1950, most: 2100 }, "Year", "Année"),
    field({ key: "candidate", kind: "text", most: 30, required: false }, "Candidate number", "Numéro de candidat", {
      en: "As on the result sheet; the registry asks for it.",
      fr: "Comme sur la feuille de résultats ; le registre le demande.",
    }),
  ],
};

export const SUBJECTS = [
  option("biology", "Biology", "Biologie"),
  option("chemistry", "Chemistry", "Chimie"),
  option("physics", "Physics", "Physique"),
  option("mathematics", "Mathematics", "Mathématiques"),
  option("geography", "Geography", "Géographie"),
  option("english", "English", "Anglais"),
  option("history", "History", "Histoire"),
  option("technical", "Technical drawing", "Dessin technique"),
  option("other", "Another subject", "Une autre matière"),
];

export const subjects: Section = {
  key: "subjects",
  core: "subjects",
  scope: "file",
  title: { en: "Subjects and marks", fr: "Matières et notes" },
  intro: {
    en: "As printed on the result sheets, one line a subject.",
    fr: "Comme imprimé sur les résultats, une ligne par matière.",
  },
  repeats: { min: 1, max: 30 },
  fields: [
    field({ key: "sitting", kind: "entry", of: "sittings" }, "Sitting", "Session"),
    field(
      { key: "subject", kind: "choice", options: SUBJECTS, once: { within: "sitting", except: ["other"] } },
      "Subject",
      "Matière",
    ),
    field(
      { key: "title", kind: "text", most: 80, when: { fact: "it.subject", is: "equals", value: "other" } },
      "Its name",
      "Son nom",
    ),
    field({ key: "mark", kind: "whole", least: 0, most: 100 }, "Mark in per cent", "Note en pour cent"),
  ],
};

export const report: Section = {
  key: "report",
  core: null,
  scope: "file",
  title: { en: "Your last school report", fr: "Votre dernier bulletin" },
  fields: [
    field({ key: "from", kind: "date" }, "The report covers the time from", "Le bulletin couvre la période du"),
    field({ key: "to", kind: "date" }, "to", "au", {
      en: "At least one full school year. Two reports may be sent as one document.",
      fr: "Au moins une année scolaire complète. Deux bulletins peuvent former un document.",
    }),
  ],
};
