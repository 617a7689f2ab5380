import { and, eq, sql } from "drizzle-orm";
import { z } from "zod";
import { rulebookProblems } from "../core/rulebook/problems";
import { type RulebookBody, rulebookSchema } from "../core/rulebook/rulebook";
import type { Section } from "../core/sections/definition";
import { formConflicts } from "../core/sections/union";
import { rulebook } from "../db/schema";
import { type ActContext, defineAct, done, refuse } from "./act";
import { plans } from "./programmes";

/** The published rulebooks that share an application with this one must mean the same by the same section and field. */
async function conflictsWithOthers(ctx: ActContext, intakeId: string, body: RulebookBody): Promise<readonly string[]> {
  const { rows } = await ctx.client.query<{ code: string; sections: Section[] }>(
    `select p.code, b.body->'sections' as sections from rulebook b join intake i on i.id = b.intake_id join programme p on p.id = i.programme_id,
       intake own join programme mine on mine.id = own.programme_id
     where own.id = $1 and i.id <> own.id and b.status = 'published' and i.cycle_id = own.cycle_id and p.procedure_id = mine.procedure_id`,
    [intakeId],
  );
  return rows.flatMap(({ code, sections }) =>
    formConflicts(body.sections, sections).map(
      (c) => `${c.code}: ${[c.section, c.field].filter(Boolean).join(".")}, ${code}`,
    ),
  );
}

/** Publishes a rulebook for an intake: it never changes again, and the one before is superseded. Problems refuse it, all at once. */
export const publishRulebook = defineAct({
  name: "publish-rulebook",
  input: z.object({ intakeId: z.uuid(), body: rulebookSchema }),
  may: plans,
  run: async (ctx, { intakeId, body }) => {
    const problems = rulebookProblems(body);
    if (problems.length > 0) return refuse("invalid-input", { fields: problems.map((p) => `${p.code}: ${p.about}`) });
    await ctx.client.query("select 1 from intake where id = $1 for update", [intakeId]);
    const conflicts = await conflictsWithOthers(ctx, intakeId, body);
    if (conflicts.length > 0) return refuse("invalid-input", { fields: conflicts });
    const [last] = await ctx.db
      .select({ version: sql<number>`coalesce(max(${rulebook.version}), 0)::int` })
      .from(rulebook)
      .where(eq(rulebook.intakeId, intakeId));
    await ctx.db
      .update(rulebook)
      .set({ status: "superseded" })
      .where(and(eq(rulebook.intakeId, intakeId), eq(rulebook.status, "published")));
    const [made] = await ctx.db
      .insert(rulebook)
      .values({ intakeId, version: (last?.version ?? 0) + 1, status: "published", body, publishedAt: ctx.now })
      .returning({ id: rulebook.id, version: rulebook.version });
    await ctx.emit("publish-rulebook", null, { rulebook: made?.id ?? "" });
    return done({ rulebookId: made?.id ?? "" });
  },
});
