import type pg from "pg";
import { z } from "zod";
import type { MailWords } from "../../core/mail/inputs";
import type { Locale } from "../../core/text/local-text";
import { renderMail } from "../../text/words/render-mail";
import { type AttachedDocument, DOCUMENT } from "../conversation/conversation";
import { officeNow } from "../view/office-now";
import { fileInScope, programmesOf, scopeParameter } from "../view/scope";
import { defineView } from "../view/view";
import { WORDS_OF } from "./words-of";

export interface MyMessage {
  readonly id: string;
  readonly template: string;
  readonly locale: string;
  readonly values: Readonly<Record<string, string>>;
  readonly words: MailWords | null;
  readonly at: string;
  readonly sent: boolean;
}

/** Every message that was sent to the person who asks, so that no next step depends on a mailbox. */
export const myMessages = defineView({
  name: "my-messages",
  input: z.object({}),
  read: async ({
    pool,
    actor,
    now,
  }): Promise<{ readonly zone: string; readonly messages: readonly MyMessage[] } | null> => {
    if (actor.kind !== "person") return null;
    const { rows } = await pool.query<MyMessage>(
      `select id, template, locale, values - 'link' as values, ${WORDS_OF} as words, coalesce(sent_at, queued_at) as at, state = 'sent' as sent from message m
       where person_id = $1 and state <> 'withdrawn' and due_at <= $2 order by queued_at desc limit 200`,
      [actor.id, now],
    );
    const { set } = await officeNow(pool);
    return { zone: set.zone, messages: rows.map((r) => ({ ...r, at: new Date(r.at).toISOString() })) };
  },
});

/** A mail about a file, in the words that were sent; links are left out, they are their reader's. */
export interface FileMessage {
  readonly id: string;
  readonly to: string;
  readonly at: string;
  readonly state: string;
  readonly failure: string | null;
  readonly subject: string;
  readonly body: string;
  /** It went to the applicant, so it can be sent to them again. */
  readonly again: boolean;
}

interface StoredMessage extends Pick<FileMessage, "id" | "to" | "state" | "failure" | "again"> {
  readonly template: string;
  readonly locale: Locale;
  readonly values: Readonly<Record<string, string>>;
  readonly words: MailWords | null;
  readonly at: Date;
}

/** A mail that came in about a file and stands with it for the office alone. */
export interface KeptMail {
  readonly id: string;
  readonly at: string;
  readonly from: string;
  readonly subject: string;
  readonly text: string;
  /** A machine sent it, as one that says that somebody is away. */
  readonly automatic: boolean;
  readonly documents: readonly AttachedDocument[];
}

/** An address of the applicant's account that the office corrected. */
export interface CorrectedAddress {
  readonly before: string;
  readonly after: string;
  readonly reason: string;
  readonly by: string;
  readonly at: string;
}

export interface FileMails {
  readonly sent: readonly FileMessage[];
  readonly kept: readonly KeptMail[];
  readonly addresses: readonly CorrectedAddress[];
}

/** Every mail about a file, out and in, whether it arrived, and what it said; with what became of the address. */
export const fileMessages = defineView({
  name: "file-messages",
  input: z.object({ number: z.string().max(20) }),
  read: async ({ pool, actor }, { number }): Promise<FileMails | null> => {
    const scope = programmesOf(actor);
    if (scope === null) return null;
    const { rows: known } = await pool.query<{ id: string }>(
      `select a.id from application a where a.number = $2 and ${fileInScope("a.id", "$1")}`,
      [scopeParameter(scope), number],
    );
    if (!known[0]) return null;
    const { rows } = await pool.query<StoredMessage>(
      `select m.id, m.to_address as to, coalesce(m.sent_at, m.queued_at) as at, m.state, m.failure, m.template, m.locale, m.values - 'link' as values, ${WORDS_OF} as words,
         m.application_id is not null and coalesce(m.person_id = a.person_id, false) as again
       from application a join message m on m.application_id = a.id or (m.application_id is null and m.person_id = a.person_id)
       where a.id = $1 order by m.queued_at desc, m.id limit 200`,
      [known[0].id],
    );
    const [kept, addresses] = await Promise.all([keptMails(pool, known[0].id), correctedAddresses(pool, known[0].id)]);
    return {
      sent: rows.map(({ template, locale, values, words, at, ...row }) => ({
        ...row,
        at: at.toISOString(),
        ...renderMail(locale, template, values, null, words),
      })),
      kept,
      addresses,
    };
  },
});

async function keptMails(pool: pg.Pool, applicationId: string): Promise<readonly KeptMail[]> {
  const { rows } = await pool.query<Omit<KeptMail, "at"> & { at: Date }>(
    `select m.id, m.received_at as at, m.from_address as "from", m.subject, m.text, m.kind = 'automatic' as automatic,
       coalesce((select json_agg(${DOCUMENT} order by f.no) from incoming_file f join upload u on u.id = f.upload_id where f.mail_id = m.id), '[]') as documents
     from incoming_mail m where m.application_id = $1 and m.outcome = 'kept' order by m.received_at desc, m.id limit 200`,
    [applicationId],
  );
  return rows.map((r) => ({ ...r, at: r.at.toISOString() }));
}

async function correctedAddresses(pool: pg.Pool, applicationId: string): Promise<readonly CorrectedAddress[]> {
  const { rows } = await pool.query<Omit<CorrectedAddress, "at"> & { at: Date }>(
    `select h.before, h.after, h.reason, w.name as by, h.at from address_change h join application a on a.person_id = h.person_id
       join person w on w.id = h.by_id where a.id = $1 order by h.at desc`,
    [applicationId],
  );
  return rows.map((r) => ({ ...r, at: r.at.toISOString() }));
}

export interface TrayMail {
  readonly id: string;
  /** Under which the office sent it; an answer names it. */
  readonly messageId: string;
  readonly to: string;
  readonly subject: string;
  readonly body: string;
  readonly at: string;
}

/** What the mail stand-in received. It is an outside service's own page: whoever runs the stand-in reads everything in it. */
export const tray = defineView({
  name: "tray",
  input: z.object({ to: z.string().max(320).nullable().default(null) }),
  read: async ({ pool, actor }, { to }): Promise<readonly TrayMail[] | null> => {
    if (actor.kind !== "system") return null;
    const { rows } = await pool.query<TrayMail>(
      `select id, message_id as "messageId", to_address as to, subject, body, received_at as at from tray_mail where $1::text is null or to_address ilike '%' || $1 || '%' order by received_at desc, id limit 100`,
      [to],
    );
    return rows.map((r) => ({ ...r, at: new Date(r.at).toISOString() }));
  },
});
