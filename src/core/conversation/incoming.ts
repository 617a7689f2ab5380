/** Mails that come in: what they are, and which of our own they answer. */

/** An answer or anything else that somebody wrote; a report that one of ours did not arrive; what a machine sent, as one that is away. */
export const MAIL_KINDS = ["written", "returned", "automatic"] as const;
export type MailKind = (typeof MAIL_KINDS)[number];

/** Where it is: waiting for somebody who places it, in a conversation, with a file for the office alone, or put away. */
export const MAIL_OUTCOMES = ["waiting", "message", "kept", "put away"] as const;
export type MailOutcome = (typeof MAIL_OUTCOMES)[number];

/** So many documents may hang on one message. */
export const MOST_ATTACHED = 10;

const UUID = /[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}/giu;
/** The domain part of the ids that our mails carry. */
export const MAIL_ID_DOMAIN = "unvex";
const OWN_ID = new RegExp(`<(${UUID.source})@${MAIL_ID_DOMAIN}>`, "giu");

/**
 * The ids of our own mails that a mail names as what it answers, the nearest first.
 * @param headers `In-Reply-To` and `References` (RFC 5322 3.6.4), in this order: the last of the references is the nearest
 */
export function answeredIds(inReplyTo: string, references: string): readonly string[] {
  const own = (header: string) => [...header.matchAll(OWN_ID)].map(([, id = ""]) => id.toLowerCase());
  return [...new Set([...own(inReplyTo), ...own(references).reverse()])];
}

/** The numbers of files that stand in a text, as they are printed: `27-00012`. */
export const numbersIn = (text: string): readonly string[] => [
  ...new Set([...text.matchAll(/\b\d{2}-\d{5}\b/gu)].map(([number]) => number)),
];
