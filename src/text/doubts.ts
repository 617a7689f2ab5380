/** What is said at once about an answer that may be right and looks wrong. */
export const doubtsEn = {
  "doc.fails":
    "We look whether this is so: {check}. From what you stated it is not. Look at your answers, or get another document in time.",
  "doubt.not-a-mark":
    "We cannot read this on the scale beside it. Write it as it stands on your certificate, or choose another scale.",
  "doubt.off-scale": "The scale beside it runs from {worst} to {best}. Is it another scale?",
  "doubt.off-step": "The scale beside it has marks in steps of {step}. Look whether this is right.",
  "doubt.no-pass": "On the scale beside it {pass} is the lowest mark that passes. Is it another scale?",
  "doubt.best-is-pass": "Best mark and lowest passing mark are the same. Look at one of the two.",
  "doubt.unusual-scale":
    "A qualification of this kind is usually marked on another scale. Look at the one that your paper names.",
  "doubt.as-printed":
    "This is the same number as on the result sheet. Enter here the mark in per cent that the equivalence statement gives.",
  "doubt.ends-before-start": "This lies before the beginning. Look at both dates.",
  "doubt.total-differs": "The parts that you entered give {total}. Look at them once more, and at the total.",
  "doubt.signed-otherwise": "Your form gives the name {name}. Is this your full name?",
  "doubt.unlikely-age":
    "You would be {years, plural, one {# year} other {# years}} old when studies begin. Look at day, month and year.",
  "doubt.ends-too-early":
    "Your studies begin on {start}, and it has to be valid then. Apply for a new one in time; you can enter it later.",
} as const;

export const doubtsFr: Readonly<Record<keyof typeof doubtsEn, string>> = {
  "doc.fails":
    "Nous vérifions ceci : {check}. D’après vos indications, ce n’est pas le cas. Revoyez vos réponses, ou procurez-vous à temps un autre document.",
  "doubt.not-a-mark":
    "Nous ne savons pas lire ceci sur l’échelle indiquée. Écrivez la note comme sur votre diplôme, ou choisissez une autre échelle.",
  "doubt.off-scale": "L’échelle indiquée va de {worst} à {best}. Est-ce une autre échelle ?",
  "doubt.off-step": "L’échelle indiquée avance par pas de {step}. Vérifiez cette note.",
  "doubt.no-pass": "Sur l’échelle indiquée, {pass} est la note la plus basse qui suffit. Est-ce une autre échelle ?",
  "doubt.best-is-pass": "La meilleure note et la plus basse qui suffit sont la même. Vérifiez l’une des deux.",
  "doubt.unusual-scale":
    "Une qualification de ce genre est d’ordinaire notée sur une autre échelle. Vérifiez celle que nomme votre document.",
  "doubt.as-printed":
    "C’est le même nombre que sur la feuille de résultats. Indiquez ici la note en pour cent que donne l’attestation d’équivalence.",
  "doubt.ends-before-start": "Cela précède le début. Vérifiez les deux dates.",
  "doubt.total-differs": "Les parties indiquées donnent {total}. Revoyez-les, ainsi que le total.",
  "doubt.signed-otherwise": "Votre formulaire indique le nom {name}. Est-ce votre nom complet ?",
  "doubt.unlikely-age":
    "Vous auriez {years, plural, one {# an} other {# ans}} à la rentrée. Vérifiez le jour, le mois et l’année.",
  "doubt.ends-too-early":
    "Vos études commencent le {start} et le document doit alors être valable. Demandez-en un nouveau à temps ; vous pourrez le saisir plus tard.",
};
