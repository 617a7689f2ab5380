import { and, eq, inArray, isNull } from "drizzle-orm";
import { changesFiling, coversAll } from "../../core/evidence/filing";
import { filePagesInput, putTogetherInput } from "../../core/evidence/inputs";
import { MOST_AT_REQUIREMENT } from "../../core/evidence/limits";
import { requirementKey } from "../../core/file/place";
import { evidence } from "../../db/schema";
import { done, refuse } from "../act/act";
import { defineFileAct } from "../act/file-act";
import { isSubmitted, placeOf, resultAt } from "../act/place";
import { closeAsks } from "../asks/asks";
import { replaceOld } from "./upload-document";

/**
 * Files the pages of a document where they belong: each run of pages becomes evidence of its requirement, to be looked at there. The
 * document itself stays as it was sent, and each part came when it came.
 */
export const filePages = defineFileAct({
  name: "file-pages",
  input: filePagesInput,
  right: "office",
  about: ({ evidenceId, parts }) => ({
    evidence: evidenceId,
    parts: parts.map(({ requirement, firstPage, lastPage }) => `${requirement} ${firstPage}-${lastPage}`),
  }),
  run: async (ctx, file, { evidenceId, parts }) => {
    const [whole] = await ctx.db
      .select()
      .from(evidence)
      .where(and(eq(evidence.id, evidenceId), eq(evidence.applicationId, file.id), isNull(evidence.replacedAt)));
    if (!whole) return refuse("already-done");
    if (whole.judgement === "accepted") return refuse("locked");
    if (!coversAll(whole.firstPage, whole.lastPage, parts)) return refuse("invalid-input");
    if (!changesFiling(whole, parts)) return refuse("nothing-due");
    const results = parts.map((part) => resultAt(file, part));
    if (!results.every((r) => r?.kind === "document" && r.standing !== "not needed" && isSubmitted(file, r)))
      return refuse("not-found");
    const places = parts.map(placeOf);
    const here = (key: string) =>
      places.filter((p) => requirementKey(p) === key).length +
      file.facts.evidence.filter((e) => e.id !== evidenceId && requirementKey(e) === key).length;
    if (places.some((p) => here(requirementKey(p)) > MOST_AT_REQUIREMENT))
      return refuse("document-refused", { document: "too_many" });
    await ctx.db.update(evidence).set({ replacedAt: ctx.now }).where(eq(evidence.id, evidenceId));
    for (const place of places) {
      await replaceOld(ctx, file, place);
      await closeAsks(ctx, file.id, place);
    }
    await ctx.db.insert(evidence).values(
      parts.map((part) => ({
        applicationId: file.id,
        ...placeOf(part),
        uploadId: whole.uploadId,
        firstPage: part.firstPage,
        lastPage: part.lastPage,
        suppliedAt: whole.suppliedAt,
        partOf: whole.id,
      })),
    );
    return done({ parts: parts.length });
  },
});

/** Puts the parts of a document together again where it stood, as long as none of them was judged or sorted further. */
export const putTogether = defineFileAct({
  name: "put-together",
  input: putTogetherInput,
  right: "office",
  about: ({ evidenceId }) => ({ evidence: evidenceId }),
  run: async (ctx, file, { evidenceId }) => {
    const parts = await ctx.db
      .select({ id: evidence.id, judgement: evidence.judgement, replacedAt: evidence.replacedAt })
      .from(evidence)
      .where(and(eq(evidence.partOf, evidenceId), eq(evidence.applicationId, file.id)));
    const standing = parts.filter((p) => p.replacedAt === null);
    if (standing.length === 0) return refuse("already-done");
    // A part that was judged, or for which another came, is not undone by putting the document back.
    if (standing.length !== parts.length || parts.some((p) => p.judgement !== null)) return refuse("locked");
    const ids = parts.map((p) => p.id);
    await ctx.db.delete(evidence).where(inArray(evidence.id, ids));
    await ctx.db.update(evidence).set({ replacedAt: null }).where(eq(evidence.id, evidenceId));
    return done(null);
  },
});
