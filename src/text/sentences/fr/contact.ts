import type { contact as english } from "../en/contact";

/** Numbers and addresses, and whether they hold, in French. */
export const contact: Readonly<Record<keyof typeof english, string>> = {
  "reach.title": "Où nous vous joignons",
  "reach.lead":
    "Le courrier et les appels arrivent ici. Dites que c’est juste, ou demandez-nous d’ouvrir cette partie à la correction si cela a changé.",
  "reach.right": "C’est juste",
  "reach.changed": "Cela a changé",
  "reach.since": "Vous avez dit le {when} que c’est juste.",
  "reach.held": "Nous vous avons joint ici le {when}.",
  "reach.asked": "Nous avons demandé le {when} si c’est toujours juste.",
  "reach.failed.phone": "Nous n’avons pas pu vous joindre à ce numéro le {when}.",
  "reach.failed.address": "Un courrier à cette adresse nous est revenu le {when}.",
};
