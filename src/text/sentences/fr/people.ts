import type { people as english } from "../en/people";

/** Accounts, in French. */
export const people: Readonly<Record<keyof typeof english, string>> = {
  "account.email": "Courriel",
  "account.name": "Votre nom",
  "account.nameHelp": "Comme vous souhaitez être appelé. Le nom du passeport est demandé dans la candidature.",
  "account.password": "Mot de passe",
  "account.passwordHelp":
    "Au moins 12 caractères, sans votre nom ni votre adresse, et pas un mot de passe vite deviné. Trois ou quatre mots conviennent bien.",
  "account.consent":
    "J’accepte que mes données soient conservées pour ma candidature (conditions du 1er septembre 2026).",
  "account.signUp": "Ouvrir un compte",
  "account.signUpTitle": "Ouvrir un compte",
  "account.signUpDone":
    "Regardez votre boîte aux lettres. Si l’adresse est juste, un courriel avec un lien est en route. Le lien vaut un jour.",
  "account.noMail": "Pas de courriel après quelques minutes ? Regardez parmi les indésirables ou demandez-en un autre.",
  "account.sendAgain": "Renvoyer le lien",
  "account.sentAgain": "Si l’adresse est juste, un autre courriel est en route.",
  "account.signIn": "Se connecter",
  "account.signInTitle": "Se connecter",
  "account.lost": "J’ai perdu mon mot de passe",
  "account.lostTitle": "Un nouveau mot de passe",
  "account.lostIntro":
    "Indiquez votre adresse. Si elle a un compte, nous envoyons un lien pour choisir un nouveau mot de passe. Il vaut une heure.",
  "account.lostSend": "Envoyez-moi un lien",
  "account.newPassword": "Nouveau mot de passe",
  "account.setPassword": "Enregistrer le mot de passe",
  "account.setPasswordDone":
    "Votre nouveau mot de passe est enregistré et vous avez été déconnecté partout. Connectez-vous maintenant.",
  "account.confirmTitle": "Confirmez votre adresse et choisissez un mot de passe",
  "account.confirmIntro": "Ceci ouvre le compte de {email}. Si vous ne l’avez pas demandé, fermez cette page.",
  "account.confirm": "Ouvrir mon compte",
  "account.title": "Votre compte",
  "account.sessions": "Où vous êtes connecté",
  "account.someDevice": "Un appareil",
  "account.sessionTimes": "depuis le {begun}, dernière activité le {used}",
  "account.thisOne": "celui-ci",
  "account.endSession": "Le déconnecter",
  "account.everywhere": "Se déconnecter partout",
  "account.everywhereHelp": "Met fin à toutes les sessions sur tous les appareils, celle-ci comprise.",
  "account.languageTitle": "Langue de nos lettres et courriels",
  "account.wrong":
    "Cette adresse et ce mot de passe ne vont pas ensemble, ou l’adresse n’est pas encore confirmée. Vérifiez les deux ou choisissez un nouveau mot de passe.",
  "account.unavailable":
    "Nos propres dossiers ne répondent pas en ce moment. Ce que vous avez écrit n’y est pour rien : réessayez dans une minute.",
  "account.locked":
    "Il y a eu trop d’essais faux. Attendez un quart d’heure ou choisissez un nouveau mot de passe par courriel.",
  "account.linkEnded":
    "Ce lien a pris fin : il a déjà servi, a été remplacé par un plus récent ou est trop ancien. Demandez-en un nouveau.",
  "account.badEmail": "Ce n’est pas une adresse de courriel. Il faut un nom, un @ et un domaine.",
  "account.badPassword": "Le mot de passe doit avoir au moins 12 signes.",
  "account.passwordGuessed": "Ce mot de passe se devine vite. Prenez trois ou quatre mots sans lien entre eux.",
  "account.passwordFromForm": "Le mot de passe ne doit contenir ni votre nom ni votre adresse.",
  "account.badName": "Écrivez votre nom.",
  "account.noConsent": "Sans votre accord nous ne pouvons pas conserver de candidature. Cochez la case pour continuer.",
  "account.codeTitle": "Le code de votre appareil",
  "account.code": "Les six chiffres que votre appareil affiche maintenant",
  "account.codeSend": "Se connecter",
  "account.wrongCode":
    "Ce n’est pas le code de cette demi-minute. Attendez le suivant, vérifiez l’heure de votre appareil et tapez-le à nouveau.",
  "account.codeOver":
    "Le temps pour le code est passé, ou il a déjà servi. Connectez-vous à nouveau avec votre mot de passe.",
  "account.codeLocked":
    "Il y a eu dix codes faux. Attendez une heure, ou demandez à un administrateur de vous rouvrir l’accès.",
  "account.withRecovery": "Je n’ai pas l’appareil : utiliser un code de secours",
  "account.withDevice": "Utiliser le code de l’appareil",
  "account.recoveryCode": "Un de vos codes de secours",
  "account.recoveryHelp": "Chacun vaut une fois. Les majuscules comptent.",
  "account.wrongRecovery":
    "Ce n’est aucun des codes de secours qui restent. Vérifiez les lettres ; chaque code vaut une fois.",
  "account.codeOther": "Se connecter avec une autre adresse",
  "account.lostBoth": "Ni l’appareil ni code de secours ? Un administrateur de votre bureau peut vous rouvrir l’accès.",
  "account.factor": "Second facteur",
  "account.factorOff":
    "La connexion ne demande que votre mot de passe. Avec un second facteur, elle demande aussi un code de votre téléphone : un mot de passe volé n’ouvre alors rien.",
  "account.factorOn": "Actif : la connexion demande aussi un code de votre appareil.",
  "account.factorSetUp": "Installer un second facteur",
  "account.factorManage": "Codes de secours, autre appareil",
  "account.factorTitle": "Un second facteur",
  "account.factorRequired":
    "Qui travaille ici sur les dossiers d’autrui se connecte avec un code de son téléphone en plus du mot de passe. Installez-le maintenant ; cela prend deux minutes.",
  "account.factorBegin": "Commencer",
  "account.factorYourPassword": "Votre mot de passe",
  "account.factorWrongPassword": "Ce n’est pas votre mot de passe.",
  "account.factorScan":
    "Ouvrez un programme d’authentification sur votre téléphone et photographiez ce carré avec lui. Tout programme qui calcule des codes selon l’heure (TOTP) convient.",
  "account.factorKey": "Pas d’appareil photo ? Tapez cette clé :",
  "account.factorTurnOn": "Activer",
  "account.factorIsOn": "C’est actif. Gardez ces codes de secours",
  "account.factorCodesHelp":
    "Chacun vous fait entrer une fois sans votre appareil. Imprimez-les ou gardez-les avec vos mots de passe ; ils ne sont plus affichés ensuite.",
  "account.factorCopy": "Les copier",
  "account.factorCopied": "Copiés",
  "account.factorSave": "Enregistrer dans un fichier",
  "account.factorKept": "Je les ai gardés, continuer",
  "account.factorNewCodes": "Vos nouveaux codes de secours",
  "account.factorRenew": "Faire de nouveaux codes de secours",
  "account.factorMove": "Installer un autre appareil",
  "account.factorRemove": "S’en passer",
  "account.factorLast": "Il ne reste aucun code de secours. Faites-en de nouveaux.",
  "account.factorLeft": "{count, plural, one {Il reste un code de secours.} other {Il reste # codes de secours.}}",
  "account.passkeys": "Clés d’accès",
  "account.passkeyHelp":
    "Une clé d’accès vous connecte sans mot de passe : votre téléphone, votre ordinateur ou une clé que vous branchez demande à la place votre doigt, votre visage ou son propre numéro.",
  "account.passkeyNowhere":
    "Les clés d’accès ne fonctionnent pas à cette adresse d’Unvex : les navigateurs ne les admettent que là où elle est un nom et la ligne protégée.",
  "account.passkeyAdd": "Ajouter une clé d’accès",
  "account.passkeyName": "Comment cette clé s’appelle ici",
  "account.passkeyAdded": "depuis le {day}",
  "account.passkeyRemove": "Retirer",
  "account.passkeyRemoveNamed": "Retirer la clé d’accès {name}",
  "account.passkeyRemoveQuestion":
    "{name} ne vous connectera plus. Ce qui est gardé sur l’appareil y reste et n’ouvre plus rien.",
  "account.passkeyUnnamed": "Donnez-lui un nom auquel vous la reconnaîtrez.",
  "account.passkeyStopped":
    "Aucune clé d’accès n’a été faite : l’appareil n’a pas été consulté ou n’a pas accepté. Rien n’a changé.",
  "account.passkeyKnown": "Cet appareil a déjà une clé d’accès pour votre compte.",
  "account.passkeyNone":
    "Ce navigateur ne connaît pas les clés d’accès. Utilisez-en un autre ou connectez-vous avec votre mot de passe.",
  "account.passkeyRefused": "L’appareil a répondu trop tard ou sans demander qui vous êtes. Recommencez.",
  "account.passkeySignIn": "Se connecter avec une clé d’accès",
  "account.passkeyNotSigned":
    "Vous n’êtes pas connecté : l’appareil n’a pas été consulté ou n’a pas accepté. Réessayez ou utilisez votre mot de passe.",
  "account.passkeyUnknown":
    "Cette clé d’accès n’ouvre aucun compte ici, ou son temps était passé. Réessayez ou utilisez votre mot de passe.",
  "account.kept": "Ce qui est conservé de vous",
  "account.keptDownload": "Tout télécharger",
  "account.keptHelp":
    "Vos réponses, documents, paiements, décisions, courriels et connexions, dans une seule archive. Ce que vos référents ont écrit leur appartient et n’y est pas.",
  "account.erase": "Demander l’effacement",
  "account.eraseHelp":
    "Vous pouvez demander que ce qui est conservé de vous soit effacé. Ce que les règles du bureau laissent partir part pour toujours ; ce qui doit rester vous est dit avec la raison.",
  "account.eraseQuestion":
    "Un administrateur effacera ce qui peut partir : les candidatures jamais déposées et les candidatures closes dont le temps est passé. Une candidature effacée ne peut être reprise. Vous pouvez revenir sur cette demande jusque-là.",
  "account.eraseAsked": "Vous avez demandé l’effacement le {day}. Un administrateur y répond.",
  "account.eraseTakeBack": "Revenir sur la demande",
  "account.eraseAnswered": "Votre demande du {day} a reçu sa réponse :",
  "account.erasureWhy.draft": "{number} part : elle n’a jamais été déposée",
  "account.erasureWhy.over": "{number} part : elle est close et son temps est passé",
  "account.erasureWhy.open":
    "{number} reste : elle est encore traitée. Une fois retirée ou close, elle pourra partir en son temps",
  "account.erasureWhy.kept":
    "{number} reste jusqu’au {until} : le bureau conserve aussi longtemps les candidatures closes",
  "account.erasureWhy.keptForGood": "{number} reste : le bureau conserve les candidatures déposées",
  "account.erasureWhy.gone": "{number} : ce qui était écrit est déjà effacé",
  "account.erasureBooks": "ses paiements restent dans les livres",
};
