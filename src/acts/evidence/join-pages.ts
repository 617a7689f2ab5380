import { and, eq, inArray, isNotNull, isNull, or } from "drizzle-orm";
import { joinPagesInput, takeApartInput } from "../../core/evidence/inputs";
import { MOST_AT_REQUIREMENT } from "../../core/evidence/limits";
import { requirementKey } from "../../core/file/place";
import { evidence, pageLeftOut } from "../../db/schema";
import { type ActContext, done, refuse } from "../act/act";
import { defineFileAct } from "../act/file-act";
import { isSubmitted, placeOf, resultAt, rowsAt } from "../act/place";
import { closeAsks } from "../asks/asks";
import { lookedAt, storeUpload } from "./looked-at";

/** What is left out of the copies of those who assess stays left out in the new document. */
async function keepLeftOut(
  ctx: ActContext,
  uploadId: string,
  sources: readonly { readonly id: string; readonly uploadId: string }[],
  laid: readonly { readonly evidenceId: string; readonly page: number }[],
): Promise<void> {
  const left = await ctx.db
    .select()
    .from(pageLeftOut)
    .where(
      inArray(
        pageLeftOut.uploadId,
        sources.map((s) => s.uploadId),
      ),
    );
  const uploadOf = new Map(sources.map((s) => [s.id, s.uploadId]));
  const again = laid.flatMap(({ evidenceId, page }, i) =>
    left
      .filter((l) => l.uploadId === uploadOf.get(evidenceId) && l.page === page)
      .map((l) => ({ ...l, uploadId, page: i + 1 })),
  );
  if (again.length > 0) await ctx.db.insert(pageLeftOut).values(again);
}

/**
 * Puts pages of several documents together as one, in the order and turned as the officer has laid them. What was sent stays as it was;
 * the documents whose pages were taken make room, and the new one came when the last of them did.
 */
export const joinPages = defineFileAct({
  name: "join-pages",
  input: joinPagesInput.extend(lookedAt),
  right: "office",
  about: (input) => ({ ...placeOf(input), pages: input.laid.length }),
  run: async (ctx, file, { laid, requirement, scope, entry, applicationId: _own, ...document }) => {
    const place = { requirement, scope, entry };
    const result = resultAt(file, place);
    if (result?.kind !== "document" || result.standing === "not needed") return refuse("not-found");
    if (!isSubmitted(file, result) || file.assessment.file.stage === "closed") return refuse("locked");
    const ids = [...new Set(laid.map((p) => p.evidenceId))];
    const sources = await ctx.db
      .select()
      .from(evidence)
      .where(and(inArray(evidence.id, ids), eq(evidence.applicationId, file.id), isNull(evidence.replacedAt)));
    if (sources.length !== ids.length) return refuse("already-done");
    if (sources.some((s) => s.judgement === "accepted")) return refuse("locked");
    const inRange = laid.every(({ evidenceId, page }) =>
      sources.some((s) => s.id === evidenceId && page >= s.firstPage && page <= s.lastPage),
    );
    const distinct = new Set(laid.map(({ evidenceId, page }) => `${evidenceId} ${page}`)).size;
    if (!inRange || distinct !== laid.length || document.pages !== laid.length) return refuse("invalid-input");
    const others = file.facts.evidence.filter(
      (e) => !ids.includes(e.id) && requirementKey(e) === requirementKey(place) && e.judgement === null,
    );
    if (others.length >= MOST_AT_REQUIREMENT) return refuse("document-refused", { document: "too_many" });
    const uploadId = await storeUpload(ctx, file.id, document);
    await keepLeftOut(ctx, uploadId, sources, laid);
    const came = Math.max(...sources.map((s) => s.suppliedAt.getTime()));
    const [joined] = await ctx.db
      .insert(evidence)
      .values({ applicationId: file.id, ...place, uploadId, lastPage: laid.length, suppliedAt: new Date(came) })
      .returning({ id: evidence.id });
    if (!joined) throw new Error("the joined document was not written");
    // What was sent back there makes room for what comes now, as it does for what is uploaded.
    await ctx.db
      .update(evidence)
      .set({ replacedAt: ctx.now, joinedInto: joined.id })
      .where(
        and(
          isNull(evidence.replacedAt),
          or(inArray(evidence.id, ids), and(rowsAt(evidence, file.id, place), isNotNull(evidence.judgement))),
        ),
      );
    await closeAsks(ctx, file.id, place);
    return done({ evidenceId: joined.id });
  },
});

/** Takes a document that was put together apart again, as long as nobody has judged it: what was sent stands where it stood. */
export const takeApart = defineFileAct({
  name: "take-apart",
  input: takeApartInput,
  right: "office",
  about: ({ evidenceId }) => ({ evidence: evidenceId }),
  run: async (ctx, file, { evidenceId }) => {
    const [joined] = await ctx.db
      .select({ judgement: evidence.judgement, replacedAt: evidence.replacedAt })
      .from(evidence)
      .where(and(eq(evidence.id, evidenceId), eq(evidence.applicationId, file.id)));
    if (!joined || joined.replacedAt !== null) return refuse("already-done");
    if (joined.judgement !== null) return refuse("locked");
    const back = await ctx.db
      .update(evidence)
      .set({ replacedAt: null, joinedInto: null })
      .where(and(eq(evidence.joinedInto, evidenceId), eq(evidence.applicationId, file.id)))
      .returning({ id: evidence.id });
    if (back.length === 0) return refuse("nothing-due");
    await ctx.db.update(evidence).set({ replacedAt: ctx.now }).where(eq(evidence.id, evidenceId));
    return done(null);
  },
});
