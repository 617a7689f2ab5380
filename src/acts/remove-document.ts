import { and, eq, isNull } from "drizzle-orm";
import { z } from "zod";
import { growingSections, maySupply } from "../core/documents/may-supply";
import { evidence } from "../db/schema";
import { done, refuse } from "./act";
import { defineFileAct } from "./file-act";

/** Takes a document out again that nobody has judged yet; it stays in the history. */
export const removeDocument = defineFileAct({
  name: "remove-document",
  input: z.object({ applicationId: z.uuid(), evidenceId: z.uuid() }),
  right: "applicant",
  about: ({ evidenceId }) => ({ evidence: evidenceId }),
  run: async (ctx, file, { evidenceId }) => {
    const known = file.facts.evidence.find((e) => e.id === evidenceId);
    if (!known) return refuse("not-found");
    const growing = growingSections(file.facts, file.rulebooks);
    if (known.judgement !== null || !maySupply(file.facts, file.assessment, known, growing)) return refuse("locked");
    await ctx.db
      .update(evidence)
      .set({ replacedAt: ctx.now })
      .where(and(eq(evidence.id, evidenceId), isNull(evidence.replacedAt)));
    return done(null);
  },
});
