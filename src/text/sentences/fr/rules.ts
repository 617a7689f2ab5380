import type { rules as english } from "../en/rules";

/** Entry rules as applicants read them, and the check before applying, in French. */
export const rules: Readonly<Record<keyof typeof english, string>> = {
  "fact.first": "{ranking} : en premier",
  "rules.least": "Au moins {least} programmes.",
  "rules.most": "{procedure} : au plus {most, plural, one {un programme} other {# programmes}} par candidature.",
  "rules.ranked": "Vous les placez dans l’ordre de votre préférence.",
  "rules.undertaking": "Qui en choisit plusieurs s’engage : « {promise} »",
  "rules.level": "Dont au plus {most} du niveau {level}.",
  "rules.field": "Dont au plus {most} du domaine {field}.",
  "rules.exclusive": "{one} et {other} s’excluent.",
  "rule.held": "Vous avez déjà choisi ce programme.",
  "rule.too-many":
    "Votre candidature compte déjà {most, plural, one {un programme} other {# programmes}}, c’est la limite. Retirez-en un pour choisir celui-ci.",
  "rule.too-many-of-level":
    "Une candidature ne peut compter que {most} programme du niveau {level}. Retirez l’autre pour choisir celui-ci.",
  "rule.too-many-of-field":
    "Une candidature ne peut compter que {most} programme du domaine {field}. Retirez l’autre pour choisir celui-ci.",
  "rule.excluded-by": "Ce programme ne peut être choisi à côté de {other}. Retirez ce dernier pour choisir celui-ci.",
  "check.title": "Puis-je me porter candidat pour {programme} ?",
  "check.intro":
    "Voici les règles d’admission que le bureau applique. Indiquez ce que vous avez ; la réponse est calculée à partir de cela. Rien n’est envoyé au bureau, tout reste dans ce navigateur.",
  "check.ask": "Voir la réponse",
  "check.again": "Revoir la réponse",
  "check.answer": "La réponse",
  "check.eligible": "D’après vos réponses, toutes les règles d’admission sont remplies.",
  "check.eligible on conditions": "D’après vos réponses, vous pourriez être admis sous conditions : {ways}.",
  "check.not eligible": "D’après vos réponses, une règle d’admission n’est pas remplie.",
  "check.open": "Il faut d’autres réponses avant de pouvoir le dire.",
  "check.claims": "Cela repose sur ce que vous avez écrit. Le bureau décide d’après vos pièces.",
  "check.carry": "Me porter candidat en reprenant ces réponses",
  "check.clear": "Effacer ce que j’ai écrit",
  "check.carried": "Ce que vous avez écrit dans le test a été repris. Vérifiez-le.",
  "check.finding.met": "Remplie",
  "check.finding.not met": "Non remplie",
  "check.finding.open": "Ouverte",
  "check.why": "Pourquoi",
  "accepted.level": "niveau {level}",
  "accepted.all": "tous",
  "accepted.else": "Ceux-ci sont admis sans autre examen. Tout autre est examiné par nous, au cas par cas.",
  "sum.soFar": "{now} pour l’instant, {least} nécessaires",
};
