import type { payments as english } from "../en/payments";

/** Fees, in French. */
export const payments: Readonly<Record<keyof typeof english, string>> = {
  "fee.due": "{amount} à payer",
  "fee.paid": "Payé",
  "fee.none": "Rien n’est dû.",
  "fee.pay": "Payer {amount} par carte",
  "fee.reference": "Référence de paiement {reference}",
  "fee.declined": "La carte a été refusée. Rien n’a été pris. Essayez une autre carte.",
  "fee.abandoned": "Le paiement n’a pas été terminé. Rien n’a été pris.",
  "fee.unknown": "Les frais sont connus dès que vous indiquez nationalité et résidence.",
  "fee.change": "Si nationalité ou résidence changent avant l’envoi, les frais suivent.",
};
