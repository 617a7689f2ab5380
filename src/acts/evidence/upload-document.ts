import { and, eq, isNull } from "drizzle-orm";
import { z } from "zod";
import { MOST_AT_REQUIREMENT, MOST_IN_FILE } from "../../core/evidence/limits";
import { growingSections, maySupply } from "../../core/evidence/may-supply";
import { type RequirementPlace, requirementPlace } from "../../core/file/place";
import type { DocumentRequirement } from "../../core/rulebook/requirement";
import { marksHere, notTaken } from "../../core/rulebook/takes";
import { evidence, paper } from "../../db/schema";
import { type ActContext, done, refuse } from "../act/act";
import { defineFileAct, type OpenFile } from "../act/file-act";
import { isSubmitted, placeOf, resultAt, rowsAt } from "../act/place";
import { closeAsks } from "../asks/asks";
import { mailApplicant } from "../mail/queue-mail";
import { type LookedAt, lookedAt, storeUpload } from "./looked-at";

const input = z.object({ applicationId: z.uuid(), ...requirementPlace, ...lookedAt });

/** What was sent back, or is replaced by a higher proof, makes room for what comes now; it stays in the history. */
export async function replaceOld(ctx: ActContext, file: OpenFile, place: RequirementPlace): Promise<void> {
  const returned = file.facts.evidence.some(
    (e) =>
      e.requirement === place.requirement && e.scope === place.scope && e.entry === place.entry && e.judgement !== null,
  );
  if (!returned) return;
  await ctx.db
    .update(evidence)
    .set({ replacedAt: ctx.now })
    .where(and(rowsAt(evidence, file.id, place), isNull(evidence.replacedAt)));
}

function askedAt(file: OpenFile, requirement: string): DocumentRequirement | null {
  const asked = Object.values(file.rulebooks)
    .flatMap((r) => r.body.requirements)
    .find((r) => r.key === requirement);
  return asked?.kind === "document" ? asked : null;
}

/**
 * Why a document is not taken where it is sent, as the code of its sentence; null where it is. The office puts in what came, whatever its
 * kind and length: a bundle is sorted there.
 */
function refusedAt(asked: DocumentRequirement | null, document: LookedAt, byOffice: boolean): string | null {
  const { picture, mediaType, pages, marks } = document;
  const wanted = asked?.picture;
  if (wanted && !(picture?.width === wanted.width && picture.height === wanted.height)) return "picture_only";
  if (byOffice) return null;
  const sent = document.original ?? document;
  return notTaken(asked?.takes ?? {}, { mediaType, pages, marks, bytes: sent.bytes.length });
}

/** Keeps a document that has been looked at, and links it to the requirement that it answers. An open ask for it is answered. */
async function take(ctx: ActContext, file: OpenFile, document: z.output<typeof input>, byOffice: boolean) {
  const place = placeOf(document);
  const asked = askedAt(file, place.requirement);
  const refused = refusedAt(asked, document, byOffice);
  if (refused !== null) return refuse("document-refused", { document: refused, pages: asked?.takes?.mostPages ?? 0 });
  const here = file.facts.evidence.filter(
    (e) => e.requirement === place.requirement && e.scope === place.scope && e.entry === place.entry,
  );
  const { rows } = await ctx.client.query<{ kept: number }>(
    "select count(*)::int as kept from upload where application_id = $1",
    [file.id],
  );
  if (here.length >= MOST_AT_REQUIREMENT || (rows[0]?.kept ?? 0) >= MOST_IN_FILE)
    return refuse("document-refused", { document: "too_many" });
  const uploadId = await storeUpload(ctx, file.id, { ...document, marks: marksHere(asked?.takes ?? {}, document) });
  await replaceOld(ctx, file, place);
  await ctx.db
    .insert(evidence)
    .values({ applicationId: file.id, ...place, uploadId, lastPage: document.pages, suppliedAt: ctx.now });
  await closeAsks(ctx, file.id, place);
  return done({ uploadId });
}

/** Takes a document of the applicant's. */
export const uploadDocument = defineFileAct({
  name: "upload-document",
  input,
  right: "applicant",
  about: placeOf,
  run: async (ctx, file, document) => {
    const growing = growingSections(file.facts, file.rulebooks);
    if (!maySupply(file.facts, file.assessment, placeOf(document), growing)) return refuse("locked");
    return take(ctx, file, document, false);
  },
});

const supplied = input.extend({
  /** The paper of which it is the scan; null for what came otherwise. */
  paperId: z.uuid().nullable().default(null),
});

/** Ties a scan to its paper, of which the applicant is told anyway. */
async function tieScan(ctx: ActContext, file: OpenFile, paperId: string, uploadId: string): Promise<boolean> {
  const tied = await ctx.db
    .update(paper)
    .set({ uploadId })
    .where(and(eq(paper.id, paperId), eq(paper.applicationId, file.id), isNull(paper.uploadId)))
    .returning({ id: paper.id });
  return tied.length > 0;
}

/** Takes what reached the office on paper or by mail, for a submitted application; it is looked at like what the applicant sends. */
export const supplyForApplicant = defineFileAct({
  name: "supply-for-applicant",
  input: supplied,
  right: "office",
  about: placeOf,
  run: async (ctx, file, { paperId, ...document }) => {
    const result = resultAt(file, placeOf(document));
    if (result?.kind !== "document" || result.standing === "not needed") return refuse("not-found");
    if (!isSubmitted(file, result) || file.assessment.file.stage === "closed") return refuse("locked");
    const taken = await take(ctx, file, document, true);
    if (!taken.ok) return taken;
    if (paperId !== null)
      return (await tieScan(ctx, file, paperId, taken.value.uploadId)) ? taken : refuse("already-done");
    const { number } = file.facts.application;
    await mailApplicant(ctx, file.id, file.ownerId, "supplied-for-you", {
      number,
      documentEn: result.title.en,
      documentFr: result.title.fr,
      link: `/my/${number}/documents`,
    });
    return taken;
  },
});
