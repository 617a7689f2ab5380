import { z } from "zod";
import { reminderDue } from "../../core/asks/reminder";
import { onFile, requirementKey, resultKey } from "../../core/file/place";
import type { Locale } from "../../core/text/local-text";
import { dayAt } from "../../core/time/zone";
import { formatDate } from "../../text/format";
import { sentence } from "../../text/sentence";
import { done, refuse } from "../act/act";
import { defineFileAct } from "../act/file-act";
import { mailApplicant } from "../mail/queue-mail";

/** Reminds one applicant of all that is due to be reminded of in their file, in one mail, once each. */
export const remindAsked = defineFileAct({
  name: "remind-asked",
  input: z.object(onFile),
  right: "system",
  run: async (ctx, file) => {
    if (file.assessment.file.stage === "closed") return refuse("locked");
    const today = dayAt(file.office.zone, ctx.now.getTime());
    const { rows: sent } = await ctx.client.query<{ id: string; text: string; reminders: number }>(
      "select id, text, reminders from ask where application_id = $1 and answered_at is null",
      [file.id],
    );
    const due = file.facts.asks.flatMap((ask) => {
      const row = sent.find((s) => s.id === ask.id);
      const which = row ? reminderDue(ask, row.reminders, file.office, today) : 0;
      if (!row || which === 0) return [];
      const title = file.assessment.requirements.find((r) => resultKey(r) === requirementKey(ask))?.title;
      return [{ ask, which, title, text: row.text }];
    });
    if (due.length === 0) return refuse("nothing-due");
    for (const { ask, which } of due)
      await ctx.client.query("update ask set reminders = $2 where id = $1", [ask.id, which]);
    const listIn = (locale: Locale) =>
      due
        .map(({ ask, title, text }) =>
          sentence(locale, "ask.line", {
            title: title?.[locale] ?? text,
            text: sentence(locale, "app.askedUntil", { date: formatDate(locale, ask.due) }),
          }),
        )
        .join("\n");
    const { number } = file.facts.application;
    await mailApplicant(ctx, file.id, file.ownerId, "ask-reminder", {
      number,
      listEn: listIn("en"),
      listFr: listIn("fr"),
      late: due.some((d) => d.which > 1) ? "1" : "0",
      link: `/my/${number}`,
    });
    return done({ reminded: due.length });
  },
});
