/** Where an applicant is reached: addresses and numbers, and the mails that ask about them. */
export const reachingEn = {
  "reach.title": "Where we reach you",
  "reach.lead":
    "Letters and calls go here. Say that it is right, or ask us to open the part for a correction if it has changed.",
  "reach.right": "This is right",
  "reach.changed": "It has changed",
  "reach.since": "You said on {when} that this is right.",
  "reach.held": "We reached you here on {when}.",
  "reach.asked": "We asked on {when} whether this is still right.",
  "reach.failed.phone": "We could not reach you at this number on {when}.",
  "reach.failed.address": "A letter to this address came back to us on {when}.",
  "event.confirm-reach": "You said that an address or a number is right",
  "mail.reach-asked.subject": "No. {number}: is this still right?",
  "mail.reach-asked.body":
    "Before we send or call: please look whether what you gave is still right ({what}). One press says so:\n\n{link}",
  "mail.reach-failed.subject": "No. {number}: we could not reach you",
  "mail.reach-failed.body":
    "What we sent did not arrive, or the number did not work ({what}). Please look at it, and say whether it is right or has changed:\n\n{link}",
} as const;

export const reachingFr: Readonly<Record<keyof typeof reachingEn, string>> = {
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
  "event.confirm-reach": "Vous avez dit qu’une adresse ou un numéro est juste",
  "mail.reach-asked.subject": "No {number} : est-ce toujours juste ?",
  "mail.reach-asked.body":
    "Avant d’écrire ou d’appeler : veuillez vérifier que ce que vous avez indiqué est toujours juste ({what}). Un clic suffit pour le dire :\n\n{link}",
  "mail.reach-failed.subject": "No {number} : nous n’avons pas pu vous joindre",
  "mail.reach-failed.body":
    "Notre envoi n’est pas arrivé, ou le numéro n’a pas répondu ({what}). Veuillez regarder et dire si c’est juste ou si cela a changé :\n\n{link}",
};
