import { randomInt } from "node:crypto";
import { and, eq, isNull, ne, sql } from "drizzle-orm";
import { assess } from "../core/assessment/assess";
import { combText } from "../core/assessment/comb";
import { contexts } from "../core/assessment/context";
import type { ChargeFact, FileFacts } from "../core/assessment/facts";
import { reasonOf } from "../core/assessment/reason";
import type { Assessment, FileResult } from "../core/assessment/result";
import { chargeAfterWithdrawal, isWithdrawn, withdrawnFee } from "../core/fees/after-withdrawal";
import { fold } from "../core/identity/fold";
import { personOf } from "../core/identity/person-of";
import { candidateKeys } from "../core/identity/same-person";
import { shownName } from "../core/identity/shown-name";
import type { Office } from "../core/office/reference-set";
import { dormancyChanges } from "../core/sections/dormancy";
import { AnswerIndex } from "../core/sections/typed-facts";
import { type LoadedFile, loadFile } from "../db/load-file";
import { charge, chargeAdjustment, choice, choiceStanding, fileName, fileStanding, turnChange } from "../db/schema";
import type { ActContext } from "./act";

/** Why a file is assessed again: somebody did something, or only time went by. */
type Cause = "act" | "time passed";

/** Files without a date are ordered after all others. */
const NO_DUE = new Date("9999-12-31T00:00:00Z");

/** A payment reference with fixed letters and a random number; the letters are none that are mistaken for digits. */
function paymentReference(number: string): string {
  return `UV${number.replace("-", "")}P${randomInt(10_000, 99_999)}`;
}

async function adjust(ctx: ActContext, known: ChargeFact, minor: number, reason: string): Promise<boolean> {
  if (known.minor === minor) return false;
  await ctx.db.insert(chargeAdjustment).values({ chargeId: known.id, minor: minor - known.minor, reason, at: ctx.now });
  return true;
}

/** Writes charges and adjustments where what is due has changed. What was withdrawn owes nothing more. */
async function settleCharges(
  ctx: ActContext,
  { facts, rulebooks }: LoadedFile,
  assessment: Assessment,
): Promise<boolean> {
  let changed = false;
  const due = assessment.fees.filter((f) => !isWithdrawn(facts, f.scope));
  for (const { item, scope, amount } of due) {
    const known = facts.charges.find((c) => c.item === item && c.scope === scope);
    if (known) changed = (await adjust(ctx, known, amount.minor, "due changed")) || changed;
    else {
      await ctx.db.insert(charge).values({
        applicationId: facts.application.id,
        item,
        scope,
        minor: amount.minor,
        currency: amount.currency,
        paymentReference: paymentReference(facts.application.number),
        madeAt: ctx.now,
      });
      changed = true;
    }
  }
  for (const known of facts.charges.filter((c) => !due.some((f) => f.item === c.item && f.scope === c.scope))) {
    const withdrawn = isWithdrawn(facts, known.scope);
    const minor = withdrawn ? chargeAfterWithdrawal(known, withdrawnFee(rulebooks, known.item)) : 0;
    changed = (await adjust(ctx, known, minor, withdrawn ? "withdrawn" : "no longer due")) || changed;
  }
  return changed;
}

/** Puts answers that no longer apply aside, and wakes those that apply again. */
async function settleDormant(ctx: ActContext, loaded: LoadedFile, office: Office): Promise<boolean> {
  const { facts, asleep, rulebooks, rounds } = loaded;
  const reopened = facts.reopenings.some((r) => r.answeredAt === null);
  if (!reopened && facts.choices.every((c) => c.submittedAt !== null || c.withdrawnAt !== null)) return false;
  const wrong = dormancyChanges(
    facts.answers,
    asleep,
    contexts(facts, new AnswerIndex(facts), rulebooks, rounds, office),
    reopened,
  );
  if (wrong.length === 0) return false;
  const column = (name: "scope" | "section" | "entry" | "field") => wrong.map((a) => a[name]);
  await ctx.client.query(
    `update answer a set dormant = not a.dormant from unnest($2::text[], $3::text[], $4::text[], $5::text[]) as x (scope, section, entry, field)
     where a.application_id = $1 and (a.scope, a.section, a.entry, a.field) = (x.scope, x.section, x.entry, x.field)`,
    [facts.application.id, column("scope"), column("section"), column("entry"), column("field")],
  );
  return true;
}

/** Remembers when a choice first became complete: its promise counts from then. */
async function settleComplete(ctx: ActContext, facts: FileFacts, assessment: Assessment): Promise<boolean> {
  const reached = assessment.choices.filter(
    (c) => c.stage === "complete" && facts.choices.some((f) => f.id === c.id && f.completeAt === null),
  );
  for (const { id } of reached)
    await ctx.db
      .update(choice)
      .set({ completeAt: ctx.now })
      .where(and(eq(choice.id, id), isNull(choice.completeAt)));
  return reached.length > 0;
}

async function settleTurn(ctx: ActContext, facts: FileFacts, file: FileResult): Promise<boolean> {
  if (facts.turns.at(-1)?.turn === file.turn) return false;
  await ctx.db
    .insert(turnChange)
    .values({ applicationId: facts.application.id, at: ctx.now, turn: file.turn })
    .onConflictDoUpdate({ target: [turnChange.applicationId, turnChange.at], set: { turn: file.turn } });
  return true;
}

function standingRow(loaded: LoadedFile, assessment: Assessment, office: Office, now: Date) {
  const { file } = assessment;
  const due = file.dueAt === null ? null : new Date(file.dueAt);
  return {
    number: loaded.facts.application.number,
    name: shownName(loaded.facts),
    stage: file.stage,
    turn: file.turn,
    reason: reasonOf(assessment),
    requirement: file.next?.requirement ?? null,
    nextTitle: file.next?.title?.en ?? null,
    nextCount: file.next?.count ?? null,
    dueAt: due,
    orderAt: due ?? NO_DUE,
    comb: combText(file.comb),
    programmes: loaded.facts.choices.map((c) => c.programme).join(" "),
    lastEventAt: now,
    validUntil: file.validUntil === null ? null : new Date(file.validUntil),
    assessedAt: now,
    officeVersion: office.version,
  };
}

async function writeProjection(
  ctx: ActContext,
  loaded: LoadedFile,
  assessment: Assessment,
  office: Office,
  cause: Cause,
): Promise<void> {
  const applicationId = loaded.facts.application.id;
  const row = standingRow(loaded, assessment, office, ctx.now);
  const { lastEventAt, ...unmoved } = row;
  await ctx.db
    .insert(fileStanding)
    .values({ applicationId, ...row })
    .onConflictDoUpdate({
      target: fileStanding.applicationId,
      set: cause === "act" ? { ...unmoved, lastEventAt } : unmoved,
    });
  const standings = assessment.choices.map((result) => ({
    choiceId: result.id,
    applicationId,
    stage: result.stage,
    closedAs: result.closedAs,
    eligibility: result.eligibility,
    findings: result.findings.map(({ key, finding, basis }) => ({ key, finding, basis })),
  }));
  if (standings.length > 0)
    await ctx.db
      .insert(choiceStanding)
      .values(standings)
      .onConflictDoUpdate({
        target: choiceStanding.choiceId,
        set: {
          stage: sql`excluded.stage`,
          closedAs: sql`excluded.closed_as`,
          eligibility: sql`excluded.eligibility`,
          findings: sql`excluded.findings`,
        },
      });
  const folded = `${fold(row.name)} ${row.number}`;
  await ctx.db
    .insert(fileName)
    .values({ applicationId, folded })
    .onConflictDoUpdate({ target: fileName.applicationId, set: { folded }, setWhere: ne(fileName.folded, folded) });
  await writeKeys(ctx, loaded);
}

/** The keys under which other files of the same person are found; only those that changed are written. */
async function writeKeys(ctx: ActContext, { facts }: LoadedFile): Promise<void> {
  await ctx.client.query(
    `with gone as (delete from file_key where application_id = $1 and key <> all($2::text[]))
     insert into file_key (application_id, key) select $1, key from unnest($2::text[]) key on conflict do nothing`,
    [facts.application.id, candidateKeys(personOf(facts.answers, null))],
  );
}

/**
 * Brings everything that follows from a file's facts up to date: which answers apply, charges, the moment of completeness, the turn, and the
 * stored projection. Called at the end of each act on the file, in its transaction.
 */
export async function settle(ctx: ActContext, applicationId: string, cause: Cause = "act"): Promise<Assessment> {
  const office = await ctx.office();
  for (let pass = 0; pass < 8; pass += 1) {
    const loaded = await loadFile(ctx.client, applicationId);
    if (!loaded) throw new Error("a file went away while it was locked");
    if (await settleDormant(ctx, loaded, office)) continue;
    const assessment = assess({ ...loaded, office, at: ctx.now.getTime() });
    const changed =
      (await settleCharges(ctx, loaded, assessment)) ||
      (await settleComplete(ctx, loaded.facts, assessment)) ||
      (await settleTurn(ctx, loaded.facts, assessment.file));
    if (changed) continue;
    await writeProjection(ctx, loaded, assessment, office, cause);
    return assessment;
  }
  throw new Error("a file did not settle: its answers, charges, completeness and turn keep changing each other");
}
