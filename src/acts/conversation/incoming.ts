import { and, eq, inArray } from "drizzle-orm";
import { z } from "zod";
import { MAIL_KINDS, numbersIn } from "../../core/conversation/incoming";
import { MOST_SIGNS } from "../../core/conversation/inputs";
import { placeMailInput } from "../../core/mail/inputs";
import { holds, OFFICE } from "../../core/rights/actor";
import { storeContent } from "../../db/content";
import { application, attachment, conversation, incomingFile, incomingMail, message, upload } from "../../db/schema";
import { type ActContext, defineAct, done, refuse } from "../act/act";
import { actingId } from "../act/acting-id";
import { defineFileAct } from "../act/file-act";
import { settleFile } from "../act/settle";
import { lookedAt } from "../evidence/looked-at";
import { markRefused } from "../mail/refused";
import { wroteEnough } from "./wrote-enough";

/** Stands where somebody sent a document without a word. */
const EMPTY = "—";

type Incoming = typeof incomingMail.$inferSelect;

async function keepFiles(
  ctx: ActContext,
  mailId: string,
  files: readonly z.output<typeof lookedFile>[],
): Promise<void> {
  for (const [no, { name, bytes, mediaType, pages, marks, original }] of files.entries())
    await ctx.db.insert(incomingFile).values({
      mailId,
      no,
      name,
      sha256: await storeContent(ctx.client, bytes, mediaType),
      originalSha256: original && (await storeContent(ctx.client, original.bytes, original.mediaType)),
      pages,
      marks,
    });
}

/** What hangs on a mail becomes documents of the file; those of the applicant's own mail are theirs to see. */
async function bringFiles(
  ctx: ActContext,
  mail: Incoming,
  applicationId: string,
  by: string,
): Promise<readonly string[]> {
  const files = await ctx.db
    .select()
    .from(incomingFile)
    .where(eq(incomingFile.mailId, mail.id))
    .orderBy(incomingFile.no);
  const made: string[] = [];
  for (const { no, name, sha256, originalSha256, pages, marks } of files) {
    const [row] = await ctx.db
      .insert(upload)
      .values({
        applicationId,
        sha256,
        originalSha256,
        name,
        pages,
        marks,
        uploadedAt: mail.receivedAt,
        uploadedBy: by,
      })
      .returning({ id: upload.id });
    if (!row) throw new Error("the document was not written");
    await ctx.db
      .update(incomingFile)
      .set({ uploadId: row.id })
      .where(and(eq(incomingFile.mailId, mail.id), eq(incomingFile.no, no)));
    made.push(row.id);
  }
  return made;
}

/** Puts a mail into the conversation of a file, as what its applicant wrote. */
async function intoConversation(
  ctx: ActContext,
  mail: Incoming,
  applicationId: string,
  ownerId: string,
): Promise<void> {
  const [made] = await ctx.db
    .insert(conversation)
    .values({
      applicationId,
      fromOffice: false,
      byId: ownerId,
      text: (mail.written || mail.text || EMPTY).slice(0, MOST_SIGNS),
      at: mail.receivedAt,
      mailId: mail.id,
    })
    .returning({ id: conversation.id });
  if (!made) throw new Error("the message was not written");
  for (const uploadId of await bringFiles(ctx, mail, applicationId, `person:${ownerId}`))
    await ctx.db
      .insert(attachment)
      .values({ applicationId, uploadId, byId: ownerId, at: mail.receivedAt, conversationId: made.id });
}

/** A mail of ours that was answered, with whose file it was about and whether it went to that file's applicant. */
interface Answered {
  readonly applicationId: string;
  readonly ownerId: string;
  readonly toApplicant: boolean;
}

async function answeredBy({ db }: ActContext, ids: readonly string[]): Promise<Answered | null> {
  for (const id of ids) {
    const [row] = await db
      .select({ applicationId: message.applicationId, to: message.personId, ownerId: application.personId })
      .from(message)
      .innerJoin(application, eq(application.id, message.applicationId))
      .where(eq(message.id, id));
    if (row?.applicationId)
      return { applicationId: row.applicationId, ownerId: row.ownerId, toApplicant: row.to === row.ownerId };
  }
  return null;
}

/** The file that a mail seems to be about, by a number in it or by its sender's only file: a guess, because anybody can write both. */
async function guessed({ client }: ActContext, from: string, text: string): Promise<string | null> {
  const { rows } = await client.query<{ id: string }>(
    `select a.id from application a join person p on p.id = a.person_id where a.number = any($1::text[]) or p.email = $2::citext
     order by (a.number = any($1::text[])) desc, a.created_at desc limit 1`,
    [numbersIn(text), from],
  );
  return rows[0]?.id ?? null;
}

const lookedFile = z.object(lookedAt);

const incoming = z.object({
  messageId: z.string().min(1).max(300),
  kind: z.enum(MAIL_KINDS),
  from: z.object({ address: z.string().max(320), name: z.string().max(200) }),
  subject: z.string().max(300),
  text: z.string().max(100_000),
  written: z.string().max(100_000),
  answers: z.array(z.uuid()),
  returned: z.object({ final: z.boolean(), reason: z.string().max(300) }).nullable(),
  files: z.array(lookedFile),
  left: z.array(z.object({ name: z.string().max(255), reason: z.string().max(60) })),
});

async function reportReturned(
  ctx: ActContext,
  { answers, returned }: z.output<typeof incoming>,
): Promise<string | null> {
  for (const id of answers) {
    const [sent] = await ctx.db.select().from(message).where(eq(message.id, id)).for("update");
    if (!sent) continue;
    // A server may report before we know that it has taken the mail.
    if (returned?.final && (sent.state === "sent" || sent.state === "sending"))
      await markRefused(ctx, sent, returned.reason);
    return sent.applicationId;
  }
  return null;
}

/**
 * Takes a mail that came in, once. Whoever answers a mail of ours to an applicant answers in that conversation: they hold the mail, whose
 * id cannot be guessed. Everything else waits for somebody who places it: a sender's address proves nothing, and what a referee answers
 * is not for the applicant.
 */
export const receiveMail = defineAct({
  name: "receive-mail",
  input: incoming,
  may: ({ actor }) => actor.kind === "system",
  run: async (ctx, mail) => {
    const { messageId, kind, from, subject, text, written, left } = mail;
    const row = { messageId, kind, fromAddress: from.address, fromName: from.name, subject, text, written, left };
    const [made] = await ctx.db
      .insert(incomingMail)
      .values({ ...row, receivedAt: ctx.now, outcome: "waiting" })
      .onConflictDoNothing()
      .returning();
    if (!made) return done({ kept: false });
    await keepFiles(ctx, made.id, mail.files);
    const set = (values: Partial<Incoming>) =>
      ctx.db.update(incomingMail).set(values).where(eq(incomingMail.id, made.id));
    if (kind === "returned") {
      const about = await reportReturned(ctx, mail);
      await set({ applicationId: about, outcome: "put away" });
      return done({ kept: true });
    }
    const answered = await answeredBy(ctx, mail.answers);
    if (kind === "automatic") {
      await set({ applicationId: answered?.applicationId ?? null, outcome: answered ? "kept" : "put away" });
      return done({ kept: true });
    }
    if (!answered?.toApplicant || (await wroteEnough(ctx, answered.applicationId))) {
      const about = answered?.applicationId ?? (await guessed(ctx, from.address, `${subject} ${text}`));
      await set({ applicationId: about, toOther: answered !== null && !answered.toApplicant });
      return done({ kept: true });
    }
    const { applicationId, ownerId } = answered;
    await ctx.client.query("select 1 from application where id = $1 for update", [applicationId]);
    await set({ applicationId, outcome: "message" });
    await intoConversation(ctx, made, applicationId, ownerId);
    await ctx.emit("mail-came", applicationId, { mail: made.id });
    await settleFile(ctx, applicationId);
    return done({ kept: true });
  },
});

/** Places a mail that waits: in the conversation of a file, or with the file for the office alone. */
export const placeMail = defineFileAct({
  name: "place-mail",
  input: placeMailInput,
  right: "office",
  about: ({ mailId, as }) => ({ mail: mailId, as }),
  run: async (ctx, file, { mailId, as }) => {
    const [known] = await ctx.db.select().from(incomingMail).where(eq(incomingMail.id, mailId));
    if (!known) return refuse("not-found");
    if (known.toOther && as === "message") return refuse("not-yours");
    const [mail] = await ctx.db
      .update(incomingMail)
      .set({ applicationId: file.id, outcome: as, dealtAt: ctx.now, dealtById: actingId(ctx) })
      .where(and(eq(incomingMail.id, mailId), inArray(incomingMail.outcome, ["waiting", "put away"])))
      .returning();
    if (!mail) return refuse("already-done");
    if (as === "message") await intoConversation(ctx, mail, file.id, file.ownerId);
    else await bringFiles(ctx, mail, file.id, "system");
    return done(null);
  },
});

/** Puts away a mail that belongs to no file; it can be taken out again. */
export const putMailAway = defineAct({
  name: "put-mail-away",
  input: z.object({ mailId: z.uuid(), away: z.boolean() }),
  may: ({ actor }) => holds(actor, OFFICE),
  run: async (ctx, { mailId, away }) => {
    const [from, to] = away ? (["waiting", "put away"] as const) : (["put away", "waiting"] as const);
    const rows = await ctx.db
      .update(incomingMail)
      .set({ outcome: to, dealtAt: away ? ctx.now : null, dealtById: away ? actingId(ctx) : null })
      .where(and(eq(incomingMail.id, mailId), eq(incomingMail.outcome, from)))
      .returning({ id: incomingMail.id });
    if (rows.length === 0) return refuse("already-done");
    await ctx.emit("put-mail-away", null, { mail: mailId, away });
    return done(null);
  },
});
