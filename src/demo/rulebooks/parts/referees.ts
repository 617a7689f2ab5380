import type { Section } from "../../../core/rulebook/section";
import { field, option } from "./field";

/** Who writes about the applicant. */
export const referees: Section = {
  key: "referees",
  core: "referees",
  scope: "file",
  title: { en: "Referee", fr: "Référent" },
  intro: {
    en: "Your referee gets a mail with a link as soon as you send the request. Nothing but your name and programme is shown to them.",
    fr: "Votre référent reçoit un lien par courriel dès que vous envoyez la demande. Seuls votre nom et votre programme lui sont montrés.",
  },
  repeats: { min: 1, max: 5 },
  fields: [
    field({ key: "name", kind: "name", most: 150 }, "Name", "Nom"),
    field(
      { key: "email", kind: "email", most: 200, institutional: true },
      "E-mail at the institution",
      "Courriel à l’établissement",
      {
        en: "A mailbox that anybody can open does not do. If your referee has no other, write to us.",
        fr: "Une boîte que tout le monde peut ouvrir ne convient pas. Si votre référent n’en a pas d’autre, écrivez-nous.",
      },
    ),
    field({ key: "institution", kind: "text", most: 200 }, "Institution", "Établissement"),
    field(
      {
        key: "role",
        kind: "choice",
        options: [
          option("academic", "Taught or supervised me at a university", "M’a enseigné ou encadré à l’université"),
          option("science teacher", "Taught me a science at school", "M’a enseigné une science à l’école"),
          option("teacher", "Taught me something else at school", "M’a enseigné autre chose à l’école"),
          option("professional", "Worked with me", "A travaillé avec moi"),
        ],
      },
      "Role",
      "Rôle",
    ),
  ],
};
