import { and, eq, sql } from "drizzle-orm";
import { z } from "zod";
import { extendChoiceInput } from "../../core/catalogue/inputs";
import { roundSchema } from "../../core/catalogue/programme";
import { FULL } from "../../core/catalogue/round-state";
import { roundWaits } from "../../db/queries/round-waits";
import { choice, intake, programme, round } from "../../db/schema";
import { type ActContext, defineAct, done, refuse } from "../act/act";
import { defineFileAct } from "../act/file-act";
import { plans } from "../act/office-rights";
import { tellPreparing } from "../application/tell-preparing";
import { mailApplicant } from "../mail/queue-mail";

const reason = z.string().trim().min(1).max(500);

type RoundRow = typeof round.$inferSelect;

/** Locks a round, so that a change and a submission (which locks it for share) cannot cross. */
async function lockRound(ctx: ActContext, id: string): Promise<(RoundRow & { readonly code: string }) | null> {
  const [row] = await ctx.db
    .select({ round, code: programme.code })
    .from(round)
    .innerJoin(intake, eq(intake.id, round.intakeId))
    .innerJoin(programme, eq(programme.id, intake.programmeId))
    .where(eq(round.id, id))
    .for("update", { of: round });
  return row ? { ...row.round, code: row.code } : null;
}

/** Adds a round to an intake. */
export const addRound = defineAct({
  name: "add-round",
  input: z.object({ intakeId: z.uuid(), round: roundSchema }),
  may: plans(({ intakeId }) => ["intake", intakeId]),
  run: async (ctx, input) => {
    const [start] = await ctx.db.select({ id: intake.id }).from(intake).where(eq(intake.id, input.intakeId));
    if (!start) return refuse("not-found");
    const made = await ctx.db
      .insert(round)
      .values({ intakeId: start.id, ...input.round, opensAt: new Date(input.round.opensAt) })
      .onConflictDoNothing()
      .returning({ id: round.id });
    if (!made[0]) return refuse("already-done");
    await ctx.emit("add-round", null, { round: made[0].id });
    return done({ roundId: made[0].id });
  },
});

/** Changes the times or the rules of a round, with the reason; those who prepare an application in it get a mail. */
export const changeRound = defineAct({
  name: "change-round",
  input: z.object({ roundId: z.uuid(), version: z.int(), round: roundSchema, reason }),
  may: plans(({ roundId }) => ["round", roundId]),
  run: async (ctx, input) => {
    const known = await lockRound(ctx, input.roundId);
    if (!known) return refuse("not-found");
    if (known.version !== input.version) return refuse("changed-meanwhile");
    const { key: _key, ...changed } = input.round;
    await ctx.db
      .update(round)
      .set({
        ...changed,
        opensAt: new Date(changed.opensAt),
        // An opening that moves into the future is told anew, and the office is reminded anew.
        ...(Date.parse(changed.opensAt) > ctx.now.getTime() ? { announcedAt: null, remindedAt: null } : {}),
        version: sql`${round.version} + 1`,
      })
      .where(eq(round.id, known.id));
    const told = await tellPreparing(ctx, { round: known.id }, "round-changed", { text: input.reason });
    await ctx.emit("change-round", null, { round: known.id, version: known.version + 1, reason: input.reason, told });
    return done({ told });
  },
});

/** Closes a round before its time, for everybody. */
export const closeRound = defineAct({
  name: "close-round",
  input: z.object({ roundId: z.uuid(), reason }),
  may: plans(({ roundId }) => ["round", roundId]),
  run: async (ctx, input) => {
    const known = await lockRound(ctx, input.roundId);
    if (!known) return refuse("not-found");
    if (known.closedAt) return refuse("already-done");
    await ctx.db
      .update(round)
      .set({ closedAt: ctx.now, closedReason: input.reason, version: sql`${round.version} + 1` })
      .where(eq(round.id, known.id));
    const told = await tellPreparing(ctx, { round: known.id }, "round-closed", { text: input.reason });
    await ctx.emit("close-round", null, { round: known.id, reason: input.reason, told });
    return done({ told });
  },
});

/** Opens a round again that was closed early; its planned closings count again. */
export const reopenRound = defineAct({
  name: "reopen-round",
  input: z.object({ roundId: z.uuid(), reason }),
  may: plans(({ roundId }) => ["round", roundId]),
  run: async (ctx, input) => {
    const known = await lockRound(ctx, input.roundId);
    if (!known) return refuse("not-found");
    if (!known.closedAt) return refuse("already-done");
    await ctx.db
      .update(round)
      .set({ closedAt: null, closedReason: null, version: sql`${round.version} + 1` })
      .where(eq(round.id, known.id));
    const told = await tellPreparing(ctx, { round: known.id }, "round-reopened", { text: input.reason });
    await ctx.emit("reopen-round", null, { round: known.id, reason: input.reason, told });
    return done({ told });
  },
});

/** Gives one person more time for one choice. */
export const extendChoice = defineFileAct({
  name: "extend-choice",
  input: extendChoiceInput,
  right: "office",
  about: ({ choiceId, until, reason: why }) => ({ choice: choiceId, until, reason: why }),
  run: async (ctx, file, input) => {
    const known = file.facts.choices.find((c) => c.id === input.choiceId);
    if (!known || known.withdrawnAt) return refuse("not-found");
    if (known.submittedAt) return refuse("already-done");
    if (Date.parse(input.until) <= ctx.now.getTime()) return refuse("invalid-input", { fields: ["until"] });
    await ctx.db
      .update(choice)
      .set({ extendedTo: new Date(input.until) })
      .where(eq(choice.id, known.id));
    await mailApplicant(ctx, file.id, file.ownerId, "extended", {
      number: file.facts.application.number,
      programme: known.programme,
      moment: input.until,
      zone: file.office.set.zone,
      text: input.reason,
      link: `/my/${file.facts.application.number}`,
    });
    return done(null);
  },
});

/** Closes a round with its last place; called by the act that gave the place away, in its transaction. */
export async function closeWhenFull(ctx: ActContext, roundId: string): Promise<void> {
  const known = await lockRound(ctx, roundId);
  if (known?.closesWhenFull && !known.closedAt) await closeIfFull(ctx, known);
}

/** Closes the rounds that were to open by now only if places were left, where none is. */
export async function closeOpeningsWithoutPlaces(ctx: ActContext): Promise<void> {
  const { rows } = await ctx.client.query<{ id: string }>(
    `select r.id from round r where ${roundWaits("r")} and r.closed_at is null and r.opens_at <= $1 order by r.id`,
    [ctx.now],
  );
  for (const { id } of rows) {
    const known = await lockRound(ctx, id);
    if (known && !known.closedAt && known.announcedAt === null) await closeIfFull(ctx, known);
  }
}

async function closeIfFull(ctx: ActContext, known: RoundRow): Promise<void> {
  const { rows } = await ctx.client.query<{ taken: number; places: number }>(
    `select i.places, (select count(*)::int from choice c join decision d on d.choice_id = c.id
       where c.intake_id = i.id and c.withdrawn_at is null and d.answer = 'accepted') as taken
     from intake i where i.id = $1`,
    [known.intakeId],
  );
  const [count] = rows;
  if (!count || count.taken < count.places) return;
  await ctx.db
    .update(round)
    .set({ closedAt: ctx.now, closedReason: FULL, version: sql`${round.version} + 1` })
    .where(and(eq(round.id, known.id)));
  const told = await tellPreparing(ctx, { round: known.id }, "round-full", {});
  await ctx.emit("close-round", null, { round: known.id, reason: FULL, told });
}
