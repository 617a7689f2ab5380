import type { rulings as english } from "../en/rulings";

/** Cases that are ruled on, in French. */
export const rulings: Readonly<Record<keyof typeof english, string>> = {
  "case.title": "Vous ne savez pas si cela compte ?",
  "case.lead":
    "Le bureau en décide au cas par cas. Demandez dès maintenant : nous vous répondons avant l’envoi de la candidature, et vous pouvez continuer entre-temps.",
  "case.ask": "Demander au bureau",
  "case.asked": "Vous avez demandé le {when}. La réponse arrive par courriel et figure ici.",
  "case.accepted": "Cela compte : le bureau l’a dit. Ce que vous avez indiqué reste à prouver.",
  "case.refused": "Cela ne compte pas : le bureau l’a dit. Veuillez chercher une autre façon.",
};
