import { and, eq, isNull } from "drizzle-orm";
import { z } from "zod";
import { AnswerIndex } from "../../core/answers/answer-index";
import { casesAsked, earlyWish } from "../../core/assessment/cases-asked";
import { contexts } from "../../core/assessment/context";
import type { CaseResult } from "../../core/assessment/ruling";
import { type CaseAt, caseInput, ruleOnCaseInput, rulingReason } from "../../core/rulings/inputs";
import { appliedRuling, earlyCase, ruling } from "../../db/schema";
import { type ActContext, defineAct, done, type Outcome, refuse } from "../act/act";
import { defineFileAct, type OpenFile } from "../act/file-act";
import { keeps } from "../act/office-rights";
import { mailApplicant } from "../mail/queue-mail";

const isEarly = ({ facts }: OpenFile, at: CaseAt): boolean => earlyWish(facts, at.question, at) !== undefined;

/** The case at a place, as a live choice asks about it: a submitted one, or any where the applicant asks before submitting. */
function caseAt(file: OpenFile, at: CaseAt, now: Date, anyChoice = isEarly(file, at)): CaseResult | undefined {
  const { facts, rulebooks, rounds, office } = file;
  return contexts(facts, new AnswerIndex(facts), rulebooks, rounds, office, now.getTime())
    .filter((c) => (anyChoice || c.choice.submittedAt !== null) && c.choice.withdrawnAt === null)
    .flatMap((context) => casesAsked(context, facts.rulings, office))
    .filter(({ measure }) => measure.question === at.question)
    .flatMap(({ cases }) => cases)
    .find((c) => c.scope === at.scope && c.section === at.section && c.entry === at.entry);
}

const inForce = (applicationId: string, at: CaseAt) =>
  and(
    eq(appliedRuling.applicationId, applicationId),
    eq(appliedRuling.question, at.question),
    eq(appliedRuling.scope, at.scope),
    eq(appliedRuling.section, at.section),
    eq(appliedRuling.entry, at.entry),
    isNull(appliedRuling.endedAt),
  );

async function apply(
  ctx: ActContext,
  byId: string,
  file: OpenFile,
  at: CaseAt,
  about: CaseResult["about"],
  rulingId: string,
): Promise<void> {
  await ctx.db.update(appliedRuling).set({ endedAt: ctx.now, endedById: byId }).where(inForce(file.id, at));
  const { question, scope, section, entry } = at;
  await ctx.db
    .insert(appliedRuling)
    .values({ applicationId: file.id, rulingId, question, scope, section, entry, about, byId, at: ctx.now });
}

/** The ruling to apply: an earlier one that is still in force for this question, or a new one about this case. */
async function rulingFor(
  ctx: ActContext,
  byId: string,
  found: CaseResult,
  input: {
    question: string;
    earlier?: string | undefined;
    verdict?: "accepted" | "refused" | undefined;
    reason?: string | undefined;
    equalTo: string | null;
    limits: string | null;
  },
): Promise<Outcome<string>> {
  if (input.earlier !== undefined) {
    const [known] = await ctx.db
      .select({ id: ruling.id })
      .from(ruling)
      .where(and(eq(ruling.id, input.earlier), eq(ruling.question, input.question), isNull(ruling.endedAt)));
    return known ? done(known.id) : refuse("not-found");
  }
  if (input.verdict === undefined || input.reason === undefined) return refuse("needs-reason");
  const [made] = await ctx.db
    .insert(ruling)
    .values({
      question: input.question,
      ...found.about,
      verdict: input.verdict,
      reason: input.reason,
      equalTo: input.equalTo,
      // What was refused has none.
      limits: input.verdict === "accepted" ? input.limits : null,
      byId,
      at: ctx.now,
    })
    .returning({ id: ruling.id });
  return made ? done(made.id) : refuse("not-found");
}

/** Whoever asked before submitting is told at once. */
async function tellEarly(ctx: ActContext, file: OpenFile, found: CaseResult, rulingId: string): Promise<void> {
  const [made] = await ctx.db.select({ verdict: ruling.verdict }).from(ruling).where(eq(ruling.id, rulingId));
  const { number } = file.facts.application;
  await mailApplicant(ctx, file.id, file.ownerId, made?.verdict === "accepted" ? "case-accepted" : "case-refused", {
    number,
    titleEn: found.title.en,
    titleFr: found.title.fr,
    link: `/my/${number}`,
  });
}

/** An applicant asks the office to rule on a case before anything is submitted; once, as long as it is not answered. */
export const askEarlyRuling = defineFileAct({
  name: "ask-early-ruling",
  input: caseInput,
  right: "applicant",
  about: ({ question, section, entry }) => ({ question, section, entry }),
  run: async (ctx, file, { applicationId: _, ...at }) => {
    const found = caseAt(file, at, ctx.now, true);
    if (!found) return refuse("not-found");
    if (found.answer !== null || isEarly(file, at)) return refuse("already-done");
    if (Object.values(found.about).every((part) => part === "")) return refuse("not-complete");
    await ctx.db.insert(earlyCase).values({ applicationId: file.id, ...at, askedAt: ctx.now });
    return done(null);
  },
});

/** Rules on a case of a file: anew with a reason, or as an earlier like case was ruled on. It takes the place of a ruling of before. */
export const ruleOnCase = defineFileAct({
  name: "rule-on-case",
  input: ruleOnCaseInput,
  right: "office",
  about: ({ question, section, entry, verdict, earlier }) => ({
    question,
    section,
    entry,
    ...(earlier ? { earlier } : { verdict: verdict ?? "" }),
  }),
  run: async (ctx, file, { applicationId: _, earlier, verdict, reason: why, equalTo, limits, ...at }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const found = caseAt(file, at, ctx.now);
    if (!found) return refuse("not-found");
    if (Object.values(found.about).every((part) => part === "")) return refuse("not-complete");
    const { question } = at;
    const which = await rulingFor(ctx, ctx.actor.id, found, {
      question,
      earlier,
      verdict,
      reason: why,
      equalTo,
      limits,
    });
    if (!which.ok) return which;
    await apply(ctx, ctx.actor.id, file, at, found.about, which.value);
    if (isEarly(file, at)) await tellEarly(ctx, file, found, which.value);
    return done(null);
  },
});

/** Takes back that a ruling holds for a case. One that was made for this case and holds nowhere else is offered no more. */
export const endCaseRuling = defineFileAct({
  name: "end-case-ruling",
  input: caseInput,
  right: "office",
  about: ({ question, section, entry }) => ({ question, section, entry }),
  run: async (ctx, file, { applicationId: _, ...at }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const ended = await ctx.db
      .update(appliedRuling)
      .set({ endedAt: ctx.now, endedById: ctx.actor.id })
      .where(inForce(file.id, at))
      .returning({ rulingId: appliedRuling.rulingId });
    const [gone] = ended;
    if (!gone) return refuse("already-done");
    await ctx.client.query(
      `update ruling set ended_at = $2, ended_by_id = $3, end_reason = 'taken back in the file it was made for'
       where id = $1 and ended_at is null and not exists (select 1 from applied_ruling where ruling_id = $1 and ended_at is null)`,
      [gone.rulingId, ctx.now, ctx.actor.id],
    );
    return done(null);
  },
});

/** A ruling is offered no more for like cases. Where it was applied it goes on holding: those files were told so. */
export const endRuling = defineAct({
  name: "end-ruling",
  input: z.object({ rulingId: z.uuid(), reason: rulingReason }),
  may: keeps,
  run: async (ctx, { rulingId, reason: why }) => {
    // Somebody answers for it by name.
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const ended = await ctx.db
      .update(ruling)
      .set({ endedAt: ctx.now, endedById: ctx.actor.id, endReason: why })
      .where(and(eq(ruling.id, rulingId), isNull(ruling.endedAt)))
      .returning({ id: ruling.id });
    if (!ended[0]) return refuse("already-done");
    await ctx.emit("end-ruling", null, { ruling: rulingId });
    return done(null);
  },
});
