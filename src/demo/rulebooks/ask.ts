import type { Requirement } from "../../core/rulebook/requirement";
import type { Measure, RulebookBody } from "../../core/rulebook/rulebook";
import type { Condition } from "../../core/rules/condition";
import { livesAbroad } from "./parts/person";

/** Requirements and fees as the demo's rulebooks write them, so that each rulebook reads as a list of what it asks for. */
type Words = readonly [en: string, fr: string];
const local = ([en, fr]: Words) => ({ en, fr });

export function sections(
  key: string,
  title: Words,
  keys: readonly string[],
  scope: "file" | "choice" = "file",
): Requirement {
  return { key, kind: "sections", title: local(title), scope, neededBy: "submission", sections: [...keys] };
}

type DocumentInput = Partial<Extract<Requirement, { kind: "document" }>>;

export function document(
  key: string,
  title: Words,
  help: Words,
  more: DocumentInput = {},
): Extract<Requirement, { kind: "document" }> {
  return {
    key,
    kind: "document",
    title: local(title),
    help: local(help),
    scope: "file",
    neededBy: "submission",
    proof: "copy",
    checks: [],
    shows: [],
    ...more,
  };
}

export function reference(key: string, title: Words, count: number, role: string): Requirement {
  return {
    key,
    kind: "reference",
    title: local(title),
    scope: "file",
    neededBy: "review",
    toSubmit: "promised",
    count,
    role,
  };
}

type FeeInput = Omit<Extract<Requirement, { kind: "fee" }>, "kind" | "key" | "title" | "item" | "scope">;

export function fee(item: string, title: Words, more: FeeInput): Requirement {
  return { key: item, kind: "fee", title: local(title), scope: "choice", item, ...more };
}

type FeeItem = RulebookBody["fees"][number];

export function feeItem(
  key: string,
  title: Words,
  home: number,
  overseas: number,
  more: Partial<Pick<FeeItem, "per" | "when" | "reductions">> = {},
): FeeItem {
  return {
    key,
    title: local(title),
    per: "choice",
    currency: "EUR",
    amounts: [
      { group: "home", minor: home },
      // Graduates of the listed institutions pay like those at home.
      ...(home > 0 ? [{ group: "alliance", minor: home }] : []),
      { group: "overseas", minor: overseas },
    ],
    ...more,
  };
}

/** What every programme asks for about the person, with the paper that proves it. */
export const ABOUT_YOU = sections(
  "form",
  ["Person, contact, citizenship", "Personne, contact, nationalité"],
  ["person", "contact", "citizenship", "emergency", "visa"],
);

export const PASSPORT = document(
  "passport",
  ["Passport or identity card", "Passeport ou carte d’identité"],
  [
    "The page with your photograph. It must be valid for three months after the start.",
    "La page avec votre photo. Il doit être valable trois mois après le début.",
  ],
  {
    checks: [
      {
        key: "passportEnds",
        title: local(["valid at least three months after the start", "valable au moins trois mois après le début"]),
        rule: {
          op: "fact",
          fact: "citizenship.passportExpiry",
          is: "atLeast",
          value: { fact: "start", plusMonths: 3 },
        },
      },
    ],
    shows: [
      "person.givenNames",
      "person.familyName",
      "person.birthDate",
      "citizenship.citizenships",
      "citizenship.paper",
      "citizenship.passportNumber",
      "citizenship.passportExpiry",
    ],
    governsName: true,
  },
);

/** Asked of those alone whose papers may carry another name. */
export const NAME_CHANGE: Requirement = {
  ...document(
    "nameChange",
    ["Proof of the change of name", "Preuve du changement de nom"],
    [
      "A marriage certificate, a deed or a court’s decision.",
      "Un acte de mariage, un acte officiel ou une décision de justice.",
    ],
    { shows: ["person.formerNames", "person.givenNames", "person.familyName"] },
  ),
  when: { op: "fact", fact: "person.formerNames", is: "known" },
};

/** Asked of those alone who live where they are not a citizen. */
export const PERMIT: Requirement = {
  ...document(
    "permit",
    ["Residence permit", "Titre de séjour"],
    [
      "Of the country in which you live: your citizenship is another.",
      "Du pays où vous vivez : votre nationalité est autre.",
    ],
    { shows: ["citizenship.residence"] },
  ),
  when: livesAbroad,
};

export const DECLARATION = sections("declaration", ["Declaration", "Déclaration"], ["declaration"]);
export const AROUND = sections(
  "around",
  ["A few questions", "Quelques questions"],
  ["helper", "earlier", "heard", "special"],
);
export const REFEREES_NAMED = sections("referee", ["Referees named", "Référents indiqués"], ["referees"]);
/** What is asked of a language follows from the one that the programme teaches in, which the office sets once. */
const taughtInEnglish: Condition = { op: "fact", fact: "choice.language", is: "equals", value: "en" };

export const ENGLISH_FORM: Requirement = {
  ...sections("englishForm", ["English", "Anglais"], ["english", "tests"]),
  when: taughtInEnglish,
};

export const pendingInTime: Condition = {
  op: "some",
  list: "tests",
  where: {
    op: "all",
    of: [
      { op: "fact", fact: "it.status", is: "equals", value: "pending" },
      { op: "fact", fact: "it.expected", is: "atMost", value: { fact: "start" } },
    ],
  },
};

const EXEMPTION_SHOWS = ["english.ground", "english.country", "english.place"];

export function englishProof(more: DocumentInput = {}): Requirement {
  return document(
    "english",
    ["Proof of English", "Preuve d’anglais"],
    [
      "The test report, your school’s certificate of teaching in English, or the letter behind an exemption.",
      "Le rapport du test, l’attestation d’enseignement en anglais, ou la lettre à l’appui d’une dispense.",
    ],
    {
      toSubmit: "promised",
      promise: pendingInTime,
      when: taughtInEnglish,
      ...more,
      shows: [...(more.shows ?? ["tests.test", "tests.number", "tests.date", "tests.scores"]), ...EXEMPTION_SHOWS],
    },
  );
}

export const BY_TEST = local(["by a test result before the start", "par un résultat de test avant le début"]);

export function englishRule(level: "B1" | "B2" | "C1", otherwise: Condition): RulebookBody["entryRules"][number] {
  return {
    key: "english",
    title: local([`English at ${level}`, `Anglais de niveau ${level}`]),
    rule: { op: "any", of: [{ op: "fact", fact: "measure.english", is: "atLeast", value: level }, otherwise, EXEMPT] },
    curable: { way: BY_TEST, possible: pendingInTime },
  };
}

export const EXEMPT: Condition = { op: "fact", fact: "measure.exempt", is: "equals", value: true };

/** Whether the exemption that is claimed was ruled to hold. */
export const exemptMeasure = {
  key: "exempt",
  kind: "ruling",
  title: local(["exemption from the proof of English", "dispense de la preuve d’anglais"]),
  of: "answers.english",
  where: { op: "fact", fact: "answers.english.way", is: "equals", value: "exempt" },
  question: "English exemption",
} satisfies Measure;

export const englishMeasure = {
  key: "english",
  kind: "level",
  title: local(["level of English", "niveau d’anglais"]),
  language: "en",
  tests: ["het", "kle"],
  stated: "answers.english.selfLevel",
} satisfies Measure;

/** The same from the best parts of several sittings. */
export const combinedEnglish: Measure = { ...englishMeasure, mode: "combine" };

/** School years taught in English, counted over the schools that were named. */
export const schooledInEnglish = (years: number): Condition => ({
  op: "sum",
  list: "schools",
  field: "years",
  where: { op: "fact", fact: "it.language", is: "equals", value: "en" },
  is: "atLeast",
  value: years,
});
