import { and, eq, isNull } from "drizzle-orm";
import { endOverrideInput, overrideFindingInput } from "../../core/assessment/inputs";
import { override } from "../../db/schema";
import { done, refuse } from "../act/act";
import { defineFileAct } from "../act/file-act";

/** A lead officer says that an entry rule counts as met, or as not met, whatever was worked out; the reason shows for ever. */
export const overrideFinding = defineFileAct({
  name: "override-finding",
  input: overrideFindingInput,
  right: "lead officer",
  about: ({ choiceId, rule, finding }) => ({ choice: choiceId, rule, finding }),
  run: async (ctx, file, { choiceId, rule, finding, reason: why }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const choice = file.assessment.choices.find((c) => c.id === choiceId);
    const known = choice?.findings.find((f) => f.key === rule);
    if (!choice || !known) return refuse("not-found");
    // Who may choose a programme at all has to be settled before it is submitted; everything else waits for that.
    if (choice.stage === "preparing" && !known.gate) return refuse("not-complete");
    if (choice.stage === "closed") return refuse("already-done");
    // Nothing to override: it has come to this by itself.
    if (known.overrides !== null || known.finding === finding) return refuse("already-done");
    await ctx.db.insert(override).values({
      applicationId: file.id,
      choiceId,
      rule,
      finding,
      worked: known.finding,
      reason: why,
      byId: ctx.actor.id,
      at: ctx.now,
    });
    return done(null);
  },
});

/** Takes an override back, with a reason of its own; both stay to be read. */
export const endOverride = defineFileAct({
  name: "end-override",
  input: endOverrideInput,
  right: "lead officer",
  about: ({ choiceId, rule }) => ({ choice: choiceId, rule }),
  run: async (ctx, file, { choiceId, rule, reason: why }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const ended = await ctx.db
      .update(override)
      .set({ endedAt: ctx.now, endedById: ctx.actor.id, endReason: why })
      .where(
        and(
          eq(override.applicationId, file.id),
          eq(override.choiceId, choiceId),
          eq(override.rule, rule),
          isNull(override.endedAt),
        ),
      )
      .returning({ id: override.id });
    return ended.length > 0 ? done(null) : refuse("already-done");
  },
});
