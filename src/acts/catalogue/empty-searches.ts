import { and, eq, lt, sql } from "drizzle-orm";
import { z } from "zod";
import { programmeSchema } from "../../core/catalogue/programme";
import { placesOf } from "../../core/catalogue/site-places";
import { fold } from "../../core/people/fold";
import { emptySearch, programme } from "../../db/schema";
import { defineAct, done, refuse } from "../act/act";
import { plansAll } from "../act/office-rights";

const KEPT_DAYS = 180;
const MOST_KEPT = 500;
const LEAST_LETTERS = 2;

/** Notes words, and a place, that no programme was found by. Only these are kept, the latest five hundred of them for half a year. */
export const noteEmptySearch = defineAct({
  name: "note-empty-search",
  input: z.object({ words: z.string().trim().max(60), campus: z.string().max(80).nullable().default(null) }),
  may: (ctx) => ctx.actor.kind === "visitor" || ctx.actor.kind === "person",
  run: async (ctx, { words, campus }) => {
    const folded = fold(words);
    const sites = (await ctx.office()).set.campuses;
    const place = placesOf(sites).some((p) => p.value === campus) ? (campus ?? "") : "";
    if (folded.length < LEAST_LETTERS && !(folded === "" && place !== "")) return done(null);
    await ctx.db
      .insert(emptySearch)
      .values({ folded, campus: place, words, lastAt: ctx.now })
      .onConflictDoUpdate({
        target: [emptySearch.folded, emptySearch.campus],
        set: { times: sql`${emptySearch.times} + 1`, lastAt: ctx.now },
      });
    await ctx.db
      .delete(emptySearch)
      .where(lt(emptySearch.lastAt, new Date(ctx.now.getTime() - KEPT_DAYS * 86_400_000)));
    await ctx.client.query(
      "delete from empty_search where (folded, campus) in (select folded, campus from empty_search order by last_at desc, folded, campus offset $1)",
      [MOST_KEPT],
    );
    return done(null);
  },
});

/** Ends a search without result: a programme is found by these words from now on, or none is meant to be. */
export const answerSearch = defineAct({
  name: "answer-search",
  input: z.object({
    words: z.string().max(60),
    campus: z.string().max(80).default(""),
    code: z.string().max(20).nullable(),
  }),
  may: plansAll,
  run: async (ctx, { words, campus, code }) => {
    const [gone] = await ctx.db
      .delete(emptySearch)
      .where(and(eq(emptySearch.folded, fold(words)), eq(emptySearch.campus, campus)))
      .returning();
    if (!gone) return refuse("already-done");
    if (code !== null) {
      const [found] = await ctx.db.select().from(programme).where(eq(programme.code, code)).for("update");
      if (!found) return refuse("not-found");
      const keywords = programmeSchema.shape.keywords.safeParse([...found.keywords, gone.words]);
      if (!keywords.success) return refuse("invalid-input", { fields: ["programme.keywords"] });
      await ctx.db
        .update(programme)
        .set({ keywords: keywords.data, version: sql`${programme.version} + 1` })
        .where(and(eq(programme.id, found.id)));
    }
    await ctx.emit("answer-search", null, { programme: code });
    return done(null);
  },
});
