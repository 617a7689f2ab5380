import type { Section } from "../../../core/sections/definition";
import { field, option } from "./field";

/** Proof of English: the way, and the test results behind it. */
export const language: Section = {
  key: "english",
  core: null,
  scope: "file",
  title: { en: "English", fr: "Anglais" },
  fields: [
    field(
      {
        key: "way",
        kind: "choice",
        options: [
          option("test", "By a test result, here or on its way", "Par un résultat de test, obtenu ou attendu"),
          option(
            "taught",
            "By two years of degree study taught in English",
            "Par deux ans d’études supérieures en anglais",
          ),
        ],
      },
      "How you prove your English",
      "Comment vous prouvez votre anglais",
    ),
  ],
};

export const tests: Section = {
  key: "tests",
  core: "tests",
  scope: "file",
  title: { en: "Test results", fr: "Résultats de tests" },
  repeats: { min: 1, max: 6 },
  when: { fact: "answers.english.way", is: "equals", value: "test" },
  fields: [
    field({ key: "test", kind: "test" }, "Test", "Test"),
    field(
      {
        key: "status",
        kind: "choice",
        options: [
          option("result", "I have the result", "J’ai le résultat"),
          option("pending", "The result is still to come", "Le résultat est attendu"),
        ],
      },
      "Result",
      "Résultat",
    ),
    field({ key: "date", kind: "date" }, "Day of the test", "Jour du test"),
    field(
      { key: "expected", kind: "date", when: { fact: "it.status", is: "equals", value: "pending" } },
      "Result expected on",
      "Résultat attendu le",
    ),
    field(
      { key: "scores", kind: "scores", when: { fact: "it.status", is: "equals", value: "result" } },
      "Scores",
      "Scores",
    ),
  ],
};

/** For programmes that people enter from school. */
export const schoolLanguage: Section = {
  ...language,
  fields: [
    field(
      {
        key: "way",
        kind: "choice",
        options: [
          option("test", "By a test result, here or on its way", "Par un résultat de test, obtenu ou attendu"),
          option("schooling", "By three school years taught in English", "Par trois années d’école en anglais"),
        ],
      },
      "How you prove your English",
      "Comment vous prouvez votre anglais",
    ),
  ],
};
