import { and, isNull } from "drizzle-orm";
import { z } from "zod";
import { growingSections, maySupply } from "../../core/evidence/may-supply";
import { type RequirementPlace, requirementPlace } from "../../core/file/place";
import { actorKey } from "../../core/rights/actor";
import { storeContent } from "../../db/content";
import { evidence, upload } from "../../db/schema";
import { shapePicture } from "../../formats/document/picture";
import { type ActContext, done, refuse } from "../act/act";
import { defineFileAct, type OpenFile } from "../act/file-act";
import { closeAsks } from "./asks";
import { displayName } from "./display-name";
import { isSubmitted, placeOf, resultAt, rowsAt } from "./place";

const input = z.object({
  applicationId: z.uuid(),
  ...requirementPlace,
  name: z.string().max(255),
  bytes: z.instanceof(Buffer),
  mediaType: z.enum(["application/pdf", "image/jpeg", "image/png"]),
  pages: z.int().min(1),
  marks: z.array(z.string()),
});

/** What was sent back, or is replaced by a higher proof, makes room for what comes now; it stays in the history. */
async function replaceOld(ctx: ActContext, file: OpenFile, place: RequirementPlace): Promise<void> {
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

type Document = Pick<z.output<typeof input>, "bytes" | "mediaType" | "marks">;

/** Where a picture of a size is asked for, what was sent in that size; else what was sent. */
async function shaped(file: OpenFile, requirement: string, document: Document): Promise<Document | string> {
  const asked = Object.values(file.rulebooks)
    .flatMap((r) => r.body.requirements)
    .find((r) => r.key === requirement);
  if (asked?.kind !== "document" || !asked.picture) return document;
  if (document.mediaType === "application/pdf") return "picture_only";
  const bytes = await shapePicture(document.bytes, asked.picture);
  return typeof bytes === "string" ? bytes : { bytes, mediaType: "image/jpeg", marks: [] };
}

/** Keeps a document that has been looked at, and links it to the requirement that it answers. An open ask for it is answered. */
async function take(ctx: ActContext, file: OpenFile, document: z.output<typeof input>) {
  const place = placeOf(document);
  const kept = await shaped(file, place.requirement, document);
  if (typeof kept === "string") return refuse("document-refused", { document: kept });
  const sha256 = await storeContent(ctx.client, kept.bytes, kept.mediaType);
  const [row] = await ctx.db
    .insert(upload)
    .values({
      applicationId: file.id,
      sha256,
      name: displayName(document.name),
      pages: document.pages,
      marks: kept.marks,
      uploadedAt: ctx.now,
      uploadedBy: actorKey(ctx.actor),
    })
    .returning({ id: upload.id });
  if (!row) throw new Error("the upload was not written");
  await replaceOld(ctx, file, place);
  await ctx.db
    .insert(evidence)
    .values({ applicationId: file.id, ...place, uploadId: row.id, lastPage: document.pages, suppliedAt: ctx.now });
  await closeAsks(ctx, file.id, place);
  return done({ uploadId: row.id });
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
    return take(ctx, file, document);
  },
});

/** Takes what reached the office on paper or by mail, for a submitted application; it is looked at like what the applicant sends. */
export const supplyForApplicant = defineFileAct({
  name: "supply-for-applicant",
  input,
  right: "office",
  about: placeOf,
  run: async (ctx, file, document) => {
    const result = resultAt(file, placeOf(document));
    if (result?.kind !== "document" || result.standing === "not needed") return refuse("not-found");
    if (!isSubmitted(file, result) || file.assessment.file.stage === "closed") return refuse("locked");
    return take(ctx, file, document);
  },
});
