import { randomInt } from "node:crypto";
import { and, eq, isNull } from "drizzle-orm";
import { assess } from "../core/assessment/assess";
import { contexts } from "../core/assessment/context";
import type { ChargeFact, FileFacts } from "../core/assessment/facts";
import type { Assessment, ChoiceResult, FeeDue, FileResult } from "../core/assessment/result";
import { chargeAfterWithdrawal, isWithdrawn, withdrawnFee } from "../core/fees/after-withdrawal";
import type { Office } from "../core/office/reference-set";
import { AnswerIndex } from "../core/sections/answer-index";
import { dormancyChanges } from "../core/sections/dormancy";
import { type LoadedFile, loadFile } from "../db/load-file";
import { charge, chargeAdjustment, choice, turnChange } from "../db/schema";
import type { ActContext } from "./act";
import { type Cause, writeProjections } from "./projection";

/** A payment reference with fixed letters and a random number; the letters are none that are mistaken for digits. */
function paymentReference(number: string): string {
  return `UV${number.replace("-", "")}P${randomInt(10_000, 99_999)}`;
}

/** What is due and has no charge yet, and what a charge has to be changed by. */
interface ChargeChanges {
  readonly made: readonly FeeDue[];
  readonly adjusted: readonly { readonly known: ChargeFact; readonly by: number; readonly reason: string }[];
}

/** Charges follow what is due; what was withdrawn owes nothing more. */
function chargeChanges({ facts, rulebooks }: LoadedFile, { fees }: Assessment): ChargeChanges {
  const due = fees.filter((f) => !isWithdrawn(facts, f.scope));
  const isFor = (c: ChargeFact, f: FeeDue) => c.item === f.item && c.scope === f.scope;
  const adjusted = facts.charges.flatMap((known) => {
    const own = due.find((f) => isFor(known, f));
    const withdrawn = isWithdrawn(facts, known.scope);
    const gone = withdrawn ? chargeAfterWithdrawal(known, withdrawnFee(rulebooks, known.item)) : 0;
    const by = (own ? own.amount.minor : gone) - known.minor;
    const reason = own ? "due changed" : withdrawn ? "withdrawn" : "no longer due";
    return by === 0 ? [] : [{ known, by, reason }];
  });
  return { made: due.filter((f) => !facts.charges.some((c) => isFor(c, f))), adjusted };
}

async function settleCharges(ctx: ActContext, loaded: LoadedFile, assessment: Assessment): Promise<boolean> {
  const { made, adjusted } = chargeChanges(loaded, assessment);
  const { id: applicationId, number } = loaded.facts.application;
  for (const { known, by, reason } of adjusted)
    await ctx.db.insert(chargeAdjustment).values({ chargeId: known.id, minor: by, reason, at: ctx.now });
  for (const { item, scope, amount } of made)
    await ctx.db.insert(charge).values({
      applicationId,
      item,
      scope,
      minor: amount.minor,
      currency: amount.currency,
      paymentReference: paymentReference(number),
      madeAt: ctx.now,
    });
  return made.length + adjusted.length > 0;
}

/** The answers that are awake and do not apply, or asleep and apply again. */
function wronglyAwake({ facts, asleep, rulebooks, rounds }: LoadedFile, office: Office) {
  const reopened = facts.reopenings.some((r) => r.answeredAt === null);
  if (!reopened && facts.choices.every((c) => c.submittedAt !== null || c.withdrawnAt !== null)) return [];
  return dormancyChanges(
    facts.answers,
    asleep,
    contexts(facts, new AnswerIndex(facts), rulebooks, rounds, office),
    reopened,
  );
}

/** Puts answers that no longer apply aside, and wakes those that apply again. */
async function settleDormant(ctx: ActContext, loaded: LoadedFile, office: Office): Promise<boolean> {
  const { facts } = loaded;
  const wrong = wronglyAwake(loaded, office);
  if (wrong.length === 0) return false;
  const column = (name: "scope" | "section" | "entry" | "field") => wrong.map((a) => a[name]);
  await ctx.client.query(
    `update answer a set dormant = not a.dormant from unnest($2::text[], $3::text[], $4::text[], $5::text[]) as x (scope, section, entry, field)
     where a.application_id = $1 and (a.scope, a.section, a.entry, a.field) = (x.scope, x.section, x.entry, x.field)`,
    [facts.application.id, column("scope"), column("section"), column("entry"), column("field")],
  );
  return true;
}

/** The choices that are complete for the first time. */
const newlyComplete = (facts: FileFacts, { choices }: Assessment): readonly ChoiceResult[] =>
  choices.filter((c) => c.stage === "complete" && facts.choices.some((f) => f.id === c.id && f.completeAt === null));

/** Remembers when a choice first became complete: its promise counts from then. */
async function settleComplete(ctx: ActContext, facts: FileFacts, assessment: Assessment): Promise<boolean> {
  const reached = newlyComplete(facts, assessment);
  for (const { id } of reached)
    await ctx.db
      .update(choice)
      .set({ completeAt: ctx.now })
      .where(and(eq(choice.id, id), isNull(choice.completeAt)));
  return reached.length > 0;
}

const turnHasChanged = (facts: FileFacts, file: FileResult): boolean => facts.turns.at(-1)?.turn !== file.turn;

async function settleTurn(ctx: ActContext, facts: FileFacts, file: FileResult): Promise<boolean> {
  if (!turnHasChanged(facts, file)) return false;
  await ctx.db
    .insert(turnChange)
    .values({ applicationId: facts.application.id, at: ctx.now, turn: file.turn })
    .onConflictDoUpdate({ target: [turnChange.applicationId, turnChange.at], set: { turn: file.turn } });
  return true;
}

/** Whether nothing follows from a file's assessment that is not written yet, but for what lists show of it. */
export function isAtRest(loaded: LoadedFile, assessment: Assessment, office: Office): boolean {
  const { made, adjusted } = chargeChanges(loaded, assessment);
  return (
    made.length + adjusted.length === 0 &&
    newlyComplete(loaded.facts, assessment).length === 0 &&
    !turnHasChanged(loaded.facts, assessment.file) &&
    wronglyAwake(loaded, office).length === 0
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
    await writeProjections(ctx, [{ loaded, assessment }], office, cause);
    return assessment;
  }
  throw new Error("a file did not settle: its answers, charges, completeness and turn keep changing each other");
}
