import { and, eq, inArray, isNotNull, lte, sql } from "drizzle-orm";
import { z } from "zod";
import { sendAgainInput } from "../../core/mail/inputs";
import { pauseAfter, TRIED_FOR_MS } from "../../core/mail/retry";
import type { Template } from "../../core/mail/templates";
import { holds } from "../../core/rights/actor";
import { enqueue } from "../../db/queue";
import { mailWording, message, trayMail } from "../../db/schema";
import { defineAct, done, refuse } from "../act/act";
import { defineFileAct } from "../act/file-act";
import { mailApplicant } from "./queue-mail";
import { endRefusal, markRefused } from "./refused";

/** So long a claimed mail belongs to its sender. The mail service gives up long before. */
export const LEASE_MS = 15 * 60_000;

/** The words of the office for a mail as they are now; none where it comes with those of Unvex. */
const NEWEST = sql`(select case when w.words is null then null else w.id end from mail_wording w
  where w.template = ${message.template} order by w.version desc limit 1)`;

/** Claims a mail that is due: whoever changes its state to "sending" sends it, nobody else. */
export const claimMessage = defineAct({
  name: "claim-message",
  input: z.object({ messageId: z.uuid() }),
  may: (ctx) => ctx.actor.kind === "system",
  run: async (ctx, { messageId }) => {
    const [row] = await ctx.db
      .update(message)
      .set({ state: "sending", claimedAt: ctx.now, attempts: sql`${message.attempts} + 1`, wordingId: NEWEST })
      .where(and(eq(message.id, messageId), eq(message.state, "queued"), lte(message.dueAt, ctx.now)))
      .returning();
    if (!row) return done(null);
    const [wording] = row.wordingId
      ? await ctx.db.select({ words: mailWording.words }).from(mailWording).where(eq(mailWording.id, row.wordingId))
      : [];
    return done({ ...row, words: wording?.words ?? null });
  },
});

/**
 * Reports how sending went. A sent mail keeps its words but no longer its link; a refused address makes what was asked there
 * undeliverable, which puts the turn back to the applicant; any other failure says nothing of the address, and is tried again with growing
 * pauses for days. That it was sent counts whoever says it; that it was not, only from the sender whose claim it is.
 */
export const reportMessage = defineAct({
  name: "report-message",
  input: z.object({
    messageId: z.uuid(),
    /** Which attempt it was, as the claim counted it. */
    attempt: z.int().min(1),
    result: z.enum(["sent", "failed", "refused"]),
    failure: z.string().max(500).nullable().default(null),
  }),
  may: (ctx) => ctx.actor.kind === "system",
  run: async (ctx, { messageId, attempt, result, failure }) => {
    const [row] = await ctx.db.select().from(message).where(eq(message.id, messageId)).for("update");
    if (!row || (row.state !== "sending" && row.state !== "queued")) return done(null);
    if (result !== "sent" && (row.state !== "sending" || row.attempts !== attempt)) return done(null);
    const { link: _link, ...kept } = row.values;
    if (result === "sent") {
      await ctx.db
        .update(message)
        .set({ state: "sent", sentAt: ctx.now, values: kept })
        .where(eq(message.id, messageId));
      await endRefusal(ctx, row);
    } else if (result === "refused") await markRefused(ctx, row, failure ?? "not said");
    else {
      const failingSince = row.failingSince ?? ctx.now;
      const next = new Date(ctx.now.getTime() + pauseAfter(row.attempts));
      const over = next.getTime() - failingSince.getTime() > TRIED_FOR_MS;
      await ctx.db
        .update(message)
        .set({ state: over ? "failed" : "queued", failure: failure ?? "not said", failingSince, dueAt: next })
        .where(eq(message.id, messageId));
    }
    return done(null);
  },
});

/** Has mails that could not be handed over tried again at once: one, or all of them but those whose address is not known. */
export const tryMailAgain = defineAct({
  name: "try-mail-again",
  input: z.object({ messageId: z.uuid().nullable() }),
  may: ({ actor }) => holds(actor, ["administrator"]),
  run: async (ctx, { messageId }) => {
    const tried = await ctx.db
      .update(message)
      .set({ state: "queued", dueAt: ctx.now, failingSince: null })
      .where(
        and(
          isNotNull(message.failure),
          inArray(message.state, ["queued", "failed"]),
          messageId === null ? eq(message.refused, false) : eq(message.id, messageId),
        ),
      )
      .returning({ id: message.id });
    await ctx.emit("try-mail-again", null, { message: messageId, count: tried.length });
    await enqueue(ctx.boss, ctx.client, "sweep-messages", {});
    return done({ count: tried.length });
  },
});

/** Wakes mails whose sender was killed in the middle: whose claim is older than a sender ever needs is queued again. */
export const releaseStuckMessages = defineAct({
  name: "release-stuck-messages",
  input: z.object({}),
  may: (ctx) => ctx.actor.kind === "system",
  run: async (ctx) => {
    const released = await ctx.db
      .update(message)
      .set({ state: "queued" })
      .where(and(eq(message.state, "sending"), lte(message.claimedAt, new Date(ctx.now.getTime() - LEASE_MS))))
      .returning({ id: message.id });
    return done({ count: released.length });
  },
});

/** The mail stand-in keeps what it received, once for each message. */
export const keepTrayMail = defineAct({
  name: "keep-tray-mail",
  input: z.object({ messageId: z.uuid(), toAddress: z.string(), subject: z.string(), body: z.string() }),
  may: (ctx) => ctx.actor.kind === "system",
  run: async (ctx, mail) => {
    await ctx.db
      .insert(trayMail)
      .values({ ...mail, receivedAt: ctx.now })
      .onConflictDoNothing();
    return done(null);
  },
});

/** Sends a mail to the applicant of a file once more, as it was; its link leads into the application, as it did. */
export const sendAgain = defineFileAct({
  name: "send-again",
  input: sendAgainInput,
  right: "office",
  about: ({ messageId }) => ({ message: messageId }),
  run: async (ctx, file, { messageId }) => {
    const [sent] = await ctx.db
      .select()
      .from(message)
      .where(and(eq(message.id, messageId), eq(message.applicationId, file.id), eq(message.personId, file.ownerId)));
    if (!sent) return refuse("not-found");
    if (sent.state !== "sent" && sent.state !== "failed") return refuse("locked");
    const { number } = file.facts.application;
    const template = sent.template as Template; // acts write no other
    if (sent.refused) await ctx.db.update(message).set({ dealtAt: ctx.now }).where(eq(message.id, sent.id));
    await mailApplicant(ctx, file.id, file.ownerId, template, { ...sent.values, link: `/my/${number}` });
    return done(null);
  },
});
