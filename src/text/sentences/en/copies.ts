/** Copies of an application, in English. */
export const copies = {
  "copy.references": "References",
  "copy.download": "Download as PDF",
  "copy.downloadAll": "With all documents in one PDF",
  "copy.notPrinted": "This could not be printed just now. Try again in a minute.",
  "copy.beingMade": "It is being made. You can leave this page: you find it here for seven days.",
  "copy.last": "The last one, of {when} ({size})",
  "copy.contents": "Contents",
  "copy.form": "The form",
  "copy.leftOut": "This document could not be put in. Open it by itself.",
  "copy.under": "No. {number} · {name}",
  "copy.foot": "No. {number} · {name} · page {page} of {pages}",
  "copy.submitted": "submitted on {when}",
  "copy.draft": "not yet submitted",
} as const;
