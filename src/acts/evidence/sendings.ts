import { randomBytes } from "node:crypto";
import { and, eq } from "drizzle-orm";
import { z } from "zod";
import { MOST_SENDING_BYTES } from "../../core/evidence/limits";
import { MOST_MEGABYTES } from "../../core/rulebook/takes";
import { sending, sendingPart } from "../../db/schema";
import { type ActContext, defineAct, done, refuse } from "../act/act";
import { actingId } from "../act/acting-id";
import { displayName } from "./display-name";

const isPerson = ({ actor }: ActContext) => actor.kind === "person";
const MOST_BYTES = MOST_MEGABYTES * 1024 * 1024;

/** Begins to take a file in parts. Of one person so much waits at once: what was touched longest ago makes room. */
export const beginSending = defineAct({
  name: "begin-sending",
  input: z.object({ name: z.string().max(255).transform(displayName), size: z.int().min(1).max(MOST_BYTES) }),
  may: isPerson,
  run: async (ctx, { name, size }) => {
    const personId = actingId(ctx);
    if (personId === null) return refuse("not-yours");
    await ctx.client.query(
      `delete from sending where id in (select id from (select id, sum(size) over (order by at desc, id) as sum from sending where person_id = $1) s
         where s.sum > $2)`,
      [personId, MOST_SENDING_BYTES - size],
    );
    const id = randomBytes(24).toString("base64url");
    await ctx.db.insert(sending).values({ id, personId, name, size, at: ctx.now });
    return done({ id });
  },
});

const own = z.object({ id: z.string().max(64) });

/** Takes the next part of a file. A part that does not go on where the last one ended is refused, so that none counts twice. */
export const sendPart = defineAct({
  name: "send-part",
  input: own.extend({ first: z.int().min(0), bytes: z.instanceof(Buffer) }),
  may: isPerson,
  run: async (ctx, { id, first, bytes }) => {
    const personId = actingId(ctx);
    if (personId === null || bytes.length === 0) return refuse("invalid-input");
    const arrived = first + bytes.length;
    const moved = await ctx.client.query(
      "update sending set arrived = $4, at = $5 where id = $1 and person_id = $2 and arrived = $3 and size >= $4",
      [id, personId, first, arrived, ctx.now],
    );
    if (moved.rowCount === 0) return refuse("changed-meanwhile");
    await ctx.db.insert(sendingPart).values({ sendingId: id, first, bytes });
    return done({ arrived });
  },
});

/** Lets a file go that was on its way, once it was looked at or is not wanted any more. */
export const dropSending = defineAct({
  name: "drop-sending",
  input: own,
  may: isPerson,
  run: async (ctx, { id }) => {
    const personId = actingId(ctx);
    if (personId === null) return refuse("not-yours");
    await ctx.db.delete(sending).where(and(eq(sending.id, id), eq(sending.personId, personId)));
    return done(null);
  },
});
