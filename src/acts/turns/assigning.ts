import { and, eq, gte, lte } from "drizzle-orm";
import { handFileInput } from "../../core/assessment/inputs";
import { holds, OFFICE } from "../../core/rights/actor";
import { formatDay } from "../../core/time/day";
import { dayAt } from "../../core/time/zone";
import {
  assignee,
  dropAbsenceInput,
  noteAbsenceInput,
  type Officer,
  saveAssigningInput,
  toAssign,
} from "../../core/turns/assigning";
import { officersThere } from "../../db/queries/officers";
import { absence, assigning } from "../../db/schema";
import { type ActContext, defineAct, done, refuse } from "../act/act";
import { defineFileAct, type OpenFile } from "../act/file-act";
import { plansAll } from "../act/office-rights";
import { give, holderOf } from "../assessment/take-file";

const ONLY = 1;

/** Replaces the rules by which files are assigned. What is in somebody's hands stays there. */
export const saveAssigning = defineAct({
  name: "save-assigning",
  input: saveAssigningInput,
  may: plansAll,
  run: async (ctx, { version, rules }) => {
    const [now] = await ctx.db.select().from(assigning).where(eq(assigning.id, ONLY)).for("update");
    if ((now?.version ?? 0) !== version) return refuse("changed-meanwhile");
    const values = {
      id: ONLY,
      version: version + 1,
      rules,
      savedAt: ctx.now,
      savedById: ctx.actor.kind === "person" ? ctx.actor.id : null,
    };
    const saved = now
      ? await ctx.db.update(assigning).set(values).where(eq(assigning.id, ONLY)).returning({ id: assigning.id })
      : await ctx.db.insert(assigning).values(values).onConflictDoNothing().returning({ id: assigning.id });
    if (saved.length === 0) return refuse("changed-meanwhile");
    await ctx.emit("save-assigning", null, { version: version + 1 });
    return done({ version: version + 1 });
  },
});

/** Notes when somebody is away and who stands in: officers for themselves, a lead officer for all. */
export const noteAbsence = defineAct({
  name: "note-absence",
  input: noteAbsenceInput,
  may: ({ actor }, { personId }) =>
    holds(actor, ["lead officer"]) || (actor.kind === "person" && actor.id === personId && holds(actor, OFFICE)),
  run: async (ctx, { personId, coverId, from, until }) => {
    const officers = await officersThere(
      ctx.client,
      ctx.now,
      formatDay(dayAt((await ctx.office()).zone, ctx.now.getTime())),
    );
    if (!officers.has(personId) || !officers.has(coverId)) return refuse("not-found");
    await ctx.client.query("select 1 from person where id = $1 for update", [personId]);
    const same = and(eq(absence.personId, personId), lte(absence.fromOn, until), gte(absence.untilOn, from));
    const [already] = await ctx.db.select({ id: absence.id }).from(absence).where(same);
    if (already) return refuse("already-done");
    const [made] = await ctx.db
      .insert(absence)
      .values({ personId, coverId, fromOn: from, untilOn: until, notedAt: ctx.now })
      .returning({ id: absence.id });
    if (!made) throw new Error("the absence was not noted");
    await ctx.emit("note-absence", null, { person: personId, cover: coverId });
    return done({ absenceId: made.id });
  },
});

export const dropAbsence = defineAct({
  name: "drop-absence",
  input: dropAbsenceInput,
  may: ({ actor }) => holds(actor, OFFICE),
  run: async (ctx, { absenceId }) => {
    const [found] = await ctx.db.select().from(absence).where(eq(absence.id, absenceId));
    const own = ctx.actor.kind === "person" && found?.personId === ctx.actor.id;
    if (!found || !(own || holds(ctx.actor, ["lead officer"]))) return refuse("not-found");
    await ctx.db.delete(absence).where(eq(absence.id, absenceId));
    await ctx.emit("drop-absence", null, { person: found.personId });
    return done(null);
  },
});

/** The officer whom the rules name for a file; whoever assigns at the same time waits, so that loads are counted right. */
async function byRule(ctx: ActContext, file: OpenFile): Promise<Officer | null> {
  const [now] = await ctx.db.select().from(assigning).where(eq(assigning.id, ONLY)).for("update");
  if (!now || now.rules.length === 0) return null;
  const today = formatDay(dayAt(file.office.zone, ctx.now.getTime()));
  const officers = await officersThere(ctx.client, ctx.now, today);
  return assignee(toAssign(file.facts, file.assessment.file.group), now.rules, officers);
}

/** Puts a file into the hands of whom the rules name, whoever has it. */
export const assignFile = defineFileAct({
  name: "assign-file",
  input: handFileInput.pick({ applicationId: true }),
  right: "office",
  run: async (ctx, file) => {
    const officer = await byRule(ctx, file);
    if (!officer) return refuse("not-found");
    const before = await holderOf(ctx, file.id);
    if (before === officer.id) return refuse("already-done");
    await give(ctx, file, officer.id);
    return done({ before, name: officer.name });
  },
});

/** The same for a file that was just submitted and is in nobody's hands. */
export const assignArrived = defineFileAct({
  name: "assign-arrived",
  input: handFileInput.pick({ applicationId: true }),
  right: "system",
  run: async (ctx, file) => {
    if ((await holderOf(ctx, file.id)) !== null) return refuse("already-done");
    const officer = await byRule(ctx, file);
    if (!officer) return refuse("not-found");
    await give(ctx, file, officer.id);
    return done(null);
  },
});
