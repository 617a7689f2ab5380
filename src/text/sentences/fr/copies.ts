import type { copies as english } from "../en/copies";

/** Copies of an application, in French. */
export const copies: Readonly<Record<keyof typeof english, string>> = {
  "copy.references": "Recommandations",
  "copy.download": "Télécharger en PDF",
  "copy.downloadAll": "Avec tous les documents en un PDF",
  "copy.notPrinted": "L’impression n’a pas abouti. Réessayez dans une minute.",
  "copy.beingMade": "Préparation en cours. Vous pouvez quitter cette page : le fichier reste ici sept jours.",
  "copy.last": "Le dernier, du {when} ({size})",
  "copy.contents": "Sommaire",
  "copy.form": "Le formulaire",
  "copy.leftOut": "Ce document n’a pas pu être joint. Ouvrez-le séparément.",
  "copy.under": "No {number} · {name}",
  "copy.foot": "No {number} · {name} · page {page} sur {pages}",
  "copy.submitted": "déposé le {when}",
  "copy.draft": "pas encore déposé",
};
