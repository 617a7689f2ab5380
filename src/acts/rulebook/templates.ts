import { z } from "zod";
import { actorKey, DRAFTERS, holds } from "../../core/rights/actor";
import { storeContent } from "../../db/content";
import { template } from "../../db/schema";
import { defineAct, done, refuse } from "../act/act";
import { lookedAt } from "../evidence/looked-at";

/**
 * Keeps a form that applicants, schools or doctors fill in. Everybody can download it, so it has to be a PDF that runs nothing; the same
 * bytes are kept once.
 */
export const storeTemplate = defineAct({
  name: "store-template",
  input: z.object(lookedAt),
  may: ({ actor }) => actor.kind === "system" || holds(actor, DRAFTERS),
  run: async (ctx, { name, bytes, mediaType, marks }) => {
    if (mediaType !== "application/pdf") return refuse("document-refused", { document: "not_a_form" });
    if (marks.includes("active_content")) return refuse("document-refused", { document: "active_content" });
    const sha256 = await storeContent(ctx.client, bytes, mediaType);
    await ctx.db
      .insert(template)
      .values({ sha256, name, storedAt: ctx.now, storedBy: actorKey(ctx.actor) })
      .onConflictDoNothing();
    await ctx.emit("store-template", null, { sha256 });
    return done({ sha256, name });
  },
});
