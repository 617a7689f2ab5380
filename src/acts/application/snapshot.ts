import { and, eq, inArray, max } from "drizzle-orm";
import { answerKey } from "../../core/file/place";
import { numberedClaims } from "../../core/results/numbered-claims";
import { enqueue } from "../../db/queue";
import { evidence, submission } from "../../db/schema";
import type { ActContext } from "../act/act";
import type { OpenFile } from "../act/file-act";
import { keepStatements } from "../statements/likeness";

/**
 * Writes the next numbered version of what was submitted: which choices, which version of each answer, which documents. References
 * only, never values.
 */
export async function writeSnapshot(ctx: ActContext, file: OpenFile, choices: readonly string[]): Promise<number> {
  const [last] = await ctx.db
    .select({ no: max(submission.no) })
    .from(submission)
    .where(eq(submission.applicationId, file.id));
  const no = (last?.no ?? 0) + 1;
  const uploads = await ctx.db
    .select({ id: evidence.uploadId })
    .from(evidence)
    .where(
      and(
        eq(evidence.applicationId, file.id),
        inArray(
          evidence.id,
          file.facts.evidence.map((e) => e.id),
        ),
      ),
    );
  await keepStatements(ctx, file, choices);
  const sections = Object.values(file.rulebooks).flatMap((r) => r.body.sections);
  if (numberedClaims(file.facts.answers, sections).length > 0)
    await enqueue(ctx.boss, ctx.client, "match-results", { applicationId: file.id });
  await ctx.db.insert(submission).values({
    applicationId: file.id,
    no,
    at: ctx.now,
    choices,
    answers: file.facts.answers.map((a) => ({
      place: answerKey(a),
      version: a.version,
    })),
    uploads: uploads.map((u) => u.id),
    officeVersion: file.office.version,
  });
  return no;
}
