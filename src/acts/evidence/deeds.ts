import { doDeedInput, undoDeedInput } from "../../core/evidence/inputs";
import { deed } from "../../db/schema";
import { done, refuse } from "../act/act";
import { defineFileAct } from "../act/file-act";
import { isSubmitted, placeOf, resultAt, rowsAt } from "../act/place";

/** The office says that it has done what a rulebook has it do, and what that was. */
export const doDeed = defineFileAct({
  name: "do-deed",
  input: doDeedInput,
  right: "office",
  about: placeOf,
  run: async (ctx, file, { note, ...input }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const at = placeOf(input);
    const result = resultAt(file, at);
    if (result?.kind !== "deed" || result.standing === "not needed") return refuse("not-found");
    if (!isSubmitted(file, result)) return refuse("locked");
    if (result.standing === "accepted") return refuse("already-done");
    await ctx.db.insert(deed).values({ applicationId: file.id, ...at, note, byId: ctx.actor.id, at: ctx.now });
    return done(null);
  },
});

/** It was not done after all. */
export const undoDeed = defineFileAct({
  name: "undo-deed",
  input: undoDeedInput,
  right: "office",
  about: placeOf,
  run: async (ctx, file, input) => {
    const gone = await ctx.db
      .delete(deed)
      .where(rowsAt(deed, file.id, placeOf(input)))
      .returning();
    return gone.length === 0 ? refuse("already-done") : done(null);
  },
});
