import type { RulebookBody } from "../../core/rulebook/rulebook";
import type { Condition } from "../../core/rules/condition";
import {
  ABOUT_YOU,
  AROUND,
  combinedEnglish,
  DECLARATION,
  document,
  ENGLISH_FORM,
  englishProof,
  englishRule,
  exemptMeasure,
  fee,
  feeItem,
  NAME_CHANGE,
  PASSPORT,
  PERMIT,
  REFEREES_NAMED,
  reference,
  sections,
} from "./ask";
import {
  bandedGrade,
  certificate,
  completed,
  ectsAtLeast,
  firstDegreeRule,
  taughtMeasure,
  taughtTwoYears,
  transcriptsOfPeriod,
} from "./degree";
import { earlier, emergency, experience, heard, helper, special, visa } from "./parts/circumstances";
import { declaration } from "./parts/declaration";
import { language, optionalTests, tests } from "./parts/language";
import { citizenship, contact, person } from "./parts/person";
import { referees } from "./parts/referees";
import { graduate } from "./parts/standing";
import { courses, covers, education, unfinished, unfinishedAsked } from "./parts/studies";

const oneYear: Condition = { op: "fact", fact: "choice.track", is: "equals", value: "one-year" };
/** The one-year track stands on the master, too; the other asks for no paper of anything beyond the first degree. */
const provedHere: Condition = {
  op: "any",
  of: [
    { op: "fact", fact: "it.level", is: "equals", value: 6 },
    { op: "all", of: [oneYear, { op: "fact", fact: "it.level", is: "over", value: 6 }] },
  ],
};
const HANDLING = ["Handling fee", "Frais de dossier"] as const;
const FURTHER = ["Further choice", "Vœu supplémentaire"] as const;

/** MSc Tidal Energy Systems: two tracks, the one-year one for holders of an engineering master. */
export const mte: RulebookBody = {
  sections: [
    person,
    contact,
    citizenship,
    visa,
    emergency,
    education,
    graduate,
    courses,
    covers,
    unfinished,
    { ...experience, when: oneYear },
    language,
    tests,
    optionalTests,
    referees,
    helper,
    earlier,
    heard,
    special,
    declaration,
  ],
  requirements: [
    ABOUT_YOU,
    PASSPORT,
    PERMIT,
    NAME_CHANGE,
    sections(
      "studies",
      ["Degree and courses", "Diplôme et cours"],
      ["education", "graduate", "courses", "covers", "unfinished"],
    ),
    { ...certificate, shows: [...certificate.shows, "graduate.of"], when: provedHere },
    ...transcriptsOfPeriod,
    ...unfinishedAsked,
    {
      ...document(
        "registration",
        ["Proof of registration", "Attestation d’inscription"],
        [
          "For courses that you are registered for and that your transcript does not show yet: the list of your registrations, with credits.",
          "Pour les cours auxquels vous êtes inscrit et que le relevé ne montre pas encore : la liste de vos inscriptions, avec les crédits.",
        ],
        { shows: ["courses.title", "courses.credits", "courses.status"] },
      ),
      when: {
        op: "some",
        list: "courses",
        where: { op: "fact", fact: "it.status", is: "equals", value: "registered" },
      },
    },
    { ...sections("practice", ["Work and practice", "Travail et pratique"], ["experience"]), when: oneYear },
    ENGLISH_FORM,
    englishProof({
      shows: ["tests.test", "tests.number", "tests.date", "tests.scores", "education.language", "education.start"],
    }),
    REFEREES_NAMED,
    reference("reference", ["Academic reference", "Recommandation académique"], 1, "academic"),
    AROUND,
    fee("handling", HANDLING, { neededBy: "checking" }),
    fee("further", FURTHER, { neededBy: "checking" }),
    DECLARATION,
  ],
  measures: [bandedGrade, combinedEnglish, exemptMeasure, taughtMeasure],
  entryRules: [
    firstDegreeRule,
    {
      key: "engineering",
      title: { en: "60 ECTS in engineering", fr: "60 ECTS en ingénierie" },
      rule: ectsAtLeast(60, {
        op: "all",
        of: [completed, { op: "fact", fact: "it.area", is: "equals", value: "engineering" }],
      }),
      curable: {
        way: { en: "by passing the courses in progress", fr: "par la réussite des cours en cours" },
        possible: ectsAtLeast(60, { op: "fact", fact: "it.area", is: "equals", value: "engineering" }),
      },
    },
    {
      key: "engineeringMaster",
      title: {
        en: "For the one-year track: a completed master",
        fr: "Pour le parcours d’un an : un master obtenu",
      },
      rule: {
        op: "any",
        of: [
          { op: "not", of: oneYear },
          {
            op: "some",
            list: "degrees",
            where: { op: "all", of: [{ op: "fact", fact: "it.level", is: "atLeast", value: 7 }, completed] },
          },
        ],
      },
      curable: null,
    },
    {
      key: "grade",
      title: { en: "Grade 3.0 or better on our scale", fr: "Note de 3,0 ou mieux sur notre échelle" },
      rule: { op: "fact", fact: "measure.grade", is: "atMost", value: "3.0" },
      curable: null,
    },
    englishRule("B2", taughtTwoYears),
  ],
  fees: [
    feeItem("handling", HANDLING, 4000, 6000),
    feeItem("further", FURTHER, 1500, 1500, { when: { op: "fact", fact: "choice.rank", is: "over", value: 1 } }),
  ],
};
