import { and, eq } from "drizzle-orm";
import { takeBackLineInput } from "../../core/form/inputs";
import { confirmation } from "../../db/schema";
import { done, refuse } from "../act/act";
import { defineFileAct } from "../act/file-act";

/** Takes out a line that an officer added from a document. One that the applicant has claimed stays, whatever was confirmed of it. */
export const takeBackLine = defineFileAct({
  name: "take-back-line",
  input: takeBackLineInput,
  right: "office",
  about: ({ section, entry }) => ({ line: `${section}/${entry}` }),
  run: async (ctx, file, { scope, section, entry }) => {
    const here = (place: { scope: string; section: string; entry: string }) =>
      place.scope === scope && place.section === section && place.entry === entry;
    if (file.facts.answers.some(here)) return refuse("locked");
    const gone = await ctx.db
      .delete(confirmation)
      .where(
        and(
          eq(confirmation.applicationId, file.id),
          eq(confirmation.scope, scope),
          eq(confirmation.section, section),
          eq(confirmation.entry, entry),
        ),
      )
      .returning({ field: confirmation.field });
    return gone.length > 0 ? done({ fields: gone.length }) : refuse("not-found");
  },
});
