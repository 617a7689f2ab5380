import type { Section } from "../../../core/rulebook/section";
import { field } from "./field";

/** What everybody declares at the end. */
export const declaration: Section = {
  key: "declaration",
  core: "declaration",
  scope: "file",
  title: { en: "Declaration", fr: "Déclaration" },
  fields: [
    field(
      { key: "true", kind: "agree" },
      "Everything that I have written is true and complete.",
      "Tout ce que j’ai écrit est exact et complet.",
      {
        en: "What turns out to be untrue, or was left out although it was asked for, can end an application and undo a decision, even after studies have begun. A mistake that you tell us about before the decision is corrected, and nothing follows from it.",
        fr: "Ce qui se révèle inexact, ou a été omis alors que c’était demandé, peut mettre fin à une candidature et annuler une décision, même après la rentrée. Une erreur que vous nous signalez avant la décision est corrigée, sans aucune suite.",
      },
    ),
    field(
      { key: "data", kind: "agree" },
      "The institute may keep and check this data to decide on my application.",
      "L’institut peut conserver et vérifier ces données pour décider de ma candidature.",
      {
        en: "What you enter and supply is read by the people who decide on your application, and by nobody else. We may ask whoever issued a paper whether it is genuine, and your referee for a reference. Every look at your file is on record. A draft that is not submitted is erased after some months without a change, a closed file after the years that the law asks for; you can see what is kept, take a copy with you and have it erased in your account, at any time.",
        fr: "Ce que vous saisissez et fournissez est lu par les personnes qui décident de votre candidature, et par personne d’autre. Nous pouvons demander à qui a délivré un document s’il est authentique, et une recommandation à votre référent. Chaque consultation de votre dossier est consignée. Un brouillon non envoyé est effacé après quelques mois sans changement, un dossier clos après les années prévues par la loi ; dans votre compte, vous pouvez à tout moment voir ce qui est conservé, en emporter une copie et le faire effacer.",
      },
    ),
    field(
      { key: "signature", kind: "name", most: 200 },
      "Your full name, as signature",
      "Votre nom complet, en signature",
    ),
  ],
};
