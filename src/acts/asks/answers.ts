import { and, eq, isNotNull, isNull } from "drizzle-orm";
import { answerAskInput, readAnswerInput } from "../../core/asks/inputs";
import { ask } from "../../db/schema";
import { done, refuse } from "../act/act";
import { defineFileAct } from "../act/file-act";

/** The applicant answers a question in words; it is the office's turn until somebody has read it. */
export const answerAsk = defineFileAct({
  name: "answer-ask",
  input: answerAskInput,
  right: "applicant",
  run: async (ctx, file, { askId, text }) => {
    const answered = await ctx.db
      .update(ask)
      .set({ answer: text, answeredAt: ctx.now })
      .where(and(eq(ask.id, askId), eq(ask.applicationId, file.id), eq(ask.wants, "words"), isNull(ask.answeredAt)))
      .returning({ id: ask.id });
    return answered.length === 0 ? refuse("already-done") : done(null);
  },
});

/** An officer has read an answer: nothing waits for it any more. */
export const readAnswer = defineFileAct({
  name: "read-answer",
  input: readAnswerInput,
  right: "office",
  run: async (ctx, file, { askId }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const read = await ctx.db
      .update(ask)
      .set({ readAt: ctx.now, readById: ctx.actor.id })
      .where(and(eq(ask.id, askId), eq(ask.applicationId, file.id), isNotNull(ask.answer), isNull(ask.readAt)))
      .returning({ id: ask.id });
    return read.length === 0 ? refuse("already-done") : done(null);
  },
});
