/** Decisions and the answers to them, in English. */
export const decision = {
  "decision.title": "Our decision",
  "decision.offer": "We offer you a place in {programme}, beginning {start}.",
  "decision.offer on conditions": "We offer you a place in {programme}, beginning {start}, on these conditions:",
  "decision.waiting list": "You are on the waiting list of {programme}. We write as soon as a place is free.",
  "decision.refusal": "We cannot offer you a place in {programme}.",
  "decision.reason": "The reason: {reason}",
  "decision.answerBy": "Please answer by {date}.",
  "decision.lapsed": "It was to be answered by {date}; it has ended. Write to us if you still want the place.",
  "decision.accept": "Accept the offer",
  "decision.decline": "Decline",
  "decision.acceptAsk": "This accepts the place in {programme}. It is binding for both sides.",
  "decision.declineAsk": "This declines the place in {programme} for good; it goes to somebody else.",
  "decision.accepted": "You accepted on {date}. Welcome!",
  "decision.declined": "You declined on {date}.",
} as const;
