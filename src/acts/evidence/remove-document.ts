import { and, eq, isNull } from "drizzle-orm";
import { z } from "zod";
import { setAsideTwinInput } from "../../core/evidence/inputs";
import { growingSections, maySupply } from "../../core/evidence/may-supply";
import { evidence } from "../../db/schema";
import { done, refuse } from "../act/act";
import { defineFileAct } from "../act/file-act";

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

/** An officer sets aside a document that stands twice in a file; it stays in the history, and the other one counts. */
export const setAsideTwin = defineFileAct({
  name: "set-aside-twin",
  input: setAsideTwinInput,
  right: "office",
  about: ({ evidenceId }) => ({ evidence: evidenceId }),
  run: async (ctx, file, { evidenceId }) => {
    const known = file.facts.evidence.find((e) => e.id === evidenceId);
    if (!known) return refuse("not-found");
    if (known.judgement === "accepted") return refuse("locked");
    const { rowCount } = await ctx.client.query(
      `update evidence e set replaced_at = $3 from upload u where e.id = $1 and e.application_id = $2 and e.replaced_at is null and u.id = e.upload_id
         and exists (select 1 from evidence o join upload v on v.id = o.upload_id where o.application_id = e.application_id and o.id <> e.id
           and o.replaced_at is null and v.sha256 = u.sha256)`,
      [evidenceId, file.id, ctx.now],
    );
    return rowCount === 0 ? refuse("not-found") : done(null);
  },
});
