import { dequal } from "dequal";
import type { z } from "zod";
import { checkValue } from "../../core/answers/check-value";
import { type Reads, repeatedEntries } from "../../core/answers/once";
import { confirmValuesInput } from "../../core/evidence/inputs";
import type { Json } from "../../core/file/facts";
import { sectionKey } from "../../core/file/place";
import { holds } from "../../core/rights/actor";
import type { FieldKind } from "../../core/rulebook/section";
import { confirmation } from "../../db/schema";
import { done, refuse } from "../act/act";
import { defineFileAct, type OpenFile } from "../act/file-act";
import { followGroup } from "../assessment/follow-group";
import { namedBeside } from "../form/named-beside";

/** What only the applicant can say, whatever a document shows. */
const NOT_THE_OFFICES: ReadonlySet<FieldKind> = new Set(["agree", "statement", "links"]);

function fieldOf(file: OpenFile, section: string, entry: string, field: string) {
  const sections = Object.values(file.rulebooks).flatMap((r) => r.body.sections);
  return sections
    .find((s) => s.key === section && (s.repeats !== undefined) === (entry !== ""))
    ?.fields.find((f) => f.key === field);
}

const programmesOf = (file: OpenFile): readonly string[] => file.facts.choices.map((c) => c.programme);

/** Whether a field that takes each answer once would hold one twice that it did not hold twice before, with what is confirmed counting first. */
function saysTwice(file: OpenFile, values: readonly z.output<typeof confirmValuesInput>["values"][number][]): boolean {
  const places = new Set(values.filter((v) => v.entry !== "").map(sectionKey));
  return [...places].some((place) => {
    const [scope = "", section = ""] = place.split("|");
    const here = (p: { scope: string; section: string }) => p.scope === scope && p.section === section;
    const fields = Object.values(file.rulebooks)
      .flatMap((r) => r.body.sections)
      .find((s) => s.key === section && s.repeats !== undefined)
      ?.fields.filter((f) => f.once);
    if (!fields || fields.length === 0) return false;
    const { answers, confirmations } = file.facts;
    const [claimed, confirmed, told] = [answers.filter(here), confirmations.filter(here), values.filter(here)];
    const entries = [...new Set([...claimed, ...confirmed, ...told].map((p) => p.entry))].filter((e) => e !== "");
    const read = (
      own: readonly { entry: string; field: string; value?: Json | undefined }[],
      entry: string,
      field: string,
    ) => own.find((p) => p.entry === entry && p.field === field)?.value;
    const before: Reads = (entry, field) => read(confirmed, entry, field) ?? read(claimed, entry, field) ?? null;
    const after: Reads = (entry, field) => read(told, entry, field) ?? before(entry, field);
    return fields.some((field) => {
      const already = repeatedEntries(field, entries, before);
      return repeatedEntries(field, entries, after).some((entry) => !already.includes(entry));
    });
  });
}

/**
 * Puts what the office established beside the claim: as claimed, or corrected with the reason. The claim itself is never
 * touched, and every correction is kept (a trigger of the table writes them down). A line that a
 * document shows and nobody has claimed is added by giving its values under a new entry.
 */
export const confirmValues = defineFileAct({
  name: "confirm-values",
  input: confirmValuesInput,
  right: "office",
  about: ({ values }) => ({
    values: values.map((v) => `${v.section}/${v.entry}/${v.field}`).slice(0, 200),
    changed: values.some((v) => v.value !== undefined),
  }),
  run: async (ctx, file, { values, uploadId, note }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    if (file.facts.choices.every((c) => c.submittedAt === null)) return refuse("locked");
    if (saysTwice(file, values)) return refuse("said-twice");
    for (const { scope, section, entry, field, value } of values) {
      const definition = fieldOf(file, section, entry, field);
      const claim = file.facts.answers.find(
        (a) => a.scope === scope && a.section === section && a.entry === entry && a.field === field,
      );
      if (!definition || (!claim && value === undefined)) return refuse("not-found", { field: `${section}.${field}` });
      if (definition.seenBy === "advisers" && !holds(ctx.actor, ["adviser"], programmesOf(file)))
        return refuse("not-yours");
      // What another system owns is changed there: here it is right as claimed, or waits.
      if (definition.keptBy && value !== undefined && value !== claim?.value)
        return refuse("kept-elsewhere", { field: `${section}.${field}` });
      if (value !== undefined && !dequal(value, claim?.value) && !note)
        return refuse("needs-reason", { field: `${section}.${field}` });
      if (NOT_THE_OFFICES.has(definition.kind) && value !== undefined) return refuse("locked");
      const { confirmations, answers } = file.facts;
      const beside = namedBeside(definition, { scope, section, entry }, values, confirmations, answers);
      const isEmptied = value === null || value === "";
      if (isEmptied || (value !== undefined && checkValue(definition, file.office.set, value, beside)))
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
    await followGroup(ctx, file);
    return done({ confirmed: values.length });
  },
});
