import { and, eq, inArray } from "drizzle-orm";
import { z } from "zod";
import { application, choice, referenceRequest } from "../../db/schema";
import { done, refuse } from "../act/act";
import { defineFileAct } from "../act/file-act";
import { mailApplicant } from "../mail/queue-mail";

/** Withdraws one choice, or the whole application when none is named. Open requests to referees stop with the last choice. */
export const withdraw = defineFileAct({
  name: "withdraw",
  input: z.object({ applicationId: z.uuid(), choiceId: z.uuid().nullable().default(null) }),
  right: "applicant",
  about: ({ choiceId }) => ({ choice: choiceId }),
  run: async (ctx, file, { choiceId }) => {
    const live = file.facts.choices.filter((c) => c.withdrawnAt === null);
    const going = choiceId === null ? live : live.filter((c) => c.id === choiceId);
    if (going.length === 0) return refuse("already-done");
    await ctx.db
      .update(choice)
      .set({ withdrawnAt: ctx.now })
      .where(
        inArray(
          choice.id,
          going.map((c) => c.id),
        ),
      );
    if (going.length < live.length) return done(null);
    await ctx.db.update(application).set({ withdrawnAt: ctx.now }).where(eq(application.id, file.id));
    await ctx.db
      .update(referenceRequest)
      .set({ state: "withdrawn", closedAt: ctx.now })
      .where(and(eq(referenceRequest.applicationId, file.id), inArray(referenceRequest.state, ["asked", "opened"])));
    await mailApplicant(ctx, file.id, file.ownerId, "withdrawn", { number: file.facts.application.number });
    return done(null);
  },
});
