import { z } from "zod";
import type { DocumentData } from "../evidence/document";
import { defineView } from "../view/view";

/** A form to download, by its content: for everybody. */
export const template = defineView({
  name: "template",
  input: z.object({ sha256: z.string().regex(/^[0-9a-f]{64}$/u) }),
  read: async ({ pool }, { sha256 }): Promise<DocumentData | null> => {
    const { rows } = await pool.query<DocumentData>(
      `select t.sha256, t.name, c.media_type as "mediaType", c.size from template t join content c on c.sha256 = t.sha256 where t.sha256 = $1`,
      [sha256],
    );
    return rows[0] ?? null;
  },
});
