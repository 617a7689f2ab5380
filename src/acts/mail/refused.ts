import { eq } from "drizzle-orm";
import { message } from "../../db/schema";
import type { ActContext } from "../act/act";
import { settleFile } from "../act/settle";

type Sent = typeof message.$inferSelect;

/** Mails that ask somebody without an account, with what was asked there. */
const ASKED_OTHERS = {
  "reference-asked": ["reference_request", "closed_at", "reference-undeliverable"],
  "reference-reminder": ["reference_request", "closed_at", "reference-undeliverable"],
  "reference-extended": ["reference_request", "closed_at", "reference-undeliverable"],
  "signature-asked": ["signature_request", "answered_at", "signature-undeliverable"],
} as const;

const asksOthers = (template: string): template is keyof typeof ASKED_OTHERS => template in ASKED_OTHERS;

/**
 * Says of a mail that its address is not known there, whether the server said so at once or in a report later. What somebody without an
 * account was asked for is undeliverable, which puts the turn back to the applicant; a mail to the applicant becomes work of the office.
 */
export async function markRefused(ctx: ActContext, sent: Sent, failure: string): Promise<void> {
  await ctx.db
    .update(message)
    .set({ state: "failed", refused: true, failure, failingSince: sent.failingSince ?? ctx.now })
    .where(eq(message.id, sent.id));
  if (!sent.applicationId) return;
  await ctx.client.query("select 1 from application where id = $1 for update", [sent.applicationId]);
  if (asksOthers(sent.template)) {
    const [table, closed, event] = ASKED_OTHERS[sent.template];
    const { rows } = await ctx.client.query<{ id: string }>(
      `update ${table} set state = 'undeliverable', ${closed} = $3 where application_id = $1 and email = $2 and state = 'asked' returning id`,
      [sent.applicationId, sent.toAddress, ctx.now],
    );
    await ctx.emit(event, sent.applicationId, { requests: rows.map((r) => r.id) });
  } else await ctx.emit("mail-returned", sent.applicationId, { message: sent.id });
  await settleFile(ctx, sent.applicationId);
}

/** A mail that was refused and tried again has gone out: nobody has to see to it any more. */
export async function endRefusal(ctx: ActContext, sent: Sent): Promise<void> {
  if (!sent.refused) return;
  await ctx.db.update(message).set({ dealtAt: ctx.now }).where(eq(message.id, sent.id));
  if (!sent.applicationId) return;
  await ctx.client.query("select 1 from application where id = $1 for update", [sent.applicationId]);
  await settleFile(ctx, sent.applicationId);
}
