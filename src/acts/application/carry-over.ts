import { eq } from "drizzle-orm";
import { carriedAnswers } from "../../core/answers/carry-over";
import { loadFile } from "../../db/queries/load-file";
import { answer, answerVersion, rulebook } from "../../db/schema";
import type { ActContext } from "../act/act";

/**
 * Fills a new application with what its person has told in the one they worked on last. Nothing of it counts as confirmed, and
 * where each value comes from stays visible.
 */
export async function carryOver(
  ctx: ActContext,
  personId: string,
  applicationId: string,
  rulebookId: string,
): Promise<void> {
  const { rows } = await ctx.client.query<{ id: string; number: string }>(
    `select a.id, a.number from application a where a.person_id = $1 and a.id <> $2
       and exists (select 1 from answer w where w.application_id = a.id)
     order by (select max(w.saved_at) from answer w where w.application_id = a.id) desc limit 1`,
    [personId, applicationId],
  );
  const [from] = rows;
  const earlier = from ? await loadFile(ctx.client, from.id) : null;
  const [asked] = await ctx.db.select({ body: rulebook.body }).from(rulebook).where(eq(rulebook.id, rulebookId));
  if (!from || !earlier || !asked) return;
  const { set } = await ctx.office();
  const carried = carriedAnswers(earlier.facts.answers, asked.body.sections, set);
  if (carried.length === 0) return;
  const written = carried.map(({ scope, section, entry, field, value }) => ({
    applicationId,
    scope,
    section,
    entry,
    field,
    value,
    version: 1,
    savedAt: ctx.now,
  }));
  await ctx.db.insert(answer).values(written.map((row, i) => ({ ...row, position: carried[i]?.position ?? 0 })));
  await ctx.db.insert(answerVersion).values(written.map((row) => ({ ...row, savedBy: `application:${from.id}` })));
  const sections = [...new Set(carried.map((c) => c.section))];
  await ctx.emit("carry-over", applicationId, { from: from.number, sections });
}
