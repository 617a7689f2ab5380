/** What is said of entry rules beside a programme and under a list: what is accepted without reading, and how far a sum has come. */
export const entryRulesEn = {
  "programme.rules": "How we decide whether you may enter",
  "accepted.level": "level {level}",
  "accepted.all": "all of them",
  "accepted.else": "These are accepted without further reading. Anything else is looked at by us, case by case.",
  "sum.soFar": "{now} so far, {least} needed",
} as const;

export const entryRulesFr: Readonly<Record<keyof typeof entryRulesEn, string>> = {
  "programme.rules": "Comment nous décidons de l’admission",
  "accepted.level": "niveau {level}",
  "accepted.all": "tous",
  "accepted.else": "Ceux-ci sont admis sans autre examen. Tout autre est examiné par nous, au cas par cas.",
  "sum.soFar": "{now} pour l’instant, {least} nécessaires",
};
