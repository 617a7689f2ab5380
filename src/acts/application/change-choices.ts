import { eq } from "drizzle-orm";
import { z } from "zod";
import { moveChoiceInput } from "../../core/application/inputs";
import { OPTIONS, offeredOptions, type Track } from "../../core/catalogue/programme";
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
  readonly language?: string | undefined;
  readonly mode?: Mode | null | undefined;
  readonly track?: string | null | undefined;
  readonly tracks?: readonly string[] | undefined;
}

const areTracks = (keys: readonly string[], offered: readonly Track[]): boolean =>
  new Set(keys).size === keys.length && keys.every((key) => offered.some((t) => t.key === key));

/** Whether one of the options is none that the start offers. */
async function isForeign(ctx: ActContext, choiceId: string, { campus, language, mode, track, tracks }: Options) {
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
    (language !== undefined && !offered.languages.includes(language)) ||
    (typeof mode === "string" && !offered.modes.some((m) => m === mode)) ||
    (typeof track === "string" && !offered.tracks.some((t) => t.key === track)) ||
    (tracks !== undefined && !(plan.programme.tracksRanked && areTracks(tracks, offered.tracks)));
  return foreign ? ("not-offered" as const) : null;
}

/**
 * The office puts a submitted choice on another track, campus, language or mode, with a reason that the applicant is told. What was submitted
 * stays as it was; what the other track asks for is then missing, and its rules count.
 */
export const moveChoice = defineFileAct({
  name: "move-choice",
  input: moveChoiceInput,
  right: "office",
  about: ({ choiceId, campus, language, mode, track, reason }) => ({
    choice: choiceId,
    campus,
    ...(language === undefined ? {} : { language }),
    mode,
    track,
    reason,
  }),
  run: async (ctx, file, { choiceId, reason, ...to }) => {
    const own = file.facts.choices.find((c) => c.id === choiceId);
    if (!own || own.withdrawnAt !== null) return refuse("not-found");
    if (own.submittedAt === null || own.decision !== null) return refuse("locked");
    const wanted = { campus: to.campus, language: to.language ?? own.language, mode: to.mode, track: to.track };
    const refused = await isForeign(ctx, choiceId, wanted);
    if (refused) return refuse(refused);
    if (OPTIONS.every((option) => own[option] === wanted[option])) return refuse("already-done");
    const otherTracks = own.otherTracks.filter((key) => key !== wanted.track);
    await ctx.db
      .update(choice)
      .set({ ...wanted, otherTracks })
      .where(eq(choice.id, choiceId));
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

/** Changes campus, language, mode or track of a choice that is not submitted yet; what applies to it follows. */
export const changeChoice = defineFileAct({
  name: "change-choice",
  input: z.object({
    applicationId: z.uuid(),
    choiceId: z.uuid(),
    campus: z.string().nullable().optional(),
    language: z.string().optional(),
    mode: z.enum(MODES).nullable().optional(),
    track: z.string().nullable().optional(),
    /** The tracks that would be taken, the preferred one first, where the programme asks for an order. */
    tracks: z.array(z.string()).min(1).max(40).optional(),
  }),
  right: "applicant",
  about: ({ choiceId, campus, language, mode, track, tracks }) => ({
    choice: choiceId,
    ...Object.fromEntries(Object.entries({ campus, language, mode, track, tracks }).filter(([, v]) => v !== undefined)),
  }),
  run: async (ctx, file, { choiceId, campus, language, mode, track, tracks }) => {
    const own = file.facts.choices.find((c) => c.id === choiceId);
    if (!own || own.withdrawnAt !== null) return refuse("not-found");
    if (own.submittedAt !== null) return refuse("locked");
    const refused = await isForeign(ctx, choiceId, { campus, language, mode, track, tracks });
    if (refused) return refuse(refused);
    await ctx.db
      .update(choice)
      .set({
        ...(campus === undefined ? {} : { campus }),
        ...(language === undefined ? {} : { language }),
        ...(mode === undefined ? {} : { mode }),
        ...(track === undefined ? {} : { track }),
        ...(tracks === undefined ? {} : { track: tracks[0] ?? null, otherTracks: tracks.slice(1) }),
      })
      .where(eq(choice.id, choiceId));
    return done(null);
  },
});
