/** Words of what comes after filling in: corrections, submissions, the printed copy, withdrawal, and waiting for an opening. */
export const correctingEn = {
  "app.groupBecause":
    "By what you stated ({stated}) the first group counts that fits, the most favourable before the others.",
  "app.daysLeft": "· {days, plural, =0 {less than a day left} one {one day left} other {# days left}}",
  "app.others": "What others still do",
  "copy.references": "References",
  "copy.fees": "Fees",
  "copy.download": "Download as PDF",
  "copy.downloadAll": "With all documents in one PDF",
  "copy.leftOut": "This document could not be put in. Open it by itself.",
  "copy.under": "No. {number} · {name}",
  "copy.foot": "No. {number} · {name} · page {page} of {pages}",
  "copy.submitted": "submitted on {when}",
  "copy.draft": "not yet submitted",
  "app.carried":
    "What you told us in application No. {number} about yourself and your education stands here already. Please check that it still holds.",
  "app.carriedHere": "These answers come from application No. {number}. Please check that they still hold.",
  "app.answers": "Your answers",
  "app.undertaking": "Before you submit: say what you promise of the order of your choices",
  "app.barred":
    "Not everybody may choose this programme. From what you have written, you do not meet the following condition:",
  "next.barred":
    "What you chose is not open to you, from what you have written. Below stands why, and what you can do.",
  "app.barredThen":
    "If something that you wrote is wrong, correct it, and the programme is open to you at once. If you think that an exception is right, ask the people who answer for it: the office can make one.",
  "choices.undertaking": "What you promise of this order",
  "choices.promise": "I promise this",
  "choices.promised": "Promised on {when}, for this order. Another order asks for the promise again.",
  "event.give-undertaking": "You promised what is asked of the order of your choices",
  "refused.not-open-to-you":
    "Not everybody may choose this programme, and from what you have written you do not meet the condition. “Can I apply?” on its page says which it is.",
  "refused.kept-elsewhere": "Another system owns this value. It is changed there.",
  "refused.said-twice": "This stands in the list already, and may stand there only once.",
  "refused.undertaking-missing":
    "Something is to be promised of the order of your choices first. It stands on the page of your choices.",
  "app.moreChoices":
    "{count, plural, one {Choose one more programme} other {Choose # more programmes}} before you submit",
  "event.carry-over": "You began with what you told us before",
  "withdraw.kept": "The {amount} that you paid is not given back.",
  "withdraw.returned": "The {amount} that you paid comes back to you.",
  "withdraw.owed": "What is not yet paid is no longer owed.",
  "interest.title": "Tell me when it opens",
  "interest.email": "E-mail",
  "interest.intro": "We write to this address once, when a round opens. Nothing else is done with it.",
  "interest.note": "Tell me",
  "interest.noted": "Noted. A mail confirms it; with its link you can take your address out again.",
  "interest.badEmail": "Write an e-mail address, for example name@example.org.",
  "interest.forget": "Take my address out",
  "interest.forgetIntro": "You no longer want to be told when the programme opens? Then your address is forgotten.",
  "interest.forgotten": "Your address is forgotten.",
  "correction.title": "Something to correct?",
  "correction.intro":
    "What you submitted is closed. Name the parts that need correcting and say why; the office opens them or tells you why not.",
  "correction.text": "What is wrong, and what should stand there",
  "correction.send": "Ask for the correction",
  "correction.asked": "You asked for this correction on {when}. The office answers it.",
  "correction.parts": "Parts to correct",
  "reopened.title": "Open for correction",
  "reopened.until":
    "We opened these parts again. Correct them and send them by {date}; what you submitted stays readable as it was.",
  "reopened.here": "We opened this part again. What you change is saved at once and counts when you have sent it.",
  "reopened.send": "Send the corrected parts",
  "reopened.sendAsk":
    "You confirm that the answers are true. The corrected parts become a new submission with its own number, and are closed again.",
  "reopened.missing":
    "{count, plural, one {One answer is missing before you can send:} other {# answers are missing before you can send:}}",
  "submissions.title": "What you submitted",
  "submissions.no": "Submission {no}",
  "submissions.same": "No answer differs from the one before.",
  "changed.answer": "Answer",
  "changed.before": "Before",
  "changed.after": "Now",
  "next.correct":
    "You correct {count, plural, one {the section that we opened} other {the # sections that we opened}} and send {count, plural, one {it} other {them}}, by {due}.",
  "next.answer request": "We answer your wish for a correction. You need to do nothing.",
  "next.read changes": "We read what you corrected. You need to do nothing.",
  "event.request-correction": "You asked for a correction",
  "event.refuse-correction": "We did not open the form for your correction",
  "event.reopen-sections": "We opened parts of the form for correction",
  "event.send-corrections": "You sent corrected parts",
  "event.tell-missing": "We wrote to you what is still missing",
  "event.end-reopening": "We closed the opened parts again",
  "mail.interest-noted.subject": "{programme}: we tell you when it opens",
  "mail.interest-noted.body":
    "You asked us to tell you when {programme} opens. We write once, and then forget your address.\n\nIf this was not you, or you have changed your mind, take your address out:\n\n{link}",
  "mail.interest-opened.subject": "{programme} is open",
  "mail.interest-opened.body":
    "You asked to be told: {programme} takes applications now. {count, plural, =0 {} other {\n\nHave this ready; the page says of each when and for whom it is needed:\n\n{list}\n\n}}Your address is forgotten with this mail.\n\n{link}",
  "mail.draft-closes.subject": "No. {number} closes soon",
  "mail.draft-closes.body":
    "Your application can be submitted until {moment}. {missing, plural, =0 {Nothing is missing; only the submission is.} one {One thing is still missing.} other {# things are still missing.}}\n\nGo on here:\n\n{link}",
  "mail.draft-missing.subject":
    "No. {number}: {count, plural, =0 {only the submission is missing} other {what is still missing}}",
  "mail.draft-missing.body":
    "{count, plural, =0 {Nothing is missing in your application any more, but it has not been submitted.} other {Your application is not submitted yet. Still missing, with the number of open fields:\n\n{list}}}\n\n{said, plural, =0 {} other {Our office adds:\n\n{words}\n\n}}It can be submitted until {moment}. Go on here:\n\n{link}",
  "mail.draft-erased-soon.subject": "No. {number} will be erased",
  "mail.draft-erased-soon.body":
    "Your application was never submitted, and its round is over. We keep such drafts for {days} days and then erase what was written and sent with them: on {moment} at the earliest.\n\nUntil then you can read it, and save it as PDF:\n\n{link}\n\nYour account stays. If you want to apply again, choose a programme as before.",
  "event.erase-draft": "What you had written was erased: we keep drafts that were not submitted for a time only",
  "app.erased":
    "What you had written here was erased on {when}: drafts that were not submitted are kept for a time only.",
  "mail.round-opens-soon.subject": "{programme} opens on {moment}",
  "mail.round-opens-soon.body":
    "{gaps, plural, =0 {Everything that we look at is there.} one {One thing is still missing in what is planned.} other {# things are still missing in what is planned.}}\n\nLook at the programme, its rounds and what visitors see before it opens:\n\n{link}",
  "mail.round-opened.subject": "No. {number}: you can submit now",
  "mail.round-opened.body":
    "The round of {programme} has opened. As soon as nothing is missing you can submit:\n\n{link}",
  "mail.reopened.subject": "No. {number}: please correct your application",
  "mail.reopened.body":
    "We opened these parts of your application again: {sections}.\n\n{text}\n\nPlease correct them and send them by {due}:\n\n{link}",
  "mail.correction-refused.subject": "No. {number}: about the correction that you asked for",
  "mail.correction-refused.body":
    "We did not open your application for the correction that you asked for.\n\n{text}\n\n{link}",
  "mail.corrected.subject": "No. {number}: we have your corrections",
  "mail.corrected.body": "Your corrected answers arrived. They are submission {no} of your application:\n\n{link}",
  "mail.reopening-ended.subject": "No. {number}: nothing needs to be corrected any more",
  "mail.reopening-ended.body":
    "We closed the opened parts of your application again. It stands as you submitted it:\n\n{link}",
} as const;

export const correctingFr: Readonly<Record<keyof typeof correctingEn, string>> = {
  "app.groupBecause":
    "D’après ce que vous avez indiqué ({stated}), le premier groupe qui convient compte, le plus favorable d’abord.",
  "app.daysLeft": "· {days, plural, =0 {moins d’un jour} one {encore un jour} other {encore # jours}}",
  "app.others": "Ce que d’autres font encore",
  "copy.references": "Recommandations",
  "copy.fees": "Frais",
  "copy.download": "Télécharger en PDF",
  "copy.downloadAll": "Avec tous les documents en un PDF",
  "copy.leftOut": "Ce document n’a pas pu être joint. Ouvrez-le séparément.",
  "copy.under": "No {number} · {name}",
  "copy.foot": "No {number} · {name} · page {page} sur {pages}",
  "copy.submitted": "déposé le {when}",
  "copy.draft": "pas encore déposé",
  "app.carried":
    "Ce que vous nous avez dit de vous et de vos études dans la candidature No {number} figure déjà ici. Vérifiez que tout est encore exact.",
  "app.carriedHere": "Ces réponses viennent de la candidature No {number}. Vérifiez qu’elles sont encore exactes.",
  "app.answers": "Vos réponses",
  "app.undertaking": "Avant de déposer : dites à quoi vous vous engagez pour l’ordre de vos vœux",
  "app.barred":
    "Ce programme n’est pas ouvert à tous. D’après ce que vous avez écrit, vous ne remplissez pas la condition suivante :",
  "next.barred":
    "Ce que vous avez choisi ne vous est pas ouvert, d’après ce que vous avez écrit. Voyez ci-dessous pourquoi, et que faire.",
  "app.barredThen":
    "Si quelque chose de ce que vous avez écrit est faux, corrigez-le : le programme vous est aussitôt ouvert. Si une exception vous paraît juste, écrivez à ceux qui répondent du programme : le bureau peut en faire une.",
  "choices.undertaking": "Votre engagement pour cet ordre",
  "choices.promise": "Je m’y engage",
  "choices.promised": "Engagement pris le {when}, pour cet ordre. Un autre ordre demande un nouvel engagement.",
  "event.give-undertaking": "Vous vous êtes engagé·e pour l’ordre de vos vœux",
  "refused.not-open-to-you":
    "Ce programme n’est pas ouvert à tous, et d’après ce que vous avez écrit vous ne remplissez pas la condition. « Puis-je candidater ? », sur sa page, dit laquelle.",
  "refused.kept-elsewhere": "Cette valeur appartient à un autre système. Elle se corrige là-bas.",
  "refused.said-twice": "Ceci figure déjà dans la liste, et ne peut y figurer qu’une fois.",
  "refused.undertaking-missing":
    "Il faut d’abord un engagement pour l’ordre de vos vœux. Il se trouve sur la page des vœux.",
  "app.moreChoices":
    "{count, plural, one {Choisissez encore un programme} other {Choisissez encore # programmes}} avant de déposer",
  "event.carry-over": "Vous avez commencé avec ce que vous nous aviez déjà dit",
  "withdraw.kept": "Les {amount} déjà payés ne sont pas remboursés.",
  "withdraw.returned": "Les {amount} déjà payés vous sont remboursés.",
  "withdraw.owed": "Ce qui n’est pas encore payé n’est plus dû.",
  "interest.title": "Me prévenir de l’ouverture",
  "interest.email": "Courriel",
  "interest.intro":
    "Nous écrivons une seule fois à cette adresse, à l’ouverture d’une session. Elle ne sert à rien d’autre.",
  "interest.note": "Me prévenir",
  "interest.noted": "C’est noté. Un courriel le confirme ; son lien permet de retirer votre adresse.",
  "interest.badEmail": "Écrivez une adresse électronique, par exemple nom@example.org.",
  "interest.forget": "Retirer mon adresse",
  "interest.forgetIntro":
    "Vous ne voulez plus être prévenu de l’ouverture du programme ? Votre adresse est alors oubliée.",
  "interest.forgotten": "Votre adresse est oubliée.",
  "correction.title": "Quelque chose à corriger ?",
  "correction.intro":
    "Ce que vous avez déposé est fermé. Indiquez les parties à corriger et pourquoi ; le bureau les rouvre ou vous dit pourquoi non.",
  "correction.text": "Ce qui est faux, et ce qui devrait y figurer",
  "correction.send": "Demander la correction",
  "correction.asked": "Vous avez demandé cette correction le {when}. Le bureau y répond.",
  "correction.parts": "Parties à corriger",
  "reopened.title": "À corriger",
  "reopened.until":
    "Nous avons rouvert ces parties. Corrigez-les et envoyez-les avant le {date}; ce que vous avez déposé reste lisible tel quel.",
  "reopened.here":
    "Nous avons rouvert cette partie. Vos changements sont enregistrés aussitôt et comptent dès que vous les avez envoyés.",
  "reopened.send": "Envoyer les parties corrigées",
  "reopened.sendAsk":
    "Vous confirmez que les réponses sont exactes. Les parties corrigées forment un nouveau dépôt numéroté et sont refermées.",
  "reopened.missing":
    "{count, plural, one {Une réponse manque avant l’envoi :} other {# réponses manquent avant l’envoi :}}",
  "submissions.title": "Ce que vous avez déposé",
  "submissions.no": "Dépôt {no}",
  "submissions.same": "Aucune réponse ne diffère du précédent.",
  "changed.answer": "Réponse",
  "changed.before": "Avant",
  "changed.after": "Maintenant",
  "next.correct":
    "Vous corrigez {count, plural, one {la partie que nous avons rouverte} other {les # parties que nous avons rouvertes}} et {count, plural, one {l’envoyez} other {les envoyez}}, jusqu’au {due}.",
  "next.answer request": "Nous répondons à votre demande de correction. Vous n’avez rien à faire.",
  "next.read changes": "Nous lisons vos corrections. Vous n’avez rien à faire.",
  "event.request-correction": "Vous avez demandé une correction",
  "event.refuse-correction": "Nous n’avons pas rouvert le formulaire pour votre correction",
  "event.reopen-sections": "Nous avons rouvert des parties du formulaire",
  "event.send-corrections": "Vous avez envoyé des parties corrigées",
  "event.tell-missing": "Nous vous avons écrit ce qui manque encore",
  "event.end-reopening": "Nous avons refermé les parties rouvertes",
  "mail.interest-noted.subject": "{programme} : nous vous préviendrons de l’ouverture",
  "mail.interest-noted.body":
    "Vous avez demandé à être prévenu de l’ouverture de {programme}. Nous écrivons une seule fois, puis oublions votre adresse.\n\nSi ce n’était pas vous, ou si vous avez changé d’avis, retirez votre adresse :\n\n{link}",
  "mail.interest-opened.subject": "{programme} est ouvert",
  "mail.interest-opened.body":
    "Vous aviez demandé à être prévenu : {programme} accepte les candidatures. {count, plural, =0 {} other {\n\nPréparez ceci ; la page dit de chaque pièce quand et à qui elle est demandée :\n\n{list}\n\n}}Votre adresse est oubliée avec ce courriel.\n\n{link}",
  "mail.draft-closes.subject": "No {number} : la clôture approche",
  "mail.draft-closes.body":
    "Votre candidature peut être déposée jusqu’au {moment}. {missing, plural, =0 {Il ne manque rien ; il ne reste qu’à déposer.} one {Il manque encore une chose.} other {Il manque encore # choses.}}\n\nContinuez ici :\n\n{link}",
  "mail.draft-missing.subject":
    "No {number} : {count, plural, =0 {il ne reste qu’à déposer} other {ce qui manque encore}}",
  "mail.draft-missing.body":
    "{count, plural, =0 {Il ne manque plus rien à votre candidature, mais elle n’a pas été déposée.} other {Votre candidature n’est pas encore déposée. Il manque encore, avec le nombre de champs ouverts :\n\n{list}}}\n\n{said, plural, =0 {} other {Notre service ajoute :\n\n{words}\n\n}}Elle peut être déposée jusqu’au {moment}. Continuez ici :\n\n{link}",
  "mail.draft-erased-soon.subject": "No {number} va être effacé",
  "mail.draft-erased-soon.body":
    "Votre candidature n’a jamais été déposée, et sa session est close. Nous gardons ces brouillons {days} jours, puis nous effaçons ce qui y a été écrit et joint : au plus tôt le {moment}.\n\nD’ici là, vous pouvez la lire et l’enregistrer en PDF :\n\n{link}\n\nVotre compte demeure. Pour candidater à nouveau, choisissez un programme comme la première fois.",
  "event.erase-draft": "Ce que vous aviez écrit a été effacé : nous ne gardons qu’un temps les brouillons non déposés",
  "app.erased":
    "Ce que vous aviez écrit ici a été effacé le {when} : les brouillons non déposés ne sont gardés qu’un temps.",
  "mail.round-opens-soon.subject": "{programme} ouvre le {moment}",
  "mail.round-opens-soon.body":
    "{gaps, plural, =0 {Tout ce que nous vérifions est là.} one {Il manque encore une chose dans ce qui est prévu.} other {Il manque encore # choses dans ce qui est prévu.}}\n\nRegardez la formation, ses sessions et ce que voient les visiteurs avant l’ouverture :\n\n{link}",
  "mail.round-opened.subject": "No {number} : vous pouvez déposer",
  "mail.round-opened.body":
    "La session de {programme} est ouverte. Dès que rien ne manque, vous pouvez déposer :\n\n{link}",
  "mail.reopened.subject": "No {number} : veuillez corriger votre candidature",
  "mail.reopened.body":
    "Nous avons rouvert ces parties de votre candidature : {sections}.\n\n{text}\n\nVeuillez les corriger et les envoyer avant le {due} :\n\n{link}",
  "mail.correction-refused.subject": "No {number} : la correction que vous avez demandée",
  "mail.correction-refused.body":
    "Nous n’avons pas rouvert votre candidature pour la correction demandée.\n\n{text}\n\n{link}",
  "mail.corrected.subject": "No {number} : nous avons vos corrections",
  "mail.corrected.body":
    "Vos réponses corrigées sont arrivées. Elles forment le dépôt {no} de votre candidature :\n\n{link}",
  "mail.reopening-ended.subject": "No {number} : plus rien à corriger",
  "mail.reopening-ended.body":
    "Nous avons refermé les parties rouvertes de votre candidature. Elle reste telle que vous l’avez déposée :\n\n{link}",
};
