/** The words of taking over student results from a file. */
export const resultsFileEn = {
  "results.file": "Or choose a CSV file, or student results as an ELMO file (XML)",
  "results.from": "Results of {issuers}.",
  "results.lacks":
    "Such a file holds what these institutions had recorded when it was made. Add what still runs, what came later, earlier attempts that it leaves out, and what you took elsewhere.",
  "results.trusted": "Signed by {signer}, whom the office knows: nothing was changed since.",
  "results.sound":
    "Signed by {signer}: nothing was changed since. The office does not know this sender yet, so send the transcript, too.",
  "results.invalid":
    "The signature of this file does not hold: something was changed after it was signed. You can take the lines over, and the office will go by your transcript alone.",
  "results.unsigned": "The file is not signed. What you take over counts as typed by you; the transcript proves it.",
  "results.otherBirth": "The file is of somebody born on {born}. Your application gives another day.",
  "results.otherName": "The file names {name}. Look whether it is yours.",
  "results.no_status": "{about}: the file does not say whether it was passed. Choose its status.",
  "results.unknown_status": "{about} is no status we know. Choose one.",
  "results.no_credits": "{about}: the file has no credits for it. Enter them.",
  "results.no_result": "{about}: the file has no grade for it. Enter it if there is one.",
  "results.no_date": "{about}: the file does not say when the result came.",
  "results.scale_is_prose": "The file describes its grades in words only ({about}). Choose the scale with your degree.",
  "results.whole_degree": "{about} is a whole degree and no course. Take it over on the page of your degrees.",
  "results.degreeOpen": "Take a degree over from student results",
  "results.degreeFile": "Student results as an ELMO file (XML)",
  "results.noDegree": "This file names courses only. Enter the degree here, and take the courses over on their page.",
  "results.degreeTake": "Take it over",
  "results.degreeUndo": "Take it out again",
  "results.degreeDone": "Close the file",
  "results.degreeTaken": "Taken over. Look through it and add what the file does not say.",
  "results.twice": "{about} stands there twice and is taken over once.",
  "results.unknown_part": "A part called {about} is not known to us and is left out.",
  "results.attachment_unread": "A document called {about} is named in the file and does not stand in it.",
  "results.attachment_refused":
    "The document {about} inside the file cannot be taken: it is damaged, or not what it says it is. Upload it by itself.",
  "results.attachments": "Documents inside the file",
  "results.attachTo": "Supply it as",
  "results.attachNone": "not at all",
  "results.attach": "Supply it",
  "results.attached": "Supplied as {title}.",
  "results.too_large": "This file is too large. Results have at most 20 MB.",
  "results.not_xml":
    "This is no file of results that we can read. Ask for it again where you got it, or paste the courses.",
  "results.hostile":
    "This file declares parts that a file of results never needs, so we do not open it. Ask for it again where you got it.",
  "results.too_deep": "This file is built in a way that results never are, so we do not open it.",
  "results.too_many": "This file holds more than any results do, so we do not open it.",
  "results.not_elmo":
    "This is XML, but no file of results. Choose the one that your university or its service gave you.",
  "results.version": "This file is of a newer version of the format than we can read. Paste the courses instead.",
  "results.failed": "The file could not be sent. Look at your connection and choose it again.",
} as const;

export const resultsFileFr: Readonly<Record<keyof typeof resultsFileEn, string>> = {
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
  "results.attachment_unread": "Un document appelé {about} est nommé dans le fichier et n’y figure pas.",
  "results.attachment_refused":
    "Le document {about} du fichier ne peut pas être pris : il est endommagé ou n’est pas ce qu’il dit être. Envoyez-le séparément.",
  "results.attachments": "Documents contenus dans le fichier",
  "results.attachTo": "Le fournir comme",
  "results.attachNone": "pas du tout",
  "results.attach": "Le fournir",
  "results.attached": "Fourni comme {title}.",
  "results.unknown_part": "Une partie appelée {about} nous est inconnue et reste de côté.",
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
