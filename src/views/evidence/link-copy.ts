import { z } from "zod";
import { fileInScope, programmesOf, scopeParameter } from "../view/scope";
import { defineView } from "../view/view";
import type { DocumentData } from "./document";

/** A copy of what stood behind a link, by its content: for the office that works on a file which holds it. */
export const linkCopy = defineView({
  name: "link-copy",
  input: z.object({ sha256: z.string().regex(/^[0-9a-f]{64}$/u) }),
  read: async ({ pool, actor }, { sha256 }): Promise<(DocumentData & { readonly file: string }) | null> => {
    const scope = programmesOf(actor);
    if (scope === null) return null;
    const { rows } = await pool.query<DocumentData & { file: string }>(
      `select l.copy_sha256 as sha256, l.copy_name as name, c.media_type as "mediaType", c.size, a.number as file
       from link_note l join content c on c.sha256 = l.copy_sha256 join application a on a.id = l.application_id
       where l.copy_sha256 = $2 and ${fileInScope("l.application_id", "$1")} limit 1`,
      [scopeParameter(scope), sha256],
    );
    return rows[0] ?? null;
  },
  readings: ({ file }) => [{ kind: "document opened", file, about: "copy of a link" }],
});
