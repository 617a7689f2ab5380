/** Numbers and addresses, and whether they hold, in English. */
export const contact = {
  "contact.title": "Where we reach you",
  "contact.lead":
    "Letters and calls go here. Say that it is right, or ask us to open the part for a correction if it has changed.",
  "contact.right": "This is right",
  "contact.changed": "It has changed",
  "contact.since": "You said on {when} that this is right.",
  "contact.held": "We reached you here on {when}.",
  "contact.asked": "We asked on {when} whether this is still right.",
  "contact.failed.phone": "We could not reach you at this number on {when}.",
  "contact.failed.address": "A letter to this address came back to us on {when}.",
} as const;
