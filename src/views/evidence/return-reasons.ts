import type pg from "pg";
import { z } from "zod";
import type { KeptReason } from "../../core/evidence/return-reasons";
import { holds, OFFICE } from "../../core/rights/actor";
import type { LocalText } from "../../core/text/local-text";
import { reasonsNow } from "../../text/words/return-reasons";
import { defineView } from "../view/view";

/** The reasons that the office has written itself, in the order in which it began to. */
export async function ownReasons(pool: pg.Pool): Promise<readonly KeptReason[]> {
  const { rows } = await pool.query<KeptReason>(
    "select key, title, words, offered, version from return_reason order by at, key",
  );
  return rows;
}

/** The words of the office for reasons, by their keys. */
export const wordsByKey = (reasons: readonly KeptReason[]): Readonly<Record<string, LocalText>> =>
  Object.fromEntries(reasons.map((r) => [r.key, r.words]));

/** Why documents go back. */
export const returnReasons = defineView({
  name: "return-reasons",
  input: z.object({}),
  read: async ({ pool, actor }): Promise<readonly KeptReason[] | null> =>
    holds(actor, OFFICE) ? reasonsNow(await ownReasons(pool)) : null,
});
