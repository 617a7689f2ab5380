import { and, eq, isNull, sql } from "drizzle-orm";
import { z } from "zod";
import { actorKey } from "../core/rights/actor";
import type { FileEffect } from "../core/rulebook/effect";
import { enqueue } from "../db/queue";
import { rulebook, rulebookPreview } from "../db/schema";
import { defineAct, done, refuse } from "./act";
import { drafts } from "./rulebooks";

/** Asks what publishing a draft would change; a job works it out over all files of the start. */
export const askPreview = defineAct({
  name: "ask-preview",
  input: z.object({ rulebookId: z.uuid() }),
  may: drafts,
  run: async (ctx, { rulebookId }) => {
    const [draft] = await ctx.db.select().from(rulebook).where(eq(rulebook.id, rulebookId));
    if (draft?.status !== "draft") return refuse("not-found");
    const { rows } = await ctx.client.query<{ total: number }>(
      "select count(distinct application_id)::int as total from choice where intake_id = $1 and withdrawn_at is null",
      [draft.intakeId],
    );
    const [made] = await ctx.db
      .insert(rulebookPreview)
      .values({
        rulebookId,
        edit: draft.edit,
        askedAt: ctx.now,
        askedBy: actorKey(ctx.actor),
        total: rows[0]?.total ?? 0,
      })
      .returning({ id: rulebookPreview.id });
    if (!made) throw new Error("the preview was not written");
    await enqueue(ctx.boss, ctx.client, "preview-rulebook", { previewId: made.id });
    return done({ previewId: made.id });
  },
});

/** The job reports how far it is: the effects that it found in one batch, and whether that was the last. */
export const reportPreview = defineAct({
  name: "report-preview",
  input: z.object({
    previewId: z.uuid(),
    looked: z.int().min(0),
    effects: z.custom<readonly FileEffect[]>((v) => Array.isArray(v)),
    finished: z.boolean(),
  }),
  may: (ctx) => ctx.actor.kind === "system",
  run: async (ctx, { previewId, looked, effects, finished }) => {
    await ctx.db
      .update(rulebookPreview)
      .set({
        done: sql`${rulebookPreview.done} + ${looked}`,
        effects: sql`${rulebookPreview.effects} || ${JSON.stringify(effects)}::jsonb`,
        ...(finished ? { finishedAt: ctx.now } : {}),
      })
      .where(and(eq(rulebookPreview.id, previewId), isNull(rulebookPreview.finishedAt)));
    return done(null);
  },
});
