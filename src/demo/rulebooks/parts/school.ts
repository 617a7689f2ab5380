import type { Requirement } from "../../../core/rulebook/requirement";
import type { Section } from "../../../core/rulebook/section";
import type { Condition } from "../../../core/rules/condition";
import { document } from "../ask";
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

const isOtherBoard: Condition = { op: "fact", fact: "it.board", is: "equals", value: "other" };

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
    field({ key: "country", kind: "country", when: isOtherBoard }, "Education system of", "Système éducatif de", {
      en: "The country whose leaving examination it is, not always the one where you sat it.",
      fr: "Le pays dont c’est l’examen, pas toujours celui où vous l’avez passé.",
    }),
    field(
      { key: "certificate", kind: "text", most: 120, when: isOtherBoard },
      "Name of the certificate",
      "Nom du certificat",
      { en: "In its own language, as printed on it.", fr: "Dans sa langue, comme imprimé." },
    ),
    field(
      {
        key: "equivalence",
        kind: "choice",
        options: [
          option("have", "I have it", "Je l’ai"),
          option("asked", "I have asked for it", "Je l’ai demandée"),
          option("not yet", "I have not asked for it yet", "Je ne l’ai pas encore demandée"),
        ],
        when: isOtherBoard,
      },
      "Statement of equivalence",
      "Attestation d’équivalence",
      {
        en: "The Bureau of School Equivalence states your marks in per cent. Without it we cannot read them.",
        fr: "Le Bureau d’équivalence scolaire exprime vos notes en pour cent. Sans elle, nous ne pouvons pas les lire.",
      },
    ),
    field(
      {
        key: "equivalenceDue",
        kind: "date",
        when: { op: "fact", fact: "it.equivalence", is: "equals", value: "asked" },
      },
      "It is promised for",
      "Elle est promise pour le",
    ),
    field({ key: "year", kind: "whole", least: 1950, most: 2100 }, "Year", "Année"),
    field({ key: "candidate", kind: "text", most: 30, required: false }, "Candidate number", "Numéro de candidat", {
      en: "As on the result sheet; the registry asks for it.",
      fr: "Comme sur la feuille de résultats ; le registre le demande.",
    }),
    field(
      {
        key: "marks",
        kind: "choice",
        options: [
          option("typed", "I enter them myself, with the result sheet", "Je les saisis, avec la feuille de résultats"),
          option("registry", "Get them from the registry", "Demandez-les au registre"),
        ],
        when: {
          op: "all",
          of: [
            { op: "fact", fact: "it.board", is: "oneOf", value: ["northern", "strand"] },
            { op: "fact", fact: "it.candidate", is: "known" },
          ],
        },
      },
      "Your marks of this sitting",
      "Vos notes de cette session",
    ),
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
  fromRegistry: {
    list: "sittings",
    by: "sitting",
    where: { op: "fact", fact: "it.marks", is: "equals", value: "registry" },
  },
  fields: [
    field({ key: "sitting", kind: "entry", of: "sittings" }, "Sitting", "Session"),
    field(
      { key: "subject", kind: "choice", options: SUBJECTS, once: { within: "sitting", except: ["other"] } },
      "Subject",
      "Matière",
    ),
    field(
      { key: "title", kind: "text", most: 80, when: { op: "fact", fact: "it.subject", is: "equals", value: "other" } },
      "Its name",
      "Son nom",
    ),
    field(
      {
        key: "printed",
        kind: "text",
        most: 20,
        required: false,
        when: { op: "fact", fact: "it.sitting.board", is: "equals", value: "other" },
      },
      "As printed",
      "Comme imprimé",
    ),
    field({ key: "mark", kind: "whole", least: 0, most: 100 }, "Mark in per cent", "Note en pour cent"),
  ],
};

/** The paper of the body that states foreign marks in per cent; review waits for it. */
export const equivalence = document(
  "equivalence",
  ["Statement of equivalence", "Attestation d’équivalence"],
  [
    "From the Bureau of School Equivalence, with your marks in per cent.",
    "Du Bureau d’équivalence scolaire, avec vos notes en pour cent.",
  ],
  {
    perEntryOf: "sittings",
    when: isOtherBoard,
    toSubmit: "promised",
    promise: { op: "fact", fact: "it.equivalence", is: "equals", value: "asked" },
    promisedFor: "sittings.equivalenceDue",
    neededBy: "review",
    shows: ["sittings.country", "sittings.certificate", "subjects.subject", "subjects.printed", "subjects.mark"],
  },
);

/** Courses of a college that were taken during school: credit transfer looks at them, entry rules do not. */
export const college: Section = {
  key: "college",
  core: null,
  scope: "file",
  title: { en: "College courses during school", fr: "Cours universitaires suivis pendant l’école" },
  intro: {
    en: "Courses of a college or university that you took while you were still at school. Add nothing if there is none.",
    fr: "Les cours d’une université suivis pendant que vous étiez encore à l’école. N’ajoutez rien s’il n’y en a pas.",
  },
  repeats: { min: 0, max: 12 },
  fields: [
    field({ key: "institution", kind: "institution", most: 200 }, "College", "Université"),
    field({ key: "title", kind: "text", most: 200 }, "Course", "Cours"),
    field({ key: "credits", kind: "decimal", least: 0, most: 60 }, "Credits", "Crédits"),
    field({ key: "grade", kind: "text", most: 20, required: false }, "Grade", "Note"),
    field({ key: "date", kind: "date", rough: true, required: false }, "Result in", "Résultat en"),
  ],
};

const HAS_COLLEGE: Condition = { op: "count", list: "answers.college", is: "atLeast", value: 1 };

export const collegeAsked: readonly Requirement[] = [
  {
    ...document(
      "collegeTranscript",
      ["College transcript", "Relevé de l’université"],
      ["From the college itself, not from your school.", "De l’université elle-même, non de votre école."],
      {
        neededBy: "decision",
        shows: ["college.institution", "college.title", "college.credits", "college.grade", "college.date"],
      },
    ),
    when: HAS_COLLEGE,
  },
  {
    key: "creditTransfer",
    kind: "deed",
    title: { en: "Credit transfer", fr: "Reconnaissance de crédits" },
    help: {
      en: "Pass the college transcript on once it was looked at; the answer goes to the applicant from there.",
      fr: "Transmettez le relevé de l’université une fois vérifié ; la réponse part de là.",
    },
    scope: "file",
    neededBy: "enrolment",
    when: HAS_COLLEGE,
  },
];

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
