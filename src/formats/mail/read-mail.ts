import EmailReplyParser from "email-reply-parser";
import { convert } from "html-to-text";
import PostalMime, { type Attachment, type Email } from "postal-mime";
import { answeredIds, type MailKind } from "../../core/conversation/incoming";
import { readableQuestion } from "../../core/text/readable";

/** A mail as it travels (RFC 5322, MIME), read. */
export interface ReadMail {
  readonly messageId: string;
  readonly from: { readonly address: string; readonly name: string };
  readonly subject: string;
  /** All of it, with what is quoted; from its HTML where it has no plain text. */
  readonly text: string;
  /** What its sender wrote themselves. */
  readonly written: string;
  /** Ids of our own mails that it answers or reports on, the nearest first. */
  readonly answers: readonly string[];
  readonly kind: MailKind;
  /** Of a report that a mail did not arrive: whether that is final, and why, as the server says. */
  readonly returned: { readonly final: boolean; readonly reason: string } | null;
  readonly parts: readonly { readonly name: string; readonly bytes: Uint8Array }[];
}

const MOST_TEXT = 100_000;
const DEEPEST = 20;

const clean = (text: string): string => readableQuestion(text).slice(0, MOST_TEXT).trim();

function textOf({ text, html }: Email): string {
  if (text?.trim()) return clean(text);
  return html ? clean(convert(html.slice(0, 10 * MOST_TEXT), { wordwrap: false })) : "";
}

const header = (email: Email, name: string): string => email.headers.find((h) => h.key === name)?.value ?? "";

const bytesOf = ({ content }: Attachment): Uint8Array =>
  typeof content === "string" ? new TextEncoder().encode(content) : new Uint8Array(content);

const words = (part: Attachment): string => new TextDecoder().decode(bytesOf(part));

/** A field of the report that machines read (RFC 3464 2.1.2): its lines may be folded. */
const field = (report: string, name: string): string =>
  new RegExp(`^${name}:[ \\t]*(.*(?:\\r?\\n[ \\t].*)*)`, "imu").exec(report)?.[1]?.replace(/\s+/gu, " ").trim() ?? "";

/** What a report says of a mail that did not arrive; null for anything that is no such report, one of success included. */
function returnedBy(email: Email): ReadMail["returned"] {
  const report = email.attachments.find((part) => part.mimeType === "message/delivery-status");
  if (!report) return null;
  const text = words(report);
  const action = field(text, "Action").toLowerCase();
  if (action !== "failed" && action !== "delayed") return null;
  const status = field(text, "Status");
  const reason = field(text, "Diagnostic-Code").replace(/^smtp;\s*/iu, "") || status;
  return { final: action === "failed" && !status.startsWith("4"), reason: clean(reason).slice(0, 300) || "not said" };
}

/** Machines say so themselves (RFC 3834 5), or by what senders of lists agreed on. */
const isAutomatic = (email: Email): boolean =>
  !["", "no"].includes(header(email, "auto-submitted").toLowerCase().split(";")[0]?.trim() ?? "") ||
  ["bulk", "junk", "list", "auto_reply"].includes(header(email, "precedence").toLowerCase());

/** Of a report, the mail that came back travels in it, whole or as its headers: its own id says which it was. */
function answersOf(email: Email): readonly string[] {
  const inside = email.attachments
    .filter((p) => /^(?:message\/rfc822|text\/rfc822-headers)$/u.test(p.mimeType))
    .map(words);
  return answeredIds(
    `${email.inReplyTo ?? ""} ${inside.map((text) => field(text, "Message-ID")).join(" ")}`,
    email.references ?? "",
  );
}

/**
 * Reads a mail. Anything can stand in one: what cannot be read is left out, and never keeps the rest from being read.
 * @throws Error where the bytes are no mail at all
 */
export async function readMail(raw: Uint8Array): Promise<ReadMail> {
  const email = await PostalMime.parse(raw, { forceRfc822Attachments: true, maxNestingDepth: DEEPEST });
  const address = email.from?.address?.toLowerCase() ?? "";
  if (!email.messageId || !address) throw new Error("a mail without an id or a sender");
  const text = textOf(email);
  const returned = returnedBy(email);
  const isReport = header(email, "content-type").toLowerCase().startsWith("multipart/report");
  return {
    messageId: clean(email.messageId).slice(0, 300),
    from: { address: clean(address).slice(0, 320), name: clean(email.from?.name ?? "").slice(0, 200) },
    subject: clean(email.subject ?? "").slice(0, 300),
    text,
    written: clean(new EmailReplyParser().read(text).getVisibleText()),
    answers: answersOf(email),
    kind: returned ? "returned" : isReport || isAutomatic(email) ? "automatic" : "written",
    returned,
    parts: isReport
      ? []
      : email.attachments
          // Pictures that a text shows within itself are mostly signs of its sender's house.
          .filter((part) => !(part.disposition === "inline" && part.contentId))
          .map((part, at) => ({ name: clean(part.filename ?? "") || `document ${at + 1}`, bytes: bytesOf(part) })),
  };
}
