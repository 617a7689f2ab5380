import { and, eq, sql } from "drizzle-orm";
import { z } from "zod";
import { application, choice, cycle, intake, procedure, programme, round, rulebook } from "../db/schema";
import { type ActContext, defineAct, done, refuse } from "./act";
import { settle } from "./settle";

/** Makes the application row and gives it the next number of its cycle. */
async function openNew(ctx: ActContext, personId: string, cycleId: string, procedureId: string) {
  const [counted] = await ctx.db
    .update(cycle)
    .set({ lastNumber: sql`${cycle.lastNumber} + 1` })
    .where(eq(cycle.id, cycleId))
    .returning({ no: cycle.lastNumber, key: cycle.key });
  if (!counted) throw new Error("the cycle went away");
  const number = `${counted.key.slice(-2)}-${String(counted.no).padStart(5, "0")}`;
  const [made] = await ctx.db
    .insert(application)
    .values({ number, personId, cycleId, procedureId, createdAt: ctx.now })
    .returning({ id: application.id, number: application.number, withdrawnAt: application.withdrawnAt });
  if (!made) throw new Error("the application was not written");
  return made;
}

/** Opens an application for an intake's round, or adds the intake as a further choice to the person's application of the same cycle and procedure. */
export const startApplication = defineAct({
  name: "start-application",
  input: z.object({
    roundId: z.uuid(),
    campus: z.string().nullable().default(null),
    mode: z.string().nullable().default(null),
    track: z.string().nullable().default(null),
  }),
  may: (ctx) => ctx.actor.kind === "person" && ctx.actor.grants.length === 0,
  run: async (ctx, input) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const personId = ctx.actor.id;
    const [target] = await ctx.db
      .select({ round, intake, procedure, cycle, rulebookId: rulebook.id, title: programme.title })
      .from(round)
      .innerJoin(intake, eq(intake.id, round.intakeId))
      .innerJoin(programme, eq(programme.id, intake.programmeId))
      .innerJoin(procedure, eq(procedure.id, programme.procedureId))
      .innerJoin(cycle, eq(cycle.id, intake.cycleId))
      .innerJoin(rulebook, and(eq(rulebook.intakeId, intake.id), eq(rulebook.status, "published")))
      .where(eq(round.id, input.roundId));
    if (!target) return refuse("not-found");
    const closings = target.round.closings.map((c) => Date.parse(c.at));
    if (target.round.closedAt || ctx.now.getTime() >= Math.max(...closings)) return refuse("round-closed");
    const [existing] = await ctx.db
      .select({ id: application.id, number: application.number, withdrawnAt: application.withdrawnAt })
      .from(application)
      .where(
        and(
          eq(application.personId, personId),
          eq(application.cycleId, target.cycle.id),
          eq(application.procedureId, target.procedure.id),
        ),
      )
      .for("update");
    const file = existing ?? (await openNew(ctx, personId, target.cycle.id, target.procedure.id));
    if (file.withdrawnAt) return refuse("locked");
    const taken = await ctx.db
      .select({ intakeId: choice.intakeId, withdrawnAt: choice.withdrawnAt, rank: choice.rank })
      .from(choice)
      .where(eq(choice.applicationId, file.id));
    if (taken.some((c) => c.intakeId === target.intake.id)) return refuse("already-applied", { number: file.number });
    if (taken.filter((c) => c.withdrawnAt === null).length >= target.procedure.mostChoices)
      return refuse("too-many-choices", { most: target.procedure.mostChoices });
    const [added] = await ctx.db
      .insert(choice)
      .values({
        applicationId: file.id,
        intakeId: target.intake.id,
        roundId: target.round.id,
        rulebookId: target.rulebookId,
        rank: Math.max(0, ...taken.map((c) => c.rank)) + 1,
        campus: input.campus,
        mode: input.mode,
        track: input.track,
        addedAt: ctx.now,
      })
      .returning({ id: choice.id });
    await ctx.emit(existing ? "add-choice" : "start-application", file.id, { choice: added?.id ?? null });
    await settle(ctx, file.id);
    return done({ applicationId: file.id, number: file.number });
  },
});
