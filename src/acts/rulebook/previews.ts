import { and, eq, isNull, sql } from "drizzle-orm";
import { z } from "zod";
import type { FileEffect } from "../../core/difference/effect";
import { actorKey } from "../../core/rights/actor";
import { problemsOfReferenceSet } from "../../db/queries/office";
import { enqueue } from "../../db/queue";
import { preview, referenceDraft, rulebook } from "../../db/schema";
import { type ActContext, defineAct, done, refuse } from "../act/act";
import { drafts, keeps } from "../act/office-rights";

async function begin(ctx: ActContext, rulebookId: string | null, edit: number, total: number): Promise<string> {
  const [made] = await ctx.db
    .insert(preview)
    .values({ rulebookId, edit, askedAt: ctx.now, askedBy: actorKey(ctx.actor), total })
    .returning({ id: preview.id });
  if (!made) throw new Error("the preview was not written");
  await enqueue(ctx.boss, ctx.client, "preview", { previewId: made.id });
  return made.id;
}

/** Asks what publishing a draft would change; a job works it out over all files of the start. */
export const askPreview = defineAct({
  name: "ask-preview",
  input: z.object({ rulebookId: z.uuid() }),
  may: drafts(({ rulebookId }) => ["rulebook", rulebookId]),
  run: async (ctx, { rulebookId }) => {
    const [draft] = await ctx.db.select().from(rulebook).where(eq(rulebook.id, rulebookId));
    if (draft?.status !== "draft") return refuse("not-found");
    const { rows } = await ctx.client.query<{ total: number }>(
      "select count(distinct application_id)::int as total from choice where intake_id = $1 and withdrawn_at is null",
      [draft.intakeId],
    );
    return done({ previewId: await begin(ctx, rulebookId, draft.edit, rows[0]?.total ?? 0) });
  },
});

/** Asks what putting the draft of the reference set in force would change; a job works it out over all open files. */
export const askReferencePreview = defineAct({
  name: "ask-reference-preview",
  input: z.object({}),
  may: keeps,
  run: async (ctx) => {
    const [draft] = await ctx.db.select().from(referenceDraft);
    if (!draft) return refuse("not-found");
    const problems = await problemsOfReferenceSet(ctx.client, draft.body);
    if (problems.length > 0) return refuse("invalid-input", { fields: problems.map((p) => `${p.code}: ${p.about}`) });
    const { rows } = await ctx.client.query<{ total: number }>(
      "select count(*)::int as total from file_standing where stage <> 'closed'",
    );
    return done({ previewId: await begin(ctx, null, draft.edit, rows[0]?.total ?? 0) });
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
    const noted = await ctx.db
      .update(preview)
      .set({
        done: sql`${preview.done} + ${looked}`,
        ...(finished ? { finishedAt: ctx.now } : {}),
      })
      .where(and(eq(preview.id, previewId), isNull(preview.finishedAt)))
      .returning({ id: preview.id });
    if (!noted[0]) return done(null);
    await ctx.client.query(
      `insert into preview_effect (preview_id, number, choice_id, effect)
       select $1, x->>'number', (x->>'choiceId')::uuid, x from jsonb_array_elements($2::jsonb) x on conflict do nothing`,
      [previewId, JSON.stringify(effects)],
    );
    return done(null);
  },
});
