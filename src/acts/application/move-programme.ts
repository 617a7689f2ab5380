import { and, eq, isNull } from "drizzle-orm";
import type { z } from "zod";
import { moveProgrammeInput } from "../../core/application/inputs";
import { choiceRefusal } from "../../core/catalogue/choice-rules";
import { optionsElsewhere } from "../../core/catalogue/programme";
import { holds, OFFICE } from "../../core/rights/actor";
import { application, choice, override } from "../../db/schema";
import { type ActContext, done, refuse } from "../act/act";
import { defineFileAct, type OpenFile } from "../act/file-act";
import { mailApplicant } from "../mail/queue-mail";
import { findTarget, heldChoices } from "./choice-target";

/** A submitted, undecided choice and another place of its procedure and cycle; or why it cannot be put there. */
async function placeFor(ctx: ActContext, file: OpenFile, { choiceId, roundId }: z.output<typeof moveProgrammeInput>) {
  const own = file.facts.choices.find((c) => c.id === choiceId);
  const target = await findTarget(ctx, roundId);
  const [row] = await ctx.db.select().from(application).where(eq(application.id, file.id));
  if (!own || own.withdrawnAt !== null || !target || !row) return refuse("not-found");
  if (own.submittedAt === null || own.decision !== null) return refuse("locked");
  if (row.cycleId !== target.cycle.id || row.procedureId !== target.procedure.id) return refuse("not-offered");
  return done({ own, target });
}

/**
 * Puts a submitted choice on another programme of its procedure and cycle, with a reason that the applicant is told. The choice stays
 * the same one, with its history, its answers and its evidence; the newest rulebook of the other programme counts from now on.
 * Overrides were made for the rules of the programme that it leaves: they end.
 */
export const moveProgramme = defineFileAct({
  name: "move-programme",
  input: moveProgrammeInput,
  right: "office",
  about: ({ choiceId, roundId, reason }) => ({ choice: choiceId, round: roundId, reason }),
  run: async (ctx, file, wanted) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const { choiceId, track, reason } = wanted;
    const found = await placeFor(ctx, file, wanted);
    if (!found.ok) return found;
    const { own, target } = found.value;
    if (!holds(ctx.actor, OFFICE, [target.programme.code])) return refuse("not-yours");
    const held = await heldChoices(ctx, file.id);
    if (held.some((c) => c.intakeId === target.intake.id)) return refuse("already-applied");
    const others = held.filter((c) => c.withdrawnAt === null && c.code !== own.programme);
    const rule = choiceRefusal(target.procedure.rules, others, target.programme);
    if (rule) return refuse("choice-rule", { ...rule });
    const options = optionsElsewhere(target.programme, target.intake, own, track);
    if (!options) return refuse("not-offered");
    await ctx.db
      .update(choice)
      .set({
        intakeId: target.intake.id,
        roundId: target.round.id,
        rulebookId: target.rulebookId,
        ...options,
        otherTracks: [],
        extendedTo: null,
        completeAt: null,
      })
      .where(eq(choice.id, choiceId));
    await ctx.db
      .update(override)
      .set({ endedAt: ctx.now, endedById: ctx.actor.id, endReason: reason })
      .where(and(eq(override.choiceId, choiceId), isNull(override.endedAt)));
    const { number } = file.facts.application;
    const { award, title } = target.programme;
    await mailApplicant(ctx, file.id, file.ownerId, "programme-moved", {
      number,
      from: own.programme,
      programmeEn: `${award} ${title.en}`,
      programmeFr: `${award} ${title.fr}`,
      text: reason,
      link: `/my/${number}`,
    });
    return done(null);
  },
});

/** Writes to the applicant that another programme or track may suit them better, and how they can ask for it. Nothing is moved. */
export const suggestMove = defineFileAct({
  name: "suggest-move",
  input: moveProgrammeInput,
  right: "office",
  about: ({ choiceId, roundId, track, reason }) => ({ choice: choiceId, round: roundId, track, reason }),
  run: async (ctx, file, wanted) => {
    const { track, reason } = wanted;
    const found = await placeFor(ctx, file, wanted);
    if (!found.ok) return found;
    const { own, target } = found.value;
    const { number } = file.facts.application;
    const { award, title, tracks } = target.programme;
    const named = tracks.find((t) => t.key === track);
    const words = (locale: "en" | "fr") => `${award} ${title[locale]}${named ? `, ${named.title[locale]}` : ""}`;
    await mailApplicant(ctx, file.id, file.ownerId, "move-suggested", {
      number,
      from: own.programme,
      programmeEn: words("en"),
      programmeFr: words("fr"),
      text: reason,
      link: `/my/${number}`,
    });
    return done(null);
  },
});
