import { createHash } from "node:crypto";
import { z } from "zod";
import { defineView } from "../view/view";

export interface LinkPurpose {
  readonly purpose: "confirm address" | "set password";
  /** Whose it is: whoever holds it reads their mail. */
  readonly name: string;
  readonly email: string;
}

/** What a mailed link is for, while it still works. */
export const linkPurpose = defineView({
  name: "link-purpose",
  input: z.object({ token: z.string().max(100) }),
  read: async ({ pool, now }, { token }): Promise<LinkPurpose | null> => {
    const hash = createHash("sha256").update(token).digest("hex");
    const { rows } = await pool.query<LinkPurpose>(
      `select l.purpose, p.name, p.email from mail_link l join person p on p.id = l.person_id
       where l.token_hash = $1 and l.used_at is null and l.replaced_at is null and l.ends_at > $2`,
      [hash, now],
    );
    return rows[0] ?? null;
  },
});
