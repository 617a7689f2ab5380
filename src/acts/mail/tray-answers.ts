import { eq } from "drizzle-orm";
import { z } from "zod";
import { enqueue } from "../../db/queue";
import { trayAnswer } from "../../db/schema";
import { defineAct, done } from "../act/act";

/** The mail stand-in keeps what was written in it to the office, until the office fetches it. */
export const keepTrayAnswer = defineAct({
  name: "keep-tray-answer",
  input: z.object({ raw: z.instanceof(Buffer) }),
  may: ({ actor }) => actor.kind === "system",
  run: async (ctx, { raw }) => {
    await ctx.db.insert(trayAnswer).values({ raw, at: ctx.now });
    await enqueue(ctx.boss, ctx.client, "fetch-mail", {});
    return done(null);
  },
});

/** The office has kept it. */
export const noteTrayFetched = defineAct({
  name: "note-tray-fetched",
  input: z.object({ id: z.uuid() }),
  may: ({ actor }) => actor.kind === "system",
  run: async (ctx, { id }) => {
    await ctx.db.update(trayAnswer).set({ fetchedAt: ctx.now }).where(eq(trayAnswer.id, id));
    return done(null);
  },
});
