import type { Section } from "../../../core/sections/definition";
import { field, option } from "./field";

/** Degrees and courses at universities. */
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
      {
        en: "The degree that a university awards, such as a bachelor, a licence or a laurea. A school-leaving certificate does not belong here.",
        fr: "Le grade qu’une université délivre : licence, bachelor, laurea. Un diplôme de fin d’études secondaires n’a pas sa place ici.",
      },
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
    field({ key: "start", kind: "date" }, "Began on", "Commencé le", {
      en: "The first day on which you were enrolled for this degree there, not the opening of the year.",
      fr: "Le premier jour de votre inscription à ce diplôme dans l’établissement, non la rentrée de l’année.",
    }),
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
      { key: "creditsPerYear", kind: "decimal", least: 1, most: 2000, mayBeUnknown: true },
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
  intro: {
    en: "As on your transcript, one line a course and attempt, failed ones, too. Courses that you are registered for count as planned: enter them.",
    fr: "Comme sur votre relevé, une ligne par cours et par tentative, même échouée. Les cours où vous êtes inscrit comptent comme prévus : saisissez-les.",
  },
  repeats: { min: 1, max: 200 },
  grows: true,
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
          option("failed", "Not passed", "Non réussi"),
          option("withdrawn", "Given up", "Abandonné"),
        ],
      },
      "Status",
      "État",
    ),
    field({ key: "grade", kind: "text", most: 20, required: false }, "Grade", "Note"),
    field({ key: "date", kind: "date", rough: true, required: false }, "Result in", "Résultat en"),
    field({ key: "code", kind: "text", most: 30, required: false }, "Code", "Code"),
    field(
      { key: "degree", kind: "entry", of: "education", when: { count: "degrees", is: "atLeast", value: 2 } },
      "Degree",
      "Diplôme",
    ),
  ],
};
