import { z } from "zod";
import type { MailWords } from "../../core/mail/inputs";
import { holds } from "../../core/rights/actor";
import type { Locale } from "../../core/text/local-text";
import { renderMail } from "../../text/words/render-mail";
import { defineView } from "../view/view";
import { WORDS_OF } from "./words-of";

/** A mail that could not be handed over: it waits for its next try, or was given up. */
export interface WaitingMail {
  readonly id: string;
  readonly to: string;
  readonly subject: string;
  /** The file that it is about; null for what is about an account. */
  readonly number: string | null;
  readonly queuedAt: string;
  readonly attempts: number;
  readonly failure: string;
  /** When it is tried next; null for one that was given up. */
  readonly nextAt: string | null;
  /** The address does not exist: nobody tries again by themselves. */
  readonly refused: boolean;
}

interface Stored {
  template: string;
  locale: Locale;
  values: Readonly<Record<string, string>>;
  words: MailWords | null;
}

const MOST = 200;

/** What could not be sent and why, what is about accounts included; for an administrator. */
export const waitingMail = defineView({
  name: "waiting-mail",
  input: z.object({}),
  read: async ({ pool, actor }): Promise<readonly WaitingMail[] | null> => {
    if (!holds(actor, ["administrator"])) return null;
    const { rows } = await pool.query<Omit<WaitingMail, "subject"> & Stored>(
      `select m.id, m.to_address as "to", m.template, m.locale, m.values, ${WORDS_OF} as words, a.number, m.queued_at as "queuedAt", m.attempts, m.failure,
         case when m.state = 'queued' then m.due_at end as "nextAt", m.refused
       from message m left join application a on a.id = m.application_id
       where m.failure is not null and (m.state = 'failed' or m.state = 'queued') order by m.state desc, m.queued_at desc limit ${MOST}`,
    );
    return rows.map(({ template, locale, values, words, ...mail }) => ({
      ...mail,
      subject: renderMail(locale, template, values, null, words).subject,
    }));
  },
});
