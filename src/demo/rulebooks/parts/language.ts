import type { Section } from "../../../core/rulebook/section";
import { field, option } from "./field";

const claimed = { op: "fact", fact: "answers.english.way", is: "equals", value: "exempt" } as const;

const byExemption = option("exempt", "By an exemption that we rule on", "Par une dispense que nous examinons");

/** What an exemption is claimed on; an officer rules on it, and like cases follow. */
const exemption = [
  field(
    {
      key: "ground",
      kind: "choice",
      when: claimed,
      options: [
        option("schooling", "All of secondary school taught in English", "Tout le secondaire enseigné en anglais"),
        option("work", "Two years of work in English", "Deux ans de travail en anglais"),
        option("other", "Another ground", "Un autre motif"),
      ],
    },
    "Ground of the exemption",
    "Motif de la dispense",
  ),
  field({ key: "country", kind: "country", when: claimed }, "In which country", "Dans quel pays"),
  field({ key: "place", kind: "institution", most: 200, when: claimed }, "School or employer", "École ou employeur", {
    en: "Its letter is asked for under Documents: language, years, and a signature.",
    fr: "Son attestation est demandée sous Documents : langue, années et signature.",
  }),
  field(
    { key: "words", kind: "longText", most: 800, required: false, when: claimed },
    "In your own words, if that helps",
    "Avec vos mots, si cela aide",
  ),
];

/** Asked of everybody, beside any proof; it decides nothing. */
const selfLevel = field(
  {
    key: "selfLevel",
    kind: "choice",
    options: ["A1", "A2", "B1", "B2", "C1", "C2"].map((level) => option(level, level, level)),
  },
  "How good is your English, as you see it?",
  "Quel est votre niveau d’anglais, selon vous ?",
  {
    en: "A2: simple talk. B1: most of daily life. B2: discussions in your subject. C1: studies without effort.",
    fr: "A2 : échanges simples. B1 : la vie courante. B2 : discussions dans votre domaine. C1 : études sans effort.",
  },
);

/** The language of the town stays out of every decision; the office can point to its course. */
const localLevel = field(
  {
    key: "local",
    kind: "choice",
    required: false,
    seenBy: "office",
    counted: true,
    options: [
      option("none", "None yet", "Aucun pour l’instant"),
      ...["A1", "A2", "B1", "B2", "C1", "C2"].map((level) => option(level, level, level)),
    ],
  },
  "Your Irish",
  "Votre irlandais",
  {
    en: "You do not need any, and it decides nothing. We offer a course before the start: say where you stand, and we write to you about it.",
    fr: "Il n’est pas nécessaire et ne décide de rien. Nous offrons un cours avant la rentrée : dites où vous en êtes, et nous vous écrirons.",
  },
);

/** Proof of English: the way, and the test results behind it. */
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
        counted: true,
        options: [
          option("test", "By a test result, here or on its way", "Par un résultat de test, obtenu ou attendu"),
          option(
            "taught",
            "By two years of degree study taught in English",
            "Par deux ans d’études supérieures en anglais",
          ),
          byExemption,
        ],
      },
      "How you prove your English",
      "Comment vous prouvez votre anglais",
    ),
    selfLevel,
    ...exemption,
    localLevel,
  ],
};

/** Results that nobody asks for: those who assess see them as they are, and no rule reads them. */
export const optionalTests: Section = {
  key: "optionalTests",
  core: null,
  scope: "file",
  title: { en: "Other test results, if you like", fr: "Autres résultats de tests, si vous le souhaitez" },
  intro: {
    en: "Nobody has to send any, and none is missed. What you send is shown as it is and decides nothing by itself.",
    fr: "Personne n’est tenu d’en envoyer, et aucun ne manque. Ce que vous envoyez est montré tel quel et ne décide de rien à lui seul.",
  },
  repeats: { min: 0, max: 4 },
  fields: [
    field({ key: "test", kind: "test" }, "Test", "Test"),
    field({ key: "date", kind: "date" }, "Day of the test", "Jour du test"),
    field({ key: "scores", kind: "scores" }, "Scores", "Scores"),
  ],
};

export const tests: Section = {
  key: "tests",
  core: "tests",
  scope: "file",
  carries: true,
  title: { en: "Test results", fr: "Résultats de tests" },
  repeats: { min: 1, max: 6 },
  grows: true,
  when: { op: "fact", fact: "answers.english.way", is: "equals", value: "test" },
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
      { key: "number", kind: "text", most: 30, required: false },
      "Your number at the test",
      "Votre numéro au test",
      {
        en: "The candidate or registration number on the report. By it we find your result in the list of the test’s owner.",
        fr: "Le numéro de candidat ou d’inscription sur le relevé. Il nous permet de trouver votre résultat dans la liste de l’organisme.",
      },
    ),
    field(
      { key: "expected", kind: "date", when: { op: "fact", fact: "it.status", is: "equals", value: "pending" } },
      "Result expected on",
      "Résultat attendu le",
    ),
    field(
      { key: "scores", kind: "scores", when: { op: "fact", fact: "it.status", is: "equals", value: "result" } },
      "Scores",
      "Scores",
    ),
    field(
      {
        key: "statedTotal",
        kind: "decimal",
        required: false,
        when: { op: "fact", fact: "it.status", is: "equals", value: "result" },
      },
      "Total as the result prints it",
      "Total imprimé sur le résultat",
      { en: "Leave it empty where the test has none.", fr: "Laissez vide si le test n’en a pas." },
    ),
  ],
};

/** For programmes that people enter from school. */
export const schoolLanguage: Section = {
  ...language,
  fields: [
    field(
      {
        key: "way",
        kind: "choice",
        counted: true,
        options: [
          option("test", "By a test result, here or on its way", "Par un résultat de test, obtenu ou attendu"),
          option("schooling", "By three school years taught in English", "Par trois années d’école en anglais"),
          byExemption,
        ],
      },
      "How you prove your English",
      "Comment vous prouvez votre anglais",
    ),
    selfLevel,
    ...exemption,
  ],
};
