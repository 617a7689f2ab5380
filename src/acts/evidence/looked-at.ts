import { z } from "zod";
import { actorKey } from "../../core/rights/actor";
import { storeContent } from "../../db/content";
import { upload } from "../../db/schema";
import { MEDIA_TYPES } from "../../formats/document/inspection";
import type { ActContext } from "../act/act";
import { displayName } from "./display-name";

/** A document that was looked at in the workshop, as acts take it: what is kept of it, and what was sent where that is something else. */
export const lookedAt = {
  name: z.string().max(255).transform(displayName),
  bytes: z.instanceof(Buffer),
  mediaType: z.enum(MEDIA_TYPES),
  pages: z.int().min(1).default(1),
  marks: z.array(z.string()).readonly(),
  original: z
    .object({ bytes: z.instanceof(Buffer), mediaType: z.enum(MEDIA_TYPES) })
    .nullable()
    .default(null),
  /** The size of the picture that it was cut to. */
  picture: z.object({ width: z.int(), height: z.int() }).nullable().default(null),
};
const schema = z.object(lookedAt);
export type LookedAt = z.output<typeof schema>;

/** Keeps a document in a file. @returns the id under which it is shown */
export async function storeUpload(ctx: ActContext, applicationId: string, document: LookedAt): Promise<string> {
  const { name, bytes, mediaType, pages, marks, original } = document;
  const [row] = await ctx.db
    .insert(upload)
    .values({
      applicationId,
      sha256: await storeContent(ctx.client, bytes, mediaType),
      originalSha256: original && (await storeContent(ctx.client, original.bytes, original.mediaType)),
      name,
      pages,
      marks,
      uploadedAt: ctx.now,
      uploadedBy: actorKey(ctx.actor),
    })
    .returning({ id: upload.id });
  if (!row) throw new Error("the upload was not written");
  return row.id;
}
