import { and, eq, isNull } from "drizzle-orm";
import { addWorking } from "../../core/calendar/working-days";
import {
  answerDecisionInput,
  dropDecisionInput,
  prepareDecisionInput,
  releaseDecisionInput,
} from "../../core/decision/inputs";
import { allConfirmed } from "../../core/file/result";
import { formatDay } from "../../core/time/day";
import { dayAt } from "../../core/time/zone";
import { decision, round } from "../../db/schema";
import { type ActContext, done, refuse } from "../act/act";
import { defineFileAct } from "../act/file-act";
import { closeWhenFull } from "../catalogue/rounds";
import { mailApplicant } from "../mail/queue-mail";

/** Whether a round decides as applications come, and not after its closing. */
async function isRolling(ctx: ActContext, roundId: string): Promise<boolean> {
  const [row] = await ctx.db.select({ rolling: round.rolling }).from(round).where(eq(round.id, roundId));
  return row?.rolling ?? false;
}

/**
 * Prepares a decision on a complete choice. An offer without conditions needs every entry rule met on confirmed values; one on
 * conditions stores the ways as they stand that day; a refusal says why. What is prepared while others may still apply for the same places
 * says for the office why it does not wait.
 */
export const prepareDecision = defineFileAct({
  name: "prepare-decision",
  input: prepareDecisionInput,
  right: "office",
  about: ({ choiceId, kind }) => ({ choice: choiceId, kind }),
  run: async (ctx, file, { choiceId, kind, reason, note }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const result = file.assessment.choices.find((c) => c.id === choiceId);
    const fact = file.facts.choices.find((c) => c.id === choiceId);
    if (!result || !fact) return refuse("not-found");
    if (fact.decision) return refuse("already-done");
    if (kind !== "refusal" && result.stage !== "complete") return refuse("not-complete");
    if (kind === "refusal" && !["submitted", "complete"].includes(result.stage)) return refuse("not-complete");
    if (kind === "offer" && result.eligibility !== "eligible") return refuse("not-eligible");
    if (kind === "offer" && !allConfirmed(result.findings)) return refuse("not-confirmed");
    if (kind === "offer on conditions" && result.eligibility !== "eligible on conditions")
      return refuse("not-eligible");
    if (kind === "refusal" && (reason ?? "") === "") return refuse("needs-reason");
    if (kind !== "refusal" && (note ?? "") === "" && result.round === "open" && !(await isRolling(ctx, fact.roundId)))
      return refuse("round-open");
    const conditions = result.findings.flatMap((f) =>
      f.finding !== "met" && f.way ? [{ rule: f.key, way: f.way }] : [],
    );
    await ctx.db.insert(decision).values({
      choiceId,
      kind,
      reason,
      note,
      conditions: kind === "offer on conditions" ? conditions : [],
      preparedById: ctx.actor.id,
      preparedAt: ctx.now,
    });
    return done(null);
  },
});

/** Takes a prepared decision back before it is released. */
export const dropDecision = defineFileAct({
  name: "drop-decision",
  input: dropDecisionInput,
  right: "office",
  about: ({ choiceId }) => ({ choice: choiceId }),
  run: async (ctx, file, { choiceId }) => {
    if (!file.facts.choices.some((c) => c.id === choiceId)) return refuse("not-found");
    const gone = await ctx.db
      .delete(decision)
      .where(and(eq(decision.choiceId, choiceId), isNull(decision.releasedAt)))
      .returning({ id: decision.choiceId });
    return gone.length > 0 ? done(null) : refuse("already-done");
  },
});

/** Releases a prepared decision: by a lead officer who did not prepare it. It cannot be taken back; the applicant is told. */
export const releaseDecision = defineFileAct({
  name: "release-decision",
  input: releaseDecisionInput,
  right: "lead officer",
  about: ({ choiceId }) => ({ choice: choiceId }),
  run: async (ctx, file, { choiceId }) => {
    const fact = file.facts.choices.find((c) => c.id === choiceId);
    if (ctx.actor.kind !== "person" || !fact?.decision) return refuse("not-found");
    if (fact.decision.releasedAt) return refuse("already-done");
    if (fact.decision.preparedBy === ctx.actor.id) return refuse("needs-second-person");
    const today = dayAt(file.office.zone, ctx.now.getTime());
    const answerable = fact.decision.kind === "offer" || fact.decision.kind === "offer on conditions";
    const answerBy = answerable
      ? formatDay(addWorking(file.office.calendar, today, file.office.set.targets.acceptOffer) ?? today + 21)
      : null;
    await ctx.db
      .update(decision)
      .set({ releasedAt: ctx.now, releasedById: ctx.actor.id, answerBy })
      .where(eq(decision.choiceId, choiceId));
    await mailApplicant(ctx, file.id, file.ownerId, "decision-released", {
      number: file.facts.application.number,
      link: `/my/${file.facts.application.number}`,
    });
    return done({ answerBy });
  },
});

/** The applicant accepts or declines an offer, up to the end of the day by which it was asked for. */
export const answerDecision = defineFileAct({
  name: "answer-decision",
  input: answerDecisionInput,
  right: "applicant",
  about: ({ choiceId, answer }) => ({ choice: choiceId, answer }),
  run: async (ctx, file, { choiceId, answer }) => {
    const made = file.facts.choices.find((c) => c.id === choiceId)?.decision;
    if (!made?.releasedAt || made.answerBy === null) return refuse("not-found");
    if (made.answer !== null) return refuse("already-done");
    if (formatDay(dayAt(file.office.zone, ctx.now.getTime())) > made.answerBy)
      return refuse("round-closed", { closesAt: made.answerBy });
    await ctx.db.update(decision).set({ answer, answeredAt: ctx.now }).where(eq(decision.choiceId, choiceId));
    const roundId = file.facts.choices.find((c) => c.id === choiceId)?.roundId;
    if (answer === "accepted" && roundId) await closeWhenFull(ctx, roundId);
    await mailApplicant(ctx, file.id, file.ownerId, "answer-received", {
      number: file.facts.application.number,
      answer,
    });
    return done(null);
  },
});
