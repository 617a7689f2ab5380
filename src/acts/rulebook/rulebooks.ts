import { and, eq, sql } from "drizzle-orm";
import { z } from "zod";
import { moveToRulebookInput } from "../../core/application/inputs";
import { compareRulebooks } from "../../core/difference/rulebooks";
import { formConflicts } from "../../core/form/union";
import { actorKey } from "../../core/rights/actor";
import { rulebookProblems } from "../../core/rulebook/checks/problems";
import { type SharedPart, withParts } from "../../core/rulebook/parts";
import { EMPTY_RULEBOOK, type RulebookBody, rulebookSchema } from "../../core/rulebook/rulebook";
import type { Section } from "../../core/rulebook/section";
import { choice, intake, rulebook, sharedPart, template } from "../../db/schema";
import { type ActContext, defineAct, done, type Outcome, refuse } from "../act/act";
import { defineFileAct } from "../act/file-act";
import { drafts, plans } from "../act/office-rights";
import { tellPreparing } from "../application/tell-preparing";
import { mailApplicant } from "../mail/queue-mail";

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

/** The requirements whose forms are not kept here: a rulebook that was imported from another office. */
async function lackingTemplates(ctx: ActContext, body: RulebookBody): Promise<readonly string[]> {
  const named = body.requirements.flatMap((r) =>
    r.kind === "document" ? (r.templates ?? []).map((t) => ({ requirement: r.key, ...t })) : [],
  );
  if (named.length === 0) return [];
  const kept = new Set((await ctx.db.select({ sha256: template.sha256 }).from(template)).map((t) => t.sha256));
  return named.filter((t) => !kept.has(t.sha256)).map((t) => `missing-template: ${t.requirement}, ${t.name}`);
}

async function problemsOf(ctx: ActContext, intakeId: string, body: RulebookBody): Promise<readonly string[]> {
  return [
    ...rulebookProblems(body).map((p) => `${p.code}: ${p.about}`),
    ...(await conflictsWithOthers(ctx, intakeId, body)),
    ...(await lackingTemplates(ctx, body)),
  ];
}

const SHOWN_CHANGES = 12;

/** What a new version changes, as lines that go into a mail. */
function changeLines(before: RulebookBody, after: RulebookBody, locale: "en" | "fr"): string {
  const sign = { added: "+", removed: "−", changed: "·" } as const;
  const lines = compareRulebooks(before, after).map((d) => `${sign[d.change]} ${d.title[locale]}`);
  const unique = [...new Set(lines)];
  return [...unique.slice(0, SHOWN_CHANGES), ...(unique.length > SHOWN_CHANGES ? ["…"] : [])].join("\n");
}

async function current(ctx: ActContext, intakeId: string) {
  const [row] = await ctx.db
    .select({ id: rulebook.id, body: rulebook.body })
    .from(rulebook)
    .where(and(eq(rulebook.intakeId, intakeId), eq(rulebook.status, "published")));
  return row ?? null;
}

async function nextVersion(ctx: ActContext, intakeId: string): Promise<number> {
  const [last] = await ctx.db
    .select({ version: sql<number>`coalesce(max(${rulebook.version}), 0)::int` })
    .from(rulebook)
    .where(eq(rulebook.intakeId, intakeId));
  return (last?.version ?? 0) + 1;
}

const lockIntake = (ctx: ActContext, id: string) =>
  ctx.client.query("select 1 from intake where id = $1 for update", [id]);

/** Files that are not submitted follow the newest version and are told what it changes; submitted ones keep theirs. */
async function moveDrafts(
  ctx: ActContext,
  intakeId: string,
  before: RulebookBody | null,
  id: string,
  body: RulebookBody,
) {
  await ctx.client.query(
    "update choice set rulebook_id = $2 where intake_id = $1 and submitted_at is null and withdrawn_at is null",
    [intakeId, id],
  );
  if (before === null || compareRulebooks(before, body).length === 0) return 0;
  return tellPreparing(ctx, { intake: intakeId }, "rulebook-changed", {
    changesEn: changeLines(before, body, "en"),
    changesFr: changeLines(before, body, "fr"),
  });
}

const supersede = (ctx: ActContext, intakeId: string) =>
  ctx.db
    .update(rulebook)
    .set({ status: "superseded" })
    .where(and(eq(rulebook.intakeId, intakeId), eq(rulebook.status, "published")));

/** Publishes a rulebook that comes whole, from a file or a catalogue. Problems refuse it, all at once. */
export const publishRulebook = defineAct({
  name: "publish-rulebook",
  input: z.object({ intakeId: z.uuid(), body: rulebookSchema }),
  may: plans(({ intakeId }) => ["intake", intakeId]),
  run: async (ctx, { intakeId, body }) => {
    await lockIntake(ctx, intakeId);
    const problems = await problemsOf(ctx, intakeId, body);
    if (problems.length > 0) return refuse("invalid-input", { fields: problems });
    const before = await current(ctx, intakeId);
    const version = await nextVersion(ctx, intakeId);
    await supersede(ctx, intakeId);
    const [made] = await ctx.db
      .insert(rulebook)
      .values({ intakeId, version, status: "published", body, publishedAt: ctx.now })
      .returning({ id: rulebook.id });
    if (!made) throw new Error("the rulebook was not written");
    const told = await moveDrafts(ctx, intakeId, before?.body ?? null, made.id, body);
    await ctx.emit("publish-rulebook", null, { rulebook: made.id, told });
    return done({ rulebookId: made.id });
  },
});

/** The parts that rulebooks share, as they are now. */
export const allParts = (ctx: ActContext): Promise<readonly SharedPart[]> =>
  ctx.db.select({ key: sharedPart.key, title: sharedPart.title, body: sharedPart.body }).from(sharedPart);

/** Begins a draft: from nothing, or as a copy of another rulebook (this one's last version, or that of another start), with shared parts as they are now. */
export const draftRulebook = defineAct({
  name: "draft-rulebook",
  input: z.object({ intakeId: z.uuid(), from: z.uuid().nullable() }),
  may: drafts(({ intakeId }) => ["intake", intakeId]),
  run: async (ctx, { intakeId, from }) => {
    await lockIntake(ctx, intakeId);
    const [start] = await ctx.db.select({ id: intake.id }).from(intake).where(eq(intake.id, intakeId));
    const [source] = from ? await ctx.db.select().from(rulebook).where(eq(rulebook.id, from)) : [];
    if (!start || (from && !source)) return refuse("not-found");
    const made = await ctx.db
      .insert(rulebook)
      .values({
        intakeId,
        version: await nextVersion(ctx, intakeId),
        status: "draft",
        body: withParts(source?.body ?? EMPTY_RULEBOOK, await allParts(ctx)),
        editedAt: ctx.now,
        editedBy: actorKey(ctx.actor),
      })
      .onConflictDoNothing()
      .returning({ id: rulebook.id });
    if (!made[0]) return refuse("already-done");
    await ctx.emit("draft-rulebook", null, { rulebook: made[0].id, from });
    return done({ rulebookId: made[0].id });
  },
});

/** Writes a draft anew. Somebody who edited meanwhile is not overwritten: the second writer is told, with what stands there now. */
export const editRulebook = defineAct({
  name: "edit-rulebook",
  input: z.object({ rulebookId: z.uuid(), edit: z.int(), body: rulebookSchema }),
  may: drafts(({ rulebookId }) => ["rulebook", rulebookId]),
  run: async (ctx, { rulebookId, edit, body }) => {
    const changed = await ctx.db
      .update(rulebook)
      .set({ body, edit: sql`${rulebook.edit} + 1`, editedAt: ctx.now, editedBy: actorKey(ctx.actor) })
      .where(and(eq(rulebook.id, rulebookId), eq(rulebook.status, "draft"), eq(rulebook.edit, edit)))
      .returning({ edit: rulebook.edit });
    if (changed[0]) {
      await ctx.emit("edit-rulebook", null, { rulebook: rulebookId, edit: changed[0].edit });
      return done({ edit: changed[0].edit });
    }
    const [now] = await ctx.db.select({ status: rulebook.status }).from(rulebook).where(eq(rulebook.id, rulebookId));
    if (!now) return refuse("not-found");
    return refuse(now.status === "draft" ? "changed-meanwhile" : "already-done");
  },
});

/** Throws a draft away. */
export const dropRulebook = defineAct({
  name: "drop-rulebook",
  input: z.object({ rulebookId: z.uuid() }),
  may: drafts(({ rulebookId }) => ["rulebook", rulebookId]),
  run: async (ctx, { rulebookId }) => {
    const gone = await ctx.db
      .delete(rulebook)
      .where(and(eq(rulebook.id, rulebookId), eq(rulebook.status, "draft")))
      .returning({ id: rulebook.id });
    if (!gone[0]) return refuse("not-found");
    await ctx.emit("drop-rulebook", null, { rulebook: rulebookId });
    return done(null);
  },
});

async function lockDraft(ctx: ActContext, rulebookId: string) {
  const [found] = await ctx.db.select().from(rulebook).where(eq(rulebook.id, rulebookId));
  if (!found) return null;
  await lockIntake(ctx, found.intakeId);
  const [draft] = await ctx.db.select().from(rulebook).where(eq(rulebook.id, rulebookId)).for("update");
  return draft ?? null;
}

/** Publishes a draft as it was seen: of two who publish at once the second is told that it is done, or what changed. */
export const publishDraft = defineAct({
  name: "publish-draft",
  input: z.object({ rulebookId: z.uuid(), edit: z.int(), note: z.string().trim().max(500).default("") }),
  may: plans(({ rulebookId }) => ["rulebook", rulebookId]),
  run: async (ctx, { rulebookId, edit, note }): Promise<Outcome<{ readonly told: number }>> => {
    const draft = await lockDraft(ctx, rulebookId);
    if (!draft) return refuse("not-found");
    if (draft.status !== "draft") return refuse("already-done");
    if (draft.edit !== edit) return refuse("changed-meanwhile");
    const problems = await problemsOf(ctx, draft.intakeId, draft.body);
    if (problems.length > 0) return refuse("invalid-input", { fields: problems });
    const before = await current(ctx, draft.intakeId);
    await supersede(ctx, draft.intakeId);
    await ctx.db
      .update(rulebook)
      .set({ status: "published", publishedAt: ctx.now, note: note === "" ? null : note })
      .where(eq(rulebook.id, draft.id));
    const told = await moveDrafts(ctx, draft.intakeId, before?.body ?? null, draft.id, draft.body);
    await ctx.emit("publish-rulebook", null, { rulebook: draft.id, told });
    return done({ told });
  },
});

/** Moves a submitted choice to the version that is published now, with a reason; the applicant is told. */
export const moveToRulebook = defineFileAct({
  name: "move-to-rulebook",
  input: moveToRulebookInput,
  right: "lead officer",
  about: ({ choiceId, reason }) => ({ choice: choiceId, reason }),
  run: async (ctx, file, { choiceId, reason }) => {
    const own = file.facts.choices.find((c) => c.id === choiceId);
    if (!own || own.withdrawnAt !== null) return refuse("not-found");
    const [row] = await ctx.db.select({ intakeId: choice.intakeId }).from(choice).where(eq(choice.id, choiceId));
    const newest = row ? await current(ctx, row.intakeId) : null;
    const before = file.rulebooks[own.rulebookId];
    if (!newest || !before) return refuse("not-found");
    if (newest.id === own.rulebookId) return refuse("already-done");
    await ctx.db.update(choice).set({ rulebookId: newest.id }).where(eq(choice.id, choiceId));
    const { number } = file.facts.application;
    await mailApplicant(ctx, file.id, file.ownerId, "rulebook-moved", {
      number,
      programme: own.programme,
      text: reason,
      changesEn: changeLines(before.body, newest.body, "en"),
      changesFr: changeLines(before.body, newest.body, "fr"),
      link: `/my/${number}`,
    });
    return done(null);
  },
});
