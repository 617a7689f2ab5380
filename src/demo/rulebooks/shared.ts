import type { SharedPart } from "../../core/rulebook/parts";
import { EMPTY_RULEBOOK } from "../../core/rulebook/rulebook";
import { DECLARATION, ENGLISH_FORM, englishMeasure, exemptMeasure, NAME_CHANGE, PASSPORT } from "./ask";
import { declaration } from "./parts/declaration";
import { language, tests } from "./parts/language";
import { citizenship, contact, person } from "./parts/person";

/** What the office keeps once for its rulebooks. */
export const SHARED_PARTS: readonly SharedPart[] = [
  {
    key: "person",
    title: { en: "Person, contact, citizenship", fr: "Personne, contact, nationalité" },
    body: { ...EMPTY_RULEBOOK, sections: [person, contact, citizenship], requirements: [PASSPORT, NAME_CHANGE] },
  },
  {
    key: "english",
    title: { en: "English", fr: "Anglais" },
    body: {
      ...EMPTY_RULEBOOK,
      sections: [language, tests],
      requirements: [ENGLISH_FORM],
      measures: [englishMeasure, exemptMeasure],
    },
  },
  {
    key: "declaration",
    title: { en: "Declaration", fr: "Déclaration" },
    body: { ...EMPTY_RULEBOOK, sections: [declaration], requirements: [DECLARATION] },
  },
];
