/** Numbers and addresses, and whether they hold, in English. */
export const contact = {
  "reach.title": "Where we reach you",
  "reach.lead":
    "Letters and calls go here. Say that it is right, or ask us to open the part for a correction if it has changed.",
  "reach.right": "This is right",
  "reach.changed": "It has changed",
  "reach.since": "You said on {when} that this is right.",
  "reach.held": "We reached you here on {when}.",
  "reach.asked": "We asked on {when} whether this is still right.",
  "reach.failed.phone": "We could not reach you at this number on {when}.",
  "reach.failed.address": "A letter to this address came back to us on {when}.",
} as const;
