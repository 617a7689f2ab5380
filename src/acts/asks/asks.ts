import { randomUUID } from "node:crypto";
import { and, eq, isNull } from "drizzle-orm";
import { askApplicantInput, extendAskInput, settleAskInput } from "../../core/asks/inputs";
import { fieldsIn } from "../../core/conversation/merge";
import type { AskWants } from "../../core/file/facts";
import type { RequirementPlace } from "../../core/file/place";
import { UNDO_MS } from "../../core/file-acts/undo";
import { ask } from "../../db/schema";
import { type ActContext, done, refuse } from "../act/act";
import { defineFileAct, type OpenFile } from "../act/file-act";
import { isSubmitted, placeOf, resultAt, rowsAt } from "../act/place";
import { mailApplicant } from "../mail/queue-mail";

/** What is asked for, without the letter in which it goes out. */
export interface Asked {
  readonly at: RequirementPlace;
  readonly text: string;
  readonly wants?: AskWants;
}

/** Writes what goes out in one letter, open until each is answered or settled. @returns the letter that its mail names */
export async function openAsks(ctx: ActContext, file: OpenFile, items: readonly Asked[], due: string): Promise<string> {
  const byId = ctx.actor.kind === "person" ? ctx.actor.id : file.ownerId;
  const letter = randomUUID();
  if (items.length > 0)
    await ctx.db.insert(ask).values(
      items.map(({ at, text, wants = "evidence" }, position) => ({
        applicationId: file.id,
        letter,
        position,
        ...at,
        wants,
        text,
        due,
        askedAt: ctx.now,
        byId,
      })),
    );
  return letter;
}

/** Withdraws the mail of letters of which nothing is open any more, as far as it still waits to be sent. */
export async function withdrawAskMail(
  ctx: ActContext,
  applicationId: string,
  closed: readonly { readonly letter: string }[],
): Promise<void> {
  await ctx.client.query(
    `update message m set state = 'withdrawn' where application_id = $1 and state = 'queued' and values->>'letter' = any($2::text[])
       and not exists (select 1 from ask k where k.application_id = $1 and k.letter::text = m.values->>'letter' and k.answered_at is null)`,
    [applicationId, closed.map((a) => a.letter)],
  );
}

async function close(ctx: ActContext, applicationId: string, which: ReturnType<typeof and>): Promise<number> {
  const closed = await ctx.db
    .update(ask)
    .set({ answeredAt: ctx.now })
    .where(and(eq(ask.applicationId, applicationId), which, isNull(ask.answeredAt)))
    .returning({ letter: ask.letter });
  await withdrawAskMail(ctx, applicationId, closed);
  return closed.length;
}

/**
 * Ends what was asked for at a place once something was supplied there, or it is needed no more; a question that wants words stays. Mail
 * that still waits says nothing that holds any more. @returns how many there were
 */
export const closeAsks = (ctx: ActContext, applicationId: string, at: RequirementPlace): Promise<number> =>
  close(ctx, applicationId, and(rowsAt(ask, applicationId, at), eq(ask.wants, "evidence")));

/** Asks for something that was supplied but does not suffice, or was never supplied. */
export const askApplicant = defineFileAct({
  name: "ask-applicant",
  input: askApplicantInput,
  right: "office",
  about: placeOf,
  run: async (ctx, file, input) => {
    // A field that was not filled in would go out in its braces.
    if (fieldsIn(input.text).length > 0) return refuse("field-left");
    const result = resultAt(file, input);
    // Sections are opened for correction instead: an answer cannot be supplied like a document.
    if (!result || result.kind === "sections" || !isSubmitted(file, result)) return refuse("not-found");
    const letter = await openAsks(ctx, file, [{ at: placeOf(input), text: input.text }], input.due);
    await mailApplicant(
      ctx,
      file.id,
      file.ownerId,
      "asked",
      {
        letter,
        number: file.facts.application.number,
        documentEn: result.title.en,
        documentFr: result.title.fr,
        text: input.text,
        due: input.due,
        link: `/my/${file.facts.application.number}`,
      },
      new Date(ctx.now.getTime() + UNDO_MS),
    );
    return done({ letter });
  },
});

/**
 * Ends what was asked for at a place although nothing was supplied for it: answered in another way, or no longer needed. What the
 * rulebook requires there stays as it is. It works where the requirement is gone, too.
 */
export const settleAsk = defineFileAct({
  name: "settle-ask",
  input: settleAskInput,
  right: "office",
  about: placeOf,
  run: async (ctx, file, { askId, ...at }) => {
    const which = askId === undefined ? rowsAt(ask, file.id, at) : eq(ask.id, askId);
    return (await close(ctx, file.id, which)) === 0 ? refuse("already-done") : done(null);
  },
});

/** Gives more time for one thing that was asked for; it is reminded of anew. */
export const extendAsk = defineFileAct({
  name: "extend-ask",
  input: extendAskInput,
  right: "office",
  about: ({ due }) => ({ due }),
  run: async (ctx, file, { askId, due }) => {
    const [later] = await ctx.db
      .update(ask)
      .set({ due, reminders: 0 })
      .where(and(eq(ask.id, askId), eq(ask.applicationId, file.id), isNull(ask.answeredAt)))
      .returning({
        letter: ask.letter,
        text: ask.text,
        requirement: ask.requirement,
        scope: ask.scope,
        entry: ask.entry,
      });
    if (!later) return refuse("already-done");
    const title = resultAt(file, later)?.title;
    const { number } = file.facts.application;
    await mailApplicant(ctx, file.id, file.ownerId, "ask-extended", {
      number,
      documentEn: title?.en ?? later.text,
      documentFr: title?.fr ?? later.text,
      due,
      link: `/my/${number}`,
    });
    return done(null);
  },
});
