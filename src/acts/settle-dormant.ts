import { and, eq } from "drizzle-orm";
import { contexts } from "../core/assessment/context";
import { applies, fieldsThatApply } from "../core/sections/completeness";
import { factName } from "../core/sections/definition";
import { AnswerIndex, COMPLETE_FIELD } from "../core/sections/typed-facts";
import { loadFile } from "../db/load-file";
import { currentOffice } from "../db/office";
import { answer } from "../db/schema";
import type { ActContext } from "./act";

/**
 * Puts answers that no longer apply aside, and wakes those that apply again. They are kept, not submitted, and never enter
 * the facts while they sleep. One waking can wake the next, so it goes on until nothing changes.
 */
export async function settleDormant(ctx: ActContext, applicationId: string): Promise<void> {
  const office = await currentOffice(ctx.db);
  for (let pass = 0; pass < 5; pass += 1) {
    const loaded = await loadFile(ctx.client, applicationId);
    if (!loaded) return;
    const index = new AnswerIndex(loaded.facts);
    const all = contexts(loaded.facts, index, loaded.rulebooks, loaded.rounds, office).filter(
      (c) => c.choice.withdrawnAt === null,
    );
    const submitted = all.filter((c) => c.choice.submittedAt !== null);
    if (submitted.length === all.length) return;
    // What a submitted choice uses is locked with it and stays as it was.
    const locked = new Set(submitted.flatMap((c) => c.rulebook.body.sections.map((s) => s.key)));
    const rows = await ctx.db.select().from(answer).where(eq(answer.applicationId, applicationId));
    const wrong = rows.filter((row) => {
      const using = all.filter((c) => row.scope === "file" || row.scope === c.choice.id);
      if (using.length === 0 || (row.scope === "file" && locked.has(row.section))) return false;
      const wanted = using.some(({ rulebook, source }) => {
        const section = rulebook.body.sections.find((s) => s.key === row.section);
        if (!section || !applies(section.when, source)) return false;
        return (
          row.field === COMPLETE_FIELD ||
          fieldsThatApply(section, source, factName(section), row.entry).some((f) => f.key === row.field)
        );
      });
      return wanted === row.dormant;
    });
    if (wrong.length === 0) return;
    for (const row of wrong) {
      const place = [
        eq(answer.scope, row.scope),
        eq(answer.section, row.section),
        eq(answer.entry, row.entry),
        eq(answer.field, row.field),
      ];
      await ctx.db
        .update(answer)
        .set({ dormant: !row.dormant })
        .where(and(eq(answer.applicationId, applicationId), ...place));
    }
  }
}
