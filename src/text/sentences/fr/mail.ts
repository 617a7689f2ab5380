import type { mail as english } from "../en/mail";

/** Mails and messages, in French. */
export const mail: Readonly<Record<keyof typeof english, string>> = {
  "mail.round-changed.subject": "No {number} : une date a changé",
  "mail.round-changed.body":
    "La session de {programme} a été modifiée. Motif : {text}\n\nVos dates se trouvent ici :\n\n{link}",
  "mail.round-closed.subject": "No {number} : la session a été fermée plus tôt",
  "mail.round-closed.body":
    "La session de {programme} a été fermée avant sa date. Motif : {text}\n\nVotre candidature est conservée. Voyez ce que vous pouvez faire :\n\n{link}",
  "mail.round-full.subject": "No {number} : toutes les places sont prises",
  "mail.round-full.body":
    "La dernière place de {programme} est prise et la session est fermée. Votre candidature est conservée. Vous pouvez choisir un autre programme :\n\n{link}",
  "mail.round-reopened.subject": "No {number} : la session est de nouveau ouverte",
  "mail.round-reopened.body":
    "La session de {programme} est de nouveau ouverte. Motif : {text}\n\nContinuez ici :\n\n{link}",
  "mail.address-corrected.subject": "Votre compte a désormais une autre adresse",
  "mail.address-corrected.body":
    "Le bureau des admissions a remplacé cette adresse par une autre, pour le compte de la candidature n° {number}. Vous vous connectez désormais avec la nouvelle adresse.\n\nSi vous ne l’avez pas demandé, appelez le bureau ou écrivez-lui aussitôt.",
  "mail.extended.subject": "No {number} : vous avez plus de temps",
  "mail.extended.body": "Vous avez jusqu’au {moment} pour {programme}. Motif : {text}\n\nContinuez ici :\n\n{link}",
  "mail.rulebook-changed.subject": "No {number} : ce que demande {programme} a changé",
  "mail.rulebook-changed.body":
    "Votre candidature suit la nouvelle version. Ce qui est ajouté (+), retiré (−) ou modifié (·) :\n\n{changes}\n\nCe que vous avez écrit est conservé. Voyez ce que cela change pour vous :\n\n{link}",
  "mail.adjustment-granted.subject": "No {number} : un aménagement pour vous",
  "mail.adjustment-granted.body":
    "Pour votre candidature, nous avons accordé ceci :\n\n{text}\n\nVous le retrouvez dans votre candidature :\n\n{link}",
  "mail.choice-moved.subject": "No {number} : votre choix {programme} a été modifié",
  "mail.choice-moved.body":
    "Le bureau des admissions a modifié ce que vous aviez choisi pour {programme}.\n\nPourquoi : {text}\n\nVotre candidature dit ce qu’il en est maintenant, et si quelque chose vous est demandé :\n\n{link}",
  "mail.programme-moved.subject": "No {number} : votre candidature vise désormais {programme}",
  "mail.programme-moved.body":
    "Le bureau des admissions a placé votre choix {from} sur une autre formation : {programme}. Tout ce que vous avez envoyé y reste joint.\n\nPourquoi : {text}\n\nVotre candidature dit si autre chose vous est demandé. Si ce n’est pas ce que vous souhaitez, répondez-y :\n\n{link}",
  "mail.move-suggested.subject": "No {number} : {programme} pourrait vous convenir",
  "mail.move-suggested.body":
    "Vous avez candidaté à {from}. Nous pensons que {programme} pourrait vous convenir mieux, ou aussi bien.\n\nPourquoi : {text}\n\nRien n’a changé. Si vous le souhaitez, ouvrez « Quelque chose à corriger ? » dans votre candidature et dites-le :\n\n{link}",
  "mail.rulebook-moved.subject": "No {number} : votre candidature suit des règles plus récentes",
  "mail.rulebook-moved.body":
    "Le bureau a placé votre candidature pour {programme} sous la version plus récente de ses règles. Motif : {text}\n\nCe qui est ajouté (+), retiré (−) ou modifié (·) :\n\n{changes}\n\n{link}",
  "mail.case-accepted.subject": "No {number} : cela compte",
  "mail.case-accepted.body":
    "Vous avez demandé si ceci compte : {title}.\n\nC’est le cas. Ce que vous avez indiqué reste à prouver, comme le dit votre liste de documents. Si vous le modifiez, la réponse ne vaut plus.\n\n{link}",
  "mail.case-refused.subject": "No {number} : cela ne compte pas",
  "mail.case-refused.body":
    "Vous avez demandé si ceci compte : {title}.\n\nCe n’est pas le cas. Votre candidature reste ouverte : veuillez chercher une autre façon de remplir la condition.\n\n{link}",
  "mail.contact-asked.subject": "No {number} : est-ce toujours juste ?",
  "mail.contact-asked.body":
    "Avant d’écrire ou d’appeler : veuillez vérifier que ce que vous avez indiqué est toujours juste ({what}). Un clic suffit pour le dire :\n\n{link}",
  "mail.contact-failed.subject": "No {number} : nous n’avons pas pu vous joindre",
  "mail.contact-failed.body":
    "Notre envoi n’est pas arrivé, ou le numéro n’a pas répondu ({what}). Veuillez regarder et dire si c’est juste ou si cela a changé :\n\n{link}",
  "mail.interest-noted.subject": "{programme} : nous vous préviendrons de l’ouverture",
  "mail.interest-noted.body":
    "Vous avez demandé à être prévenu de l’ouverture de {programme}. Nous écrivons une seule fois, puis oublions votre adresse.\n\nSi ce n’était pas vous, ou si vous avez changé d’avis, retirez votre adresse :\n\n{link}",
  "mail.interest-opened.subject": "{programme} est ouvert",
  "mail.interest-opened.body":
    "Vous aviez demandé à être prévenu : {programme} accepte les candidatures. {count, plural, =0 {} other {\n\nPréparez ceci ; la page dit de chaque pièce quand et à qui elle est demandée :\n\n{list}\n\n}}Votre adresse est oubliée avec ce courriel.\n\n{link}",
  "mail.draft-closes.subject": "No {number} : la clôture approche",
  "mail.draft-closes.body":
    "Votre candidature peut être déposée jusqu’au {moment}. {missing, plural, =0 {Il ne manque rien ; il ne reste qu’à déposer.} one {Une partie n’est pas encore complète.} other {# parties ne sont pas encore complètes.}}\n\nContinuez ici :\n\n{link}",
  "mail.written.subject": "No {number} : un message du service",
  "mail.written.body":
    "{text}\n\n{files, plural, =0 {} one {Un document l’accompagne ; vous le trouvez avec le message.\n\n} other {# documents l’accompagnent ; vous les trouvez avec le message.\n\n}}Répondez ici :\n\n{link}",
  "mail.reminded.subject": "No {number} : ceci vous attend",
  "mail.reminded.body":
    "Ceci vous attend encore dans votre candidature :\n\n{list}\n\n{said, plural, =0 {} other {Notre service ajoute :\n\n{words}\n\n}}Continuez ici :\n\n{link}",
  "mail.draft-missing.subject":
    "No {number} : {count, plural, =0 {il ne reste qu’à déposer} other {ce qui manque encore}}",
  "mail.draft-missing.body":
    "{count, plural, =0 {Il ne manque plus rien à votre candidature, mais elle n’a pas été déposée.} other {Votre candidature n’est pas encore déposée. Il manque encore, avec le nombre de champs ouverts :\n\n{list}}}\n\n{said, plural, =0 {} other {Notre service ajoute :\n\n{words}\n\n}}Elle peut être déposée jusqu’au {moment}. Continuez ici :\n\n{link}",
  "mail.group-changed.subject": "Candidature {number} : un autre groupe de candidats",
  "mail.group-changed.body":
    "D’après vos pièces, ou d’après ce que vous avez corrigé, vous êtes dans le groupe suivant : {group}, et non plus : {before}. Les frais et les délais suivent le groupe. Ce qui est dû, ou vous revient, figure dans votre candidature :\n\n{link}",
  "mail.draft-erased-soon.subject": "No {number} va être effacé",
  "mail.draft-erased-soon.body":
    "Votre candidature n’a jamais été déposée, et sa session est close. Nous gardons ces brouillons {days} jours, puis nous effaçons ce qui y a été écrit et joint : au plus tôt le {moment}.\n\nD’ici là, vous pouvez la lire et l’enregistrer en PDF :\n\n{link}\n\nVotre compte demeure. Pour candidater à nouveau, choisissez un programme comme la première fois.",
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
  "mail.signature-asked.subject": "Une signature pour {applicant} : {document}",
  "mail.signature-asked.body":
    "{applicant} candidate chez nous et vous nomme. Une pièce attend votre signature : {document}.\n\nSuivez ce lien, lisez, et signez de votre nom. Aucun compte n’est nécessaire. Il vaut jusqu’au {until} :\n\n{link}\n\nSi vous ne connaissez pas {applicant}, dites-le là, ou ne faites rien.",
  "mail.signature-given.subject": "{signer} a signé : {document}",
  "mail.signature-given.body": "{document} : signé par {signer}. Vous n’avez plus rien à faire à ce sujet.",
  "mail.signature-declined.subject": "{signer} n’a pas signé : {document}",
  "mail.signature-declined.body":
    "{signer} dit ne pas signer {document}. Parlez-lui, nommez quelqu’un d’autre dans le formulaire, ou déposez la pièce signée sur papier.",
  "messages.title": "Messages",
  "messages.none": "Nous ne vous avons pas encore écrit.",
  "messages.linkGone": "(Le lien était dans le courriel lui-même.)",
  "messages.queued": "en route",
  "mail.greeting": "Bonjour {name},",
  "mail.closing": "Le bureau des admissions, Institut Merrow du littoral et de l’eau",
  "mail.confirm-address.subject": "Confirmez votre adresse",
  "mail.confirm-address.body":
    "Quelqu’un a ouvert un compte avec cette adresse. Si c’était vous, suivez ce lien et appuyez sur le bouton. Il vaut une fois, pendant un jour :\n\n{link}\n\nSi ce n’était pas vous, ne faites rien.",
  "mail.already-has-account.subject": "Vous avez déjà un compte",
  "mail.already-has-account.body":
    "Quelqu’un a voulu ouvrir un compte avec cette adresse. Elle en a déjà un. Si vous avez perdu votre mot de passe, choisissez-en un nouveau ici :\n\n{link}\n\nSi ce n’était pas vous, ne faites rien.",
  "mail.set-password.subject": "Choisissez un nouveau mot de passe",
  "mail.set-password.body":
    "Suivez ce lien pour choisir un nouveau mot de passe. Il vaut une fois, pendant une heure :\n\n{link}\n\nSi vous ne l’avez pas demandé, ne faites rien.",
  "mail.staff-invited.subject": "Votre compte au bureau des admissions",
  "mail.staff-invited.body":
    "Un compte a été créé pour vous. Suivez ce lien pour choisir votre mot de passe. Il vaut une fois, pendant trois jours :\n\n{link}",
  "mail.staff-let-in.subject": "Votre retour au bureau des admissions",
  "mail.staff-let-in.body":
    "Un administrateur a mis fin à votre second facteur, à votre mot de passe et à toutes les sessions, pour que vous puissiez revenir. Suivez ce lien pour choisir un nouveau mot de passe ; il vaut une fois, pendant trois jours. Installez ensuite à nouveau votre second facteur :\n\n{link}\n\nSi vous ne l’avez pas demandé, dites-le à votre administrateur.",
  "mail.passkey-added.subject": "Une clé d’accès a été ajoutée à votre compte",
  "mail.passkey-added.body":
    "Une clé d’accès nommée {key} a été ajoutée à votre compte : elle vous connecte sans mot de passe. Vous les voyez toutes, et pouvez retirer chacune, dans votre compte :\n\n{link}\n\nSi ce n’était pas vous, retirez-la, choisissez un nouveau mot de passe et déconnectez-vous partout.",
  "mail.accounts-joined.subject": "Vos candidatures sont réunies",
  "mail.accounts-joined.body":
    "Vous nous avez écrit depuis deux comptes. Le bureau des admissions a réuni leurs candidatures : {numbers} sont venues dans ce compte, et rien d’autre n’a changé. Vous les trouvez toutes ici :\n\n{link}\n\nSi l’autre compte n’est pas le vôtre, dites-le tout de suite au bureau des admissions.",
  "mail.account-given.subject": "Vos candidatures sont dans votre autre compte",
  "mail.account-given.body":
    "Vous nous avez écrit depuis deux comptes. Le bureau des admissions a réuni leurs candidatures : {numbers} sont passées de ce compte à celui de {to}, et rien d’autre n’a changé. Connectez-vous là-bas désormais :\n\n{link}\n\nSi ce compte n’est pas le vôtre, dites-le tout de suite au bureau des admissions.",
  "mail.accounts-parted.subject": "Des candidatures sont retournées à leur compte",
  "mail.accounts-parted.body":
    "Le bureau des admissions avait réuni les candidatures de deux comptes et est revenu là-dessus : {numbers} sont retournées au compte de {to}. Si vous n’y avez plus de mot de passe, choisissez-en un par « J’ai perdu mon mot de passe » :\n\n{link}",
  "mail.erased-whole.subject": "Ce qui était conservé de vous est effacé",
  "mail.erased-whole.body":
    "Comme vous l’avez demandé, ce que vous avez écrit et envoyé est effacé ({gone}), et votre compte avec. Ce courriel est le dernier :\n\n{link}",
  "mail.erased-part.subject": "Ce qui est effacé et ce qui reste",
  "mail.erased-part.body":
    "Comme vous l’avez demandé, ce qui peut partir selon les règles du bureau est effacé : {gone}. Ce qui reste : {stays}. Pourquoi et jusqu’à quand, votre compte le dit :\n\n{link}",
  "mail.reference-asked.subject": "Une recommandation pour {applicant}",
  "mail.reference-asked.body":
    "{applicant} postule à {programme} et vous nomme comme référent. Suivez ce lien pour répondre à un court formulaire ou déposer une lettre. Aucun compte n’est nécessaire. Il vaut jusqu’au {until}, pour cette seule demande :\n\n{link}",
  "mail.reference-reminder.subject": "En attente : une recommandation pour {applicant}",
  "mail.reference-reminder.body":
    "{applicant} postule à {programme} et attend votre recommandation, souhaitée pour le {due}. Suivez ce lien pour l’écrire, continuer ce que vous avez commencé, demander plus de temps ou décliner. Il vaut jusqu’au {until} :\n\n{link}",
  "mail.reference-extended.subject": "Plus de temps pour la recommandation de {applicant}",
  "mail.reference-extended.body":
    "La recommandation pour {applicant} est maintenant souhaitée pour le {due}. Ce lien y mène :\n\n{link}",
  "mail.reference-silent.subject": "{referee} n’a pas encore répondu",
  "mail.reference-silent.body":
    "Nous avons relancé {referee}, que vous avez nommé comme référent. La recommandation est souhaitée pour le {due}. Demandez-lui vous-même, ou nommez un autre référent :\n\n{link}",
  "mail.reference-ended.subject": "La demande de recommandation a pris fin",
  "mail.reference-ended.body": "La recommandation pour {applicant} n’est plus nécessaire. Vous n’avez rien à faire.",
  "mail.referee-wanted.subject": "Nommez un autre référent",
  "mail.referee-wanted.body":
    "La demande adressée à {referee} a pris fin : {text}\n\nNommez ici un autre référent :\n\n{link}",
  "mail.referee-not-reached.subject": "La demande n’est pas arrivée à votre référent",
  "mail.referee-not-reached.body":
    "La personne qui lit {email} n’est pas {referee}. Corrigez l’adresse dans votre candidature et envoyez de nouveau la demande.",
  "mail.reference-withdrawn.subject": "La demande de recommandation a été retirée",
  "mail.reference-withdrawn.body": "{applicant} a retiré la demande. Vous n’avez rien à faire.",
  "mail.reference-given.subject": "Votre référent a répondu",
  "mail.reference-given.body": "{referee} a donné la recommandation.",
  "mail.reference-declined.subject": "Votre référent ne peut pas donner de recommandation",
  "mail.reference-declined.body":
    "{referee} nous a dit ne pas pouvoir donner de recommandation. Nommez un autre référent dans votre candidature.",
  "mail.submitted.subject": "Nous avons votre candidature no {number}",
  "mail.submitted.body":
    "Votre candidature no {number} pour {programmes} est arrivée. Nous écrivons quand il nous faut quelque chose et quand nous avons décidé.",
  "mail.evidence-returned.subject": "No {number} : à fournir de nouveau : {document}",
  "mail.evidence-returned.body":
    "Nous ne pouvons pas accepter ce document : {document}. {reasonText} {text}\n\nMerci de le fournir de nouveau jusqu’au {due} :\n\n{link}",
  "mail.asked.subject": "No {number} : nous vous demandons quelque chose",
  "mail.asked.body": "{document} : {text}\n\nMerci de répondre jusqu’au {due} :\n\n{link}",
  "mail.asked-list.subject": "No {number} : nous vous demandons quelque chose",
  "mail.asked-list.body":
    "{said, plural, =0 {} other {{words}\n\n}}Nous vous demandons :\n\n{list}\n\nMerci de répondre jusqu’au {due}, point par point, ici :\n\n{link}",
  "mail.supplied-for-you.subject": "No {number} : nous avons joint un document pour vous : {document}",
  "mail.supplied-for-you.body":
    "Ce qui nous est parvenu par la poste ou par courriel figure maintenant dans votre candidature : {document}. S’il n’est pas de vous, ou s’il s’agit d’un autre, écrivez-nous.\n\n{link}",
  "mail.paper-arrived.subject": "No {number} : votre document papier est arrivé",
  "mail.paper-arrived.body":
    "{document} : nous l’avons reçu le {due}. Nous l’examinons et vous écrivons si quelque chose ne va pas.\n\n{link}",
  "mail.paper-sent-back.subject": "No {number} : votre document papier vous est renvoyé",
  "mail.paper-sent-back.body":
    "{document} : nous vous le renvoyons aujourd’hui par la poste, à l’adresse de votre candidature.\n\n{link}",
  "mail.ask-extended.subject": "No {number} : vous avez plus de temps",
  "mail.ask-extended.body": "Vous avez jusqu’au {due} pour ce que nous vous avons demandé : {document}.\n\n{link}",
  "mail.ask-reminder.subject":
    "No {number} : {late, plural, =0 {nous attendons encore quelque chose} other {ce que nous vous avons demandé est en retard}}",
  "mail.ask-reminder.body":
    "Nous vous avons demandé ceci et ne l’avons pas encore reçu :\n\n{list}\n\n{late, plural, =0 {} other {La date est passée. Envoyez-le quand même, ou écrivez-nous ce qui vous retient.\n\n}}Répondez ici :\n\n{link}",
  "mail.decision-released.subject": "No {number} : nous avons décidé",
  "mail.decision-released.body": "Il y a une décision sur votre candidature. Lisez-la ici :\n\n{link}",
  "mail.answer-received.subject": "No {number} : votre réponse est arrivée",
  "mail.answer-received.body": "Vous avez {answer, select, accepted {accepté} other {décliné}} notre offre.",
  "mail.withdrawn.subject": "No {number} : retirée",
  "mail.withdrawn.body": "Vous avez retiré votre candidature no {number}.",
};
