import type { statements as english } from "../en/statements";

/** What statements share with others, in French. */
export const statements: Readonly<Record<keyof typeof english, string>> = {
  "likeness.ownWords":
    "Avec vos propres mots : les textes sont comparés entre eux, et le bureau voit où deux d’entre eux se ressemblent.",
  "likeness.found": "{words} mots de ce texte se trouvent tels quels dans un texte remis par une autre personne :",
  "likeness.todo":
    "Dites-le avec vos propres mots, ou nommez la personne que vous citez. Si ces mots sont les vôtres et qu’une autre personne les a repris, laissez-les et dites-le au bureau.",
};
