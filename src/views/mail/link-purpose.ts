import { createHash } from "node:crypto";
import { z } from "zod";
import { defineView } from "../view/view";

/** What a mailed link is for, while it still works; nothing about whose it is. */
export const linkPurpose = defineView({
  name: "link-purpose",
  input: z.object({ token: z.string().max(100) }),
  read: async ({ pool, now }, { token }): Promise<string | null> => {
    const hash = createHash("sha256").update(token).digest("hex");
    const { rows } = await pool.query<{ purpose: string }>(
      "select purpose from mail_link where token_hash = $1 and used_at is null and replaced_at is null and ends_at > $2",
      [hash, now],
    );
    return rows[0]?.purpose ?? null;
  },
});
