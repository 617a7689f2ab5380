import type { results as english } from "../en/results";

/** Files of student results, in French. */
export const results: Readonly<Record<keyof typeof english, string>> = {
  "results.file": "Ou choisissez un fichier CSV, ou des résultats au format ELMO (XML)",
  "results.from": "Résultats de {issuers}.",
  "results.lacks":
    "Un tel fichier contient ce que ces établissements avaient enregistré à sa création. Ajoutez ce qui est en cours, ce qui est venu après, les tentatives omises et ce que vous avez suivi ailleurs.",
  "results.trusted": "Signé par {signer}, que le bureau connaît : rien n’a été changé depuis.",
  "results.sound":
    "Signé par {signer} : rien n’a été changé depuis. Le bureau ne connaît pas encore cet expéditeur ; envoyez aussi le relevé.",
  "results.invalid":
    "La signature de ce fichier n’est pas valable : quelque chose a été changé après. Vous pouvez reprendre les lignes ; le bureau s’en tiendra au relevé seul.",
  "results.unsigned":
    "Le fichier n’est pas signé. Ce que vous reprenez compte comme saisi par vous ; le relevé en fait foi.",
  "results.otherBirth": "Le fichier concerne une personne née le {born}. Votre candidature donne un autre jour.",
  "results.otherName": "Le fichier nomme {name}. Vérifiez s’il est bien le vôtre.",
  "results.no_status": "{about} : le fichier ne dit pas si le cours est réussi. Choisissez son état.",
  "results.unknown_status": "{about} n’est pas un état que nous connaissons. Choisissez-en un.",
  "results.no_credits": "{about} : le fichier n’a pas de crédits. Saisissez-les.",
  "results.no_result": "{about} : le fichier n’a pas de note. Saisissez-la s’il y en a une.",
  "results.no_date": "{about} : le fichier ne dit pas quand le résultat est venu.",
  "results.scale_is_prose":
    "Le fichier ne décrit ses notes qu’en mots ({about}). Choisissez l’échelle avec votre diplôme.",
  "results.whole_degree": "{about} est un diplôme entier et non un cours. Reprenez-le à la page de vos diplômes.",
  "results.degreeOpen": "Reprendre un diplôme depuis des résultats d’études",
  "results.degreeFile": "Résultats d’études au format ELMO (XML)",
  "results.noDegree":
    "Ce fichier ne nomme que des cours. Saisissez le diplôme ici, et reprenez les cours à la page des cours.",
  "results.degreeTake": "Le reprendre",
  "results.degreeUndo": "Le retirer",
  "results.degreeDone": "Fermer le fichier",
  "results.degreeTaken": "Repris. Relisez-le et ajoutez ce que le fichier ne dit pas.",
  "results.twice": "{about} y figure deux fois et est repris une fois.",
  "results.unknown_part": "Une partie appelée {about} nous est inconnue et reste de côté.",
  "results.attachment_unread": "Un document appelé {about} est nommé dans le fichier et n’y figure pas.",
  "results.attachment_refused":
    "Le document {about} du fichier ne peut pas être pris : il est endommagé ou n’est pas ce qu’il dit être. Envoyez-le séparément.",
  "results.attachments": "Documents contenus dans le fichier",
  "results.attachTo": "Le fournir comme",
  "results.attachNone": "pas du tout",
  "results.attach": "Le fournir",
  "results.attached": "Fourni comme {title}.",
  "results.too_large": "Ce fichier est trop grand. Des résultats ont au plus 20 Mo.",
  "results.not_xml":
    "Ce n’est pas un fichier de résultats que nous sachions lire. Redemandez-le là où vous l’avez eu, ou collez les cours.",
  "results.hostile":
    "Ce fichier déclare des parties dont des résultats n’ont jamais besoin ; nous ne l’ouvrons pas. Redemandez-le là où vous l’avez eu.",
  "results.too_deep": "Ce fichier est construit comme jamais des résultats ; nous ne l’ouvrons pas.",
  "results.too_many": "Ce fichier contient plus que tous les résultats ; nous ne l’ouvrons pas.",
  "results.not_elmo":
    "C’est du XML, mais pas un fichier de résultats. Choisissez celui que votre université ou son service vous a donné.",
  "results.version":
    "Ce fichier est d’une version du format plus récente que celle que nous lisons. Collez plutôt les cours.",
  "results.failed": "Le fichier n’a pas pu être envoyé. Vérifiez votre connexion et choisissez-le de nouveau.",
};
