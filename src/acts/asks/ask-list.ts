import { and, eq, gte, isNull } from "drizzle-orm";
import type { z } from "zod";
import { sendAskListInput, takeAsksBackInput } from "../../core/asks/inputs";
import { fieldsIn } from "../../core/conversation/merge";
import { UNDO_MS } from "../../core/file-acts/undo";
import type { Locale } from "../../core/text/local-text";
import { ask } from "../../db/schema";
import { askLines } from "../../text/words/ask-lines";
import { done, refuse } from "../act/act";
import { defineFileAct, type OpenFile } from "../act/file-act";
import { isSubmitted, placeOf, resultAt } from "../act/place";
import { mayReopen, openSections, sectionTitles } from "../application/reopen-sections";
import { markAnswered, waitAgain } from "../conversation/answered";
import { mailApplicant } from "../mail/queue-mail";
import { openAsks, withdrawAskMail } from "./asks";

type Input = z.output<typeof sendAskListInput>;

/** Whether an item asks for what can be answered so: a document or a payment by supplying it, anything in words. */
function mayAsk(file: OpenFile, item: Input["items"][number]): boolean {
  if (item.requirement === "") return item.wants === "words";
  const result = resultAt(file, item);
  if (!result || !isSubmitted(file, result)) return false;
  return item.wants === "words" || (result.kind !== "sections" && result.kind !== "deed");
}

/** The list as it stands in the mail. */
const listIn = (locale: Locale, file: OpenFile, { items, sections, correction }: Input): string =>
  askLines(
    locale,
    items.map((item) => ({ title: resultAt(file, item)?.title ?? null, text: item.text })),
    { titles: sectionTitles(file, sections), text: correction },
  );

/** Asks for several things at once, each at its place, in one mail; sections that are to be corrected are opened with it. */
export const sendAskList = defineFileAct({
  name: "send-ask-list",
  input: sendAskListInput,
  right: "office",
  about: ({ items, sections, due }) => ({ items: items.length, sections: sections.map((s) => s.section), due }),
  run: async (ctx, file, input) => {
    const { items, sections, correction, words, due } = input;
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    if (fieldsIn([words, correction, ...items.map((i) => i.text)].join(" ")).length > 0) return refuse("field-left");
    if (items.length + sections.length === 0) return refuse("nothing-due");
    if (sections.length > 0 && correction === "") return refuse("needs-reason");
    if (!items.every((item) => mayAsk(file, item))) return refuse("not-found");
    if (!file.facts.choices.some((c) => c.submittedAt !== null)) return refuse("locked");
    const barred = sections.length > 0 ? mayReopen(file, sections) : null;
    if (barred !== null) return refuse(barred);
    const letter = await openAsks(
      ctx,
      file,
      items.map((item) => ({ at: placeOf(item), text: item.text, wants: item.wants })),
      due,
    );
    if (input.answers) await markAnswered(ctx, file.id);
    if (sections.length > 0) await openSections(ctx, file, { sections, reason: correction, due });
    const { number } = file.facts.application;
    await mailApplicant(
      ctx,
      file.id,
      file.ownerId,
      "asked-list",
      {
        letter,
        number,
        words,
        said: words === "" ? "0" : "1",
        listEn: listIn("en", file, input),
        listFr: listIn("fr", file, input),
        due,
        link: `/my/${number}`,
      },
      // What is opened for correction is open at once; a list without it can be taken back.
      sections.length > 0 ? undefined : new Date(ctx.now.getTime() + UNDO_MS),
    );
    return done({ letter });
  },
});

/** Takes a whole list back before its mail has gone. */
export const takeAsksBack = defineFileAct({
  name: "take-asks-back",
  input: takeAsksBackInput,
  right: "office",
  run: async (ctx, file, { letter }) => {
    const gone = await ctx.db
      .delete(ask)
      .where(
        and(
          eq(ask.applicationId, file.id),
          eq(ask.letter, letter),
          isNull(ask.answeredAt),
          gte(ask.askedAt, new Date(ctx.now.getTime() - UNDO_MS)),
        ),
      )
      .returning({ letter: ask.letter, askedAt: ask.askedAt });
    const [first] = gone;
    if (!first) return refuse("too-late-to-undo");
    await waitAgain(ctx, file.id, first.askedAt);
    await withdrawAskMail(ctx, file.id, gone);
    return done(null);
  },
});
