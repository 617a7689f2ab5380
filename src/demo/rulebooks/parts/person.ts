import type { Section } from "../../../core/sections/definition";
import { field } from "./field";

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
          not: {
            all: [
              { fact: "person.oneName", is: "known" },
              { fact: "person.oneName", is: "equals", value: true },
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
    field({ key: "residence", kind: "country" }, "Country in which you live", "Pays où vous vivez"),
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
        when: { fact: "citizenship.paper", is: "differs", value: "birthCertificate" },
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
