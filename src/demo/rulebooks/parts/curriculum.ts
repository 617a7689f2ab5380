import type { Requirement } from "../../../core/rulebook/requirement";
import type { Section } from "../../../core/rulebook/section";
import type { Condition } from "../../../core/rules/condition";
import { document, sections } from "../ask";
import { field, option } from "./field";

/** A curriculum vitæ, given as a file or written here; how old it may be and in which languages is a check of its paper. */
const WAY = "answers.curriculum.way";
const LANGUAGES = ["en", "fr"];
/** Older than this at the closing, it no longer says what somebody does. */
const MOST_MONTHS = 12;

const asFile: Condition = { op: "fact", fact: WAY, is: "equals", value: "file" };

export const curriculum: Section = {
  key: "curriculum",
  core: null,
  scope: "file",
  title: { en: "Curriculum vitae", fr: "Curriculum vitæ" },
  fields: [
    field(
      {
        key: "way",
        kind: "choice",
        options: [
          option("file", "I upload a file", "Je téléverse un fichier"),
          option("here", "I write it here", "Je l’écris ici"),
        ],
      },
      "How do you give it?",
      "Comment le donnez-vous ?",
    ),
    field(
      {
        key: "text",
        kind: "longText",
        most: 8000,
        when: { op: "fact", fact: WAY, is: "equals", value: "here" },
      },
      "Your curriculum vitae",
      "Votre curriculum vitæ",
      {
        en: "The latest first: when, where, what. Lines as you would write them on paper.",
        fr: "Le plus récent d’abord : quand, où, quoi. Des lignes comme sur le papier.",
      },
    ),
    field({ key: "language", kind: "language" }, "Its language", "Sa langue", {
      en: "English or French.",
      fr: "Anglais ou français.",
    }),
    field({ key: "updated", kind: "date" }, "Brought up to date on", "Mis à jour le"),
  ],
};

const recent: Condition = {
  op: "fact",
  fact: "answers.curriculum.updated",
  is: "atLeast",
  value: { fact: "closing", plusMonths: -MOST_MONTHS },
};
const readable: Condition = { op: "fact", fact: "answers.curriculum.language", is: "oneOf", value: LANGUAGES };

/** The form's part of it, and the file of whoever gives one. */
export const curriculumAsked: readonly Requirement[] = [
  sections("curriculum", ["Curriculum vitae", "Curriculum vitæ"], ["curriculum"]),
  {
    ...document(
      "cv",
      ["File of the curriculum vitae", "Fichier du curriculum vitæ"],
      [
        "Two pages at most, in English or French, with dates.",
        "Deux pages au plus, en anglais ou en français, avec les dates.",
      ],
      {
        shows: ["curriculum.language", "curriculum.updated"],
        checks: [
          {
            key: "recent",
            title: { en: "at most a year old at the closing", fr: "un an au plus à la clôture" },
            rule: recent,
          },
          { key: "language", title: { en: "in English or French", fr: "en anglais ou en français" }, rule: readable },
        ],
      },
    ),
    when: asFile,
  },
];
