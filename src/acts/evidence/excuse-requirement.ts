import { excuseRequirementInput } from "../../core/evidence/inputs";
import { excuse } from "../../db/schema";
import { done, refuse } from "../act/act";
import { defineFileAct } from "../act/file-act";
import { placeOf, resultAt } from "../act/place";
import { closeAsks } from "../asks/asks";

/** Excuses a requirement with a reason, and ends what was asked for there; waiving a fee is for a lead officer. */
export const excuseRequirement = defineFileAct({
  name: "excuse-requirement",
  input: excuseRequirementInput,
  right: "office",
  about: placeOf,
  run: async (ctx, file, { reason, ...input }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const at = placeOf(input);
    const result = resultAt(file, at);
    if (!result) return refuse("not-found");
    const lead = ctx.actor.grants.some(
      (g) => g.role === "lead officer" && (g.scope === "*" || file.programmes.includes(g.scope)),
    );
    if (result.kind === "fee" && !lead) return refuse("not-yours");
    const row = { applicationId: file.id, ...at, reason, byId: ctx.actor.id, at: ctx.now };
    await ctx.db.insert(excuse).values(row).onConflictDoNothing();
    await closeAsks(ctx, file.id, at);
    return done(null);
  },
});
