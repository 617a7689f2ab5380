import { z } from "zod";
import { checkValue } from "../core/sections/check-value";
import { confirmation } from "../db/schema";
import { done, refuse } from "./act";
import { defineFileAct, type OpenFile } from "./file-act";
import { namedBeside } from "./named-beside";

const valueSchema = z.object({
  scope: z.string().max(40),
  section: z.string().max(60),
  entry: z.string().max(40).default(""),
  field: z.string().max(60),
  /** Left out: the claim is right as it stands. */
  value: z.union([z.string().max(2000), z.record(z.string(), z.string()), z.array(z.string())]).optional(),
});

function fieldOf(file: OpenFile, section: string, entry: string, field: string) {
  const sections = Object.values(file.rulebooks).flatMap((r) => r.body.sections);
  return sections
    .find((s) => s.key === section && (s.repeats !== undefined) === (entry !== ""))
    ?.fields.find((f) => f.key === field);
}

/**
 * Puts what the office established beside the claim: as claimed, or changed with a note. The claim itself is never touched. A line that a
 * document shows and nobody has claimed is added by giving its values under a new entry.
 */
export const confirmValues = defineFileAct({
  name: "confirm-values",
  input: z.object({
    applicationId: z.uuid(),
    values: z.array(valueSchema).min(1).max(2000),
    uploadId: z.uuid().nullable().default(null),
    note: z.string().trim().max(1000).nullable().default(null),
  }),
  right: "office",
  about: ({ values }) => ({
    values: values.map((v) => `${v.section}/${v.entry}/${v.field}`).slice(0, 200),
    changed: values.some((v) => v.value !== undefined),
  }),
  run: async (ctx, file, { values, uploadId, note }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    if (file.facts.choices.every((c) => c.submittedAt === null)) return refuse("locked");
    for (const { scope, section, entry, field, value } of values) {
      const definition = fieldOf(file, section, entry, field);
      const claim = file.facts.answers.find(
        (a) => a.scope === scope && a.section === section && a.entry === entry && a.field === field,
      );
      if (!definition || (!claim && value === undefined)) return refuse("not-found", { field: `${section}.${field}` });
      const { confirmations, answers } = file.facts;
      const beside = namedBeside(definition, { scope, section, entry }, values, confirmations, answers);
      if (value !== undefined && checkValue(definition, file.office.set, value, beside))
        return refuse("invalid-input", { fields: [`${section}.${field}`] });
      const settled = {
        value: value ?? claim?.value ?? null,
        answerVersion: claim?.version ?? 0,
        uploadId,
        note,
        byId: ctx.actor.id,
        at: ctx.now,
      };
      await ctx.db
        .insert(confirmation)
        .values({ applicationId: file.id, scope, section, entry, field, ...settled })
        .onConflictDoUpdate({
          target: [
            confirmation.applicationId,
            confirmation.scope,
            confirmation.section,
            confirmation.entry,
            confirmation.field,
          ],
          set: settled,
        });
    }
    return done({ confirmed: values.length });
  },
});
