import { and, eq, isNull } from "drizzle-orm";
import { answersOfEarlier, carriedAnswers, carriedPapers } from "../../core/answers/carry-over";
import type { AnswerFact } from "../../core/file/facts";
import { dayAt } from "../../core/time/zone";
import { loadFile } from "../../db/queries/load-file";
import { answer, answerVersion, evidence, rulebook, upload } from "../../db/schema";
import type { ActContext } from "../act/act";

interface Earlier {
  readonly id: string;
  readonly number: string;
}

/** The application that somebody worked on last, and the one that they submitted last; a draft is nothing that one applied by. */
async function earlierOf(ctx: ActContext, personId: string, applicationId: string) {
  const { rows } = await ctx.client.query<Earlier & { submitted: boolean }>(
    `select a.id, a.number, exists (select 1 from choice c where c.application_id = a.id and c.submitted_at is not null) as submitted
     from application a where a.person_id = $1 and a.id <> $2
       and exists (select 1 from answer w where w.application_id = a.id)
     order by (select max(w.saved_at) from answer w where w.application_id = a.id) desc`,
    [personId, applicationId],
  );
  return { last: rows[0] ?? null, submitted: rows.find((r) => r.submitted) ?? null };
}

/** Papers of the earlier application stand in the new one as if they had been supplied now: they are looked at again. */
async function carryPapers(
  ctx: ActContext,
  from: Earlier,
  applicationId: string,
  carried: readonly AnswerFact[],
  body: Parameters<typeof carriedPapers>[2],
): Promise<number> {
  const { zone } = await ctx.office();
  const supplied = await ctx.db
    .select({ evidence, upload })
    .from(evidence)
    .innerJoin(upload, eq(upload.id, evidence.uploadId))
    .where(and(eq(evidence.applicationId, from.id), isNull(evidence.replacedAt)));
  const today = dayAt(zone, ctx.now.getTime());
  const papers = carriedPapers(
    supplied.map((s) => ({ ...s.evidence, upload: s.upload })),
    carried,
    body,
    today,
  );
  for (const { upload: earlier, requirement, scope, entry, firstPage, lastPage } of papers) {
    const { id: _, ...file } = earlier;
    const [kept] = await ctx.db
      .insert(upload)
      .values({ ...file, applicationId })
      .returning({ id: upload.id });
    if (!kept) throw new Error("a document that could not be taken over");
    await ctx.db.insert(evidence).values({
      applicationId,
      requirement,
      scope,
      entry,
      uploadId: kept.id,
      firstPage,
      lastPage,
      suppliedAt: ctx.now,
    });
  }
  return papers.length;
}

/**
 * Fills a new application with what its person has told in the one they worked on last, and with its papers that still hold. Nothing of it
 * counts as confirmed or checked, and where each value comes from stays visible.
 */
export async function carryOver(
  ctx: ActContext,
  personId: string,
  applicationId: string,
  rulebookId: string,
): Promise<void> {
  const { last: from, submitted } = await earlierOf(ctx, personId, applicationId);
  const earlier = from ? await loadFile(ctx.client, from.id) : null;
  const [asked] = await ctx.db.select({ body: rulebook.body }).from(rulebook).where(eq(rulebook.id, rulebookId));
  if (!from || !earlier || !asked) return;
  const { set } = await ctx.office();
  const carried = carriedAnswers(earlier.facts.answers, asked.body.sections, set);
  const known = submitted ? answersOfEarlier(asked.body.sections, submitted.number) : [];
  if (carried.length + known.length === 0) return;
  const written = [
    ...carried.map((a) => ({ ...a, from: from.id })),
    ...known.map((k) => ({ ...k, scope: "file", entry: "", position: 0, from: submitted?.id ?? from.id })),
  ].map(({ scope, section, entry, field, value, position, from: source }) => ({
    row: { applicationId, scope, section, entry, field, value, version: 1, savedAt: ctx.now },
    position,
    source,
  }));
  await ctx.db.insert(answer).values(written.map(({ row, position }) => ({ ...row, position })));
  await ctx.db
    .insert(answerVersion)
    .values(written.map(({ row, source }) => ({ ...row, savedBy: `application:${source}` })));
  const papers = await carryPapers(ctx, from, applicationId, carried, asked.body);
  const sections = [...new Set(written.map(({ row }) => row.section))];
  await ctx.emit("carry-over", applicationId, { from: from.number, sections, papers });
}
