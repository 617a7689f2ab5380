import { and, eq } from "drizzle-orm";
import { dropTextInput, saveTextInput } from "../../core/conversation/inputs";
import { unknownFields } from "../../core/conversation/merge";
import { holds } from "../../core/rights/actor";
import { officeText } from "../../db/schema";
import { defineAct, done, refuse } from "../act/act";

/** Saves a text that officers write often. One with a field that there is not is refused, and so is the later of two writers. */
export const saveText = defineAct({
  name: "save-text",
  input: saveTextInput,
  may: (ctx) => holds(ctx.actor, ["lead officer"]),
  run: async (ctx, { textId, version, ...text }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const unknown = [...new Set([...unknownFields(text.en), ...unknownFields(text.fr)])];
    if (unknown.length > 0) return refuse("unknown-field", { fields: unknown });
    const [named] = await ctx.db.select({ id: officeText.id }).from(officeText).where(eq(officeText.name, text.name));
    if (named && named.id !== textId) return refuse("already-done");
    const row = { ...text, byId: ctx.actor.id, at: ctx.now };
    if (textId === null) {
      const [made] = await ctx.db.insert(officeText).values(row).returning({ id: officeText.id });
      if (!made) throw new Error("the text was not written");
      await ctx.emit("save-text", null, { text: made.id });
      return done({ textId: made.id });
    }
    const changed = await ctx.db
      .update(officeText)
      .set({ ...row, version: (version ?? 0) + 1 })
      .where(and(eq(officeText.id, textId), eq(officeText.version, version ?? 0)))
      .returning({ id: officeText.id });
    if (!changed[0]) return refuse("changed-meanwhile");
    await ctx.emit("save-text", null, { text: textId });
    return done({ textId });
  },
});

/** Takes a text away. What was written with it stays as it was sent. */
export const dropText = defineAct({
  name: "drop-text",
  input: dropTextInput,
  may: (ctx) => holds(ctx.actor, ["lead officer"]),
  run: async (ctx, { textId }) => {
    const gone = await ctx.db.delete(officeText).where(eq(officeText.id, textId)).returning({ id: officeText.id });
    if (!gone[0]) return refuse("not-found");
    await ctx.emit("drop-text", null, { text: textId });
    return done(null);
  },
});
