import type { FeeItem } from "../../core/rulebook/fee-item";
import type { RulebookBody } from "../../core/rulebook/rulebook";
import { ABOUT_YOU, AROUND, DECLARATION, document, fee, feeItem, NAME_CHANGE, PASSPORT, PERMIT, sections } from "./ask";
import { earlier, emergency, experience, heard, helper, special, visa } from "./parts/circumstances";
import { declaration } from "./parts/declaration";
import { statement } from "./parts/own-words";
import { citizenship, contact, person } from "./parts/person";

const APPLICATION_FEE = ["Application fee", "Frais de candidature"] as const;
const DEPOSIT = ["Deposit", "Acompte"] as const;

/** Whoever has been at it all their life is asked for nothing, and whoever begins for less. */
const LESS_TO_APPLY: FeeItem["reductions"] = [
  {
    title: { en: "Twenty years of practice", fr: "Vingt ans de pratique" },
    when: { op: "fact", fact: "measure.practice", is: "atLeast", value: 240 },
    amounts: [],
  },
  {
    title: { en: "Under 25 at the start", fr: "Moins de 25 ans au début" },
    when: { op: "fact", fact: "person.birthDate", is: "over", value: { fact: "start", plusMonths: -300 } },
    amounts: [
      { group: "home", minor: 1000 },
      { group: "alliance", minor: 1000 },
      { group: "overseas", minor: 1000 },
    ],
  },
];

/** Graduate Certificate in Boat Conservation: run by the boat yard, which takes files on paper; hands count more than papers. */
export const gbc: RulebookBody = {
  sections: [
    person,
    contact,
    citizenship,
    visa,
    emergency,
    { ...experience, repeats: { min: 1, max: 20 } },
    statement(
      { unit: "characters", most: 2000, strict: true },
      {
        en: "Which boat have you worked on, and what would you do differently today?",
        fr: "Sur quel bateau avez-vous travaillé, et que feriez-vous autrement aujourd’hui ?",
      },
    ),
    helper,
    earlier,
    heard,
    special,
    declaration,
  ],
  requirements: [
    ABOUT_YOU,
    PASSPORT,
    PERMIT,
    NAME_CHANGE,
    sections("practice", ["Work and practice", "Travail et pratique"], ["experience"]),
    document(
      "practiceProof",
      ["Proof of practice", "Preuve de pratique"],
      [
        "Of each place: a letter of the employer or the yard, with the days.",
        "De chaque lieu : une lettre de l’employeur ou du chantier, avec les dates.",
      ],
      {
        perEntryOf: "experience",
        shows: [
          "experience.employer",
          "experience.role",
          "experience.what",
          "experience.sector",
          "experience.start",
          "experience.end",
        ],
      },
    ),
    sections("statement", ["Statement", "Texte personnel"], ["statement"], "choice"),
    AROUND,
    fee("application", APPLICATION_FEE, { neededBy: "submission", toSubmit: "accepted" }),
    fee("deposit", DEPOSIT, { neededBy: "enrolment" }),
    DECLARATION,
  ],
  measures: [
    {
      key: "practice",
      kind: "span",
      title: { en: "months of practice", fr: "mois de pratique" },
      list: "experience",
      where: { op: "fact", fact: "it.what", is: "oneOf", value: ["job", "internship"] },
    },
  ],
  entryRules: [
    {
      key: "practice",
      title: { en: "Twelve months of practice", fr: "Douze mois de pratique" },
      rule: { op: "fact", fact: "measure.practice", is: "atLeast", value: 12 },
      curable: null,
    },
  ],
  fees: [
    feeItem("application", APPLICATION_FEE, 2500, 2500, { reductions: LESS_TO_APPLY }),
    feeItem("deposit", DEPOSIT, 30_000, 30_000, {
      when: { op: "fact", fact: "choice.answer", is: "equals", value: "accepted" },
    }),
  ],
};
