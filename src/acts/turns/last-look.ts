import { eq, sql } from "drizzle-orm";
import { z } from "zod";
import { holds, OFFICE } from "../../core/rights/actor";
import { lastLook } from "../../db/schema";
import { defineAct, done, refuse } from "../act/act";

/** Says that one has seen what had come in when the list was read: what comes later is new. It never goes back behind an earlier look. */
export const noteLook = defineAct({
  name: "note-look",
  input: z.object({ at: z.iso.datetime() }),
  may: ({ actor }) => actor.kind === "person" && holds(actor, OFFICE),
  run: async (ctx, { at }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const read = new Date(at);
    if (read > ctx.now) return refuse("invalid-input");
    const noted = await ctx.db
      .insert(lastLook)
      .values({ personId: ctx.actor.id, at: read })
      .onConflictDoUpdate({
        target: lastLook.personId,
        set: { at: read, before: sql`${lastLook.at}` },
        setWhere: sql`${lastLook.at} < ${read}`,
      })
      .returning({ at: lastLook.at });
    return noted.length === 0 ? refuse("already-done") : done(null);
  },
});

/** Takes the last look back, once: what came in since the one before it is new again. */
export const takeLookBack = defineAct({
  name: "take-look-back",
  input: z.object({}),
  may: ({ actor }) => actor.kind === "person" && holds(actor, OFFICE),
  run: async (ctx) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const mine = eq(lastLook.personId, ctx.actor.id);
    const [look] = await ctx.db.select().from(lastLook).where(mine).for("update");
    if (!look) return refuse("already-done");
    if (look.before === null) await ctx.db.delete(lastLook).where(mine);
    else await ctx.db.update(lastLook).set({ at: look.before, before: null }).where(mine);
    return done(null);
  },
});
