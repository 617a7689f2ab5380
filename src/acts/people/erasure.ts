import { and, eq, isNull } from "drizzle-orm";
import { z } from "zod";
import { type ErasureReport, erasureOf } from "../../core/people/erasure";
import { holds } from "../../core/rights/actor";
import { keptFiles } from "../../db/queries/kept-files";
import {
  addressChange,
  consent,
  erasureRequest,
  grant,
  mailLink,
  message,
  passwordGuess,
  person,
  sending,
  user,
} from "../../db/schema";
import { type ActContext, defineAct, done, refuse } from "../act/act";
import { actingId } from "../act/acting-id";
import { settleFile } from "../act/settle";
import { eraseWritten } from "../application/erase-written";
import { queueMail } from "../mail/queue-mail";
import { recordAccess } from "./access";

/** Asks that what is kept of oneself is erased, as far as the office's rules let it. */
export const askErasure = defineAct({
  name: "ask-erasure",
  input: z.object({}),
  may: ({ actor }) => actor.kind === "person" && actor.grants.length === 0,
  run: async (ctx) => {
    const personId = actingId(ctx);
    if (personId === null) return refuse("not-yours");
    const [made] = await ctx.db
      .insert(erasureRequest)
      .values({ personId, askedAt: ctx.now })
      .onConflictDoNothing()
      .returning({ id: erasureRequest.id });
    if (!made) return refuse("already-done");
    await ctx.emit("ask-erasure", null, { person: personId });
    return done({ requestId: made.id });
  },
});

/** Takes back what was asked, as long as nothing was erased. */
export const keepMe = defineAct({
  name: "keep-me",
  input: z.object({}),
  may: ({ actor }) => actor.kind === "person",
  run: async (ctx) => {
    const personId = actingId(ctx);
    if (personId === null) return refuse("not-yours");
    const open = and(eq(erasureRequest.personId, personId), isNull(erasureRequest.answeredAt));
    const { rowCount } = await ctx.db.delete(erasureRequest).where(open);
    if (rowCount === 0) return refuse("already-done");
    await ctx.emit("keep-me", null, { person: personId });
    return done(null);
  },
});

/** Takes name, address and account of a person away; the row stays, because files and events name it by its id. */
async function eraseIdentity({ db, client }: ActContext, personId: string): Promise<void> {
  const [known] = await db.select().from(person).where(eq(person.id, personId));
  if (!known) return;
  await client.query("delete from interest where email = $1", [known.email]);
  await client.query("delete from incoming_mail where application_id is null and from_address = $1", [known.email]);
  await db.delete(sending).where(eq(sending.personId, personId));
  await db.delete(addressChange).where(eq(addressChange.personId, personId));
  await db.delete(mailLink).where(eq(mailLink.personId, personId));
  await db.delete(consent).where(eq(consent.personId, personId));
  await client.query("delete from tray_mail where message_id in (select id from message where person_id = $1)", [
    personId,
  ]);
  await db.delete(message).where(eq(message.personId, personId));
  await db.delete(passwordGuess).where(eq(passwordGuess.subject, `account:${known.email}`));
  if (known.accountId) await db.delete(user).where(eq(user.id, known.accountId));
  await db
    .update(person)
    .set({ name: "", email: `${personId}@erased.invalid`, accountId: null, confirmedAt: null })
    .where(eq(person.id, personId));
}

/** Erases of each file what may go, and of the person where nothing stays. */
async function eraseBy(ctx: ActContext, personId: string): Promise<ErasureReport> {
  await ctx.client.query("select 1 from application where person_id = $1 order by id for update", [personId]);
  const files = await keptFiles(ctx.client, personId);
  const report = erasureOf(files, (await ctx.office()).set.keepFilesDays, ctx.now.getTime());
  for (const { number, why } of report.files.filter((f) => f.goes)) {
    const id = files.find((f) => f.number === number)?.id ?? "";
    await eraseWritten(ctx, id);
    // A draft of nobody is reminded of nothing.
    await ctx.client.query(
      "update choice set withdrawn_at = coalesce(withdrawn_at, $2) where application_id = $1 and submitted_at is null",
      [id, ctx.now],
    );
    if (why === "draft")
      await ctx.client.query("update application set withdrawn_at = coalesce(withdrawn_at, $2) where id = $1", [
        id,
        ctx.now,
      ]);
    await ctx.emit("erase-file", id, { why });
    await settleFile(ctx, id);
  }
  if (report.personGoes) await eraseIdentity(ctx, personId);
  return report;
}

/**
 * Answers somebody who asked to be erased: what the rules let go goes, what stays is recorded with why and until when, and they are told. An
 * administrator does it, and sees before what it will be.
 */
export const answerErasure = defineAct({
  name: "answer-erasure",
  input: z.object({ requestId: z.uuid() }),
  may: ({ actor }) => holds(actor, ["administrator"]),
  run: async (ctx, { requestId }) => {
    const [request] = await ctx.db.select().from(erasureRequest).where(eq(erasureRequest.id, requestId)).for("update");
    if (!request) return refuse("not-found");
    if (request.answeredAt !== null) return refuse("already-done");
    const { personId } = request;
    const [roles] = await ctx.db.select({ role: grant.role }).from(grant).where(eq(grant.personId, personId)).limit(1);
    if (roles) return refuse("locked");
    const [to] = await ctx.db.select().from(person).where(eq(person.id, personId));
    const report = await eraseBy(ctx, personId);
    if (to)
      await queueMail(ctx, {
        applicationId: null,
        personId: report.personGoes ? null : personId,
        toAddress: to.email,
        locale: to.locale,
        template: report.personGoes ? "erased-whole" : "erased-part",
        values: {
          name: to.name,
          gone:
            report.files
              .filter((f) => f.goes)
              .map((f) => f.number)
              .join(", ") || "–",
          stays:
            report.files
              .filter((f) => !f.goes)
              .map((f) => f.number)
              .join(", ") || "–",
          link: report.personGoes ? "/" : "/account",
        },
      });
    await ctx.db
      .update(erasureRequest)
      .set({ answeredAt: ctx.now, answeredById: actingId(ctx), report })
      .where(eq(erasureRequest.id, requestId));
    await recordAccess(ctx, { kind: "erased", personId: actingId(ctx), concernsId: personId });
    await ctx.emit("answer-erasure", null, { request: requestId, person: personId });
    return done(report);
  },
});
