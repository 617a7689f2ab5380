import type pg from "pg";
import { z } from "zod";
import { defineView } from "../view/view";

export interface Sending {
  readonly name: string;
  readonly size: number;
  /** So many bytes have arrived, from the first on. */
  readonly arrived: number;
}

/** How far a file is on its way, for whoever sends it. */
export const sending = defineView({
  name: "sending",
  input: z.object({ id: z.string().max(64) }),
  read: async ({ pool, actor }, { id }): Promise<Sending | null> => {
    if (actor.kind !== "person") return null;
    const { rows } = await pool.query<Sending>(
      "select name, size, arrived from sending where id = $1 and person_id = $2",
      [id, actor.id],
    );
    return rows[0] ?? null;
  },
});

/** The bytes of a file that has arrived, which the view has let through. */
export async function sentBytes(pool: pg.Pool, id: string): Promise<Uint8Array<ArrayBuffer>> {
  const { rows } = await pool.query<{ bytes: Buffer }>(
    "select bytes from sending_part where sending_id = $1 order by first",
    [id],
  );
  return Uint8Array.from(Buffer.concat(rows.map((r) => r.bytes)));
}
