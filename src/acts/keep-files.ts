import { and, eq, inArray } from "drizzle-orm";
import { z } from "zod";
import { application, choice, excuse, fileStanding, referenceRequest } from "../db/schema";
import { done, refuse } from "./act";
import { closeAsks } from "./asks";
import { defineFileAct } from "./file-act";
import { mailApplicant } from "./mail";
import { placeFields, placeOf, resultAt } from "./place";

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

/** Excuses a requirement with a reason, and ends what was asked for there; waiving a fee is for a lead officer. */
export const excuseRequirement = defineFileAct({
  name: "excuse-requirement",
  input: z.object({
    applicationId: z.uuid(),
    ...placeFields,
    reason: z.string().trim().min(1).max(1000),
  }),
  right: "office",
  about: placeOf,
  run: async (ctx, file, { reason, ...input }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const at = placeOf(input);
    const result = resultAt(file, at);
    if (!result) return refuse("not-found");
    const lead = ctx.actor.grants.some(
      (g) => g.role === "lead officer" && (g.scope === "*" || file.programmes.includes(g.scope)),
    );
    if (result.kind === "fee" && !lead) return refuse("not-yours");
    const row = { applicationId: file.id, ...at, reason, byId: ctx.actor.id, at: ctx.now };
    await ctx.db.insert(excuse).values(row).onConflictDoNothing();
    await closeAsks(ctx, file.id, at);
    return done(null);
  },
});

/** Takes a file into one's own hands, or lets it go. */
export const takeFile = defineFileAct({
  name: "take-file",
  input: z.object({ applicationId: z.uuid(), mine: z.boolean() }),
  right: "office",
  about: ({ mine }) => ({ mine }),
  run: async (ctx, file, { mine }) => {
    const officerId = mine && ctx.actor.kind === "person" ? ctx.actor.id : null;
    await ctx.db.update(application).set({ officerId }).where(eq(application.id, file.id));
    await ctx.db.update(fileStanding).set({ officerId }).where(eq(fileStanding.applicationId, file.id));
    return done(null);
  },
});
