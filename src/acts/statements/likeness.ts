import { and, eq, inArray } from "drizzle-orm";
import { z } from "zod";
import { type AnswerPlace, answerKey } from "../../core/file/place";
import { holds, OFFICE } from "../../core/rights/actor";
import { comparedWords } from "../../core/statements/compared-words";
import { formWords, isCompared } from "../../core/statements/form-words";
import { judgeLikenessInput } from "../../core/statements/inputs";
import { likenessOf } from "../../core/statements/likeness";
import { marksOf } from "../../core/statements/marks";
import { statementsSharing } from "../../db/queries/statements";
import { enqueue } from "../../db/queue";
import { likeness, statementText } from "../../db/schema";
import { type ActContext, defineAct, done, refuse } from "../act/act";
import { defineFileAct, type OpenFile, openFile } from "../act/file-act";

/** The statements of a file that were written for what is submitted, with what the form says beside each. */
function statementsOf({ facts, rulebooks }: OpenFile, choices: readonly string[]) {
  const submitted = facts.choices.filter(
    (c) => c.withdrawnAt === null && (c.submittedAt !== null || choices.includes(c.id)),
  );
  return facts.answers.flatMap((answer) => {
    const { scope, section: key, field: name, value } = answer;
    const [found] = submitted
      .filter((c) => scope === "file" || scope === c.id)
      .flatMap((c) => rulebooks[c.rulebookId]?.body.sections ?? [])
      .filter((s) => s.key === key && (s.scope === "file") === (scope === "file"))
      .flatMap((section) => section.fields.filter((f) => f.key === name).map((field) => ({ section, field })));
    if (!found || !isCompared(found.field) || typeof value !== "string" || value.trim() === "") return [];
    return [{ ...answer, value, form: () => formWords(found.section, found.field) }];
  });
}

const versionAt = (s: AnswerPlace & { version: number }): string => `${answerKey(s)}|${s.version}`;

/** Keeps what a submission says in statements, so that others can be held against it; what was changed is compared anew, by a job. */
export async function keepStatements(ctx: ActContext, file: OpenFile, choices: readonly string[]): Promise<void> {
  const known = await ctx.db.select().from(statementText).where(eq(statementText.applicationId, file.id));
  const current = statementsOf(file, choices);
  const [kept, wanted] = [new Set(known.map(versionAt)), new Set(current.map(versionAt))];
  const gone = known.filter((k) => !wanted.has(versionAt(k))).map((k) => k.id);
  const fresh = current.filter((c) => !kept.has(versionAt(c)));
  if (gone.length > 0) await ctx.db.delete(statementText).where(inArray(statementText.id, gone));
  if (fresh.length === 0) return;
  await ctx.db.insert(statementText).values(
    fresh.map(({ scope, section, entry, field, version, value }) => {
      const words = comparedWords(value);
      const marks = [...marksOf(words)];
      return {
        applicationId: file.id,
        ...{ scope, section, entry, field, version, marks },
        words: words.length,
        submittedAt: ctx.now,
      };
    }),
  );
  await enqueue(ctx.boss, ctx.client, "compare-statements", { applicationId: file.id });
}

/** Holds the statements of a submitted file against those of other people, and keeps which are alike. */
export const compareStatements = defineAct({
  name: "compare-statements",
  input: z.object({ applicationId: z.uuid() }),
  may: (ctx) => ctx.actor.kind === "system",
  run: async (ctx, { applicationId }) => {
    const file = await openFile(ctx, applicationId);
    if (!file) return refuse("not-found");
    const known = await ctx.db.select().from(statementText).where(eq(statementText.applicationId, applicationId));
    let found = 0;
    for (const statement of statementsOf(file, [])) {
      const kept = known.find((k) => versionAt(k) === versionAt(statement));
      if (!kept) continue;
      const [text, form] = [comparedWords(statement.value), statement.form()];
      const alike = (await statementsSharing(ctx.client, kept.marks, file.ownerId)).flatMap(({ id, text: other }) => {
        const seen = likenessOf(text, comparedWords(other), form);
        return seen ? [{ id, words: seen.words }] : [];
      });
      const rows = alike.map(({ id, words }) => {
        const [firstId = "", secondId = ""] = [kept.id, id].sort();
        return { firstId, secondId, words, foundAt: ctx.now };
      });
      if (rows.length > 0) await ctx.db.insert(likeness).values(rows).onConflictDoNothing();
      found += rows.length;
    }
    return done({ found });
  },
});

/** Says of two statements that are alike what that means; a later word takes its place, and “undecided” takes it back. */
export const judgeLikeness = defineFileAct({
  name: "judge-likeness",
  input: judgeLikenessInput,
  right: "office",
  about: ({ otherId, verdict }) => ({ other: otherId, verdict }),
  run: async (ctx, file, { statementId, otherId, verdict, note }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const { rows } = await ctx.client.query<{ programmes: string[] }>(
      `select array_agg(distinct p.code) as programmes from statement_text t join choice c on c.application_id = t.application_id
         join intake i on i.id = c.intake_id join programme p on p.id = i.programme_id
       where t.id = $1 and exists (select 1 from statement_text o where o.id = $2 and o.application_id = $3) group by t.application_id`,
      [otherId, statementId, file.id],
    );
    const [other] = rows;
    if (!other) return refuse("not-found");
    if (!holds(ctx.actor, OFFICE, other.programmes)) return refuse("not-yours");
    if (verdict === "copied" && note === "") return refuse("needs-reason");
    const [firstId = "", secondId = ""] = [statementId, otherId].sort();
    const said =
      verdict === "undecided"
        ? { verdict: null, note: "", byId: null, at: null }
        : { verdict, note, byId: ctx.actor.id, at: ctx.now };
    const judged = await ctx.db
      .update(likeness)
      .set(said)
      .where(and(eq(likeness.firstId, firstId), eq(likeness.secondId, secondId)))
      .returning({ words: likeness.words });
    return judged.length === 0 ? refuse("not-found") : done(null);
  },
});
