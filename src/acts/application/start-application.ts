import { and, eq, sql } from "drizzle-orm";
import { z } from "zod";
import { choiceRefusal } from "../../core/catalogue/choice-rules";
import { pickOptions } from "../../core/catalogue/programme";
import { roundState } from "../../core/catalogue/round-state";
import { application, choice, cycle } from "../../db/schema";
import { type ActContext, defineAct, done, type Outcome, refuse } from "../act/act";
import { openFile } from "../act/file-act";
import { settleFile } from "../act/settle";
import { carryOver } from "./carry-over";
import { findTarget, heldChoices, type Target } from "./choice-target";

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

/** Whether the round takes a new draft at this moment. */
function windowRefusal({ round: window }: Target, now: Date): Outcome<never> | null {
  const state = roundState(
    {
      ...window,
      opensAt: window.opensAt.toISOString(),
      closedAt: window.closedAt?.toISOString() ?? null,
      waits: window.ifPlacesLeft && window.announcedAt === null,
    },
    null,
    now.getTime(),
  );
  if (state === "full" || state === "closed") return refuse("round-closed");
  return state === "coming" && !window.prepareBefore
    ? refuse("round-not-open", { opensAt: window.opensAt.toISOString() })
    : null;
}

/**
 * Opens an application for an intake's round, or adds the intake as a further choice to the person's application of the same
 * cycle and procedure. The procedure's rules about choices are asked first, so that nobody fills in what they cannot send.
 */
export const startApplication = defineAct({
  name: "start-application",
  input: z.object({
    roundId: z.uuid(),
    campus: z.string().nullable().default(null),
    language: z.string().nullable().default(null),
    mode: z.string().nullable().default(null),
    track: z.string().nullable().default(null),
  }),
  may: (ctx) => ctx.actor.kind === "person" && ctx.actor.grants.length === 0,
  run: async (ctx, input) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const personId = ctx.actor.id;
    const target = await findTarget(ctx, input.roundId);
    if (!target) return refuse("not-found");
    const shut = windowRefusal(target, ctx.now);
    if (shut) return shut;
    const options = pickOptions(target.programme, target.intake, input);
    if (!options) return refuse("not-offered");
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
      .orderBy(sql`${application.joinedFromId} nulls first`)
      .limit(1)
      .for("update");
    const file = existing ?? (await openNew(ctx, personId, target.cycle.id, target.procedure.id));
    if (file.withdrawnAt) return refuse("locked");
    const held = await heldChoices(ctx, file.id);
    if (held.some((c) => c.intakeId === target.intake.id)) return refuse("already-applied", { number: file.number });
    const rule = choiceRefusal(
      target.procedure.rules,
      held.filter((c) => c.withdrawnAt === null),
      target.programme,
    );
    if (rule) return refuse("choice-rule", { ...rule });
    const [added] = await ctx.db
      .insert(choice)
      .values({
        applicationId: file.id,
        intakeId: target.intake.id,
        roundId: target.round.id,
        rulebookId: target.rulebookId,
        rank: Math.max(0, ...held.map((c) => c.rank)) + 1,
        ...options,
        addedAt: ctx.now,
      })
      .returning({ id: choice.id });
    await ctx.emit(existing ? "add-choice" : "start-application", file.id, { choice: added?.id ?? null });
    if (!existing) await carryOver(ctx, personId, file.id, target.rulebookId);
    await settleFile(ctx, file.id);
    const opened = await openFile(ctx, file.id);
    const barred = opened?.assessment.choices.find((c) => c.id === added?.id)?.barredBy ?? [];
    if (barred.length > 0) return refuse("not-open-to-you", { rules: barred });
    return done({ applicationId: file.id, number: file.number, choiceId: added?.id ?? "" });
  },
});
