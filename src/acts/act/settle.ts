import { randomInt, randomUUID } from "node:crypto";
import type { LoadedFile } from "../../core/file/loaded-file";
import { type Effects, type Settled, settle } from "../../core/settlement/settle";
import { writeFileRows } from "../../db/queries/file-rows";
import { loadFile } from "../../db/queries/load-file";
import { charge, chargeAdjustment, turnChange } from "../../db/schema";
import type { ActContext } from "./act";

/** Why a file is assessed again: somebody did something, or only time went by. */
export type Cause = "act" | "time passed";

/** A payment reference with fixed letters and a random number; the letters are none that are mistaken for digits. */
function paymentReference(number: string): string {
  return `UV${number.replace("-", "")}P${randomInt(10_000, 99_999)}`;
}

async function turnAnswers(ctx: ActContext, applicationId: string, turned: Effects["turned"]): Promise<void> {
  if (turned.length === 0) return;
  const column = (name: "scope" | "section" | "entry" | "field") => turned.map((a) => a[name]);
  await ctx.client.query(
    `update answer a set dormant = not a.dormant from unnest($2::text[], $3::text[], $4::text[], $5::text[]) as x (scope, section, entry, field)
     where a.application_id = $1 and (a.scope, a.section, a.entry, a.field) = (x.scope, x.section, x.entry, x.field)`,
    [applicationId, column("scope"), column("section"), column("entry"), column("field")],
  );
}

async function charges(
  ctx: ActContext,
  { id: applicationId, number }: LoadedFile["facts"]["application"],
  { made, adjusted }: Effects,
): Promise<void> {
  if (made.length > 0)
    await ctx.db.insert(charge).values(
      made.map(({ id, item, scope, amount: { minor, currency } }) => ({
        id,
        applicationId,
        item,
        scope,
        minor,
        currency,
        paymentReference: paymentReference(number),
        madeAt: ctx.now,
      })),
    );
  if (adjusted.length > 0)
    await ctx.db
      .insert(chargeAdjustment)
      .values(adjusted.map(({ chargeId, by, reason }) => ({ chargeId, minor: by, reason, at: ctx.now })));
}

async function completeChoices(ctx: ActContext, completed: Effects["completed"]): Promise<void> {
  if (completed.length > 0)
    await ctx.client.query("update choice set complete_at = $2 where id = any($1::uuid[]) and complete_at is null", [
      completed,
      ctx.now,
    ]);
}

async function endAsks(ctx: ActContext, answered: Effects["answered"]): Promise<void> {
  if (answered.length > 0)
    await ctx.client.query("update ask set answered_at = $2 where id = any($1::uuid[]) and answered_at is null", [
      answered,
      ctx.now,
    ]);
}

async function recordTurn(ctx: ActContext, { file, effects }: Settled): Promise<void> {
  const last = file.facts.turns.at(-1);
  if (effects.turn === null || !last) return;
  const { turn, from } = last;
  await ctx.db
    .insert(turnChange)
    .values({ applicationId: file.facts.application.id, at: new Date(from), turn })
    .onConflictDoUpdate({ target: [turnChange.applicationId, turnChange.at], set: { turn } });
}

/** Writes what follows from a file's facts, but for its row. */
async function writeEffects(ctx: ActContext, settled: Settled): Promise<void> {
  const { file, effects } = settled;
  const { application } = file.facts;
  await turnAnswers(ctx, application.id, effects.turned);
  await charges(ctx, application, effects);
  await completeChoices(ctx, effects.completed);
  await endAsks(ctx, effects.answered);
  await recordTurn(ctx, settled);
}

/** What follows from a file's facts at the moment of the act; nothing is written yet. */
export async function workOut(ctx: ActContext, file: LoadedFile): Promise<Settled> {
  return settle(file, await ctx.office(), ctx.now.getTime(), randomUUID);
}

/** Writes what was worked out of some files: effects where there are any, and all rows in one statement. */
export async function writeSettled(ctx: ActContext, files: readonly Settled[], cause: Cause): Promise<void> {
  for (const one of files) await writeEffects(ctx, one);
  const rows = files.map((one) => one.row);
  await writeFileRows(ctx.client, rows, ctx.now, cause === "act");
}

/**
 * Brings everything that follows from a file's facts up to date. Called at the end of each act on the file, in its transaction.
 * @param known the file as the act has left it, where the act knows; else it is loaded
 */
export async function settleFile(ctx: ActContext, applicationId: string, known?: LoadedFile): Promise<Settled> {
  const file = known ?? (await loadFile(ctx.client, applicationId));
  if (!file) throw new Error("a file went away while it was locked");
  const settled = await workOut(ctx, file);
  await writeSettled(ctx, [settled], "act");
  return settled;
}
