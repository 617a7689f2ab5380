import { eq } from "drizzle-orm";
import { z } from "zod";
import { moveChoiceInput } from "../../core/application/inputs";
import { offeredOptions } from "../../core/catalogue/programme";
import { MODES, type Mode } from "../../core/file/mode";
import { choice, intake, programme } from "../../db/schema";
import { type ActContext, done, refuse } from "../act/act";
import { defineFileAct } from "../act/file-act";
import { mailApplicant } from "../mail/queue-mail";

/**
 * Puts the choices in the order of preference. It counts until places are given out, so it may change after submission, but not
 * once a decision on one of them is prepared.
 */
export const arrangeChoices = defineFileAct({
  name: "arrange-choices",
  input: z.object({ applicationId: z.uuid(), order: z.array(z.uuid()).min(1).max(40) }),
  right: "applicant",
  about: ({ order }) => ({ order }),
  run: async (ctx, file, { order }) => {
    const live = file.facts.choices.filter((c) => c.withdrawnAt === null);
    const whole = live.length === order.length && live.every((c) => order.includes(c.id));
    if (!whole) return refuse("changed-meanwhile");
    if (live.some((c) => c.decision !== null)) return refuse("locked");
    for (const [i, id] of order.entries())
      await ctx.db
        .update(choice)
        .set({ rank: i + 1 })
        .where(eq(choice.id, id));
    return done(null);
  },
});

interface Options {
  readonly campus?: string | null | undefined;
  readonly mode?: Mode | null | undefined;
  readonly track?: string | null | undefined;
}

/** Whether one of the options is none that the start offers. */
async function isForeign(ctx: ActContext, choiceId: string, { campus, mode, track }: Options) {
  const [plan] = await ctx.db
    .select({ intake, programme })
    .from(choice)
    .innerJoin(intake, eq(intake.id, choice.intakeId))
    .innerJoin(programme, eq(programme.id, intake.programmeId))
    .where(eq(choice.id, choiceId));
  if (!plan) return "not-found" as const;
  const offered = offeredOptions(plan.programme, plan.intake);
  const foreign =
    (typeof campus === "string" && !offered.campuses.includes(campus)) ||
    (typeof mode === "string" && !offered.modes.some((m) => m === mode)) ||
    (typeof track === "string" && !offered.tracks.some((t) => t.key === track));
  return foreign ? ("not-offered" as const) : null;
}

/**
 * The office puts a submitted choice on another track, campus or mode, with a reason that the applicant is told. What was submitted
 * stays as it was; what the other track asks for is then missing, and its rules count.
 */
export const moveChoice = defineFileAct({
  name: "move-choice",
  input: moveChoiceInput,
  right: "office",
  about: ({ choiceId, campus, mode, track, reason }) => ({ choice: choiceId, campus, mode, track, reason }),
  run: async (ctx, file, { choiceId, campus, mode, track, reason }) => {
    const own = file.facts.choices.find((c) => c.id === choiceId);
    if (!own || own.withdrawnAt !== null) return refuse("not-found");
    if (own.submittedAt === null || own.decision !== null) return refuse("locked");
    const refused = await isForeign(ctx, choiceId, { campus, mode, track });
    if (refused) return refuse(refused);
    if (own.campus === campus && own.mode === mode && own.track === track) return refuse("already-done");
    await ctx.db.update(choice).set({ campus, mode, track }).where(eq(choice.id, choiceId));
    const { number } = file.facts.application;
    await mailApplicant(ctx, file.id, file.ownerId, "choice-moved", {
      number,
      programme: own.programme,
      text: reason,
      link: `/my/${number}`,
    });
    return done(null);
  },
});

/** Changes campus, mode or track of a choice that is not submitted yet; what applies to it follows. */
export const changeChoice = defineFileAct({
  name: "change-choice",
  input: z.object({
    applicationId: z.uuid(),
    choiceId: z.uuid(),
    campus: z.string().nullable().optional(),
    mode: z.enum(MODES).nullable().optional(),
    track: z.string().nullable().optional(),
  }),
  right: "applicant",
  about: ({ choiceId, campus, mode, track }) => ({
    choice: choiceId,
    ...Object.fromEntries(Object.entries({ campus, mode, track }).filter(([, v]) => v !== undefined)),
  }),
  run: async (ctx, file, { choiceId, campus, mode, track }) => {
    const own = file.facts.choices.find((c) => c.id === choiceId);
    if (!own || own.withdrawnAt !== null) return refuse("not-found");
    if (own.submittedAt !== null) return refuse("locked");
    const refused = await isForeign(ctx, choiceId, { campus, mode, track });
    if (refused) return refuse(refused);
    await ctx.db
      .update(choice)
      .set({
        ...(campus === undefined ? {} : { campus }),
        ...(mode === undefined ? {} : { mode }),
        ...(track === undefined ? {} : { track }),
      })
      .where(eq(choice.id, choiceId));
    return done(null);
  },
});
