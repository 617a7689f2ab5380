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
    ),
    field(
      { key: "data", kind: "agree" },
      "The institute may keep and check this data to decide on my application.",
      "L’institut peut conserver et vérifier ces données pour décider de ma candidature.",
    ),
    field(
      { key: "signature", kind: "name", most: 200 },
      "Your full name, as signature",
      "Votre nom complet, en signature",
    ),
  ],
};
