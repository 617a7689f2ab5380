import type pg from "pg";
import { z } from "zod";
import { readContent } from "../../db/content";
import { FOR_FINANCE } from "../payments/money";
import { fileInScope, programmesOf, scopeParameter } from "../view/scope";
import { defineView } from "../view/view";

export interface DocumentData {
  readonly sha256: string;
  readonly name: string;
  readonly mediaType: string;
  readonly size: number;
}

interface FileDocument extends DocumentData {
  /** The number of the file, and what the document was supplied for there. */
  readonly file: string;
  readonly requirement: string;
}

/**
 * A document's address: for the office over its file, for the person who supplied it or to whom it was sent with a message, and for finance where the rulebook says that it
 * reads it; never a referee's letter for the applicant.
 */
export const document = defineView({
  name: "document",
  input: z.object({
    uploadId: z.uuid(),
    /** What was sent, where something else is kept to be looked at. */
    original: z.boolean().default(false),
  }),
  read: async ({ pool, actor }, { uploadId, original }): Promise<FileDocument | null> => {
    if (actor.kind !== "person") return null;
    const scope = programmesOf(actor);
    const money = programmesOf(actor, ["finance"]);
    const { rows } = await pool.query<FileDocument>(
      `select c.sha256, u.name, c.media_type as "mediaType", c.size, a.number as file,
         coalesce((select e.requirement from evidence e where e.upload_id = u.id limit 1), '') as requirement from upload u
         join content c on c.sha256 = case when $5 then coalesce(u.original_sha256, u.sha256) else u.sha256 end join application a on a.id = u.application_id
       where u.id = $1 and ((a.person_id = $2 and (u.uploaded_by = 'person:' || $2::text
             or exists (select 1 from attachment t where t.upload_id = u.id and t.conversation_id is not null))) or ($3 and ${fileInScope("a.id", "$4")})
           or ($6 and ${fileInScope("a.id", "$7")} and exists (select 1 from evidence e where e.upload_id = u.id and e.replaced_at is null and ${FOR_FINANCE})))`,
      [
        ...[uploadId, actor.id, scope !== null, scope === null ? [] : scopeParameter(scope), original],
        ...[money !== null, money === null ? [] : scopeParameter(money)],
      ],
    );
    return rows[0] ?? null;
  },
  readings: ({ file, requirement }) => [{ kind: "document opened", file, about: requirement }],
});

/** The bytes of a document that the view has let through, chunk by chunk. */
export function documentBytes(pool: pg.Pool, document: Pick<DocumentData, "sha256">): AsyncGenerator<Buffer> {
  return readContent(pool, document.sha256);
}
