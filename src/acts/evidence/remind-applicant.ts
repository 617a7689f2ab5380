import { and, eq, gt } from "drizzle-orm";
import { remindApplicantInput } from "../../core/evidence/inputs";
import type { Locale } from "../../core/text/local-text";
import { message } from "../../db/schema";
import { stepSentence } from "../../text/words/applicant-step";
import { done, refuse } from "../act/act";
import { defineFileAct } from "../act/file-act";
import { mailApplicant } from "../mail/queue-mail";

/** Nobody is reminded again before so many hours have gone by. */
const PAUSE_HOURS = 20;

/** Writes to the applicant of a submitted file what waits for them there, with a word of the officer's own. */
export const remindApplicant = defineFileAct({
  name: "remind-applicant",
  input: remindApplicantInput,
  right: "office",
  run: async (ctx, file, { words }) => {
    const { stage, owed } = file.assessment.file;
    if (stage === "preparing") return refuse("locked");
    const theirs = owed.filter((s) => s.turn === "applicant" || s.turn === "payment");
    if (theirs.length === 0) return refuse("nothing-due");
    const since = new Date(ctx.now.getTime() - PAUSE_HOURS * 3_600_000);
    const told = await ctx.db
      .select({ id: message.id })
      .from(message)
      .where(and(eq(message.applicationId, file.id), eq(message.template, "reminded"), gt(message.queuedAt, since)))
      .limit(1);
    if (told.length > 0) return refuse("already-done");
    const { number } = file.facts.application;
    const programmeOf = (scope: string) => file.facts.choices.find((c) => c.id === scope)?.programme ?? null;
    const linesIn = (locale: Locale) =>
      [...new Set(theirs.map((step) => `– ${stepSentence(locale, step, programmeOf)}`))].join("\n");
    await mailApplicant(ctx, file.id, file.ownerId, "reminded", {
      number,
      link: `/my/${number}`,
      listEn: linesIn("en"),
      listFr: linesIn("fr"),
      words,
      said: words === "" ? "0" : "1",
    });
    return done({ waits: theirs.length });
  },
});
