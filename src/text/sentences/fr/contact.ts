import type { contact as english } from "../en/contact";

/** Numbers and addresses, and whether they hold, in French. */
export const contact: Readonly<Record<keyof typeof english, string>> = {
  "conversation.title": "Écrire au service",
  "conversation.lead":
    "Au sujet de cette candidature : votre message parvient aux personnes qui y travaillent ; leur réponse arrive ici et par courriel.",
  "conversation.none": "Rien n’a encore été écrit.",
  "conversation.you": "Vous",
  "conversation.office": "{name}, service des admissions",
  "conversation.about": "au sujet de : {section}",
  "conversation.new": "nouveau",
  "conversation.answered": "répondu",
  "conversation.waits": "Le service n’a pas encore répondu",
  "conversation.read": "lu par le service le {when}",
  "conversation.text": "Votre message",
  "conversation.topic": "De quoi il s’agit",
  "conversation.noTopic": "De la candidature en général",
  "conversation.send": "Envoyer",
  "conversation.sent": "Votre message est parvenu au service.",
  "conversation.empty": "Écrivez d’abord quelque chose.",
  "conversation.unread": "{count, plural, one {un nouveau message} other {# nouveaux messages}}",
  "conversation.attach": "Joindre un document",
  "conversation.attachHint": "Un PDF ou une image. Ce que nous avons demandé se dépose là où nous l’avons demandé.",
  "conversation.with": "Documents de ce message",
  "conversation.byMail": "par courriel",
  "conversation.leftOut": "Non conservé de ce courriel : {names}. Ajoutez-le, s’il vous plaît, en PDF ou en image.",
  "conversation.ask": "Une question sur cette page",
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
