import type { payments as english } from "../en/payments";

/** Fees, in French. */
export const payments: Readonly<Record<keyof typeof english, string>> = {
  "fee.all": "Frais",
  "fee.due": "{amount} à payer",
  "fee.paid": "Payé",
  "fee.overpaid": "Vous avez payé {amount} de trop. Le bureau vous les rendra.",
  "fee.noCard":
    "Ce bureau n’accepte pas les cartes. Demandez comment payer à la personne nommée sur cette page, en donnant la référence ci-dessus.",
  "trial.card": "Seulement pour essayer : les paiements par carte sont simulés ici, aucun argent ne circule.",
  "fee.none": "Rien n’est dû.",
  "fee.pay": "Payer {amount} par carte",
  "fee.reference": "Référence de paiement {reference}",
  "fee.declined": "La carte a été refusée. Rien n’a été pris. Essayez une autre carte.",
  "fee.abandoned": "Le paiement n’a pas été terminé. Rien n’a été pris.",
  "fee.unknown": "Les frais sont connus dès que vous indiquez nationalité et résidence.",
  "fee.change": "Si nationalité ou résidence changent avant l’envoi, les frais suivent.",
};
