/** What is said of entry rules beside a programme and under a list: what is accepted without reading, and how far a sum has come. */
export const entryRulesEn = {
  "programme.rules": "How we decide whether you may enter",
  "accepted.level": "level {level}",
  "accepted.all": "all of them",
  "accepted.else": "These are accepted without further reading. Anything else is looked at by us, case by case.",
  "app.growing":
    "This part was submitted. Until the decision you can add what has come since, such as new results; we look at it.",
  "next.rule": "We look at something that our lists do not answer. You need to do nothing.",
  "sum.soFar": "{now} so far, {least} needed",
} as const;

export const entryRulesFr: Readonly<Record<keyof typeof entryRulesEn, string>> = {
  "programme.rules": "Comment nous décidons de l’admission",
  "accepted.level": "niveau {level}",
  "accepted.all": "tous",
  "accepted.else": "Ceux-ci sont admis sans autre examen. Tout autre est examiné par nous, au cas par cas.",
  "app.growing":
    "Cette partie a été envoyée. Jusqu’à la décision, vous pouvez ajouter ce qui est arrivé depuis, comme de nouveaux résultats ; nous l’examinons.",
  "next.rule": "Nous examinons un point que nos listes ne règlent pas. Vous n’avez rien à faire.",
  "sum.soFar": "{now} pour l’instant, {least} nécessaires",
};
