import { and, eq, isNull } from "drizzle-orm";
import { z } from "zod";
import { reopenable, samePlace } from "../../core/answers/reopening";
import { refuseCorrectionInput } from "../../core/application/inputs";
import { correctionRequest } from "../../db/schema";
import { done, refuse } from "../act/act";
import { defineFileAct } from "../act/file-act";
import { mailApplicant } from "../mail/queue-mail";

/** The applicant asks the office to open sections for correction, with the reason. One request at a time. */
export const requestCorrection = defineFileAct({
  name: "request-correction",
  input: z.object({
    applicationId: z.uuid(),
    sections: z
      .array(z.object({ scope: z.string().max(40), section: z.string().max(60) }))
      .min(1)
      .max(60),
    text: z.string().trim().min(1).max(2000),
  }),
  right: "applicant",
  about: ({ sections }) => ({ sections: sections.map((s) => s.section) }),
  run: async (ctx, file, { sections, text }) => {
    const possible = reopenable(file);
    if (!sections.every((s) => possible.some(samePlace(s)))) return refuse("not-found");
    if (file.assessment.file.stage === "closed") return refuse("locked");
    const made = await ctx.db
      .insert(correctionRequest)
      .values({ applicationId: file.id, sections, text, askedAt: ctx.now })
      .onConflictDoNothing()
      .returning({ id: correctionRequest.id });
    return made[0] ? done(null) : refuse("already-done");
  },
});

/** The office refuses a request, with the reason; granting it is opening sections. */
export const refuseCorrection = defineFileAct({
  name: "refuse-correction",
  input: refuseCorrectionInput,
  right: "office",
  run: async (ctx, file, { reason }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const answered = await ctx.db
      .update(correctionRequest)
      .set({ answeredAt: ctx.now, answeredById: ctx.actor.id, refusal: reason })
      .where(and(eq(correctionRequest.applicationId, file.id), isNull(correctionRequest.answeredAt)))
      .returning({ id: correctionRequest.id });
    if (!answered[0]) return refuse("already-done");
    const { number } = file.facts.application;
    await mailApplicant(ctx, file.id, file.ownerId, "correction-refused", {
      number,
      text: reason,
      link: `/my/${number}`,
    });
    return done(null);
  },
});
