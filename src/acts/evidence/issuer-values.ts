import { sql } from "drizzle-orm";
import type { Json } from "../../core/file/facts";
import { confirmation } from "../../db/schema";
import type { ActContext } from "../act/act";
import type { OpenFile } from "../act/file-act";

/** A value as its issuer has it, at the place where it was claimed. */
export interface IssuerValue {
  readonly scope: string;
  readonly section: string;
  readonly entry: string;
  readonly field: string;
  readonly value: Json;
}

/** Confirms what an issuer says beside what was claimed, with a note that names the issuer; what nobody claimed is left out. */
export async function confirmFromIssuer(
  ctx: ActContext,
  file: OpenFile,
  values: readonly IssuerValue[],
  note: string,
  byId: string | null,
): Promise<void> {
  const rows = values.flatMap(({ scope, section, entry, field, value }) => {
    const claim = file.facts.answers.find(
      (a) => a.scope === scope && a.section === section && a.entry === entry && a.field === field,
    );
    if (!claim) return [];
    const at = ctx.now;
    return [
      { applicationId: file.id, scope, section, entry, field, value, answerVersion: claim.version, note, byId, at },
    ];
  });
  if (rows.length === 0) return;
  await ctx.db
    .insert(confirmation)
    .values(rows)
    .onConflictDoUpdate({
      target: [
        confirmation.applicationId,
        confirmation.scope,
        confirmation.section,
        confirmation.entry,
        confirmation.field,
      ],
      set: {
        value: sql`excluded.value`,
        answerVersion: sql`excluded.answer_version`,
        note: sql`excluded.note`,
        byId: sql`excluded.by_id`,
        at: sql`excluded.at`,
      },
    });
}
