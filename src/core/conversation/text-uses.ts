/** Where a text of the office is offered: in the conversation, where something is asked for, and where a document goes back. */
export const TEXT_USES = ["message", "ask", "return"] as const;
export type TextUse = (typeof TEXT_USES)[number];
