import { and, eq } from "drizzle-orm";
import { noteKeeperInput } from "../../core/evidence/inputs";
import { keeperNote } from "../../db/schema";
import { done, refuse } from "../act/act";
import { defineFileAct } from "../act/file-act";

/** An officer notes that a value which another system owns is to be changed there, and why; an empty word takes the note back. */
export const noteKeeper = defineFileAct({
  name: "note-keeper",
  input: noteKeeperInput,
  right: "office",
  about: ({ section, entry, field }) => ({ place: `${section}/${entry}/${field}` }),
  run: async (ctx, file, { applicationId, text, ...place }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const { scope, section, entry, field } = place;
    const defined = Object.values(file.rulebooks)
      .flatMap((r) => r.body.sections)
      .find((s) => s.key === section)
      ?.fields.find((f) => f.key === field);
    const claim = file.facts.answers.find(
      (a) => a.scope === scope && a.section === section && a.entry === entry && a.field === field,
    );
    if (!defined?.keptBy || !claim) return refuse("not-found");
    if (text === "") {
      const gone = await ctx.db
        .delete(keeperNote)
        .where(
          and(
            eq(keeperNote.applicationId, applicationId),
            eq(keeperNote.scope, scope),
            eq(keeperNote.section, section),
            eq(keeperNote.entry, entry),
            eq(keeperNote.field, field),
          ),
        )
        .returning({ at: keeperNote.at });
      return gone.length === 0 ? refuse("already-done") : done(null);
    }
    const noted = { text, version: claim.version, byId: ctx.actor.id, at: ctx.now };
    await ctx.db
      .insert(keeperNote)
      .values({ applicationId, ...place, ...noted })
      .onConflictDoUpdate({
        target: [keeperNote.applicationId, keeperNote.scope, keeperNote.section, keeperNote.entry, keeperNote.field],
        set: noted,
      });
    return done(null);
  },
});
