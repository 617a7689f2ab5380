import { and, eq } from "drizzle-orm";
import { choice, cycle, intake, procedure, programme, round, rulebook } from "../../db/schema";
import type { ActContext } from "../act/act";

/** The round that a choice is, or would be, in, with everything that hangs on it; null where it is not offered. */
export async function findTarget(ctx: ActContext, roundId: string) {
  const [target] = await ctx.db
    .select({ round, intake, procedure, cycle, programme, rulebookId: rulebook.id })
    .from(round)
    .innerJoin(intake, eq(intake.id, round.intakeId))
    .innerJoin(programme, eq(programme.id, intake.programmeId))
    .innerJoin(procedure, eq(procedure.id, programme.procedureId))
    .innerJoin(cycle, eq(cycle.id, intake.cycleId))
    .innerJoin(rulebook, and(eq(rulebook.intakeId, intake.id), eq(rulebook.status, "published")))
    .where(eq(round.id, roundId));
  return target ?? null;
}
export type Target = NonNullable<Awaited<ReturnType<typeof findTarget>>>;

/** The choices that an application holds, withdrawn ones included. */
export async function heldChoices(ctx: ActContext, applicationId: string) {
  return ctx.db
    .select({
      intakeId: choice.intakeId,
      withdrawnAt: choice.withdrawnAt,
      rank: choice.rank,
      code: programme.code,
      level: programme.level,
      fields: programme.fields,
    })
    .from(choice)
    .innerJoin(intake, eq(intake.id, choice.intakeId))
    .innerJoin(programme, eq(programme.id, intake.programmeId))
    .where(eq(choice.applicationId, applicationId));
}
