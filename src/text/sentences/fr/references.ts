import type { references as english } from "../en/references";

/** References, on the applicant's and on the referee's side, in French. */
export const references: Readonly<Record<keyof typeof english, string>> = {
  "referee.send": "Envoyer la demande",
  "referee.sendAsk": "Ceci écrit maintenant à {name} ({email}).",
  "referee.sendFirst": "Remplissez d’abord nom, courriel et rôle.",
  "referee.askedElsewhere":
    "Le lien est parti à {email}. Pour l’envoyer à l’autre adresse, retirez cette demande et envoyez-la de nouveau.",
  "referee.withdraw": "Retirer la demande",
  "referee.state.asked": "Demandée le {date}",
  "referee.state.opened": "Demandée le {date}, ouverte",
  "referee.state.given": "La recommandation est là",
  "referee.state.declined": "Refusée. Nommez un autre référent.",
  "referee.state.withdrawn": "Retirée",
  "referee.state.undeliverable": "Le courriel n’a pas pu être remis. Vérifiez l’adresse ou nommez un autre référent.",
  "reference.title": "Une recommandation pour {applicant}",
  "reference.for": "{applicant} postule à {programme} et vous demande une recommandation.",
  "reference.begin": "Commencer",
  "reference.until": "Le lien vaut jusqu’au {date}, pour cette seule demande.",
  "reference.known": "Comment et depuis quand connaissez-vous cette personne ?",
  "reference.rating": "Comparée à d’autres au même stade, cette personne est",
  "reference.rating.outstanding": "exceptionnelle",
  "reference.rating.very good": "très bonne",
  "reference.rating.good": "bonne",
  "reference.rating.fair": "moyenne",
  "reference.rating.cannot say": "je ne peux pas le dire",
  "reference.text": "Vos mots sur cette personne",
  "reference.textHelp": "Au moins 20 signes, sauf si vous déposez une lettre.",
  "reference.letter": "Ou déposez une lettre",
  "reference.give": "Donner la recommandation",
  "reference.giveHelp": "La personne apprend qu’elle est arrivée et n’en voit jamais le contenu.",
  "reference.decline": "Je ne peux pas donner de recommandation",
  "reference.declineAsk":
    "Ceci dit à {applicant} que vous ne pouvez pas donner de recommandation. Le lien prend alors fin.",
  "reference.given": "Merci. La recommandation est chez nous et le lien a pris fin.",
  "reference.declined": "Merci de nous l’avoir dit. Le lien a pris fin.",
  "reference.ended":
    "Ce lien a pris fin : la recommandation a été donnée ou retirée, ou son temps est passé. Demandez une nouvelle demande à la personne.",
  "reference.tooShort": "Écrivez quelques mots (au moins 20 signes) ou déposez une lettre.",
  "reference.knownMissing": "Dites comment vous connaissez cette personne.",
};
