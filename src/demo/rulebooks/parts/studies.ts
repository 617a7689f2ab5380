import type { Requirement } from "../../../core/rulebook/requirement";
import type { Section } from "../../../core/rulebook/section";
import type { Condition } from "../../../core/rules/condition";
import { document } from "../ask";
import { field, option } from "./field";

const isProfessional: Condition = { op: "fact", fact: "it.level", is: "equals", value: "4" };

/** Degrees and courses at universities, and what professional bodies award. */
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
          {
            ...option("4", "Professional qualification (ISCED 4)", "Qualification professionnelle (CITE 4)"),
            scales: ["percent40", "to10"],
          },
          option("5", "Short degree (ISCED 5)", "Cycle court (CITE 5)"),
          option("6", "Bachelor or equal (ISCED 6)", "Licence ou équivalent (CITE 6)"),
          option("7", "Master or equal (ISCED 7)", "Master ou équivalent (CITE 7)"),
          option("8", "Doctorate (ISCED 8)", "Doctorat (CITE 8)"),
        ],
      },
      "Level",
      "Niveau",
      {
        en: "The degree that a university awards, such as a bachelor, a licence or a laurea, or what a professional body awards. A school-leaving certificate does not belong here.",
        fr: "Le grade qu’une université délivre : licence, bachelor, laurea, ou ce que délivre un organisme professionnel. Un diplôme de fin d’études secondaires n’a pas sa place ici.",
      },
    ),
    field(
      { key: "body", kind: "text", most: 200, when: isProfessional },
      "Body that awards it",
      "Organisme qui la délivre",
    ),
    field(
      { key: "registration", kind: "text", most: 60, required: false, when: isProfessional },
      "Your number in its register",
      "Votre numéro dans son registre",
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
      { key: "end", kind: "date", when: { op: "fact", fact: "it.status", is: "equals", value: "completed" } },
      "Awarded on",
      "Obtenu le",
    ),
    field(
      { key: "expectedEnd", kind: "date", when: { op: "fact", fact: "it.status", is: "equals", value: "in progress" } },
      "Expected to be awarded on",
      "Obtention prévue le",
    ),
    field({ key: "language", kind: "language" }, "Language of teaching", "Langue d’enseignement"),
    field(
      {
        key: "creditsPerYear",
        kind: "decimal",
        least: 1,
        most: 2000,
        mayBeUnknown: true,
        when: { op: "fact", fact: "it.level", is: "atLeast", value: 5 },
      },
      "Credits of one full-time year there",
      "Crédits d’une année à plein temps",
      {
        en: "In ECTS systems this is 60.",
        fr: "Dans les systèmes ECTS, c’est 60.",
      },
    ),
    field({ key: "scale", kind: "scale" }, "Grade scale", "Échelle de notes"),
    field(
      { key: "gradeBest", kind: "decimal", when: { op: "fact", fact: "it.scale", is: "equals", value: "other" } },
      "Best mark that can be awarded",
      "Meilleure note possible",
    ),
    field(
      { key: "gradePass", kind: "decimal", when: { op: "fact", fact: "it.scale", is: "equals", value: "other" } },
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
      {
        key: "degree",
        kind: "entry",
        of: "education",
        when: { op: "count", list: "degrees", is: "atLeast", value: 2 },
      },
      "Degree",
      "Diplôme",
    ),
  ],
};

/** How a transcript marks: by grades on a scale, or by marks obtained of marks possible. */
export const marking: Section = {
  key: "marking",
  core: null,
  scope: "file",
  title: { en: "How your courses are marked", fr: "La notation de vos cours" },
  fields: [
    field(
      {
        key: "by",
        kind: "choice",
        options: [
          option("grades", "By a grade for each course", "Par une note pour chaque cours"),
          option("marks", "By marks obtained of marks possible", "Par des points obtenus sur des points possibles"),
        ],
      },
      "What does your transcript or mark sheet show?",
      "Que montre votre relevé ?",
      {
        en: "Marks are typed as they are printed; the percentage is worked out from them.",
        fr: "Saisissez les points tels qu’ils sont imprimés ; le pourcentage en est calculé.",
      },
    ),
  ],
};

const byMarks: Condition = { op: "fact", fact: "answers.marking.by", is: "equals", value: "marks" };

/** Courses with a grade, or with their marks for those whose mark sheets have them: as many columns as fit on a line. */
export const markedCourses: Section = {
  ...courses,
  fields: [
    ...courses.fields
      .filter((f) => f.key !== "code")
      .map((f) => (f.key === "grade" ? { ...f, when: { op: "not" as const, of: byMarks } } : f)),
    field(
      { key: "marksObtained", kind: "decimal", least: 0, most: 10_000, when: byMarks },
      "Marks obtained",
      "Points obtenus",
    ),
    field(
      { key: "marksTotal", kind: "decimal", least: 1, most: 10_000, when: byMarks },
      "Marks possible",
      "Points possibles",
    ),
  ],
};

/** The credits of a full year: with fewer, a transcript may still cover one. */
const FULL_YEAR = 60;
const fewCredits: Condition = {
  op: "not",
  of: { op: "sum", list: "courses", field: "ects", is: "atLeast", value: FULL_YEAR },
};

/** Asked of those alone whose courses do not add up to a year. */
export const covers: Section = {
  key: "covers",
  core: null,
  scope: "file",
  title: { en: "What your transcript covers", fr: "Ce que couvre votre relevé" },
  intro: {
    en: "Your courses add up to less than one year. Your transcript may cover a whole one all the same.",
    fr: "Vos cours font moins d’une année. Votre relevé peut tout de même en couvrir une entière.",
  },
  when: fewCredits,
  fields: [
    field({ key: "from", kind: "date" }, "Day of its first result", "Date du premier résultat", {
      en: "As printed. Where only a month stands there: its first day.",
      fr: "Telle qu’imprimée. Si seul un mois y figure : son premier jour.",
    }),
    field({ key: "to", kind: "date" }, "Day of its last result", "Date du dernier résultat"),
  ],
};

const HAS_UNFINISHED: Condition = { op: "count", list: "answers.unfinished", is: "atLeast", value: 1 };

/** Studies that were begun and ended without an award: asked of everybody, since they may carry credits, or an exclusion. */
export const unfinished: Section = {
  key: "unfinished",
  core: null,
  scope: "file",
  title: { en: "Earlier and unfinished studies", fr: "Études antérieures et inachevées" },
  intro: {
    en: "Every study at a university, here or abroad, that you left without the degree. Add nothing if there is none.",
    fr: "Toutes les études universitaires, ici ou à l’étranger, que vous avez quittées sans diplôme. N’ajoutez rien s’il n’y en a pas.",
  },
  repeats: { min: 0, max: 6 },
  fields: [
    field({ key: "institution", kind: "institution", most: 200 }, "Institution", "Établissement"),
    field({ key: "country", kind: "country" }, "Country", "Pays"),
    field({ key: "title", kind: "text", most: 200 }, "What you studied", "Ce que vous étudiiez"),
    field({ key: "start", kind: "date", rough: true }, "Began in", "Commencé en"),
    field({ key: "end", kind: "date", rough: true }, "Left in", "Quitté en"),
    field(
      {
        key: "why",
        kind: "choice",
        options: [
          option("own", "I decided to leave", "J’ai décidé de partir"),
          option("changed", "I went on with another study", "J’ai poursuivi d’autres études"),
          option("excluded", "I was not allowed to go on", "Je n’ai pas été autorisé à poursuivre"),
          option("paused", "It is interrupted, and I am still enrolled", "Elles sont interrompues, je reste inscrit"),
        ],
      },
      "How it ended",
      "Comment elles ont pris fin",
    ),
    field(
      { key: "credits", kind: "decimal", least: 0, most: 600, required: false },
      "Credits that you have from it",
      "Crédits que vous en avez",
      {
        en: "If you wish some of it to be recognised. None are counted by themselves.",
        fr: "Si vous souhaitez une reconnaissance. Aucun n’est compté d’office.",
      },
    ),
  ],
};

/** The paper of each, and the office's own look at all of them. */
export const unfinishedAsked: readonly Requirement[] = [
  document(
    "unfinishedRecord",
    ["Record of an unfinished study", "Relevé d’études inachevées"],
    [
      "What was taken there, with results, or a statement that nothing was.",
      "Ce qui a été suivi, avec les résultats, ou une attestation que rien ne l’a été.",
    ],
    {
      perEntryOf: "unfinished",
      neededBy: "review",
      shows: [
        "unfinished.institution",
        "unfinished.country",
        "unfinished.title",
        "unfinished.start",
        "unfinished.end",
        "unfinished.why",
        "unfinished.credits",
      ],
    },
  ),
  {
    key: "unfinishedLooked",
    kind: "deed",
    title: { en: "Unfinished studies", fr: "Études inachevées" },
    help: {
      en: "Look into them: an exclusion, a second enrolment that goes on, credits for transfer.",
      fr: "À examiner : une exclusion, une seconde inscription en cours, des crédits à transférer.",
    },
    scope: "file",
    neededBy: "review",
    when: HAS_UNFINISHED,
  },
];
