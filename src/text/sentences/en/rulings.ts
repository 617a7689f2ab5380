/** Cases that are ruled on, in English. */
export const rulings = {
  "case.title": "Not sure whether it counts?",
  "case.lead":
    "The office decides on this case by case. Ask now, and we tell you before you submit; you can go on in the meantime.",
  "case.ask": "Ask the office now",
  "case.asked": "You asked on {when}. The answer comes by mail and stands here.",
  "case.accepted": "It counts: the office has said so. What you stated still has to be proved.",
  "case.refused": "It does not count: the office has said so. Please look for another way.",
} as const;
