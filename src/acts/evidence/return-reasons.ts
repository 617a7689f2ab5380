import { randomUUID } from "node:crypto";
import { and, asc, eq } from "drizzle-orm";
import { type KeptReason, saveReasonInput } from "../../core/evidence/return-reasons";
import { holds } from "../../core/rights/actor";
import { returnReason } from "../../db/schema";
import { BUILT_IN_REASONS, reasonsNow } from "../../text/words/return-reasons";
import { type ActContext, defineAct, done, refuse } from "../act/act";

const COLUMNS = {
  key: returnReason.key,
  title: returnReason.title,
  words: returnReason.words,
  offered: returnReason.offered,
  version: returnReason.version,
};

/** The reasons as they are now, those included that may not be chosen. */
export async function currentReasons({ db }: Pick<ActContext, "db">): Promise<readonly KeptReason[]> {
  return reasonsNow(await db.select(COLUMNS).from(returnReason).orderBy(asc(returnReason.at), asc(returnReason.key)));
}

/** Keeps a reason for which documents go back: a new one, or one in other words. The later of two writers is told. */
export const saveReason = defineAct({
  name: "save-reason",
  input: saveReasonInput,
  may: ({ actor }) => holds(actor, ["lead officer"]),
  run: async (ctx, { key, version, ...reason }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const row = { ...reason, version: version + 1, byId: ctx.actor.id, at: ctx.now };
    const own = key ?? `own-${randomUUID()}`;
    if (key !== null && version > 0) {
      const changed = await ctx.db
        .update(returnReason)
        .set(row)
        .where(and(eq(returnReason.key, key), eq(returnReason.version, version)))
        .returning({ key: returnReason.key });
      if (changed.length === 0) return refuse("changed-meanwhile");
    } else {
      if (key !== null && !BUILT_IN_REASONS.some((r) => r.key === key)) return refuse("not-found");
      const made = await ctx.db
        .insert(returnReason)
        .values({ key: own, ...row })
        .onConflictDoNothing()
        .returning();
      if (made.length === 0) return refuse("changed-meanwhile");
    }
    await ctx.emit("save-reason", null, { reason: own });
    return done({ key: own });
  },
});
