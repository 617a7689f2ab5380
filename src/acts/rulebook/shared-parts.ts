import { and, eq, sql } from "drizzle-orm";
import { z } from "zod";
import { actorKey } from "../../core/rights/actor";
import { AREA_KEYS, copyOfPart, partsIn, sharedPartSchema, sharedWith, withParts } from "../../core/rulebook/parts";
import { EMPTY_RULEBOOK } from "../../core/rulebook/rulebook";
import { rulebook, sharedPart } from "../../db/schema";
import { type ActContext, defineAct, done, refuse } from "../act/act";
import { draftsAll } from "../act/office-rights";
import { allParts } from "./rulebooks";

/** Drafts follow the part at once; whoever has one of them open is told that it changed. Published rulebooks keep their copy. */
async function followInDrafts(ctx: ActContext, key: string): Promise<number> {
  const parts = await allParts(ctx);
  const rows = await ctx.db.select().from(rulebook).where(eq(rulebook.status, "draft")).for("update");
  const following = rows.filter((r) => partsIn(r.body).includes(key));
  for (const { id, body } of following)
    await ctx.db
      .update(rulebook)
      .set({ body: withParts(body, parts), edit: sql`${rulebook.edit} + 1` })
      .where(eq(rulebook.id, id));
  return following.length;
}

/** Makes a shared part, or writes it anew. Of two who write at once the second is told, and nothing is overwritten. */
export const savePart = defineAct({
  name: "save-part",
  input: sharedPartSchema.extend({ edit: z.int().nullable() }),
  may: draftsAll,
  run: async (ctx, { edit, ...part }) => {
    const written = { ...part, editedAt: ctx.now, editedBy: actorKey(ctx.actor) };
    const rows =
      edit === null
        ? await ctx.db.insert(sharedPart).values(written).onConflictDoNothing().returning({ edit: sharedPart.edit })
        : await ctx.db
            .update(sharedPart)
            .set({ ...written, edit: sql`${sharedPart.edit} + 1` })
            .where(and(eq(sharedPart.key, part.key), eq(sharedPart.edit, edit)))
            .returning({ edit: sharedPart.edit });
    const [row] = rows;
    if (!row) return refuse(edit === null ? "already-done" : "changed-meanwhile");
    const followed = await followInDrafts(ctx, part.key);
    await ctx.emit("save-part", null, { part: part.key, edit: row.edit, drafts: followed });
    return done({ edit: row.edit, drafts: followed });
  },
});

/**
 * Shares one element of a draft: into a part that is there, or as a part of its own. The draft’s element becomes a copy of it, and
 * other drafts that hold the part get it, too.
 */
export const shareElement = defineAct({
  name: "share-element",
  input: z.object({
    rulebookId: z.uuid(),
    edit: z.int(),
    area: z.enum(AREA_KEYS),
    key: z.string().max(60),
    into: sharedPartSchema.shape.key.nullable(),
  }),
  may: draftsAll,
  run: async (ctx, { rulebookId, edit, area, key, into }) => {
    const [draft] = await ctx.db.select().from(rulebook).where(eq(rulebook.id, rulebookId)).for("update");
    if (!draft) return refuse("not-found");
    if (draft.status !== "draft") return refuse("already-done");
    if (draft.edit !== edit) return refuse("changed-meanwhile");
    const element = draft.body[area].find((e) => e.key === key);
    if (!element) return refuse("not-found");
    const parts = await allParts(ctx);
    const known = parts.find((p) => p.key === (into ?? key));
    if (into === null ? known : !known) return refuse(into === null ? "already-done" : "not-found");
    const part = sharedPartSchema.safeParse(
      sharedWith(known ?? { key, title: element.title, body: EMPTY_RULEBOOK }, area, element),
    );
    if (!part.success) return refuse("invalid-input", { fields: ["title"] });
    const written = { ...part.data, editedAt: ctx.now, editedBy: actorKey(ctx.actor) };
    await ctx.db
      .insert(sharedPart)
      .values(written)
      .onConflictDoUpdate({ target: sharedPart.key, set: { ...written, edit: sql`${sharedPart.edit} + 1` } });
    const body = copyOfPart(draft.body, area, key, part.data.key);
    await ctx.db.update(rulebook).set({ body }).where(eq(rulebook.id, rulebookId));
    await followInDrafts(ctx, part.data.key);
    const [now] = await ctx.db.select().from(rulebook).where(eq(rulebook.id, rulebookId));
    if (!now) throw new Error("a draft went away while it was locked");
    await ctx.emit("share-element", null, { rulebook: rulebookId, part: part.data.key, area, key });
    return done({ edit: now.edit, body: now.body });
  },
});

/** Gives a shared part up: what rulebooks hold of it stays as it is. */
export const dropPart = defineAct({
  name: "drop-part",
  input: z.object({ key: sharedPartSchema.shape.key }),
  may: draftsAll,
  run: async (ctx, { key }) => {
    const gone = await ctx.db.delete(sharedPart).where(eq(sharedPart.key, key)).returning({ key: sharedPart.key });
    if (!gone[0]) return refuse("not-found");
    await ctx.emit("drop-part", null, { part: key });
    return done(null);
  },
});
