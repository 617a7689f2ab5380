import { and, eq, sql } from "drizzle-orm";
import { z } from "zod";
import { actorKey } from "../../core/rights/actor";
import { type ReferenceSet, referenceDraftSchema, referenceSetSchema } from "../../core/standards/reference-set";
import { problemsOfReferenceSet } from "../../db/queries/office";
import { enqueue } from "../../db/queue";
import { officeReference, referenceDraft } from "../../db/schema";
import { type ActContext, defineAct, done, refuse } from "../act/act";
import { keeps } from "../act/office-rights";

async function putInForce(ctx: ActContext, body: ReferenceSet, note: string): Promise<number> {
  const [last] = await ctx.db
    .select({ version: sql<number>`coalesce(max(${officeReference.version}), 0)::int` })
    .from(officeReference);
  const version = (last?.version ?? 0) + 1;
  await ctx.db.insert(officeReference).values({ version, body, note, createdAt: ctx.now, madeBy: actorKey(ctx.actor) });
  await enqueue(ctx.boss, ctx.client, "reassess-aged", {});
  return version;
}

/** Two who put something in force at once do it one after the other. */
const lockVersions = (ctx: ActContext) =>
  ctx.client.query("select pg_advisory_xact_lock(hashtext('office_reference'))");

/** Loads a new version of the office's reference set, whole; older versions stay for what was assessed by them. */
export const loadReferenceSet = defineAct({
  name: "load-reference-set",
  input: referenceSetSchema,
  may: keeps,
  run: async (ctx, body) => {
    await lockVersions(ctx);
    const version = await putInForce(ctx, body, "");
    await ctx.emit("load-reference-set", null, { version });
    return done({ version });
  },
});

/** Begins the draft of the next version as a copy of the one in force. There is one draft at a time. */
export const draftReferenceSet = defineAct({
  name: "draft-reference-set",
  input: z.object({}),
  may: keeps,
  run: async (ctx) => {
    const { version, set } = await ctx.office();
    const made = await ctx.db
      .insert(referenceDraft)
      .values({ base: version, body: set, begunAt: ctx.now, editedAt: ctx.now, editedBy: actorKey(ctx.actor) })
      .onConflictDoNothing()
      .returning({ edit: referenceDraft.edit });
    if (!made[0]) return refuse("already-done");
    await ctx.emit("draft-reference-set", null, { base: version });
    return done({ edit: made[0].edit });
  },
});

/** Writes the draft anew. Somebody who edited meanwhile is not overwritten: the second writer is told. */
export const editReferenceSet = defineAct({
  name: "edit-reference-set",
  input: z.object({ edit: z.int(), body: referenceDraftSchema }),
  may: keeps,
  run: async (ctx, { edit, body }) => {
    const changed = await ctx.db
      .update(referenceDraft)
      .set({ body, edit: sql`${referenceDraft.edit} + 1`, editedAt: ctx.now, editedBy: actorKey(ctx.actor) })
      .where(and(eq(referenceDraft.id, 1), eq(referenceDraft.edit, edit)))
      .returning({ edit: referenceDraft.edit });
    if (changed[0]) return done({ edit: changed[0].edit });
    const [now] = await ctx.db.select({ edit: referenceDraft.edit }).from(referenceDraft);
    return refuse(now ? "changed-meanwhile" : "already-done");
  },
});

export const dropReferenceDraft = defineAct({
  name: "drop-reference-draft",
  input: z.object({}),
  may: keeps,
  run: async (ctx) => {
    const gone = await ctx.db.delete(referenceDraft).returning({ base: referenceDraft.base });
    if (!gone[0]) return refuse("not-found");
    await ctx.emit("drop-reference-draft", null, { base: gone[0].base });
    return done(null);
  },
});

/**
 * Puts the draft in force as the next version: every file is then assessed anew, by a job. What was submitted keeps the group that it
 * was submitted in.
 */
export const publishReferenceSet = defineAct({
  name: "publish-reference-set",
  input: z.object({ edit: z.int(), note: z.string().trim().min(1).max(500) }),
  may: keeps,
  run: async (ctx, { edit, note }) => {
    await lockVersions(ctx);
    const [draft] = await ctx.db.select().from(referenceDraft).for("update");
    if (!draft) return refuse("already-done");
    if (draft.edit !== edit) return refuse("changed-meanwhile");
    const { version: inForce } = await ctx.office();
    if (draft.base !== inForce) return refuse("changed-meanwhile", { version: inForce });
    const problems = await problemsOfReferenceSet(ctx.client, draft.body);
    if (problems.length > 0)
      return refuse("invalid-input", { fields: problems.map((p) => `${p.code}: ${p.area} ${p.about}`) });
    const version = await putInForce(ctx, referenceSetSchema.parse(draft.body), note);
    await ctx.db.delete(referenceDraft);
    await ctx.emit("publish-reference-set", null, { version, note });
    return done({ version });
  },
});
