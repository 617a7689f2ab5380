import type { contact as english } from "../en/contact";

/** Numbers and addresses, and whether they hold, in French. */
export const contact: Readonly<Record<keyof typeof english, string>> = {
  "contact.title": "Où nous vous joignons",
  "contact.lead":
    "Le courrier et les appels arrivent ici. Dites que c’est juste, ou demandez-nous d’ouvrir cette partie à la correction si cela a changé.",
  "contact.right": "C’est juste",
  "contact.changed": "Cela a changé",
  "contact.since": "Vous avez dit le {when} que c’est juste.",
  "contact.held": "Nous vous avons joint ici le {when}.",
  "contact.asked": "Nous avons demandé le {when} si c’est toujours juste.",
  "contact.failed.phone": "Nous n’avons pas pu vous joindre à ce numéro le {when}.",
  "contact.failed.address": "Un courrier à cette adresse nous est revenu le {when}.",
};
