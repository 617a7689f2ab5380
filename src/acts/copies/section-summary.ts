import { and, eq } from "drizzle-orm";
import { leaveOutPageInput, writeSummaryInput } from "../../core/copies/inputs";
import { pageLeftOut, sectionSummary, upload } from "../../db/schema";
import { done, refuse } from "../act/act";
import { defineFileAct } from "../act/file-act";

/** Says in short what a section of the form holds, for those who assess; an empty word takes it back. */
export const writeSummary = defineFileAct({
  name: "write-summary",
  input: writeSummaryInput,
  right: "office",
  about: ({ section }) => ({ section }),
  run: async (ctx, file, { applicationId, scope, section, text }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    if (!file.facts.answers.some((a) => a.scope === scope && a.section === section)) return refuse("not-found");
    if (text === "") {
      const gone = await ctx.db
        .delete(sectionSummary)
        .where(
          and(
            eq(sectionSummary.applicationId, applicationId),
            eq(sectionSummary.scope, scope),
            eq(sectionSummary.section, section),
          ),
        )
        .returning({ at: sectionSummary.at });
      return gone.length === 0 ? refuse("already-done") : done(null);
    }
    const written = { text, byId: ctx.actor.id, at: ctx.now };
    await ctx.db
      .insert(sectionSummary)
      .values({ applicationId, scope, section, ...written })
      .onConflictDoUpdate({
        target: [sectionSummary.applicationId, sectionSummary.scope, sectionSummary.section],
        set: written,
      });
    return done(null);
  },
});

/** Leaves a page of a document out of the copies of those who assess, or puts it back in. */
export const leaveOutPage = defineFileAct({
  name: "leave-out-page",
  input: leaveOutPageInput,
  right: "office",
  about: ({ uploadId, page, out }) => ({ document: uploadId, page, out }),
  run: async (ctx, file, { uploadId, page, out }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const [known] = await ctx.db
      .select({ pages: upload.pages })
      .from(upload)
      .where(and(eq(upload.id, uploadId), eq(upload.applicationId, file.id)));
    if (!known || (known.pages !== null && page > known.pages)) return refuse("not-found");
    const at = and(eq(pageLeftOut.uploadId, uploadId), eq(pageLeftOut.page, page));
    const left = await ctx.db.select({ page: pageLeftOut.page }).from(pageLeftOut).where(at);
    if (left.length > 0 === out) return refuse("already-done");
    if (out) await ctx.db.insert(pageLeftOut).values({ uploadId, page, byId: ctx.actor.id, at: ctx.now });
    else await ctx.db.delete(pageLeftOut).where(at);
    return done(null);
  },
});
