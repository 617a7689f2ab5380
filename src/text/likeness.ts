/** What writers of statements are told of likenesses. */
export const likenessEn = {
  "likeness.ownWords":
    "In your own words: statements are held against each other, and the office sees where two are alike.",
  "likeness.found": "{words} words of this stand word for word in a statement that somebody else handed in:",
  "likeness.todo":
    "Say it in your own words, or name whom you quote. If the words are yours and another person used them, leave them and tell the office.",
} as const;

export const likenessFr: Readonly<Record<keyof typeof likenessEn, string>> = {
  "likeness.ownWords":
    "Avec vos propres mots : les textes sont comparés entre eux, et le bureau voit où deux d’entre eux se ressemblent.",
  "likeness.found": "{words} mots de ce texte se trouvent tels quels dans un texte remis par une autre personne :",
  "likeness.todo":
    "Dites-le avec vos propres mots, ou nommez la personne que vous citez. Si ces mots sont les vôtres et qu’une autre personne les a repris, laissez-les et dites-le au bureau.",
};
