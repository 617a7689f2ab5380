import type { RulebookBody } from "../../core/rulebook/rulebook";
import {
  ABOUT_YOU,
  DECLARATION,
  document,
  ENGLISH_FORM,
  englishMeasure,
  englishProof,
  englishRule,
  exemptMeasure,
  NAME_CHANGE,
  PASSPORT,
  PERMIT,
  REFEREES_NAMED,
  reference,
  sections,
} from "./ask";
import { certificate, completed, masterGrade, taughtMeasure, taughtTwoYears, transcriptsOfPeriod } from "./degree";
import {
  awards,
  earlier,
  emergency,
  figures,
  funding,
  heard,
  helper,
  special,
  visa,
  wantsFunding,
} from "./parts/circumstances";
import { curriculum, curriculumAsked } from "./parts/curriculum";
import { declaration } from "./parts/declaration";
import { field, option } from "./parts/field";
import { language, tests } from "./parts/language";
import { citizenship, contact, person } from "./parts/person";
import { referees } from "./parts/referees";
import {
  employed,
  family,
  graduate,
  hasSpecialStatus,
  holdsFellowship,
  internalResults,
  letters,
  otherQualifications,
  remarks,
  sponsor,
  status,
} from "./parts/standing";
import { courses, covers, education } from "./parts/studies";

/** A copy that somebody entitled has certified; the original by enrolment, as everywhere. */
const CERTIFIED = { proof: "certified copy" } as const;

/** PhD Coastal Systems: topics in order, a proposed supervisor, publications, three references, funding on request. */
export const pcs: RulebookBody = {
  sections: [
    person,
    contact,
    citizenship,
    visa,
    emergency,
    education,
    courses,
    covers,
    language,
    tests,
    {
      key: "topics",
      core: null,
      scope: "choice",
      title: { en: "Topics and supervisor", fr: "Sujets et encadrement" },
      fields: [
        field(
          {
            key: "order",
            kind: "ranked",
            least: 1,
            most: 3,
            options: [
              option("sediment", "Sediment on the move", "Sédiments en mouvement"),
              option("surge", "Storm surges and the people behind the wall", "Ondes de tempête et riverains"),
              option("seagrass", "Return of the seagrass", "Retour des herbiers"),
              option("salt", "Salt in coastal wells", "Le sel dans les puits côtiers"),
              option("noise", "Noise under water", "Le bruit sous l’eau"),
            ],
          },
          "One to three topics, the best first",
          "Un à trois sujets, le préféré d’abord",
        ),
        field(
          { key: "supervisor", kind: "text", most: 120, required: false },
          "Proposed supervisor, if you have spoken with one",
          "Directeur proposé, si vous en avez parlé",
        ),
        field(
          { key: "plan", kind: "statement", length: { unit: "words", least: 300, most: 1200, strict: true } },
          "What you would do, and why it matters",
          "Ce que vous feriez, et pourquoi c’est important",
          {
            en: "Readers look for: a question that can be answered, a way to answer it, what others have found, and what could go wrong.",
            fr: "On y cherche : une question à laquelle on peut répondre, un chemin pour y répondre, ce que d’autres ont trouvé, et ce qui peut échouer.",
          },
        ),
      ],
    },
    {
      key: "publications",
      core: null,
      scope: "file",
      title: { en: "Publications", fr: "Publications" },
      intro: {
        en: "None is an answer, too: say that this is all.",
        fr: "Aucune est aussi une réponse : dites que c’est tout.",
      },
      repeats: { min: 0, max: 60 },
      fields: [
        field({ key: "title", kind: "text", most: 300 }, "Title", "Titre"),
        field({ key: "where", kind: "text", most: 200 }, "Where it appeared", "Lieu de parution"),
        field({ key: "year", kind: "whole", least: 1950, most: 2100 }, "Year", "Année"),
        field({ key: "link", kind: "links", most: 1, required: false }, "Link", "Lien"),
      ],
    },
    awards,
    otherQualifications,
    graduate,
    curriculum,
    status,
    sponsor,
    referees,
    funding,
    family,
    letters,
    helper,
    earlier,
    heard,
    figures,
    special,
    remarks,
    declaration,
  ],
  requirements: [
    ABOUT_YOU,
    sections(
      "standing",
      ["Status, employer, letters", "Statut, employeur, courrier"],
      ["status", "sponsor", "letters"],
    ),
    PASSPORT,
    NAME_CHANGE,
    PERMIT,
    {
      ...document(
        "statusProof",
        ["Proof of the special status", "Preuve du statut particulier"],
        ["The decision or the card, both sides.", "La décision ou la carte, recto et verso."],
        { shows: ["status.special"] },
      ),
      when: hasSpecialStatus,
    },
    ...curriculumAsked,
    sections("qualifications", ["Other qualifications", "Autres qualifications"], ["qualifications"]),
    document(
      "qualification",
      ["Certificate", "Certificat"],
      ["Of each qualification that you named.", "De chaque qualification indiquée."],
      { perEntryOf: "qualifications", shows: ["qualifications.title", "qualifications.awarded"] },
    ),
    {
      ...document(
        "permission",
        ["Employer’s permission", "Accord de l’employeur"],
        ["For the whole length of the programme.", "Pour toute la durée du programme."],
        {
          shows: ["sponsor.body"],
          signedBy: {
            section: "sponsor",
            sentence: {
              en: "We employ the applicant. We let them study here for the whole length of the programme, go on paying their salary in that time, and pay the fees if they are asked of us. We tell the institute at once if any of this changes.",
              fr: "Nous employons la personne qui candidate. Nous la laissons étudier ici pendant toute la durée du programme, continuons à verser son salaire pendant ce temps, et payons les frais s’ils nous sont demandés. Nous avertissons aussitôt l’institut si cela change.",
            },
          },
        },
      ),
      when: employed,
    },
    internalResults,
    {
      ...document(
        "fellowship",
        ["Letter of the fellowship", "Lettre d’attribution de la bourse"],
        ["With its period and amount.", "Avec sa durée et son montant."],
        { shows: ["sponsor.giver", "sponsor.until"], forFinance: true },
      ),
      when: holdsFellowship,
    },
    sections("studies", ["Degree and courses", "Diplôme et cours"], ["education", "graduate", "courses", "covers"]),
    // The one office of the demo that takes no mere copy of a degree.
    { ...certificate, ...CERTIFIED, shows: [...certificate.shows, "graduate.of"] },
    ...transcriptsOfPeriod,
    ENGLISH_FORM,
    englishProof({
      shows: ["tests.test", "tests.number", "tests.date", "tests.scores", "education.language", "education.start"],
    }),
    sections("topics", ["Topics and supervisor", "Sujets et encadrement"], ["topics"], "choice"),
    {
      key: "supervisor",
      kind: "deed",
      title: { en: "A supervisor who is willing", fr: "Une personne prête à encadrer" },
      help: {
        en: "Ask those who work on the topics, in the applicant’s order. It is done once somebody has said yes.",
        fr: "À demander à celles et ceux qui travaillent sur les sujets, dans l’ordre choisi. C’est fait dès que quelqu’un a dit oui.",
      },
      scope: "choice",
      neededBy: "decision",
    },
    {
      ...document(
        "wells",
        ["Consent of the owners of the wells", "Accord des propriétaires des puits"],
        [
          "Asked only of those who put “Salt in coastal wells” first; it may come until you enrol.",
          "Demandé seulement si « Le sel dans les puits côtiers » vient en premier ; il peut suivre jusqu’à l’inscription.",
        ],
      ),
      scope: "choice",
      neededBy: "enrolment",
      when: { op: "fact", fact: "answers.topics.order.first", is: "equals", value: "salt" },
    },
    sections("publications", ["Publications and awards", "Publications et prix"], ["publications", "awards"]),
    document(
      "award",
      ["Proof of the award", "Preuve du prix"],
      ["The letter or the certificate of each award.", "La lettre ou le certificat de chaque prix."],
      { perEntryOf: "awards", shows: ["awards.title", "awards.giver", "awards.year"] },
    ),
    REFEREES_NAMED,
    reference("reference", ["Academic reference", "Recommandation académique"], 3, "academic"),
    sections("funding", ["Funding", "Financement"], ["funding", "family"]),
    {
      ...document(
        "income",
        ["Income statement", "Justificatif de revenus"],
        [
          "For the last full year. Asked only because you want to be considered for funding.",
          "Pour la dernière année complète. Demandé seulement parce que vous souhaitez un financement.",
        ],
        { forFinance: true },
      ),
      when: wantsFunding,
    },
    sections("around", ["A few questions", "Quelques questions"], ["helper", "earlier", "heard", "figures", "special"]),
    sections("remarks", ["Gaps and remarks", "Lacunes et remarques"], ["remarks"]),
    {
      ...document(
        "explained",
        ["Paper to your remarks", "Document à l’appui de vos remarques"],
        [
          "What shows what you told us under “Gaps and remarks”.",
          "Ce qui montre ce que vous avez dit sous « Lacunes et remarques ».",
        ],
        { shows: ["remarks.text"] },
      ),
      when: { op: "fact", fact: "answers.remarks.paper", is: "equals", value: true },
    },
    DECLARATION,
  ],
  measures: [
    {
      key: "master",
      kind: "ruling",
      title: { en: "the master opens doctoral study", fr: "le master ouvre au doctorat" },
      of: "degrees",
      where: { op: "fact", fact: "it.level", is: "atLeast", value: 7 },
      question: "doctoral entry",
      entitlement: "masters",
    },
    masterGrade,
    englishMeasure,
    exemptMeasure,
    taughtMeasure,
  ],
  entryRules: [
    {
      key: "master",
      title: {
        en: "A completed master, or one expected before the start",
        fr: "Un master, obtenu ou attendu avant le début",
      },
      rule: {
        op: "some",
        list: "degrees",
        where: {
          op: "all",
          of: [
            { op: "fact", fact: "it.level", is: "atLeast", value: 7 },
            {
              op: "any",
              of: [completed, { op: "fact", fact: "it.expectedEnd", is: "atMost", value: { fact: "start" } }],
            },
          ],
        },
      },
      curable: null,
      gate: true,
    },
    {
      key: "masterAccepted",
      title: { en: "The master opens doctoral study", fr: "Le master ouvre au doctorat" },
      rule: { op: "fact", fact: "measure.master", is: "equals", value: true },
      curable: null,
      shownToApplicant: true,
    },
    {
      key: "grade",
      title: {
        en: "The master’s grade 2.5 or better on our scale",
        fr: "Le master noté 2,5 ou mieux sur notre échelle",
      },
      rule: {
        op: "any",
        of: [
          { op: "fact", fact: "measure.grade", is: "atMost", value: "2.5" },
          // While the master is running there is no final grade, and the courses of the first degree say nothing of it.
          {
            op: "not",
            of: {
              op: "some",
              list: "degrees",
              where: { op: "all", of: [{ op: "fact", fact: "it.level", is: "atLeast", value: 7 }, completed] },
            },
          },
        ],
      },
      curable: null,
    },
    {
      key: "supervised",
      title: { en: "Somebody is willing to supervise", fr: "Quelqu’un est prêt à encadrer" },
      rule: { op: "fact", fact: "requirement.supervisor", is: "equals", value: "accepted" },
      curable: null,
      shownToApplicant: true,
    },
    englishRule("B2", taughtTwoYears),
  ],
  fees: [],
};
