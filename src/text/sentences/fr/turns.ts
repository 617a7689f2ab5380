import type { turns as english } from "../en/turns";

/** What comes when, and who had a file for how long, in French. */
export const turns: Readonly<Record<keyof typeof english, string>> = {
  "schedule.title": "Ce qui vient, et quand",
  "schedule.submitted": "Envoyée",
  "schedule.complete": "Tout est là",
  "schedule.decision": "Décision",
  "schedule.answer": "Votre réponse à une offre",
  "schedule.start": "Premier jour",
  "schedule.by": "au plus tard le {day}",
  "schedule.complete.open": "dès que nous aurons reçu et vérifié tout ce qui compte",
  "schedule.decision.within": "{days, plural, one {# jour ouvré} other {# jours ouvrés}} plus tard au plus",
  "schedule.decision.still":
    "il nous reste {days, plural, one {# jour ouvré} other {# jours ouvrés}} ; la date sera recalculée quand ce sera de nouveau à nous",
  "schedule.answer.within": "dans les {days, plural, one {# jour ouvré} other {# jours ouvrés}} qui suivent une offre",
  "schedule.moved":
    "Annoncée d’abord pour le {day}. C’est {days, plural, one {# jour ouvré} other {# jours ouvrés}} de plus, car notre délai est suspendu tant que nous vous attendons ou attendons d’autres personnes.",
  "programme.times":
    "Sur {count} décisions rendues, la moitié nous a pris au plus {half, plural, one {# jour ouvré} other {# jours ouvrés}}, neuf sur dix au plus {nine, plural, one {# jour ouvré} other {# jours ouvrés}}. Le temps pendant lequel nous attendons les candidats, les référents ou les paiements n’est pas compté.",
  "spent.summary":
    "Depuis le {since} : {own, plural, =0 {aucun jour ouvré} one {# jour ouvré} other {# jours ouvrés}} chez nous, {others, plural, =0 {aucun} one {# jour ouvré} other {# jours ouvrés}} chez vous ou d’autres.",
  "spent.office.summary":
    "Depuis l’envoi, le {since} : {own, plural, =0 {aucun jour ouvré} one {# jour ouvré} other {# jours ouvrés}} chez nous, {others, plural, =0 {aucun} one {# jour ouvré} other {# jours ouvrés}} chez d’autres.",
  "spent.days": "{days, plural, one {# jour} other {# jours}}",
  "spent.since": "depuis le {from}",
  "spent.between": "du {from} au {to}",
  "spent.show": "Afficher chaque étape",
  "spent.turn.office": "Chez nous",
  "spent.turn.faculty": "À la faculté",
  "spent.turn.applicant": "Chez vous",
  "spent.turn.payment": "En attente du paiement",
  "spent.turn.third party": "Chez des référents, des registres ou d’autres",
  "spent.turn.nobody": "Chez personne",
};
