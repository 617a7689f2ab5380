import { eq, inArray } from "drizzle-orm";
import { z } from "zod";
import { lackingChoices, orderOf, undertakingFor } from "../../core/catalogue/choice-rules";
import { requirementKey } from "../../core/file/place";
import { enqueue } from "../../db/queue";
import { application, choice, procedure } from "../../db/schema";
import { done, refuse } from "../act/act";
import { defineFileAct, openFile } from "../act/file-act";
import { mailApplicant } from "../mail/queue-mail";
import { askRegistries } from "../results/registry";
import { writeSnapshot } from "./snapshot";
import { promised } from "./undertaking";

const MISSING_SHOWN = 50;

/**
 * Submits choices. It knows no requirement by kind: the assessment says what is missing, and whether the round is open at the
 * moment of receipt. The rounds are locked for share, so that a change of a closing and a submission cannot cross.
 */
export const submitApplication = defineFileAct({
  name: "submit-application",
  input: z.object({ applicationId: z.uuid(), choiceIds: z.array(z.uuid()).min(1) }),
  right: "applicant",
  about: ({ choiceIds }) => ({ choices: choiceIds }),
  run: async (ctx, opened, { choiceIds }) => {
    const rounds = opened.facts.choices.filter((c) => choiceIds.includes(c.id)).map((c) => c.roundId);
    await ctx.client.query("select 1 from round where id = any($1::uuid[]) for share", [rounds]);
    // Read again: whoever changed a round has finished by now, and nobody can before this submission has.
    const file = await openFile(ctx, opened.id);
    if (!file) return refuse("not-found");
    const wanted = file.assessment.choices.filter((c) => choiceIds.includes(c.id));
    if (wanted.length !== choiceIds.length) return refuse("not-found");
    if (wanted.some((c) => c.stage !== "preparing" && c.closedAs !== "lapsed")) return refuse("already-done");
    const shut = wanted.find((c) => c.round !== "open");
    if (shut)
      return refuse(shut.round === "closed" ? "round-closed" : "round-not-open", {
        opensAt: shut.opensAt,
        closesAt: shut.closesAt,
      });
    const barred = wanted.flatMap((c) => c.barredBy);
    if (barred.length > 0) return refuse("not-open-to-you", { rules: barred });
    const missing = wanted.flatMap((c) => c.missing.map(requirementKey));
    if (missing.length > 0) return refuse("not-complete", { missing: [...new Set(missing)].slice(0, MISSING_SHOWN) });
    const [family] = await ctx.db
      .select({ rules: procedure.rules })
      .from(application)
      .innerJoin(procedure, eq(procedure.id, application.procedureId))
      .where(eq(application.id, file.id));
    const live = orderOf(file.facts.choices).map((c) => c.id);
    if (family && lackingChoices(family.rules, live.length) > 0)
      return refuse("choice-rule", { least: family.rules.least });
    if (family && undertakingFor(family.rules, live.length) && !(await promised(ctx, file.id, live)))
      return refuse("undertaking-missing");
    const no = await writeSnapshot(ctx, file, choiceIds);
    await ctx.db.update(choice).set({ submittedAt: ctx.now }).where(inArray(choice.id, choiceIds));
    await askRegistries(ctx, file, choiceIds);
    await enqueue(ctx.boss, ctx.client, "assign-file", { applicationId: file.id });
    if (file.facts.application.groupSinceSubmission === null)
      await ctx.db
        .update(application)
        .set({ groupSinceSubmission: file.assessment.file.group })
        .where(eq(application.id, file.id));
    await mailApplicant(ctx, file.id, file.ownerId, "submitted", {
      number: file.facts.application.number,
      programmes: wanted.map((c) => c.programme).join(", "),
    });
    return done({ no });
  },
});
