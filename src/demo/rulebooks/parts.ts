import type { Field, Section } from "../../core/sections/definition";

/**
 * Standard sections that several rulebooks of the demo share. Publishing copies them in, so a published rulebook stands alone.
 */
type FieldInput = Partial<Field> & Pick<Field, "key" | "kind">;

/** A field with the defaults of most fields: required, seen in the assessment. */
export function field(input: FieldInput, en: string, fr: string, help?: { en: string; fr: string }): Field {
  return { required: true, seenBy: "assessment", title: { en, fr }, ...(help ? { help } : {}), ...input };
}

export const option = (value: string, en: string, fr: string) => ({ value, title: { en, fr } });

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
      { key: "passportNumber", kind: "text", most: 20 },
      "Number of your passport or identity card",
      "Numéro du passeport ou de la carte d’identité",
    ),
    field({ key: "passportExpiry", kind: "date" }, "It is valid until", "Valable jusqu’au"),
  ],
};

export const education: Section = {
  key: "education",
  core: "education",
  scope: "file",
  title: { en: "Your degree", fr: "Votre diplôme" },
  repeats: { min: 1, max: 6 },
  fields: [
    field({ key: "institution", kind: "institution", most: 200 }, "Institution", "Établissement"),
    field({ key: "country", kind: "country" }, "Country", "Pays"),
    field(
      {
        key: "level",
        kind: "choice",
        options: [
          option("5", "Short degree (ISCED 5)", "Cycle court (CITE 5)"),
          option("6", "Bachelor or equal (ISCED 6)", "Licence ou équivalent (CITE 6)"),
          option("7", "Master or equal (ISCED 7)", "Master ou équivalent (CITE 7)"),
          option("8", "Doctorate (ISCED 8)", "Doctorat (CITE 8)"),
        ],
      },
      "Level",
      "Niveau",
    ),
    field({ key: "title", kind: "text", most: 200 }, "Title of the degree", "Intitulé du diplôme"),
    field(
      {
        key: "status",
        kind: "choice",
        options: [option("completed", "Completed", "Obtenu"), option("in progress", "Still running", "En cours")],
      },
      "Status",
      "État",
    ),
    field({ key: "start", kind: "date" }, "Began on", "Commencé le"),
    field(
      { key: "end", kind: "date", when: { fact: "it.status", is: "equals", value: "completed" } },
      "Awarded on",
      "Obtenu le",
    ),
    field(
      { key: "expectedEnd", kind: "date", when: { fact: "it.status", is: "equals", value: "in progress" } },
      "Expected to be awarded on",
      "Obtention prévue le",
    ),
    field({ key: "language", kind: "language" }, "Language of teaching", "Langue d’enseignement"),
    field(
      { key: "creditsPerYear", kind: "decimal", least: 1, most: 2000 },
      "Credits of one full-time year there",
      "Crédits d’une année à plein temps",
      {
        en: "In ECTS systems this is 60.",
        fr: "Dans les systèmes ECTS, c’est 60.",
      },
    ),
    field({ key: "scale", kind: "scale" }, "Grade scale", "Échelle de notes"),
    field(
      { key: "gradeBest", kind: "decimal", when: { fact: "it.scale", is: "equals", value: "other" } },
      "Best mark that can be awarded",
      "Meilleure note possible",
    ),
    field(
      { key: "gradePass", kind: "decimal", when: { fact: "it.scale", is: "equals", value: "other" } },
      "Lowest mark that passes",
      "Note la plus basse qui suffit",
    ),
    field(
      { key: "grade", kind: "text", most: 20, required: false },
      "Final grade, if you have it",
      "Note finale, si vous l’avez",
    ),
  ],
};

export const courses: Section = {
  key: "courses",
  core: "courses",
  scope: "file",
  title: { en: "Courses", fr: "Cours" },
  intro: { en: "As on your transcript, one line a course.", fr: "Comme sur votre relevé, une ligne par cours." },
  repeats: { min: 1, max: 200 },
  fields: [
    field({ key: "title", kind: "text", most: 200 }, "Course", "Cours"),
    field({ key: "credits", kind: "decimal", most: 400 }, "Credits", "Crédits"),
    field({ key: "area", kind: "area" }, "Subject area", "Domaine"),
    field(
      {
        key: "status",
        kind: "choice",
        options: [
          option("completed", "Completed", "Terminé"),
          option("in progress", "Running", "En cours"),
          option("registered", "Registered", "Inscrit"),
        ],
      },
      "Status",
      "État",
    ),
    field({ key: "grade", kind: "text", most: 20, required: false }, "Grade", "Note"),
  ],
};

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

export const referees: Section = {
  key: "referees",
  core: "referees",
  scope: "file",
  title: { en: "Referee", fr: "Référent" },
  intro: {
    en: "Your referee gets a mail with a link as soon as you send the request. Nothing but your name and programme is shown to them.",
    fr: "Votre référent reçoit un lien par courriel dès que vous envoyez la demande. Seuls votre nom et votre programme lui sont montrés.",
  },
  repeats: { min: 1, max: 3 },
  fields: [
    field({ key: "name", kind: "name", most: 150 }, "Name", "Nom"),
    field({ key: "email", kind: "email", most: 200 }, "E-mail at the institution", "Courriel à l’établissement"),
    field({ key: "institution", kind: "text", most: 200 }, "Institution", "Établissement"),
    field(
      {
        key: "role",
        kind: "choice",
        options: [
          option("academic", "Taught or supervised me", "M’a enseigné ou encadré"),
          option("professional", "Worked with me", "A travaillé avec moi"),
        ],
      },
      "Role",
      "Rôle",
    ),
  ],
};

export const declaration: Section = {
  key: "declaration",
  core: "declaration",
  scope: "file",
  title: { en: "Declaration", fr: "Déclaration" },
  fields: [
    field(
      { key: "true", kind: "agree" },
      "Everything that I have written is true and complete.",
      "Tout ce que j’ai écrit est exact et complet.",
    ),
    field(
      { key: "data", kind: "agree" },
      "The institute may keep and check this data to decide on my application.",
      "L’institut peut conserver et vérifier ces données pour décider de ma candidature.",
    ),
    field(
      { key: "signature", kind: "name", most: 200 },
      "Your full name, as signature",
      "Votre nom complet, en signature",
    ),
  ],
};
