import { eq } from "drizzle-orm";
import { handFileInput, takeFileInput } from "../../core/assessment/inputs";
import { type Grant, holds, OFFICE } from "../../core/rights/actor";
import { application, fileStanding } from "../../db/schema";
import { type ActContext, done, refuse } from "../act/act";
import { defineFileAct, type OpenFile } from "../act/file-act";

/** In whose hands a file is. */
export async function holderOf(ctx: ActContext, fileId: string): Promise<string | null> {
  const { rows } = await ctx.client.query<{ officerId: string | null }>(
    'select officer_id as "officerId" from application where id = $1',
    [fileId],
  );
  return rows[0]?.officerId ?? null;
}

export async function give(ctx: ActContext, file: OpenFile, officerId: string | null): Promise<void> {
  await ctx.db.update(application).set({ officerId }).where(eq(application.id, file.id));
  await ctx.db.update(fileStanding).set({ officerId }).where(eq(fileStanding.applicationId, file.id));
}

/** Takes a file into one's own hands, or lets it go. */
export const takeFile = defineFileAct({
  name: "take-file",
  input: takeFileInput,
  right: "office",
  about: ({ mine }) => ({ mine }),
  run: async (ctx, file, { mine }) => {
    await give(ctx, file, mine && ctx.actor.kind === "person" ? ctx.actor.id : null);
    return done(null);
  },
});

/** Puts a file into the hands of an officer who may work on it, or into nobody's. */
export const handFile = defineFileAct({
  name: "hand-file",
  input: handFileInput,
  right: "office",
  about: ({ officerId }) => ({ officer: officerId }),
  run: async (ctx, file, { officerId }) => {
    if (officerId !== null) {
      const { rows } = await ctx.client.query<Grant>(
        "select role, scope from role_grant where person_id = $1 and (until is null or until > $2)",
        [officerId, ctx.now],
      );
      const officer = { kind: "person" as const, id: officerId, name: "", grants: rows };
      if (!holds(officer, OFFICE, file.programmes)) return refuse("not-yours");
    }
    const before = await holderOf(ctx, file.id);
    if (before === officerId) return refuse("already-done");
    await give(ctx, file, officerId);
    return done({ before });
  },
});
