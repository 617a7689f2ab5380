import { and, eq, gt } from "drizzle-orm";
import { z } from "zod";
import { gapsOf, type RequirementResult } from "../../core/file/result";
import type { Locale } from "../../core/text/local-text";
import { enqueue } from "../../db/queue";
import { message } from "../../db/schema";
import { defineAct, done, refuse } from "../act/act";
import { defineFileAct } from "../act/file-act";
import { mailApplicant } from "../mail/queue-mail";

/** How long before the closing a draft is reminded, the first time and the second. */
const FIRST_HOURS = 7 * 24;
const SECOND_HOURS = 24;

/**
 * Reminds everybody whose draft closes soon: a week before, and once more a day before. Whoever began later than a week before gets
 * only the second. The mail says how much is missing and until when it can be sent.
 */
export const remindDrafts = defineAct({
  name: "remind-drafts",
  input: z.object({}),
  may: (ctx) => ctx.actor.kind === "system",
  run: async (ctx) => {
    const { set } = await ctx.office();
    const { rows } = await ctx.client.query<{ id: string }>(
      `with due as (
         select a.id, case when s.due_at <= $1::timestamptz + make_interval(hours => $3) then 2 else 1 end as wanted
         from application a join file_standing s on s.application_id = a.id
         where s.stage = 'preparing' and a.withdrawn_at is null and s.due_at > $1 and s.due_at <= $1::timestamptz + make_interval(hours => $2)
       ), told as (
         update application a set reminders = d.wanted from due d where a.id = d.id and a.reminders < d.wanted
           and (d.wanted = 2 or a.created_at < $1::timestamptz - interval '1 day') returning a.id, a.number, a.person_id
       )
       insert into message (application_id, person_id, to_address, template, locale, values, state, due_at, queued_at)
         select t.id, p.id, p.email, 'draft-closes', p.locale,
           jsonb_build_object('name', p.name, 'number', t.number, 'link', '/my/' || t.number, 'zone', $4::text,
             'moment', to_char(s.due_at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'),
             'missing', case when s.reason = 'submit' then '0' else coalesce(s.next_count, 0)::text end), 'queued', $1, $1
         from told t join person p on p.id = t.person_id join file_standing s on s.application_id = t.id
       returning application_id as id`,
      [ctx.now, FIRST_HOURS, SECOND_HOURS, set.zone],
    );
    if (rows.length === 0) return done({ told: 0 });
    await enqueue(ctx.boss, ctx.client, "sweep-messages", {});
    await ctx.emit("remind-drafts", null, { told: rows.length });
    return done({ told: rows.length });
  },
});

/** An officer does not write about the same draft again before this many hours have gone by. */
const PAUSE_HOURS = 12;

/** One line for each thing that is missing: what it is, and how many fields of it are open. */
const linesOf = (missing: readonly RequirementResult[], locale: Locale): string =>
  missing
    .map((r) => {
      const open = gapsOf(r).length;
      return `– ${r.title[locale]}${open > 0 ? ` (${open})` : ""}`;
    })
    .join("\n");

/** Writes to the applicant of a draft what is still missing, as the officer sees it, with a word of the officer's own. */
export const tellMissing = defineFileAct({
  name: "tell-missing",
  input: z.object({ applicationId: z.uuid(), words: z.string().trim().max(1000).default("") }),
  right: "office",
  run: async (ctx, file, { words }) => {
    const { file: standing, choices, requirements } = file.assessment;
    if (standing.stage !== "preparing") return refuse("locked");
    const told = await ctx.db
      .select({ id: message.id })
      .from(message)
      .where(
        and(
          eq(message.applicationId, file.id),
          eq(message.template, "draft-missing"),
          gt(message.queuedAt, new Date(ctx.now.getTime() - PAUSE_HOURS * 3_600_000)),
        ),
      )
      .limit(1);
    if (told.length > 0) return refuse("already-done");
    const open = choices.flatMap((c) => c.missing);
    const missing = requirements.filter((r) =>
      open.some((m) => m.requirement === r.key && m.scope === r.scope && m.entry === r.entry),
    );
    const { number } = file.facts.application;
    await mailApplicant(ctx, file.id, file.ownerId, "draft-missing", {
      number,
      link: `/my/${number}`,
      count: String(missing.length),
      listEn: linesOf(missing, "en"),
      listFr: linesOf(missing, "fr"),
      words,
      said: words === "" ? "0" : "1",
      ...(standing.dueAt === null ? {} : { moment: standing.dueAt, zone: file.office.set.zone }),
    });
    return done(null);
  },
});
