import type { Requirement } from "../../../core/rulebook/requirement";
import type { Section } from "../../../core/rulebook/section";
import type { Condition } from "../../../core/rules/condition";
import { field, option } from "./field";

/** What somebody is to us or to others: where they live, whom they work for, what they hold already. Asked only where it changes something. */
const yes = (fact: string): Condition => ({ op: "fact", fact, is: "equals", value: true });

export const letters: Section = {
  key: "letters",
  core: null,
  scope: "file",
  carries: true,
  title: { en: "Where letters go", fr: "Où adresser le courrier" },
  intro: {
    en: "Anything that has to reach you on paper is sent here.",
    fr: "Ce qui doit vous parvenir sur papier est envoyé ici.",
  },
  fields: [
    field(
      { key: "address", kind: "address", seenBy: "office", sameAs: "contact", forLetters: true },
      "Address for letters",
      "Adresse postale",
    ),
    field(
      { key: "care", kind: "text", most: 100, required: false, seenBy: "office" },
      "In care of, if the name on the door is another",
      "Aux soins de, si le nom sur la porte est différent",
    ),
  ],
};

export const family: Section = {
  key: "family",
  core: null,
  scope: "file",
  title: { en: "Family", fr: "Famille" },
  intro: {
    en: "Asked because you want funding: allowances for children count. Nobody who judges your application sees it.",
    fr: "Demandé parce que vous souhaitez un financement : des allocations existent pour les enfants. Personne qui évalue votre candidature ne le voit.",
  },
  when: yes("answers.funding.wanted"),
  fields: [
    field(
      { key: "children", kind: "whole", least: 0, most: 20, seenBy: "finance" },
      "Children who live with you",
      "Enfants qui vivent avec vous",
    ),
    field(
      { key: "partner", kind: "yesNo", seenBy: "finance" },
      "Does a partner move with you?",
      "Un conjoint vous accompagne-t-il ?",
    ),
  ],
};

export const status: Section = {
  key: "status",
  core: null,
  scope: "file",
  title: { en: "What else applies to you", fr: "Ce qui vous concerne aussi" },
  fields: [
    field(
      {
        key: "special",
        kind: "choice",
        options: [
          option("none", "None of these", "Rien de cela"),
          option("refugee", "Recognised as a refugee", "Statut de réfugié reconnu"),
          option("protected", "Under temporary protection", "Protection temporaire"),
          option("stateless", "Stateless", "Apatride"),
        ],
      },
      "Special status",
      "Statut particulier",
      {
        en: "It opens other ways to prove what others prove by papers. It is never a disadvantage.",
        fr: "Cela ouvre d’autres façons de prouver ce que d’autres prouvent par des documents, et n’est jamais un désavantage.",
      },
    ),
    field({ key: "ours", kind: "yesNo" }, "Do you study with us now?", "Étudiez-vous chez nous en ce moment ?"),
    field(
      {
        key: "oursNumber",
        kind: "text",
        most: 20,
        seenBy: "office",
        when: yes("answers.status.ours"),
        keptBy: {
          name: { en: "the student register", fr: "le registre des étudiants" },
          link: "https://register.merrow.example/students",
        },
      },
      "Your student number",
      "Votre numéro d’étudiant",
    ),
  ],
};

/** Graduates of the institutions that the office has listed are a group of their own. */
export const graduate: Section = {
  key: "graduate",
  core: null,
  scope: "file",
  title: { en: "Where you graduated", fr: "Votre établissement d’origine" },
  fields: [
    field(
      { key: "of", kind: "graduateOf" },
      "Where your last degree is from, if from one of these",
      "D’où vient votre dernier diplôme, si c’est de l’un de ceux-ci",
      {
        en: "Their graduates pay what those at home pay. We hold your answer against your certificate.",
        fr: "Leurs diplômés paient comme ceux d’ici. Nous comparons votre réponse à votre diplôme.",
      },
    ),
  ],
};

/** Whoever studies with us sends no transcript of it: the office looks whether the register has every result. */
export const internalResults: Requirement = {
  key: "internalResults",
  kind: "deed",
  title: { en: "Our own results are complete", fr: "Nos propres résultats sont complets" },
  help: {
    en: "Look in the student register whether every course that was taken here has its result.",
    fr: "Vérifiez dans le registre des étudiants que chaque cours suivi ici a son résultat.",
  },
  scope: "choice",
  neededBy: "decision",
  when: yes("answers.status.ours"),
};

export const hasSpecialStatus: Condition = {
  op: "all",
  of: [
    { op: "fact", fact: "answers.status.special", is: "known" },
    { op: "fact", fact: "answers.status.special", is: "differs", value: "none" },
  ],
};

export const sponsor: Section = {
  key: "sponsor",
  core: null,
  scope: "file",
  title: { en: "Employer and fellowship", fr: "Employeur et bourse" },
  fields: [
    field(
      { key: "employed", kind: "yesNo", counted: true },
      "Does a public body employ you, and send you here?",
      "Un organisme public vous emploie-t-il et vous envoie-t-il ici ?",
    ),
    field(
      { key: "body", kind: "text", most: 150, when: yes("answers.sponsor.employed") },
      "Which body",
      "Quel organisme",
    ),
    field(
      { key: "name", kind: "name", most: 150, seenBy: "office", when: yes("answers.sponsor.employed") },
      "Who may sign for it",
      "Qui peut signer pour lui",
      {
        en: "We write to this person, who says in plain words that the body lets you study and what it pays.",
        fr: "Nous écrivons à cette personne, qui dit en termes simples que l’organisme vous laisse étudier et ce qu’il paie.",
      },
    ),
    field(
      { key: "email", kind: "email", seenBy: "office", when: yes("answers.sponsor.employed") },
      "E-mail of this person",
      "Courriel de cette personne",
    ),
    field(
      { key: "fellowship", kind: "yesNo", counted: true },
      "Do you hold a fellowship already?",
      "Avez-vous déjà une bourse de recherche ?",
    ),
    field(
      { key: "giver", kind: "text", most: 150, when: yes("answers.sponsor.fellowship") },
      "Who gives it",
      "Qui l’accorde",
    ),
    field(
      { key: "until", kind: "date", rough: true, when: yes("answers.sponsor.fellowship") },
      "It runs until",
      "Elle court jusqu’au",
    ),
    field(
      {
        key: "yearly",
        kind: "money",
        currency: "EUR",
        seenBy: "finance",
        when: yes("answers.sponsor.fellowship"),
      },
      "Amount a year, in euros",
      "Montant annuel, en euros",
    ),
  ],
};

export const employed: Condition = yes("answers.sponsor.employed");
export const holdsFellowship: Condition = yes("answers.sponsor.fellowship");

export const otherQualifications: Section = {
  key: "qualifications",
  core: null,
  scope: "file",
  title: { en: "Other qualifications", fr: "Autres qualifications" },
  intro: {
    en: "Certificates, licences, professional titles. None is an answer, too.",
    fr: "Certificats, permis, titres professionnels. Aucun est aussi une réponse.",
  },
  repeats: { min: 0, max: 10 },
  fields: [
    field({ key: "title", kind: "text", most: 150 }, "Qualification", "Qualification"),
    field({ key: "giver", kind: "text", most: 150 }, "Given by", "Délivrée par"),
    field({ key: "awarded", kind: "date", rough: true }, "Awarded", "Obtenue"),
  ],
};

/** For those who go to sea with us: what the law asks of everybody on board. */
export const clearance: Section = {
  key: "clearance",
  core: null,
  scope: "file",
  title: { en: "Fit for sea", fr: "Aptitude à la mer" },
  intro: {
    en: "The first term is spent on a boat. The certificate has to be valid on the first day.",
    fr: "Le premier trimestre se passe sur un bateau. Le certificat doit être valable le premier jour.",
  },
  fields: [
    field(
      {
        key: "has",
        kind: "choice",
        options: [
          option("yes", "I hold the medical certificate", "J’ai le certificat médical"),
          option("later", "I bring it before the start", "Je l’apporte avant le début"),
        ],
      },
      "Medical certificate for work at sea",
      "Certificat médical pour le travail en mer",
    ),
    field(
      {
        key: "number",
        kind: "text",
        most: 40,
        when: { op: "fact", fact: "answers.clearance.has", is: "equals", value: "yes" },
      },
      "Its number",
      "Son numéro",
    ),
    field(
      {
        key: "expiry",
        kind: "date",
        ends: true,
        when: { op: "fact", fact: "answers.clearance.has", is: "equals", value: "yes" },
      },
      "Valid until",
      "Valable jusqu’au",
    ),
  ],
};

export const beyond: Section = {
  key: "beyond",
  core: null,
  scope: "file",
  title: { en: "Beyond school", fr: "En dehors de l’école" },
  intro: {
    en: "Up to five things that you did and that say something about you.",
    fr: "Jusqu’à cinq choses que vous avez faites et qui disent quelque chose de vous.",
  },
  repeats: { min: 0, max: 5 },
  fields: [
    field({ key: "title", kind: "text", most: 100 }, "What", "Quoi"),
    field({ key: "year", kind: "whole", least: 2000, most: 2100 }, "Year", "Année"),
    field(
      { key: "text", kind: "statement", length: { unit: "characters", most: 400, strict: true } },
      "In a few words",
      "En quelques mots",
    ),
  ],
};

export const interests: Section = {
  key: "interests",
  core: null,
  scope: "file",
  title: { en: "Sport and service", fr: "Sport et service" },
  intro: {
    en: "For the sports office and the registrar only. It plays no part in the decision.",
    fr: "Pour le bureau des sports et la scolarité seulement. Sans effet sur la décision.",
  },
  fields: [
    field(
      {
        key: "sport",
        kind: "several",
        required: false,
        seenBy: "office",
        options: [
          option("rowing", "Rowing", "Aviron"),
          option("sailing", "Sailing", "Voile"),
          option("swimming", "Open water swimming", "Nage en eau libre"),
          option("team", "A team sport", "Un sport d’équipe"),
        ],
      },
      "Sports that you would like to do here",
      "Sports que vous aimeriez pratiquer ici",
    ),
    field(
      { key: "service", kind: "yesNo", required: false, seenBy: "office" },
      "Do you do military or civil service until the start, or after it?",
      "Faites-vous un service militaire ou civil avant ou après le début ?",
    ),
  ],
};

export const elsewhere: Section = {
  key: "elsewhere",
  core: null,
  scope: "file",
  title: { en: "Where else you apply", fr: "Vos autres candidatures" },
  intro: {
    en: "If you like. We plan places with it; those who judge your application never see it.",
    fr: "Si vous le souhaitez. Cela nous aide à prévoir les places ; ceux qui évaluent votre candidature ne le voient pas.",
  },
  fields: [
    field(
      { key: "where", kind: "longText", most: 500, required: false, seenBy: "figures" },
      "Other institutions",
      "Autres établissements",
    ),
  ],
};

export const remarks: Section = {
  key: "remarks",
  core: null,
  scope: "file",
  title: { en: "Gaps and remarks", fr: "Lacunes et remarques" },
  intro: {
    en: "A gap in your dates, a repeated year, a document that looks unusual: say it here, and nobody has to ask.",
    fr: "Une lacune dans vos dates, une année refaite, un document inhabituel : dites-le ici, et personne n’aura à demander.",
  },
  fields: [
    field(
      { key: "any", kind: "yesNo" },
      "Is there something that we might ask about?",
      "Y a-t-il quelque chose que nous pourrions demander ?",
    ),
    field(
      { key: "text", kind: "longText", most: 2000, when: yes("answers.remarks.any") },
      "What we should know",
      "Ce que nous devrions savoir",
    ),
    field(
      { key: "paper", kind: "yesNo", when: yes("answers.remarks.any") },
      "Is there a paper that shows it?",
      "Y a-t-il un document qui le montre ?",
    ),
  ],
};

/** Everybody is considered who does not say no; where the amount hangs on income, that is asked only of those. */
export const bursary: Section = {
  key: "bursary",
  core: null,
  scope: "file",
  title: { en: "Bursary", fr: "Bourse" },
  fields: [
    field(
      { key: "considered", kind: "yesNo", counted: true },
      "Consider me for a bursary of the institute",
      "Je souhaite être pris en compte pour une bourse de l’institut",
      {
        en: "Everybody who says yes is looked at; it has no effect on the decision about a place.",
        fr: "Tous ceux qui disent oui sont examinés ; cela n’a pas d’effet sur la décision d’admission.",
      },
    ),
    field(
      { key: "reduced", kind: "yesNo", seenBy: "finance", when: yes("answers.bursary.considered") },
      "Do you also ask for the reduced tuition fee?",
      "Demandez-vous aussi les frais de scolarité réduits ?",
    ),
  ],
};

export const wantsBursary: Condition = yes("answers.bursary.considered");
