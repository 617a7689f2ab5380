import { and, eq, sql } from "drizzle-orm";
import { z } from "zod";
import { referenceSetSchema } from "../core/office/reference-set";
import { rulebookProblems } from "../core/rulebook/problems";
import { rulebookSchema } from "../core/rulebook/rulebook";
import { localTextSchema } from "../core/text/local-text";
import { cycle, intake, officeReference, procedure, programme, round, rulebook } from "../db/schema";
import { type ActContext, defineAct, done, refuse } from "./act";

const leads = (ctx: ActContext) =>
  ctx.actor.kind === "system" ||
  (ctx.actor.kind === "person" &&
    ctx.actor.grants.some((g) => g.role === "lead officer" || g.role === "administrator"));

/** Loads a new version of the office's reference set; older versions stay for what was assessed by them. */
export const loadReferenceSet = defineAct({
  name: "load-reference-set",
  input: referenceSetSchema,
  may: leads,
  run: async (ctx, body) => {
    const [last] = await ctx.db
      .select({ version: sql<number>`coalesce(max(${officeReference.version}), 0)::int` })
      .from(officeReference);
    const version = (last?.version ?? 0) + 1;
    await ctx.db.insert(officeReference).values({ version, body, createdAt: ctx.now });
    await ctx.emit("load-reference-set", null, { version });
    return done({ version });
  },
});

export const planProgramme = defineAct({
  name: "plan-programme",
  input: z.object({
    procedure: z.object({ key: z.string(), title: localTextSchema, mostChoices: z.int().min(1) }),
    cycle: z.object({ key: z.string(), title: localTextSchema }),
    programme: z.object({
      code: z.string().min(2).max(10),
      title: localTextSchema,
      award: z.string(),
      level: z.string(),
      language: z.string(),
      ects: z.int(),
      campuses: z.array(z.string()),
      description: localTextSchema,
    }),
    intake: z.object({ startsOn: z.iso.date(), places: z.int().min(0) }),
    round: z.object({
      key: z.string(),
      opensAt: z.iso.datetime(),
      closings: z.array(z.object({ group: z.string(), at: z.iso.datetime() })).min(1),
      promiseDays: z.int().min(1),
    }),
  }),
  may: leads,
  run: async (ctx, input) => {
    await ctx.db.insert(procedure).values(input.procedure).onConflictDoNothing();
    await ctx.db.insert(cycle).values(input.cycle).onConflictDoNothing();
    const [family] = await ctx.db.select().from(procedure).where(eq(procedure.key, input.procedure.key));
    const [campaign] = await ctx.db.select().from(cycle).where(eq(cycle.key, input.cycle.key));
    if (!family || !campaign) return refuse("not-found");
    await ctx.db
      .insert(programme)
      .values({ ...input.programme, procedureId: family.id })
      .onConflictDoNothing();
    const [made] = await ctx.db.select().from(programme).where(eq(programme.code, input.programme.code));
    const [start] = await ctx.db
      .insert(intake)
      .values({ programmeId: made?.id ?? "", cycleId: campaign.id, ...input.intake })
      .returning();
    const [window] = await ctx.db
      .insert(round)
      .values({ intakeId: start?.id ?? "", ...input.round, opensAt: new Date(input.round.opensAt) })
      .returning();
    await ctx.emit("plan-programme", null, {
      programme: input.programme.code,
      intake: start?.id ?? "",
      round: window?.id ?? "",
    });
    return done({ intakeId: start?.id ?? "", roundId: window?.id ?? "" });
  },
});

/** Publishes a rulebook for an intake: it never changes again, and the one before is superseded. Problems refuse it, all at once. */
export const publishRulebook = defineAct({
  name: "publish-rulebook",
  input: z.object({ intakeId: z.uuid(), body: rulebookSchema }),
  may: leads,
  run: async (ctx, { intakeId, body }) => {
    const problems = rulebookProblems(body);
    if (problems.length > 0) return refuse("invalid-input", { fields: problems.map((p) => `${p.code}: ${p.about}`) });
    await ctx.client.query("select 1 from intake where id = $1 for update", [intakeId]);
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

/** Moves a closing of a round. Submissions lock the round for share, so that the change and a submission cannot cross. */
export const changeRound = defineAct({
  name: "change-round",
  input: z.object({
    roundId: z.uuid(),
    closings: z.array(z.object({ group: z.string(), at: z.iso.datetime() })).min(1),
    reason: z.string().trim().min(1).max(500),
  }),
  may: leads,
  run: async (ctx, { roundId, closings }) => {
    const changed = await ctx.db
      .update(round)
      .set({ closings, version: sql`${round.version} + 1` })
      .where(eq(round.id, roundId))
      .returning({ id: round.id });
    if (changed.length === 0) return refuse("not-found");
    await ctx.emit("change-round", null, { round: roundId });
    return done(null);
  },
});
