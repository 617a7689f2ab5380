/** The sentences of the newer field kinds, and of the mails about rounds. */
export const fillingEn = {
  "issue.too-many-words": "This has {now} words; at most {most} are allowed.",
  "issue.too-few-words": "This has {now} words; at least {least} are asked for.",
  "issue.too-many-characters": "This has {now} characters; at most {most} are allowed.",
  "issue.too-few-characters": "This has {now} characters; at least {least} are asked for.",
  "issue.not-whole": "Write a whole number, for example 12.",
  "issue.too-many-decimals": "Write an amount with at most {most} decimals, for example 1250.50.",
  "issue.pick-more": "Pick at least {least}.",
  "issue.pick-fewer": "Pick at most {most}.",
  "issue.not-this-number":
    "That is not what the number of this paper looks like: {like}, where 0 stands for a digit, A for a letter and X for either.",
  "issue.not-a-link": "Each line should be one full address, for example https://work.example/film.",
  "issue.address-incomplete": "An address needs street, town and country.",
  "issue.control-signs": "This holds invisible signs that cannot be kept. Type it anew, or paste it as plain text.",
  "field.words":
    "{now, plural, one {one word} other {# words}} of {least, plural, =0 {at most {most}} other {{least} to {most}}}",
  "field.characters":
    "{now, plural, one {one character} other {# characters}} of {least, plural, =0 {at most {most}} other {{least} to {most}}}",
  "field.advice": "a guide, not a limit",
  "field.sameAs": "The same as: {section}",
  "field.same": "the same address",
  "field.street": "Street and number",
  "field.postcode": "Postcode",
  "field.town": "Town",
  "field.region": "Region or state",
  "field.country": "Country",
  "field.link": "Link {no}",
  "field.addLink": "Add a link",
  "field.removeLink": "Remove link {no}",
  "field.pick": "Add to your list",
  "field.picked": "Your order",
  "field.up": "{option} one place up",
  "field.down": "{option} one place down",
  "field.takeOut": "Take out {option}",
  "form.fillDown": "Fill the empty ones",
  "field.noEntries": "First add an entry under “{section}”.",

  "mail.round-changed.subject": "No. {number}: a date has changed",
  "mail.round-changed.body": "The round of {programme} was changed. Reason: {text}\n\nYour dates stand here:\n\n{link}",
  "mail.round-closed.subject": "No. {number}: the round was closed early",
  "mail.round-closed.body":
    "The round of {programme} was closed before its date. Reason: {text}\n\nYour application is kept. See what you can do now:\n\n{link}",
  "mail.round-full.subject": "No. {number}: all places are taken",
  "mail.round-full.body":
    "The last place of {programme} is taken, and the round has closed. Your application is kept. You can choose another programme:\n\n{link}",
  "mail.round-reopened.subject": "No. {number}: the round is open again",
  "mail.round-reopened.body": "The round of {programme} is open again. Reason: {text}\n\nGo on here:\n\n{link}",
  "mail.extended.subject": "No. {number}: you have more time",
  "mail.extended.body": "You have until {moment} for {programme}. Reason: {text}\n\nGo on here:\n\n{link}",
  "mail.rulebook-changed.subject": "No. {number}: what {programme} asks for has changed",
  "mail.rulebook-changed.body":
    "Your application follows the new version. What was added (+), taken out (−) or changed (·):\n\n{changes}\n\nWhat you typed is kept. See what it means for you:\n\n{link}",
  "mail.choice-moved.subject": "No. {number}: your choice of {programme} was changed",
  "mail.choice-moved.body":
    "The admissions office changed what you chose with {programme}.\n\nWhy: {text}\n\nYour application says what it is now, and whether anything is asked of you:\n\n{link}",
  "mail.rulebook-moved.subject": "No. {number}: your application follows newer rules",
  "mail.rulebook-moved.body":
    "The office has moved your application for {programme} to the newer version of its rules. Reason: {text}\n\nWhat was added (+), taken out (−) or changed (·):\n\n{changes}\n\n{link}",
  "refused.choice-rule": "The rules about choices do not allow this programme beside those that you hold.",
  "refused.not-offered": "This campus, mode or track is not offered. Choose one of those that are shown.",
  "event.change-choice": "You changed a choice",
  "event.arrange-choices": "You changed the order of your choices",
  "event.move-choice": "The office changed your choice",
} as const;

export const fillingFr: Readonly<Record<keyof typeof fillingEn, string>> = {
  "issue.too-many-words": "Ce texte compte {now} mots ; {most} au plus sont permis.",
  "issue.too-few-words": "Ce texte compte {now} mots ; il en faut au moins {least}.",
  "issue.too-many-characters": "Ce texte compte {now} signes ; {most} au plus sont permis.",
  "issue.too-few-characters": "Ce texte compte {now} signes ; il en faut au moins {least}.",
  "issue.not-whole": "Écrivez un nombre entier, par exemple 12.",
  "issue.too-many-decimals": "Écrivez un montant avec au plus {most} décimales, par exemple 1250,50.",
  "issue.pick-more": "Choisissez-en au moins {least}.",
  "issue.pick-fewer": "Choisissez-en au plus {most}.",
  "issue.not-this-number":
    "Le numéro de ce document ne ressemble pas à cela, mais à : {like}, où 0 est un chiffre, A une lettre et X l’un ou l’autre.",
  "issue.not-a-link": "Chaque ligne doit être une adresse complète, par exemple https://travaux.example/film.",
  "issue.address-incomplete": "Il faut la rue, la ville et le pays.",
  "issue.control-signs":
    "Ce texte contient des signes invisibles qui ne peuvent être gardés. Retapez-le, ou collez-le sans mise en forme.",
  "field.words":
    "{now, plural, one {un mot} other {# mots}} sur {least, plural, =0 {au plus {most}} other {{least} à {most}}}",
  "field.characters":
    "{now, plural, one {un signe} other {# signes}} sur {least, plural, =0 {au plus {most}} other {{least} à {most}}}",
  "field.advice": "un repère, pas une limite",
  "field.sameAs": "La même que : {section}",
  "field.same": "la même adresse",
  "field.street": "Rue et numéro",
  "field.postcode": "Code postal",
  "field.town": "Ville",
  "field.region": "Région ou état",
  "field.country": "Pays",
  "field.link": "Lien {no}",
  "field.addLink": "Ajouter un lien",
  "field.removeLink": "Retirer le lien {no}",
  "field.pick": "Ajouter à votre liste",
  "field.picked": "Votre ordre",
  "field.up": "{option} une place plus haut",
  "field.down": "{option} une place plus bas",
  "field.takeOut": "Retirer {option}",
  "form.fillDown": "Remplir les vides",
  "field.noEntries": "Ajoutez d’abord une entrée sous « {section} ».",

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
  "mail.extended.subject": "No {number} : vous avez plus de temps",
  "mail.extended.body": "Vous avez jusqu’au {moment} pour {programme}. Motif : {text}\n\nContinuez ici :\n\n{link}",
  "mail.rulebook-changed.subject": "No {number} : ce que demande {programme} a changé",
  "mail.rulebook-changed.body":
    "Votre candidature suit la nouvelle version. Ce qui est ajouté (+), retiré (−) ou modifié (·) :\n\n{changes}\n\nCe que vous avez écrit est conservé. Voyez ce que cela change pour vous :\n\n{link}",
  "mail.choice-moved.subject": "No {number} : votre choix {programme} a été modifié",
  "mail.choice-moved.body":
    "Le bureau des admissions a modifié ce que vous aviez choisi pour {programme}.\n\nPourquoi : {text}\n\nVotre candidature dit ce qu’il en est maintenant, et si quelque chose vous est demandé :\n\n{link}",
  "mail.rulebook-moved.subject": "No {number} : votre candidature suit des règles plus récentes",
  "mail.rulebook-moved.body":
    "Le bureau a placé votre candidature pour {programme} sous la version plus récente de ses règles. Motif : {text}\n\nCe qui est ajouté (+), retiré (−) ou modifié (·) :\n\n{changes}\n\n{link}",
  "refused.choice-rule": "Les règles sur les vœux n’admettent pas ce programme à côté de ceux que vous avez.",
  "refused.not-offered": "Ce campus, ce rythme ou ce parcours n’est pas proposé. Choisissez parmi ce qui est affiché.",
  "event.change-choice": "Vous avez modifié un vœu",
  "event.arrange-choices": "Vous avez changé l’ordre de vos vœux",
  "event.move-choice": "Le bureau a modifié votre vœu",
};
