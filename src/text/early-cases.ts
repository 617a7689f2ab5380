/** Rulings that applicants ask for before they submit. */
export const earlyCasesEn = {
  "case.title": "Not sure whether it counts?",
  "case.lead":
    "The office decides on this case by case. Ask now, and we tell you before you submit; you can go on in the meantime.",
  "case.ask": "Ask the office now",
  "case.asked": "You asked on {when}. The answer comes by mail and stands here.",
  "case.accepted": "It counts: the office has said so. What you stated still has to be proved.",
  "case.refused": "It does not count: the office has said so. Please look for another way.",
  "event.ask-early-ruling": "You asked the office whether something counts",
  "mail.case-accepted.subject": "No. {number}: it counts",
  "mail.case-accepted.body":
    "You asked whether this counts: {title}.\n\nIt does. What you stated still has to be proved, as your list of documents says. If you change it, the answer no longer holds.\n\n{link}",
  "mail.case-refused.subject": "No. {number}: it does not count",
  "mail.case-refused.body":
    "You asked whether this counts: {title}.\n\nIt does not. Your application is open as before: please look for another way to meet the requirement.\n\n{link}",
} as const;

export const earlyCasesFr: Readonly<Record<keyof typeof earlyCasesEn, string>> = {
  "case.title": "Vous ne savez pas si cela compte ?",
  "case.lead":
    "Le bureau en décide au cas par cas. Demandez dès maintenant : nous vous répondons avant l’envoi de la candidature, et vous pouvez continuer entre-temps.",
  "case.ask": "Demander au bureau",
  "case.asked": "Vous avez demandé le {when}. La réponse arrive par courriel et figure ici.",
  "case.accepted": "Cela compte : le bureau l’a dit. Ce que vous avez indiqué reste à prouver.",
  "case.refused": "Cela ne compte pas : le bureau l’a dit. Veuillez chercher une autre façon.",
  "event.ask-early-ruling": "Vous avez demandé au bureau si quelque chose compte",
  "mail.case-accepted.subject": "No {number} : cela compte",
  "mail.case-accepted.body":
    "Vous avez demandé si ceci compte : {title}.\n\nC’est le cas. Ce que vous avez indiqué reste à prouver, comme le dit votre liste de documents. Si vous le modifiez, la réponse ne vaut plus.\n\n{link}",
  "mail.case-refused.subject": "No {number} : cela ne compte pas",
  "mail.case-refused.body":
    "Vous avez demandé si ceci compte : {title}.\n\nCe n’est pas le cas. Votre candidature reste ouverte : veuillez chercher une autre façon de remplir la condition.\n\n{link}",
};
