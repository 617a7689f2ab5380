import type { Requirement } from "../../../core/rulebook/requirement";
import type { Section } from "../../../core/rulebook/section";
import type { Condition } from "../../../core/rules/condition";
import { document, sections } from "../ask";
import { field, option } from "./field";

/** What surrounds an application: guardian, emergency contact, visa, helpers, money, and what only the office may know. */
const MONTHS_TO_FULL_AGE = 216;

/** Under 18 on the first day of study. */
const minor: Condition = {
  op: "fact",
  fact: "person.birthDate",
  is: "over",
  value: { fact: "start", plusMonths: -MONTHS_TO_FULL_AGE },
};

const yes = (fact: string): Condition => ({ op: "fact", fact, is: "equals", value: true });

export const guardian: Section = {
  key: "guardian",
  core: null,
  scope: "file",
  carries: true,
  title: { en: "Guardian", fr: "Responsable légal" },
  intro: {
    en: "You will be under 18 when studies begin, so we need to know who is responsible for you.",
    fr: "Vous aurez moins de 18 ans à la rentrée : nous devons savoir qui est responsable de vous.",
  },
  when: minor,
  fields: [
    field({ key: "name", kind: "name", most: 150, seenBy: "office" }, "Name", "Nom"),
    field(
      {
        key: "relation",
        kind: "choice",
        seenBy: "office",
        options: [
          option("parent", "Mother or father", "Mère ou père"),
          option("guardian", "Legal guardian", "Tuteur légal"),
          option("other", "Somebody else", "Une autre personne"),
        ],
      },
      "Who this is to you",
      "Lien avec vous",
    ),
    field({ key: "email", kind: "email", seenBy: "office" }, "E-mail", "Courriel"),
    field({ key: "phone", kind: "phone", seenBy: "office" }, "Phone, with country code", "Téléphone, avec l’indicatif"),
    field({ key: "address", kind: "address", seenBy: "office", sameAs: "contact" }, "Address", "Adresse"),
    field(
      { key: "consents", kind: "agree" },
      "My guardian knows of this application and agrees to it.",
      "Mon responsable connaît cette candidature et y consent.",
    ),
  ],
};

/** The guardian of whoever will be under 18, and the guardian's word. */
export const guardianAsked: readonly Requirement[] = [
  { ...sections("guardian", ["Guardian", "Responsable légal"], ["guardian"]), when: minor },
  {
    ...document(
      "consent",
      ["Guardian’s consent", "Accord du responsable"],
      ["Signed by the guardian whom you named.", "Signé par le responsable que vous avez indiqué."],
      {
        signedBy: {
          section: "guardian",
          sentence: {
            en: "I am responsible for the applicant. I know of this application, agree to it, and agree that the institute writes to the applicant directly.",
            fr: "Je suis responsable de la personne qui candidate. Je connais cette candidature, j’y consens, et j’accepte que l’institut lui écrive directement.",
          },
        },
      },
    ),
    when: minor,
  },
];

export const emergency: Section = {
  key: "emergency",
  core: null,
  scope: "file",
  carries: true,
  title: { en: "In an emergency", fr: "En cas d’urgence" },
  intro: { en: "Whom may we call?", fr: "Qui pouvons-nous appeler ?" },
  fields: [
    field({ key: "name", kind: "name", most: 150, seenBy: "office" }, "Name", "Nom"),
    field({ key: "phone", kind: "phone", seenBy: "office" }, "Phone, with country code", "Téléphone, avec l’indicatif"),
  ],
};

export const visa: Section = {
  key: "visa",
  core: null,
  scope: "file",
  title: { en: "Permission to stay", fr: "Droit de séjour" },
  intro: {
    en: "Two short questions. They do not decide on your application.",
    fr: "Deux courtes questions. Elles ne décident pas de votre candidature.",
  },
  when: { op: "fact", fact: "group", is: "differs", value: "home" },
  fields: [
    field(
      { key: "holds", kind: "yesNo" },
      "Do you hold a permit that lets you study here?",
      "Avez-vous un titre qui vous permet d’étudier ici ?",
    ),
    field(
      { key: "kind", kind: "text", most: 100, seenBy: "office", when: yes("answers.visa.holds") },
      "Which one, and until when?",
      "Lequel, et jusqu’à quand ?",
    ),
  ],
};

/** Who holds no permit needs papers from us, once the offer is accepted. */
export const visaPapers: Requirement = {
  key: "visaPapers",
  kind: "deed",
  title: { en: "Papers for the visa", fr: "Papiers pour le visa" },
  help: {
    en: "The letter for the embassy, by registered mail or by courier.",
    fr: "La lettre pour l’ambassade, par courrier recommandé ou par coursier.",
  },
  scope: "choice",
  neededBy: "enrolment",
  when: {
    op: "all",
    of: [
      { op: "fact", fact: "group", is: "differs", value: "home" },
      { op: "fact", fact: "answers.visa.holds", is: "equals", value: false },
    ],
  },
};

export const experience: Section = {
  key: "experience",
  core: "experience",
  scope: "file",
  title: { en: "Work and practice", fr: "Travail et pratique" },
  intro: {
    en: "Only what has to do with the programme: jobs, internships, practical training. Say in a line what you did yourself; the latest first.",
    fr: "Seulement ce qui touche au programme : emplois, stages, formations pratiques. Dites en une ligne ce que vous avez fait vous-même ; le plus récent d’abord.",
  },
  repeats: { min: 0, max: 20 },
  fields: [
    field({ key: "employer", kind: "text", most: 150 }, "Employer or place", "Employeur ou lieu"),
    field({ key: "role", kind: "text", most: 150 }, "What you did", "Votre activité"),
    field(
      {
        key: "what",
        kind: "choice",
        options: [
          option("job", "A job", "Un emploi"),
          option("internship", "An internship or training", "Un stage ou une formation"),
          option("voluntary", "Voluntary work", "Un bénévolat"),
        ],
      },
      "What it was",
      "De quoi il s’agit",
    ),
    field(
      {
        key: "sector",
        kind: "choice",
        options: [
          option("boats", "Boats and harbours", "Bateaux et ports"),
          option("water", "Water and energy", "Eau et énergie"),
          option("teaching", "Teaching and research", "Enseignement et recherche"),
          option("other", "Another", "Un autre"),
        ],
      },
      "Sector",
      "Secteur",
    ),
    field({ key: "start", kind: "date", rough: true }, "From", "Du"),
    field({ key: "current", kind: "yesNo" }, "Are you still there?", "Y êtes-vous toujours ?"),
    field(
      { key: "end", kind: "date", rough: true, when: { op: "fact", fact: "it.current", is: "equals", value: false } },
      "To",
      "Au",
    ),
  ],
};

export const awards: Section = {
  key: "awards",
  core: null,
  scope: "file",
  title: { en: "Awards and scholarships", fr: "Prix et bourses" },
  repeats: { min: 0, max: 10 },
  fields: [
    field({ key: "title", kind: "text", most: 150 }, "Award", "Prix"),
    field({ key: "giver", kind: "text", most: 150 }, "Given by", "Décerné par"),
    field({ key: "year", kind: "whole", least: 1950, most: 2100 }, "Year", "Année"),
    field({ key: "points", kind: "whole", least: 0, most: 5, required: false, byOffice: true }, "Points", "Points"),
  ],
};

export const helper: Section = {
  key: "helper",
  core: null,
  scope: "file",
  title: { en: "Help with this application", fr: "Aide pour cette candidature" },
  fields: [
    field(
      { key: "helped", kind: "yesNo" },
      "Did an agent or somebody else prepare this application with you?",
      "Un agent ou une autre personne a-t-il préparé cette candidature avec vous ?",
    ),
    field(
      { key: "who", kind: "text", most: 150, seenBy: "office", when: yes("answers.helper.helped") },
      "Who was it?",
      "De qui s’agit-il ?",
    ),
  ],
};

export const earlier: Section = {
  key: "earlier",
  core: null,
  scope: "file",
  title: { en: "Earlier applications", fr: "Candidatures antérieures" },
  fields: [
    field(
      { key: "applied", kind: "yesNo", earlier: true },
      "Have you applied to us before?",
      "Avez-vous déjà posé une candidature chez nous ?",
    ),
    field(
      {
        key: "number",
        kind: "text",
        most: 30,
        required: false,
        earlier: true,
        when: yes("answers.earlier.applied"),
      },
      "Its number, if you know it",
      "Son numéro, si vous le connaissez",
    ),
  ],
};

export const figures: Section = {
  key: "figures",
  core: null,
  scope: "file",
  title: { en: "For our figures", fr: "Pour nos statistiques" },
  intro: {
    en: "You need not answer any of this. It is counted over everybody, stands in no file that somebody reads, and decides nothing.",
    fr: "Vous n’avez à répondre à rien de ceci. Les réponses sont comptées sur l’ensemble, ne figurent dans aucun dossier lu, et ne décident de rien.",
  },
  fields: [
    field(
      { key: "first", kind: "yesNo", required: false, mayBeUnknown: true, seenBy: "figures" },
      "Are you the first in your family to study?",
      "Êtes-vous la première personne de votre famille à étudier ?",
    ),
    field(
      {
        key: "describes",
        kind: "choice",
        required: false,
        seenBy: "figures",
        options: [
          option("woman", "A woman", "Une femme"),
          option("man", "A man", "Un homme"),
          option("other", "In other words", "Autrement"),
        ],
      },
      "How do you describe yourself?",
      "Comment vous décrivez-vous ?",
    ),
    field(
      { key: "care", kind: "yesNo", required: false, seenBy: "figures" },
      "Do you care for a child or a relative?",
      "Vous occupez-vous d’un enfant ou d’un proche ?",
    ),
  ],
};

export const heard: Section = {
  key: "heard",
  core: null,
  scope: "file",
  title: { en: "How you heard of us", fr: "Comment vous nous avez connus" },
  intro: {
    en: "For our figures only. Nobody who judges your application sees this.",
    fr: "Pour nos statistiques seulement. Personne qui évalue votre candidature ne le voit.",
  },
  fields: [
    field(
      {
        key: "from",
        kind: "several",
        required: false,
        seenBy: "figures",
        options: [
          option("school", "At school or university", "À l’école ou à l’université"),
          option("friends", "Friends or family", "Amis ou famille"),
          option("fair", "A fair", "Un salon"),
          option("search", "A search on the web", "Une recherche sur le web"),
          option("agent", "An agent", "Un agent"),
        ],
      },
      "Tick what is right",
      "Cochez ce qui convient",
    ),
  ],
};

export const special: Section = {
  key: "special",
  core: null,
  scope: "file",
  title: { en: "Special circumstances", fr: "Circonstances particulières" },
  intro: {
    en: "Only if something made your way harder and you want us to know. Only our advisers read it; they can grant you an adjustment.",
    fr: "Seulement si quelque chose a rendu votre parcours plus difficile et que vous voulez nous le dire. Seules nos conseillères et nos conseillers le lisent, et peuvent vous accorder un aménagement.",
  },
  fields: [
    field(
      { key: "text", kind: "longText", most: 4000, required: false, seenBy: "advisers" },
      "What we should know",
      "Ce que nous devrions savoir",
    ),
  ],
};

export const funding: Section = {
  key: "funding",
  core: null,
  scope: "file",
  title: { en: "Funding", fr: "Financement" },
  fields: [
    field(
      { key: "wanted", kind: "yesNo" },
      "Do you ask to be considered for funding by the institute?",
      "Demandez-vous un financement de l’institut ?",
    ),
    field(
      { key: "own", kind: "money", currency: "EUR", seenBy: "finance", when: yes("answers.funding.wanted") },
      "Own means for one year, in euros",
      "Moyens propres pour une année, en euros",
    ),
    field(
      { key: "people", kind: "whole", least: 1, most: 20, seenBy: "finance", when: yes("answers.funding.wanted") },
      "People in your household",
      "Personnes dans votre foyer",
    ),
  ],
};

export const wantsFunding: Condition = yes("answers.funding.wanted");
