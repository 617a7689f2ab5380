import type { frame as english } from "../en/frame";

/** What stands around every page, and why something was refused, in French. */
export const frame: Readonly<Record<keyof typeof english, string>> = {
  "refused.choice-rule": "Les règles sur les vœux n’admettent pas ce programme à côté de ceux que vous avez.",
  "refused.not-offered": "Ce campus, ce rythme ou ce parcours n’est pas proposé. Choisissez parmi ce qui est affiché.",
  "refused.not-open-to-you":
    "Ce programme n’est pas ouvert à tous, et d’après ce que vous avez écrit vous ne remplissez pas la condition. « Puis-je candidater ? », sur sa page, dit laquelle.",
  "refused.kept-elsewhere": "Cette valeur appartient à un autre système. Elle se corrige là-bas.",
  "refused.said-twice": "Ceci figure déjà dans la liste, et ne peut y figurer qu’une fois.",
  "refused.undertaking-missing":
    "Il faut d’abord un engagement pour l’ordre de vos vœux. Il se trouve sur la page des vœux.",
  "brand.line": "L’admission aux programmes d’études",
  "nav.programmes": "Programmes",
  "nav.mine": "Mes candidatures",
  "nav.messages": "Messages",
  "nav.signIn": "Se connecter",
  "nav.signUp": "Ouvrir un compte",
  "nav.signOut": "Se déconnecter",
  "nav.account": "Compte",
  "nav.language": "English",
  "nav.skip": "Aller au contenu",
  "refused.invalid-input": "Quelque chose n’est pas juste. Regardez les champs marqués.",
  "refused.not-yours": "Vous ne pouvez pas faire cela. Connectez-vous avec le compte concerné.",
  "refused.not-found": "Ce n’est plus là. Rechargez la page.",
  "refused.round-closed": "La période est fermée.",
  "refused.round-not-open": "La période n’est pas encore ouverte.",
  "refused.not-complete": "Il manque encore quelque chose. La liste de cette page le dit.",
  "refused.locked": "Ceci ne peut plus être changé.",
  "refused.already-done": "C’est déjà fait. Rechargez la page pour le voir.",
  "refused.link-ended": "Ce lien a pris fin.",
  "refused.document-refused": "Ce fichier ne peut pas être pris.",
  "refused.too-large": "C’est trop grand.",
  "refused.check-failed": "Une vérification a échoué : {check}.",
  "refused.round-open": "La session est encore ouverte.",
  "refused.needs-reason": "Donnez une raison.",
  "refused.needs-second-person": "Une deuxième personne doit le faire.",
  "refused.not-eligible": "Les règles d’admission ne le permettent pas.",
  "refused.not-confirmed": "Des résultats reposent encore sur des valeurs déclarées.",
  "refused.already-applied": "Vous avez déjà choisi ce programme.",
  "refused.nothing-due": "Rien n’est dû.",
  "refused.changed-meanwhile": "Ceci a changé entre-temps. Rechargez la page.",
  "refused.name-first": "Indiquez d’abord votre nom : le courriel dit qui demande.",
  "refused.own-address":
    "C’est une adresse à vous. Une recommandation vient de quelqu’un d’autre : corrigez l’adresse de votre référent.",
  "refused.mailed-enough":
    "Assez de courriels sont partis aujourd’hui : trois par jour à une adresse, vingt en tout. Redemandez demain ; vérifiez d’ici là que l’adresse est juste.",
  "refused.too-late-to-undo": "Il est trop tard pour annuler.",
  "page.loading": "Chargement …",
  "error.title": "Quelque chose n’a pas marché chez nous",
  "error.text": "Ce que vous avez écrit est gardé. Réessayez ; si cela se répète, dites-nous le numéro {id}.",
  "ask.away":
    "Nos dossiers ne répondent pas en ce moment. Rien n’a été fait et ce que vous avez écrit est toujours là : réessayez dans une minute.",
  "ask.failed":
    "Une erreur est survenue de notre côté. Ce que vous avez écrit est toujours là ; si réessayer ne suffit pas, indiquez-nous le numéro {id}.",
  "ask.close": "Fermer",
  "error.awayTitle": "Nos dossiers ne répondent pas en ce moment",
  "error.awayText":
    "Vous n’y êtes pour rien. Attendez une minute et réessayez ; vérifiez alors si votre dernier geste est là, et refaites-le s’il n’y est pas.",
  "error.again": "Réessayer",
  "error.notFound": "Il n’y a rien à cette adresse",
  "error.notFoundText": "La page a peut-être changé de place, ou appartient au compte de quelqu’un d’autre.",
  "error.home": "Au début",
};
