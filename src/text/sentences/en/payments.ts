/** Fees, in English. */
export const payments = {
  "fee.due": "{amount} due",
  "fee.paid": "Paid",
  "fee.none": "Nothing is due.",
  "fee.pay": "Pay {amount} by card",
  "fee.reference": "Payment reference {reference}",
  "fee.declined": "The card was declined. Nothing was taken. Try another card.",
  "fee.abandoned": "The payment was not finished. Nothing was taken.",
  "fee.unknown": "The fee is known as soon as you state citizenship and residence.",
  "fee.change": "If your citizenship or residence changes before you submit, the fee follows.",
} as const;
