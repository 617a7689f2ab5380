import type { decision as english } from "../en/decision";

/** Decisions and the answers to them, in French. */
export const decision: Readonly<Record<keyof typeof english, string>> = {
  "decision.title": "Notre décision",
  "decision.offer": "Nous vous offrons une place en {programme}, début le {start}.",
  "decision.offer on conditions": "Nous vous offrons une place en {programme}, début le {start}, à ces conditions :",
  "decision.waiting list": "Vous êtes sur la liste d’attente de {programme}. Nous écrivons dès qu’une place se libère.",
  "decision.refusal": "Nous ne pouvons pas vous offrir de place en {programme}.",
  "decision.reason": "La raison : {reason}",
  "decision.answerBy": "Merci de répondre jusqu’au {date}.",
  "decision.lapsed":
    "La réponse était attendue jusqu’au {date} ; l’offre a pris fin. Écrivez-nous si vous voulez encore la place.",
  "decision.accept": "Accepter l’offre",
  "decision.decline": "Décliner",
  "decision.acceptAsk": "Ceci accepte la place en {programme}. Cela engage les deux parties.",
  "decision.declineAsk": "Ceci décline définitivement la place en {programme} ; elle va à quelqu’un d’autre.",
  "decision.accepted": "Vous avez accepté le {date}. Bienvenue !",
  "decision.declined": "Vous avez décliné le {date}.",
};
