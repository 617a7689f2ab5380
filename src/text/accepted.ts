/** What is said about lists of what is accepted without further reading. */
export const acceptedEn = {
  "programme.rules": "How we decide whether you may enter",
  "accepted.level": "level {level}",
  "accepted.all": "all of them",
  "accepted.else": "These are accepted without further reading. Anything else is looked at by us, case by case.",
} as const;

export const acceptedFr: Readonly<Record<keyof typeof acceptedEn, string>> = {
  "programme.rules": "Comment nous décidons de l’admission",
  "accepted.level": "niveau {level}",
  "accepted.all": "tous",
  "accepted.else": "Ceux-ci sont admis sans autre examen. Tout autre est examiné par nous, au cas par cas.",
};
