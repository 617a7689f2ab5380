import { and, eq, isNull, sql } from "drizzle-orm";
import { fileAttachmentInput } from "../../core/conversation/inputs";
import { MOST_AT_REQUIREMENT } from "../../core/evidence/limits";
import { requirementKey } from "../../core/file/place";
import { attachment, evidence, incomingFile, upload } from "../../db/schema";
import { type ActContext, done, refuse } from "../act/act";
import { defineFileAct, type OpenFile } from "../act/file-act";
import { isSubmitted, placeOf, resultAt, rowsAt } from "../act/place";
import { closeAsks } from "../asks/asks";
import { replaceOld } from "./upload-document";

/** A document that came with a message or a mail, and stands at no requirement yet. */
async function looseDocument(ctx: ActContext, file: OpenFile, uploadId: string) {
  const [found] = await ctx.db
    .select({ id: upload.id, pages: upload.pages, at: upload.uploadedAt })
    .from(upload)
    .where(
      and(
        eq(upload.id, uploadId),
        eq(upload.applicationId, file.id),
        sql`(exists (select 1 from ${attachment} where ${attachment.uploadId} = ${upload.id} and ${attachment.conversationId} is not null)
          or exists (select 1 from ${incomingFile} where ${incomingFile.uploadId} = ${upload.id}))`,
      ),
    );
  return found ?? null;
}

/** Puts a document that came with a message where it answers something; it came when the message came. */
export const fileAttachment = defineFileAct({
  name: "file-attachment",
  input: fileAttachmentInput,
  right: "office",
  about: (input) => ({ ...placeOf(input), upload: input.uploadId }),
  run: async (ctx, file, { uploadId, ...at }) => {
    const place = placeOf(at);
    const found = await looseDocument(ctx, file, uploadId);
    const result = resultAt(file, place);
    if (!found || result?.kind !== "document" || result.standing === "not needed") return refuse("not-found");
    if (!isSubmitted(file, result) || file.assessment.file.stage === "closed") return refuse("locked");
    const here = file.facts.evidence.filter((e) => requirementKey(e) === requirementKey(place));
    const [there] = await ctx.db
      .select({ id: evidence.id })
      .from(evidence)
      .where(and(rowsAt(evidence, file.id, place), eq(evidence.uploadId, uploadId), isNull(evidence.replacedAt)));
    if (there) return refuse("already-done");
    if (here.length >= MOST_AT_REQUIREMENT) return refuse("document-refused", { document: "too_many" });
    await replaceOld(ctx, file, place);
    await ctx.db
      .insert(evidence)
      .values({ applicationId: file.id, ...place, uploadId, lastPage: found.pages, suppliedAt: found.at });
    await closeAsks(ctx, file.id, place);
    return done(null);
  },
});
