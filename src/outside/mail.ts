import nodemailer from "nodemailer";

/** The port to a mail service. An address that the receiving server does not know is final; any other failure may be tried again. */
export interface OutgoingMail {
  readonly messageId: string;
  readonly to: string;
  readonly subject: string;
  readonly body: string;
}

export type MailResult =
  | { readonly result: "sent" }
  | { readonly result: "refused" | "failed"; readonly failure: string };

export interface MailService {
  readonly send: (mail: OutgoingMail) => Promise<MailResult>;
}

const PERMANENT = 500;

/** A server that says nothing for so long has failed: well before a claim on the mail ends. */
const PATIENCE_MS = { connectionTimeout: 30_000, greetingTimeout: 30_000, socketTimeout: 120_000 };

/** The address of a server with our patience in it, which the package reads there; what the address says itself holds. */
function withPatience(address: string): string {
  const url = new URL(address);
  for (const [name, ms] of Object.entries(PATIENCE_MS))
    if (!url.searchParams.has(name)) url.searchParams.set(name, String(ms));
  return url.href;
}

/** A real mail server over SMTP. The message id makes a mail that is sent twice recognisable as one. */
export function smtpMail(url: string, from: string): MailService {
  const transport = nodemailer.createTransport(withPatience(url));
  return {
    send: async ({ messageId, to, subject, body }) => {
      try {
        await transport.sendMail({ from, to, subject, text: body, messageId: `<${messageId}@unvex>` });
        return { result: "sent" };
      } catch (error) {
        const { responseCode = 0, command = "connection" } = error as { responseCode?: number; command?: string }; // the package's errors say both
        // Only of whom the mail is for can the server say that there is nobody: not knowing us, or not now, is no word about them.
        const refused = responseCode >= PERMANENT && command === "RCPT TO";
        return { result: refused ? "refused" : "failed", failure: `SMTP ${command} ${responseCode || ""}`.trim() };
      }
    },
  };
}

/** Where the stand-in keeps what it received; the root files give it its store. */
export type TrayStore = (mail: OutgoingMail) => Promise<void>;

/**
 * The simulated mail service: keeps every mail in a tray. Addresses at `bounce.example` do not exist there; those at `late.bounce.example`
 * are taken, and reported later as not known.
 */
export function trayMail(
  keep: TrayStore,
  report: (mail: OutgoingMail) => Promise<void> = async () => undefined,
): MailService {
  return {
    send: async (mail) => {
      if (mail.to.toLowerCase().endsWith("@bounce.example")) return { result: "refused", failure: "no such mailbox" };
      if (mail.to.toLowerCase().endsWith("@late.bounce.example")) await report(mail);
      else await keep(mail);
      return { result: "sent" };
    },
  };
}
