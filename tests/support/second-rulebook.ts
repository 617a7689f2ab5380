import type { RulebookBody } from "../../src/core/rulebook/rulebook";
import { declaration } from "../../src/demo/rulebooks/parts/declaration";
import { field } from "../../src/demo/rulebooks/parts/field";
import { citizenship, contact, person } from "../../src/demo/rulebooks/parts/person";
import { referees } from "../../src/demo/rulebooks/parts/referees";
import { courses, education } from "../../src/demo/rulebooks/parts/studies";

/**
 * An invented rulebook that has nothing to do with the demo's: a section of its own for the choice, two references, a
 * requirement repeated for each degree, a fee that is needed by review, and a rule that needs two of four.
 */
export const secondRulebook: RulebookBody = {
  sections: [
    person,
    contact,
    citizenship,
    education,
    courses,
    referees,
    {
      key: "diving",
      core: null,
      scope: "choice",
      title: { en: "Work under water", fr: "Travail sous l’eau" },
      fields: [
        field({ key: "swims", kind: "yesNo" }, "I can swim 400 metres", "Je sais nager 400 mètres"),
        field({ key: "weeks", kind: "decimal", most: 60 }, "Weeks at sea in a year", "Semaines en mer par an"),
        field({ key: "why", kind: "longText", most: 600 }, "Why under water", "Pourquoi sous l’eau"),
      ],
    },
    declaration,
  ],
  requirements: [
    {
      key: "people",
      kind: "sections",
      title: { en: "About you", fr: "Sur vous" },
      scope: "file",
      neededBy: "submission",
      sections: ["person", "contact", "citizenship"],
    },
    {
      key: "diving",
      kind: "sections",
      title: { en: "Work under water", fr: "Travail sous l’eau" },
      scope: "choice",
      neededBy: "submission",
      sections: ["diving"],
    },
    {
      key: "declaration",
      kind: "sections",
      title: { en: "Declaration", fr: "Déclaration" },
      scope: "file",
      neededBy: "submission",
      sections: ["declaration"],
    },
    {
      key: "supplement",
      kind: "document",
      title: { en: "Diploma supplement", fr: "Supplément au diplôme" },
      scope: "file",
      neededBy: "checking",
      proof: "copy",
      perEntryOf: "education",
      checks: [],
      shows: ["education.grade", "education.scale", "education.level"],
    },
    {
      key: "medical",
      kind: "document",
      title: { en: "Fit-to-dive certificate", fr: "Certificat d’aptitude" },
      scope: "choice",
      neededBy: "submission",
      proof: "copy",
      checks: [
        {
          key: "weeks",
          title: { en: "at least two weeks at sea", fr: "au moins deux semaines en mer" },
          rule: { op: "fact", fact: "answers.diving.weeks", is: "atLeast", value: 2 },
        },
      ],
      shows: ["diving.swims", "diving.weeks"],
    },
    {
      key: "references",
      kind: "reference",
      title: { en: "Two references", fr: "Deux recommandations" },
      scope: "file",
      neededBy: "review",
      toSubmit: "promised",
      count: 2,
      role: "any",
    },
    {
      key: "boatFee",
      kind: "fee",
      title: { en: "Boat fee", fr: "Frais de bateau" },
      scope: "choice",
      neededBy: "review",
      item: "boat",
    },
  ],
  measures: [
    {
      key: "mark",
      kind: "grade",
      title: { en: "mark on our scale", fr: "note sur notre échelle" },
      degree: { op: "fact", fact: "it.level", is: "atLeast", value: 6 },
      decimals: 2,
      rounding: "half_up",
      compare: "exact",
    },
  ],
  entryRules: [
    {
      key: "twoOfFour",
      title: { en: "Two of four strengths", fr: "Deux forces sur quatre" },
      rule: {
        op: "atLeast",
        count: 2,
        of: [
          { op: "fact", fact: "answers.diving.swims", is: "equals", value: true },
          { op: "fact", fact: "answers.diving.weeks", is: "atLeast", value: 4 },
          { op: "fact", fact: "measure.mark", is: "atMost", value: "1.50" },
          { op: "count", list: "courses", is: "atLeast", value: 50 },
        ],
      },
      curable: null,
    },
  ],
  fees: [
    {
      key: "boat",
      title: { en: "Boat fee", fr: "Frais de bateau" },
      per: "choice",
      currency: "EUR",
      amounts: [
        { group: "home", minor: 1250 },
        { group: "overseas", minor: 1250 },
      ],
    },
  ],
};
