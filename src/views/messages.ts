import { z } from "zod";
import { officeNow } from "./office-now";
import { defineView } from "./view";

export interface MyMessage {
  readonly id: string;
  readonly template: string;
  readonly locale: string;
  readonly values: Readonly<Record<string, string>>;
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
      `select id, template, locale, values - 'link' as values, coalesce(sent_at, queued_at) as at, state = 'sent' as sent from message
       where person_id = $1 and state <> 'withdrawn' and due_at <= $2 order by queued_at desc limit 200`,
      [actor.id, now],
    );
    const { set } = await officeNow(pool);
    return { zone: set.zone, messages: rows.map((r) => ({ ...r, at: new Date(r.at).toISOString() })) };
  },
});

export interface TrayMail {
  readonly id: string;
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
      `select id, to_address as to, subject, body, received_at as at from tray_mail where $1::text is null or to_address ilike '%' || $1 || '%' order by received_at desc, id limit 100`,
      [to],
    );
    return rows.map((r) => ({ ...r, at: new Date(r.at).toISOString() }));
  },
});
