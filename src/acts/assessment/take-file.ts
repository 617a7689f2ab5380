import { eq } from "drizzle-orm";
import { takeFileInput } from "../../core/assessment/inputs";
import { application, fileStanding } from "../../db/schema";
import { done } from "../act/act";
import { defineFileAct } from "../act/file-act";

/** Takes a file into one's own hands, or lets it go. */
export const takeFile = defineFileAct({
  name: "take-file",
  input: takeFileInput,
  right: "office",
  about: ({ mine }) => ({ mine }),
  run: async (ctx, file, { mine }) => {
    const officerId = mine && ctx.actor.kind === "person" ? ctx.actor.id : null;
    await ctx.db.update(application).set({ officerId }).where(eq(application.id, file.id));
    await ctx.db.update(fileStanding).set({ officerId }).where(eq(fileStanding.applicationId, file.id));
    return done(null);
  },
});
