import { and, eq, sql } from "drizzle-orm";
import { z } from "zod";
import { choiceRulesSchema } from "../../core/catalogue/choice-rules";
import { intakeSchema, programmeSchema } from "../../core/catalogue/programme";
import { writtenTextSchema } from "../../core/text/local-text";
import { cycle, intake, procedure, programme } from "../../db/schema";
import { defineAct, done, refuse } from "../act/act";
import { plans, plansAll } from "../act/office-rights";

const familyKey = z.string().regex(/^[a-z0-9][a-z0-9-]{0,39}$/u);

/** Makes a procedure or changes its title and choice rules. What applications hold already stays as it is. */
export const saveProcedure = defineAct({
  name: "save-procedure",
  input: z.object({ key: familyKey, title: writtenTextSchema, rules: choiceRulesSchema }),
  may: plansAll,
  run: async (ctx, { key, title, rules }) => {
    const [saved] = await ctx.db
      .insert(procedure)
      .values({ key, title, rules })
      .onConflictDoUpdate({ target: procedure.key, set: { title, rules } })
      .returning({ id: procedure.id });
    await ctx.emit("save-procedure", null, { procedure: key });
    return done({ procedureId: saved?.id ?? "" });
  },
});

export const saveCycle = defineAct({
  name: "save-cycle",
  input: z.object({ key: z.string().regex(/^\d{4}[a-z]?$/u), title: writtenTextSchema }),
  may: plansAll,
  run: async (ctx, { key, title }) => {
    const [saved] = await ctx.db
      .insert(cycle)
      .values({ key, title })
      .onConflictDoUpdate({ target: cycle.key, set: { title } })
      .returning({ id: cycle.id });
    await ctx.emit("save-cycle", null, { cycle: key });
    return done({ cycleId: saved?.id ?? "" });
  },
});

/** Makes a programme (`version` null) or changes one; the code is its name for ever. */
export const saveProgramme = defineAct({
  name: "save-programme",
  input: z.object({
    procedure: familyKey,
    /** The version that the writer saw; null for a new one. */
    version: z.int().nullable(),
    programme: programmeSchema,
  }),
  may: plans(({ programme: { code } }) => ["programme", code]),
  run: async (ctx, input) => {
    const [family] = await ctx.db.select().from(procedure).where(eq(procedure.key, input.procedure));
    if (!family) return refuse("not-found");
    const values = { ...input.programme, procedureId: family.id };
    const { set: campuses } = await ctx.office();
    const unknown = values.campuses.filter((key) => !campuses.campuses.some((c) => c.key === key));
    if (unknown.length > 0) return refuse("invalid-input", { fields: ["programme.campuses"] });
    const { code } = values;
    if (input.version === null) {
      const made = await ctx.db.insert(programme).values(values).onConflictDoNothing().returning({ id: programme.id });
      if (!made[0]) return refuse("already-done", { code });
      await ctx.emit("save-programme", null, { programme: code, version: 1 });
      return done({ programmeId: made[0].id, version: 1 });
    }
    const changed = await ctx.db
      .update(programme)
      .set({ ...values, version: sql`${programme.version} + 1` })
      .where(and(eq(programme.code, code), eq(programme.version, input.version)))
      .returning({ id: programme.id, version: programme.version });
    if (!changed[0]) return refuse("changed-meanwhile");
    await ctx.emit("save-programme", null, { programme: code, version: changed[0].version });
    return done({ programmeId: changed[0].id, version: changed[0].version });
  },
});

/** Makes a start of a programme in a cycle (`intakeId` null) or changes its places and options. */
export const saveIntake = defineAct({
  name: "save-intake",
  input: z.object({
    programme: z.string(),
    cycle: z.string(),
    intakeId: z.uuid().nullable(),
    version: z.int().nullable(),
    intake: intakeSchema,
  }),
  may: plans(({ programme: code }) => ["programme", code]),
  run: async (ctx, input) => {
    const [offered] = await ctx.db.select().from(programme).where(eq(programme.code, input.programme));
    const [campaign] = await ctx.db.select().from(cycle).where(eq(cycle.key, input.cycle));
    if (!offered || !campaign) return refuse("not-found");
    const { options } = input.intake;
    const foreign =
      options.campuses.some((c) => !offered.campuses.includes(c)) ||
      options.languages.some((l) => !offered.languages.includes(l)) ||
      options.modes.some((m) => !offered.modes.includes(m)) ||
      options.tracks.some((t) => !offered.tracks.some((track) => track.key === t));
    if (foreign) return refuse("invalid-input", { fields: ["intake.options"] });
    if (input.intakeId === null) {
      const made = await ctx.db
        .insert(intake)
        .values({ programmeId: offered.id, cycleId: campaign.id, ...input.intake })
        .onConflictDoNothing()
        .returning({ id: intake.id });
      if (!made[0]) return refuse("already-done");
      await ctx.emit("save-intake", null, { intake: made[0].id, programme: input.programme });
      return done({ intakeId: made[0].id });
    }
    const changed = await ctx.db
      .update(intake)
      .set({ ...input.intake, version: sql`${intake.version} + 1` })
      .where(
        and(eq(intake.id, input.intakeId), eq(intake.programmeId, offered.id), eq(intake.version, input.version ?? 0)),
      )
      .returning({ id: intake.id });
    if (!changed[0]) return refuse("changed-meanwhile");
    await ctx.emit("save-intake", null, { intake: changed[0].id, programme: input.programme });
    return done({ intakeId: changed[0].id });
  },
});
