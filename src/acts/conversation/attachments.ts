import { and, count, eq, inArray, isNull, lte, notExists } from "drizzle-orm";
import { z } from "zod";
import { MOST_ATTACHED } from "../../core/conversation/incoming";
import { dropHeldInput } from "../../core/conversation/inputs";
import { MOST_IN_FILE } from "../../core/evidence/limits";
import { holds, OFFICE } from "../../core/rights/actor";
import { dropUnheld } from "../../db/content";
import { attachment, evidence, upload } from "../../db/schema";
import { type ActContext, defineAct, done, type Outcome, refuse } from "../act/act";
import { actingId } from "../act/acting-id";
import { lookedAt, storeUpload } from "../evidence/looked-at";

const held = (applicationId: string, byId: string) =>
  and(eq(attachment.applicationId, applicationId), eq(attachment.byId, byId), isNull(attachment.conversationId));

/** Whose file it is, for its applicant and for the office over it. */
async function mayAttach(ctx: ActContext, applicationId: string): Promise<boolean> {
  if (ctx.actor.kind !== "person") return false;
  const { rows } = await ctx.client.query<{ person: string; programmes: string[] }>(
    `select a.person_id as person, array(select p.code from choice c join intake i on i.id = c.intake_id join programme p on p.id = i.programme_id
       where c.application_id = a.id) as programmes from application a where a.id = $1 for update`,
    [applicationId],
  );
  const [file] = rows;
  return file !== undefined && (file.person === ctx.actor.id || holds(ctx.actor, OFFICE, file.programmes));
}

/** Holds a document for the message that somebody is writing. It is no act on the file: nobody else sees it before the message is sent. */
export const holdAttachment = defineAct({
  name: "hold-attachment",
  input: z.object({ applicationId: z.uuid(), ...lookedAt }),
  may: (ctx, { applicationId }) => mayAttach(ctx, applicationId),
  run: async (ctx, { applicationId, ...document }) => {
    const byId = actingId(ctx);
    if (byId === null) return refuse("not-yours");
    const [mine] = await ctx.db.select({ number: count() }).from(attachment).where(held(applicationId, byId));
    const [all] = await ctx.db.select({ number: count() }).from(upload).where(eq(upload.applicationId, applicationId));
    if ((mine?.number ?? 0) >= MOST_ATTACHED || (all?.number ?? 0) >= MOST_IN_FILE)
      return refuse("document-refused", { document: "too_many" });
    const uploadId = await storeUpload(ctx, applicationId, document);
    await ctx.db.insert(attachment).values({ applicationId, uploadId, byId, at: ctx.now });
    return done({ uploadId });
  },
});

/** Lets go of documents that were held and never sent. */
async function letGo(ctx: ActContext, uploadIds: readonly string[]): Promise<void> {
  if (uploadIds.length === 0) return;
  await ctx.db.delete(attachment).where(inArray(attachment.uploadId, [...uploadIds]));
  const gone = await ctx.db
    .delete(upload)
    .where(
      and(
        inArray(upload.id, [...uploadIds]),
        // What was put to a requirement meanwhile stays there.
        notExists(ctx.db.select({ id: evidence.id }).from(evidence).where(eq(evidence.uploadId, upload.id))),
      ),
    )
    .returning({ sha256: upload.sha256, original: upload.originalSha256 });
  await dropUnheld(
    ctx.client,
    gone.flatMap(({ sha256, original }) => (original ? [sha256, original] : [sha256])),
  );
}

/** Takes a document away from the message that one is writing. */
export const dropHeld = defineAct({
  name: "drop-held",
  input: dropHeldInput,
  may: (ctx, { applicationId }) => mayAttach(ctx, applicationId),
  run: async (ctx, { applicationId, uploadId }) => {
    const [one] = await ctx.db
      .select({ id: attachment.uploadId })
      .from(attachment)
      .where(and(held(applicationId, actingId(ctx) ?? ""), eq(attachment.uploadId, uploadId)));
    if (!one) return refuse("already-done");
    await letGo(ctx, [one.id]);
    return done(null);
  },
});

const DAY_MS = 86_400_000;

/** Lets go of what was chosen for messages that nobody has sent within a day. */
export async function dropForgotten(ctx: ActContext): Promise<number> {
  const rows = await ctx.db
    .select({ id: attachment.uploadId })
    .from(attachment)
    .where(and(isNull(attachment.conversationId), lte(attachment.at, new Date(ctx.now.getTime() - DAY_MS))))
    .limit(500)
    .for("update", { skipLocked: true });
  await letGo(
    ctx,
    rows.map((r) => r.id),
  );
  return rows.length;
}

/** Sends what is held with a message, as it was shown beside it. */
export async function attachHeld(
  ctx: ActContext,
  applicationId: string,
  conversationId: string,
  uploadIds: readonly string[],
): Promise<Outcome<null>> {
  if (uploadIds.length === 0) return done(null);
  const sent = await ctx.db
    .update(attachment)
    .set({ conversationId })
    .where(and(held(applicationId, actingId(ctx) ?? ""), inArray(attachment.uploadId, [...uploadIds])))
    .returning({ id: attachment.id });
  return sent.length === new Set(uploadIds).size ? done(null) : refuse("changed-meanwhile");
}
