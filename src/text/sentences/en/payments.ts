/** Fees, in English. */
export const payments = {
  "fee.all": "Fees",
  "fee.due": "{amount} due",
  "fee.paid": "Paid",
  "fee.overpaid": "You paid {amount} more than was due. The office gives it back.",
  "fee.noCard":
    "Paying by card is not possible at this office. Ask whom this page names how to pay, and give the reference above.",
  "trial.card": "For trying out only: payments by card are played here, and no money moves.",
  "fee.none": "Nothing is due.",
  "fee.pay": "Pay {amount} by card",
  "fee.reference": "Payment reference {reference}",
  "fee.declined": "The card was declined. Nothing was taken. Try another card.",
  "fee.abandoned": "The payment was not finished. Nothing was taken.",
  "fee.unknown": "The fee is known as soon as you state citizenship and residence.",
  "fee.change": "If your citizenship or residence changes before you submit, the fee follows.",
} as const;
