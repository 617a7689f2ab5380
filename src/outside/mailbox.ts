import { randomUUID } from "node:crypto";
import { ImapFlow } from "imapflow";
import MailComposer from "nodemailer/lib/mail-composer/index.js";
import { MAIL_ID_DOMAIN } from "../core/conversation/incoming";

/** The port to the mailbox where answers to our mails arrive. */
export interface Mailbox {
  /** Hands over each new mail as it travels; one whose `keep` fails is handed over again the next time. */
  readonly fetch: (keep: (raw: Buffer) => Promise<void>) => Promise<void>;
}

/** Where the stand-in keeps what was written in it; the root files give it its store. */
export interface TrayMailbox {
  readonly waiting: () => Promise<readonly { readonly id: string; readonly raw: Buffer }[]>;
  readonly fetched: (id: string) => Promise<void>;
}

/** The simulated mailbox: what was answered in the tray. */
export const trayMailbox = ({ waiting, fetched }: TrayMailbox): Mailbox => ({
  fetch: async (keep) => {
    for (const { id, raw } of await waiting()) {
      await keep(raw);
      await fetched(id);
    }
  },
});

export interface Answer {
  readonly from: string;
  readonly to: string;
  readonly subject: string;
  readonly text: string;
  /** The id of the mail that it answers; null for one that answers none. */
  readonly answers: string | null;
  readonly files: readonly { readonly name: string; readonly bytes: Buffer }[];
}

const ownId = (id: string) => `<${id}@${MAIL_ID_DOMAIN}>`;

/** A mail as a mail program would send it. */
export const composeAnswer = ({ from, to, subject, text, answers, files }: Answer): Promise<Buffer> =>
  new MailComposer({
    from,
    to,
    subject,
    text,
    messageId: `<${randomUUID()}@people.example>`,
    ...(answers === null ? {} : { inReplyTo: ownId(answers), references: ownId(answers) }),
    attachments: files.map(({ name, bytes }) => ({ filename: name, content: bytes })),
  })
    .compile()
    .build();

/** The report of a server that took a mail and could not deliver it (RFC 3464). */
export function composeReturn(mail: { readonly messageId: string; readonly to: string }): Promise<Buffer> {
  const boundary = randomUUID();
  const lines = [
    "From: Mail Delivery System <mailer-daemon@people.example>",
    "Subject: Undelivered Mail Returned to Sender",
    `Message-ID: <${randomUUID()}@people.example>`,
    "Auto-Submitted: auto-replied",
    "MIME-Version: 1.0",
    `Content-Type: multipart/report; report-type=delivery-status; boundary="${boundary}"`,
    "",
    `--${boundary}`,
    "Content-Type: text/plain; charset=utf-8",
    "",
    `Your message to ${mail.to} could not be delivered: there is no such mailbox.`,
    "",
    `--${boundary}`,
    "Content-Type: message/delivery-status",
    "",
    "Reporting-MTA: dns; mail.people.example",
    "",
    `Final-Recipient: rfc822; ${mail.to}`,
    "Action: failed",
    "Status: 5.1.1",
    "Diagnostic-Code: smtp; 550 5.1.1 no such mailbox",
    "",
    `--${boundary}`,
    "Content-Type: text/rfc822-headers",
    "",
    `Message-ID: ${ownId(mail.messageId)}`,
    `To: ${mail.to}`,
    "",
    `--${boundary}--`,
    "",
  ];
  return Promise.resolve(Buffer.from(lines.join("\r\n")));
}

/** So many mails are taken at a time; the rest waits a minute. */
const AT_ONCE = 100;
/** A mail that is larger than any that we would keep stays where it is, for a person to see to. */
const MOST_BYTES = 40 * 1024 * 1024;

/** A real mailbox over IMAP (RFC 9051): what is unseen is new, and is seen once it is kept. */
export function imapMailbox(address: string): Mailbox {
  const { hostname, port, protocol, username, password, pathname } = new URL(address);
  const secure = protocol === "imaps:";
  const folder = decodeURIComponent(pathname.slice(1)) || "INBOX";
  return {
    fetch: async (keep) => {
      const client = new ImapFlow({
        host: hostname,
        port: Number(port) || (secure ? 993 : 143),
        secure,
        auth: { user: decodeURIComponent(username), pass: decodeURIComponent(password) },
        logger: false,
      });
      await client.connect();
      try {
        await client.mailboxOpen(folder);
        const unseen = (await client.search({ seen: false, smaller: MOST_BYTES }, { uid: true })) || [];
        for (const uid of unseen.slice(0, AT_ONCE)) {
          const mail = await client.fetchOne(String(uid), { source: true }, { uid: true });
          // Somebody may have taken it away meanwhile.
          const source = mail ? mail.source : undefined;
          if (!source) continue;
          await keep(source);
          await client.messageFlagsAdd(String(uid), ["\\Seen"], { uid: true });
        }
      } finally {
        await client.logout();
      }
    },
  };
}
