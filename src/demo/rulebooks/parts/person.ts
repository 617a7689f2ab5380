import type { Section } from "../../../core/rulebook/section";
import type { Condition } from "../../../core/rules/condition";
import { field, option } from "./field";

/** Who somebody is, how to reach them, and what decides their applicant group. */
export const person: Section = {
  key: "person",
  core: "person",
  scope: "file",
  title: { en: "You", fr: "Vous" },
  intro: {
    en: "Write your name as it stands in your passport.",
    fr: "Écrivez votre nom comme il figure dans votre passeport.",
  },
  fields: [
    field({ key: "oneName", kind: "yesNo", required: false }, "I have only one name", "Je n’ai qu’un seul nom"),
    field(
      {
        key: "givenNames",
        kind: "name",
        most: 100,
        when: {
          op: "not",
          of: {
            op: "all",
            of: [
              { op: "fact", fact: "person.oneName", is: "known" },
              { op: "fact", fact: "person.oneName", is: "equals", value: true },
            ],
          },
        },
      },
      "Given names",
      "Prénoms",
    ),
    field(
      { key: "familyName", kind: "name", most: 100 },
      "Family name, or your one name",
      "Nom de famille, ou votre seul nom",
    ),
    field(
      { key: "formerNames", kind: "text", most: 200, required: false },
      "Former names, if your papers carry them",
      "Anciens noms, si vos documents les portent",
      {
        en: "Several with commas between them. We then ask for the proof of the change.",
        fr: "Plusieurs, séparés par des virgules. Nous demandons alors la preuve du changement.",
      },
    ),
    field(
      { key: "calledName", kind: "name", most: 100, required: false },
      "The name you are called by, if it is another",
      "Le nom que vous portez au quotidien, s’il est autre",
    ),
    field(
      { key: "certificateName", kind: "name", most: 200, required: false },
      "How your name is to be written on our certificates, if not as above",
      "Comment écrire votre nom sur nos diplômes, si ce n’est pas comme ci-dessus",
    ),
    field({ key: "birthDate", kind: "date" }, "Date of birth", "Date de naissance"),
    field({ key: "birthPlace", kind: "text", most: 100 }, "Place of birth", "Lieu de naissance"),
    field(
      { key: "birthCountry", kind: "country", required: false, mayBeUnknown: true },
      "Country in which that place lies today",
      "Pays où se trouve ce lieu aujourd’hui",
    ),
    field(
      {
        key: "gender",
        kind: "choice",
        required: false,
        seenBy: "office",
        options: [
          option("F", "F", "F"),
          option("M", "M", "M"),
          option("X", "X, or nothing is stated there", "X, ou rien n’y figure"),
        ],
      },
      "Gender, as your passport states it",
      "Genre, tel que l’indique votre passeport",
      {
        en: "The office needs it for visa papers alone. Nobody who judges your application sees it.",
        fr: "Le bureau n’en a besoin que pour les visas. Personne qui évalue votre candidature ne le voit.",
      },
    ),
  ],
};

export const contact: Section = {
  key: "contact",
  core: "contact",
  scope: "file",
  title: { en: "How to reach you", fr: "Vous joindre" },
  fields: [
    field(
      { key: "phone", kind: "phone", required: false, seenBy: "office" },
      "Phone, with country code",
      "Téléphone, avec l’indicatif",
      {
        en: "For example +353 1 555 0100.",
        fr: "Par exemple +33 1 55 55 01 00.",
      },
    ),
    field({ key: "street", kind: "text", most: 200, seenBy: "office" }, "Street and number", "Rue et numéro"),
    field({ key: "postcode", kind: "text", most: 20, required: false, seenBy: "office" }, "Postcode", "Code postal"),
    field({ key: "town", kind: "text", most: 100, seenBy: "office" }, "Town", "Ville"),
    field({ key: "country", kind: "country" }, "Country of this address", "Pays de cette adresse"),
  ],
};

/** Living in a country whose citizen one is not: nobody has to say so, it follows from the two answers. */
export const livesAbroad: Condition = {
  op: "not",
  of: { op: "fact", fact: "citizenship.citizenships", is: "includesOneOf", value: { fact: "citizenship.residence" } },
};

export const citizenship: Section = {
  key: "citizenship",
  core: "citizenship",
  scope: "file",
  title: { en: "Citizenship and residence", fr: "Nationalité et résidence" },
  intro: {
    en: "These decide which deadline and which fee apply to you. With two citizenships you get the better one.",
    fr: "Elles décident du délai et des frais qui vous concernent. Avec deux nationalités, la plus favorable compte.",
  },
  fields: [
    field({ key: "citizenships", kind: "countries" }, "Citizenships", "Nationalités"),
    field({ key: "residence", kind: "country", counted: true }, "Country in which you live", "Pays où vous vivez"),
    field(
      {
        key: "stay",
        kind: "choice",
        when: livesAbroad,
        options: [
          option("permanent", "A permanent right of residence", "Un droit de séjour permanent"),
          option("family", "A permit as somebody’s family", "Un titre de séjour pour motif familial"),
          option("study", "A permit for study", "Un titre de séjour pour études"),
          option("work", "A permit for work", "Un titre de séjour pour travail"),
          option("protection", "Protection or asylum", "Une protection ou l’asile"),
          option("other", "Another, or none yet", "Un autre, ou pas encore"),
        ],
      },
      "What lets you live there",
      "Ce qui vous permet d’y vivre",
      {
        en: "A permanent right does not end with a job, a marriage or your studies; your permit says so. We ask for a copy of it.",
        fr: "Un droit permanent ne prend fin ni avec un emploi, ni avec un mariage, ni avec vos études ; votre titre le dit. Nous en demandons une copie.",
      },
    ),
    field(
      {
        key: "paper",
        kind: "paper",
        papers: [{ key: "passport" }, { key: "identityCard", groups: ["home"] }, { key: "travelDocument" }],
      },
      "Identity paper",
      "Pièce d’identité",
      {
        en: "The one of which you send a copy. It is the one that you will travel with.",
        fr: "Celle dont vous envoyez une copie, et avec laquelle vous voyagerez.",
      },
    ),
    field({ key: "passportNumber", kind: "text", most: 20, numberOf: "paper" }, "Its number", "Son numéro"),
    field(
      {
        key: "passportExpiry",
        kind: "date",
        ends: true,
        when: { op: "fact", fact: "citizenship.paper", is: "differs", value: "birthCertificate" },
      },
      "It is valid until",
      "Valable jusqu’au",
    ),
  ],
};

/** For programmes that take people who have no paper with a photograph yet. */
export const citizenshipOfMinors: Section = {
  ...citizenship,
  fields: citizenship.fields.map((f) =>
    f.papers ? { ...f, papers: [...f.papers, { key: "birthCertificate", groups: ["home"] }] } : f,
  ),
};
