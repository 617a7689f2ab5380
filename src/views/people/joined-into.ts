import { z } from "zod";
import { maskedAddress } from "../../core/people/masked-address";
import { defineView } from "../view/view";

/** Where the files of whoever asks have gone, if the office has given them to another account of theirs. */
export const joinedInto = defineView({
  name: "joined-into",
  input: z.object({}),
  read: async ({ pool, actor }): Promise<{ readonly account: string | null } | null> => {
    if (actor.kind !== "person") return null;
    const { rows } = await pool.query<{ email: string }>(
      "select p.email from account_join j join person p on p.id = j.kept_id where j.given_id = $1 and j.ended_at is null",
      [actor.id],
    );
    return { account: rows[0] ? maskedAddress(rows[0].email) : null };
  },
});
