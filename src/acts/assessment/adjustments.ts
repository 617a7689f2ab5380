import { and, eq, isNull } from "drizzle-orm";
import { endAdjustmentInput, grantAdjustmentInput } from "../../core/assessment/inputs";
import { adjustment } from "../../db/schema";
import { done, refuse } from "../act/act";
import { defineFileAct } from "../act/file-act";
import { mailApplicant } from "../mail/queue-mail";

/**
 * An adviser grants what makes up for somebody's circumstances. What is granted is for the office and the applicant to read; why stays
 * with the advisers.
 */
export const grantAdjustment = defineFileAct({
  name: "grant-adjustment",
  input: grantAdjustmentInput,
  right: "adviser",
  about: () => ({}), // what is written stays where it can be erased
  run: async (ctx, file, { what, why }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    if (file.assessment.file.stage === "closed") return refuse("already-done");
    await ctx.db.insert(adjustment).values({ applicationId: file.id, what, why, byId: ctx.actor.id, at: ctx.now });
    const { number } = file.facts.application;
    await mailApplicant(ctx, file.id, file.ownerId, "adjustment-granted", {
      number,
      text: what,
      link: `/my/${number}`,
    });
    return done(null);
  },
});

/** It holds no longer; that it did stays on record. */
export const endAdjustment = defineFileAct({
  name: "end-adjustment",
  input: endAdjustmentInput,
  right: "adviser",
  about: ({ adjustmentId }) => ({ adjustment: adjustmentId }),
  run: async (ctx, file, { adjustmentId }) => {
    const ended = await ctx.db
      .update(adjustment)
      .set({ endedAt: ctx.now })
      .where(and(eq(adjustment.id, adjustmentId), eq(adjustment.applicationId, file.id), isNull(adjustment.endedAt)))
      .returning({ id: adjustment.id });
    return ended[0] ? done(null) : refuse("already-done");
  },
});
