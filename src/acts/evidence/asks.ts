import { and, isNull } from "drizzle-orm";
import { askApplicantInput, settleAskInput } from "../../core/evidence/inputs";
import type { RequirementPlace } from "../../core/file/place";
import { ask } from "../../db/schema";
import { type ActContext, done, refuse } from "../act/act";
import { defineFileAct, type OpenFile } from "../act/file-act";
import { mailApplicant } from "../mail/queue-mail";
import { isSubmitted, placeOf, resultAt, rowsAt } from "./place";

/** How long an act that can be taken back keeps its mail waiting. */
export const UNDO_MS = 10_000;

/** Writes an ask of the applicant, open until it is answered or settled. @returns its id */
export async function openAsk(
  ctx: ActContext,
  file: OpenFile,
  at: RequirementPlace,
  text: string,
  due: string,
): Promise<string> {
  const byId = ctx.actor.kind === "person" ? ctx.actor.id : file.ownerId;
  const [row] = await ctx.db
    .insert(ask)
    .values({ applicationId: file.id, ...at, text, due, askedAt: ctx.now, byId })
    .returning({ id: ask.id });
  if (!row) throw new Error("the ask was not written");
  return row.id;
}

/** Withdraws the mail of asks as far as it still waits to be sent. */
export async function withdrawAskMail(ctx: ActContext, applicationId: string, asks: readonly string[]): Promise<void> {
  await ctx.client.query(
    "update message set state = 'withdrawn' where application_id = $1 and state = 'queued' and values->>'ask' = any($2::text[])",
    [applicationId, asks],
  );
}

/** Ends every open ask at a place; mail that still waits says nothing that holds any more. @returns how many there were */
export async function closeAsks(ctx: ActContext, applicationId: string, at: RequirementPlace): Promise<number> {
  const closed = await ctx.db
    .update(ask)
    .set({ answeredAt: ctx.now })
    .where(and(rowsAt(ask, applicationId, at), isNull(ask.answeredAt)))
    .returning({ id: ask.id });
  await withdrawAskMail(
    ctx,
    applicationId,
    closed.map((a) => a.id),
  );
  return closed.length;
}

/** Asks for something that was supplied but does not suffice, or was never supplied. */
export const askApplicant = defineFileAct({
  name: "ask-applicant",
  input: askApplicantInput,
  right: "office",
  about: placeOf,
  run: async (ctx, file, input) => {
    const result = resultAt(file, input);
    // Sections are opened for correction instead: an answer cannot be supplied like a document.
    if (!result || result.kind === "sections" || !isSubmitted(file, result)) return refuse("not-found");
    const askId = await openAsk(ctx, file, placeOf(input), input.text, input.due);
    await mailApplicant(
      ctx,
      file.id,
      file.ownerId,
      "asked",
      {
        ask: askId,
        number: file.facts.application.number,
        documentEn: result.title.en,
        documentFr: result.title.fr,
        text: input.text,
        due: input.due,
        link: `/my/${file.facts.application.number}`,
      },
      new Date(ctx.now.getTime() + UNDO_MS),
    );
    return done({ askId });
  },
});

/**
 * Ends what was asked for at a place although nothing was uploaded for it: answered in another way, or no longer needed. What the
 * rulebook requires there stays as it is. It works where the requirement is gone, too.
 */
export const settleAsk = defineFileAct({
  name: "settle-ask",
  input: settleAskInput,
  right: "office",
  about: placeOf,
  run: async (ctx, file, input) =>
    (await closeAsks(ctx, file.id, placeOf(input))) === 0 ? refuse("already-done") : done(null),
});
