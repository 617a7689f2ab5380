import { and, eq, inArray } from "drizzle-orm";
import { z } from "zod";
import { dayYearsLater, yearsLater } from "../../core/catalogue/next-cycle";
import type { Instant, PlainDate } from "../../core/ids";
import { actorKey } from "../../core/rights/actor";
import { withParts } from "../../core/rulebook/parts";
import { cycle, intake, programme, round, rulebook } from "../../db/schema";
import { type ActContext, defineAct, done, refuse } from "../act/act";
import { plansAll } from "../act/office-rights";
import { allParts } from "../rulebook/rulebooks";

type Source = typeof intake.$inferSelect;

/** Begins the draft of the rulebook of a copied start from the version that was published for the old one. */
async function copyRulebook(ctx: ActContext, from: string, to: string): Promise<void> {
  const [published] = await ctx.db
    .select({ body: rulebook.body })
    .from(rulebook)
    .where(and(eq(rulebook.intakeId, from), eq(rulebook.status, "published")));
  if (!published) return;
  await ctx.db.insert(rulebook).values({
    intakeId: to,
    version: 1,
    status: "draft",
    body: withParts(published.body, await allParts(ctx)),
    editedAt: ctx.now,
    editedBy: actorKey(ctx.actor),
  });
}

/** Copies one start with its rounds and its rulebook; null where the target has this start already. */
async function copyIntake(ctx: ActContext, source: Source, cycleId: string, years: number): Promise<string | null> {
  const { set } = await ctx.office();
  const [made] = await ctx.db
    .insert(intake)
    .values({
      programmeId: source.programmeId,
      cycleId,
      startsOn: dayYearsLater(source.startsOn as PlainDate, years), // a date column
      places: source.places,
      quotas: source.quotas,
      options: source.options,
    })
    .onConflictDoNothing()
    .returning({ id: intake.id });
  if (!made) return null;
  const rounds = await ctx.db.select().from(round).where(eq(round.intakeId, source.id));
  const moved = yearsLater(
    {
      startsOn: source.startsOn as PlainDate,
      rounds: rounds.map((r) => ({
        key: r.key,
        opensAt: r.opensAt.toISOString() as Instant,
        closings: r.closings.map((c) => ({ group: c.group, at: c.at as Instant })),
      })),
    },
    years,
    set.zone,
  );
  for (const [i, { rolling, closesWhenFull, ifPlacesLeft, prepareBefore, promiseDays }] of rounds.entries()) {
    const times = moved.rounds[i];
    if (!times) continue;
    await ctx.db.insert(round).values({
      intakeId: made.id,
      key: times.key,
      opensAt: new Date(times.opensAt),
      closings: times.closings,
      rolling,
      closesWhenFull,
      ifPlacesLeft,
      prepareBefore,
      promiseDays,
    });
  }
  await copyRulebook(ctx, source.id, made.id);
  return made.id;
}

/**
 * Copies a whole cycle: the starts of the named programmes with their places, options and rounds, moved by whole years on the office's
 * clock, and a draft of each rulebook. Nothing opens to applicants before its rulebook is published. Starts that the target has stay as they are.
 */
export const copyCycle = defineAct({
  name: "copy-cycle",
  input: z.object({
    from: z.string().max(10),
    years: z.int().min(1).max(5),
    programmes: z.array(z.string().max(20)).min(1).max(500),
  }),
  may: plansAll,
  run: async (ctx, { from, years, programmes }) => {
    const [source] = await ctx.db.select().from(cycle).where(eq(cycle.key, from));
    if (!source) return refuse("not-found");
    const key = String(Number(from.slice(0, 4)) + years) + from.slice(4);
    const titled = (before: string) => before.replace(from.slice(0, 4), key.slice(0, 4));
    await ctx.db
      .insert(cycle)
      .values({ key, title: { en: titled(source.title.en), fr: titled(source.title.fr) } })
      .onConflictDoNothing();
    const [target] = await ctx.db.select({ id: cycle.id }).from(cycle).where(eq(cycle.key, key)).for("update");
    if (!target) throw new Error("the cycle was not written");
    const sources = await ctx.db
      .select({ intake, code: programme.code })
      .from(intake)
      .innerJoin(programme, eq(programme.id, intake.programmeId))
      .where(and(eq(intake.cycleId, source.id), inArray(programme.code, programmes)));
    const made: string[] = [];
    const there: string[] = [];
    for (const { intake: start, code } of sources)
      ((await copyIntake(ctx, start, target.id, years)) ? made : there).push(code);
    await ctx.emit("copy-cycle", null, { from, to: key, programmes: made });
    return done({ cycle: key, made, there });
  },
});
