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
  fee,
  feeItem,
  NAME_CHANGE,
  PASSPORT,
  PERMIT,
  REFEREES_NAMED,
  reference,
  schooledInEnglish,
  sections,
} from "./ask";
import {
  earlier,
  emergency,
  guardian,
  guardianAsked,
  heard,
  helper,
  special,
  visa,
  visaPapers,
} from "./parts/circumstances";
import { declaration } from "./parts/declaration";
import { schoolLanguage, tests } from "./parts/language";
import { citizenshipOfMinors, contact, person } from "./parts/person";
import { referees } from "./parts/referees";
import { report, schools } from "./parts/school";

/** As everywhere, but that a birth certificate counts, too, which never ends. */
const PAPER: RulebookBody["requirements"][number] = {
  ...PASSPORT,
  checks: PASSPORT.checks.map((c) => ({
    ...c,
    rule: {
      op: "any",
      of: [{ op: "fact", fact: "citizenship.paper", is: "equals", value: "birthCertificate" }, c.rule],
    },
  })),
};

/** Foundation Year in Coastal Studies: from school, English at B1, one full year of grades, a guardian for those under 18. */
export const fyc: RulebookBody = {
  sections: [
    person,
    contact,
    citizenshipOfMinors,
    visa,
    guardian,
    emergency,
    schools,
    report,
    schoolLanguage,
    tests,
    referees,
    helper,
    earlier,
    heard,
    special,
    declaration,
  ],
  requirements: [
    ABOUT_YOU,
    PAPER,
    PERMIT,
    NAME_CHANGE,
    ...guardianAsked,
    sections("schooling", ["Schools and report", "Écoles et bulletin"], ["schools", "report"]),
    document(
      "report",
      ["School report", "Bulletin scolaire"],
      ["With the marks of one full school year.", "Avec les notes d’une année scolaire complète."],
      {
        checks: [
          {
            key: "fullYear",
            title: { en: "covers one full school year", fr: "couvre une année scolaire complète" },
            rule: {
              op: "fact",
              fact: "answers.report.to",
              is: "atLeast",
              value: { fact: "answers.report.from", plusMonths: 9 },
            },
          },
        ],
        shows: ["report.from", "report.to"],
      },
    ),
    ENGLISH_FORM,
    englishProof({
      shows: ["tests.test", "tests.number", "tests.date", "tests.scores", "schools.language", "schools.years"],
    }),
    REFEREES_NAMED,
    reference("reference", ["Reference", "Recommandation"], 1, "any"),
    sections("around", ["A few questions", "Quelques questions"], ["helper", "earlier", "heard", "special"]),
    fee("deposit", ["Deposit", "Acompte"], { neededBy: "enrolment" }),
    DECLARATION,
    visaPapers,
  ],
  measures: [
    {
      key: "age",
      kind: "age",
      title: { en: "age on the first day of study", fr: "âge le premier jour d’études" },
      of: "person.birthDate",
    },
    englishMeasure,
    exemptMeasure,
  ],
  entryRules: [
    {
      key: "schooling",
      title: { en: "Ten years of school", fr: "Dix années d’école" },
      rule: { op: "sum", list: "schools", field: "years", is: "atLeast", value: 10 },
      curable: null,
    },
    {
      key: "age",
      title: { en: "Sixteen or older on the first day", fr: "Seize ans ou plus le premier jour" },
      rule: { op: "fact", fact: "measure.age", is: "atLeast", value: 16 },
      curable: null,
      shownToApplicant: true,
    },
    englishRule("B1", schooledInEnglish(3)),
  ],
  fees: [
    feeItem("deposit", ["Deposit", "Acompte"], 15_000, 15_000, {
      when: { op: "fact", fact: "choice.answer", is: "equals", value: "accepted" },
    }),
  ],
};
