import type { evidence as english } from "../en/evidence";

/** Documents and signatures, in French. */
export const evidence: Readonly<Record<keyof typeof english, string>> = {
  "doc.governsName": "Votre nom compte tel qu’il figure sur cette pièce : écrivez-le de même dans votre candidature.",
  "doc.fails":
    "Nous vérifions ceci : {check}. D’après vos indications, ce n’est pas le cas. Revoyez vos réponses, ou procurez-vous à temps un autre document.",
  "doc.refused.picture_only": "Une image est demandée ici. Choisissez un JPEG ou un PNG, pas un PDF.",
  "doc.refused.picture_too_small":
    "Cette image est trop petite : il faut au moins {width} × {height} pixels. Choisissez-la telle que prise par l’appareil.",
  "doc.picture": "Une image de {width} × {height} pixels. Vous en choisissez la partie.",
  "doc.crop": "Déplacez l’image jusqu’à ce que la bonne partie soit dans le cadre. Les flèches la déplacent aussi.",
  "doc.zoom": "Plus près",
  "doc.useCrop": "Prendre cette partie",
  "doc.noCrop": "Une autre image",
  "sign.for": "{applicant} candidate à {programme} et vous nomme. Lisez ceci, et signez si c’est exact :",
  "sign.about": "Pour {applicant}, qui candidate à {programme}.",
  "sign.agree": "Je suis {name} ; j’ai lu ceci et j’y consens.",
  "sign.typed": "Votre nom complet, en signature",
  "sign.nameMissing":
    "Cochez la case et écrivez votre nom complet, par exemple « Maria Vale ». Rien n’est encore signé.",
  "sign.press": "Signer",
  "sign.decline": "Je ne signe pas",
  "sign.declineAsk": "{applicant} saura que vous ne signez pas. Le lien prend fin.",
  "sign.ended":
    "Ce lien ne fonctionne plus : il a servi, un plus récent l’a remplacé, ou son délai est passé. Demandez-en un nouveau.",
  "sign.signed": "Vous avez signé. Il n’y a plus rien à faire ; vous pouvez fermer cette page.",
  "sign.declined": "Vous avez dit ne pas signer. Il n’y a plus rien à faire.",
  "sign.under": "Pour la candidature no {number} de {applicant}",
  "sign.sentence": "Ce qui a été signé",
  "sign.by": "Signé par",
  "sign.named": "Demandé par un lien à",
  "sign.at": "Signé le",
  "signer.first":
    "Ceci peut être signé par un lien dès que le formulaire nomme qui signe, avec une adresse de courriel.",
  "signer.who": "{name} ({email}) peut le signer par un lien, sans compte, ou vous le déposez signé sur papier.",
  "signer.send": "Envoyer le lien à signer",
  "signer.state.asked": "Demandé le {date} à {email}. Pas encore signé.",
  "signer.state.signed": "Signé par le lien.",
  "signer.state.declined":
    "N’a pas été signé : la personne a refusé. Nommez quelqu’un d’autre, ou déposez-le sur papier.",
  "signer.state.undeliverable": "Le courriel à {email} n’a pu être remis. Vérifiez l’adresse dans le formulaire.",
  "doc.title": "Documents",
  "doc.upload": "Choisir un fichier",
  "doc.drop": "PDF, JPEG ou PNG, jusqu’à {size}. Choisissez un fichier ou déposez-le ici.",
  "doc.uploading": "Envoi {percent} %",
  "doc.pages": "{pages, plural, one {# page} other {# pages}}",
  "doc.remove": "Retirer",
  "doc.failed": "Le fichier n’est pas passé. Vérifiez la connexion et réessayez.",
  "doc.template": "Formulaire à remplir :",
  "doc.refused.active_content": "Ce PDF contient un programme. Enregistrez une copie simple et choisissez-la.",
  "doc.refused.not_a_form": "Un formulaire à remplir doit être un PDF. Enregistrez-le en PDF et choisissez-le.",
  "doc.refused.empty": "Ce fichier est vide. Enregistrez-le de nouveau et choisissez-le encore.",
  "doc.refused.too_large": "Ce fichier dépasse {size}. Numérisez-le à une résolution plus basse ou partagez-le.",
  "doc.refused.damaged":
    "Ce fichier est abîmé et ne s’ouvre pas. Refaites-le depuis l’original et choisissez celui-là.",
  "doc.refused.no_pages": "Ce PDF n’a pas de pages. Refaites-le depuis l’original.",
  "doc.refused.password_needed":
    "Ce PDF est fermé par un mot de passe. Enregistrez une copie sans mot de passe et choisissez-la.",
  "doc.refused.not_what_its_name_says":
    "Ce fichier n’est pas ce que dit son nom. Choisissez le PDF, JPEG ou PNG lui-même.",
  "doc.refused.kind_not_accepted":
    "Nous prenons PDF, JPEG et PNG. Exportez le document en PDF (une photo de téléphone en JPEG) et choisissez-le.",
  "doc.refused.macro": "Ce document contient un programme et ne peut pas être pris. Enregistrez-le en PDF.",
  "doc.refused.too_many_pages": "Ce PDF a plus de 200 pages. N’envoyez que celles qui vont ici.",
  "doc.refused.too_many_pixels":
    "Cette image a plus de points que nous ne pouvons en lire. Enregistrez-la plus petite, par exemple à 300 points par pouce.",
  "doc.refused.too_many":
    "Il y a ici autant de documents que nous pouvons en garder. Retirez-en un d’abord, ou réunissez-les en un PDF.",
  "doc.refused.too_hard":
    "Ce fichier est fait d’une manière qui demande trop de travail pour l’ouvrir. Imprimez-le en PDF et choisissez cette copie.",
  "doc.refused.busy":
    "Trop de documents arrivent en ce moment. Attendez une minute et choisissez le fichier à nouveau.",
  "doc.mark.hard_to_read": "Cette image est petite et peut être difficile à lire. Une plus nette nous aide.",
  "doc.mark.active_content": "Ce PDF contient des parties actives. Nous le montrons sans elles.",
  "doc.mark.embedded_file": "Ce PDF contient un autre fichier. Nous ne lisons pas celui-là.",
  "doc.mark.restricted": "Ce PDF limite son usage. Nous pouvons le lire.",
  "ask.line": "– {title} : {text}",
  "ask.sections": "À corriger dans votre candidature ({titles})",
  "ask.draft.missing": "Nous ne l’avons pas encore reçu. Merci de nous l’envoyer.",
  "ask.draft.again": "Nous n’avons pas pu accepter ce qui est arrivé. Merci de l’envoyer de nouveau.",
  "ask.draft.check":
    "Ce qui est arrivé n’est pas valable assez longtemps, ou ne convient pas. Merci d’en envoyer un autre.",
  "ask.draft.proof": "Il nous faut plus qu’une copie : {proof}.",
  "ask.draft.referee": "Merci de nommer un référent et d’envoyer la demande.",
  "ask.draft.fee": "Le paiement n’est pas encore fait. Merci de payer.",
  "ask.answer": "Votre réponse",
  "ask.send": "Envoyer la réponse",
  "ask.sent": "Vous avez répondu le {when} : {answer}",
  "ask.question": "Une question",
  "ask.draft": "Il nous manque encore : {title}. Merci de nous l’envoyer avant la date indiquée.",
  "return.unreadable": "Il est illisible.",
  "return.incomplete": "Des pages manquent.",
  "return.wrong-document": "Ce n’est pas le document attendu ici.",
  "return.not-matching": "Il ne correspond pas à ce que vous avez écrit.",
  "return.expired": "Il n’est plus valable, ou finit trop tôt.",
  "return.translation-needed": "Il faut une traduction.",
  "return.other": "Voir la note.",
  "return.passportEnds": "Il finit trop tôt : il doit être valable trois mois après le début des études.",
  "return.fullYear": "Il couvre moins d’une année complète.",
};
