/** What statements share with others, in English. */
export const statements = {
  "likeness.ownWords":
    "In your own words: statements are held against each other, and the office sees where two are alike.",
  "likeness.found": "{words} words of this stand word for word in a statement that somebody else handed in:",
  "likeness.todo":
    "Say it in your own words, or name whom you quote. If the words are yours and another person used them, leave them and tell the office.",
} as const;
