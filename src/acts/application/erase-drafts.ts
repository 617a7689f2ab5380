import { z } from "zod";
import { enqueue } from "../../db/queue";
import { type ActContext, defineAct, done } from "../act/act";
import { settleFile } from "../act/settle";
import { eraseWritten } from "./erase-written";

/** How long before what was written is erased its applicant is told. */
const NOTICE_DAYS = 14;
/** Files erased in one transaction: the job comes back for the rest. */
const MOST = 50;

/**
 * Drafts that nobody can submit any more, each with the moment since when: the last closing of any group, a closing of one's own, or the
 * withdrawal. What was submitted once is no draft, and one that holds nothing has nothing to erase.
 */
const ABANDONED = `select a.id, a.number, a.person_id, a.erasure_told_at, coalesce(a.withdrawn_at, x.over_at) as over_at
  from application a join file_standing s on s.application_id = a.id and s.stage = 'closed'
    join lateral (select bool_or(c.submitted_at is not null) as sent, max(coalesce(c.withdrawn_at, greatest(c.extended_to,
        coalesce(r.closed_at, (select max((k->>'at')::timestamptz) from jsonb_array_elements(r.closings) k))))) as over_at
      from choice c join round r on r.id = c.round_id where c.application_id = a.id) x on not x.sent
  where exists (select 1 from answer w where w.application_id = a.id) or exists (select 1 from upload u where u.application_id = a.id)`;

async function tell(ctx: ActContext, days: number): Promise<number> {
  const { set } = await ctx.office();
  const { rowCount } = await ctx.client.query(
    `with due as (select * from (${ABANDONED}) d where d.erasure_told_at is null or d.erasure_told_at < d.over_at),
     told as (update application a set erasure_told_at = $1 from due d where a.id = d.id
       and d.over_at + make_interval(days => $2::int - ${NOTICE_DAYS}) <= $1::timestamptz returning a.id, a.number, a.person_id, d.over_at)
     insert into message (application_id, person_id, to_address, template, locale, values, state, due_at, queued_at)
       select t.id, p.id, p.email, 'draft-erased-soon', p.locale, jsonb_build_object('name', p.name, 'number', t.number, 'link', '/my/' || t.number || '/review',
         'zone', $3::text, 'days', ($2::int)::text, 'moment', to_char(greatest(t.over_at + make_interval(days => $2::int), $1::timestamptz + interval '${NOTICE_DAYS} days')
           at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"')), 'queued', $1, $1
       from told t join person p on p.id = t.person_id`,
    [ctx.now, days, set.zone],
  );
  if (rowCount) await enqueue(ctx.boss, ctx.client, "sweep-messages", {});
  return rowCount ?? 0;
}

/**
 * Erases drafts that were never submitted, so many days after they could be for the last time as the office keeps them; nothing where it
 * keeps them for ever. Two weeks before, and never later, the applicant is told, who may still take a copy. Only drafts that were told of
 * go. Charges and payments stay: they are the office's books and name nobody.
 */
export const eraseDrafts = defineAct({
  name: "erase-drafts",
  input: z.object({}),
  may: (ctx) => ctx.actor.kind === "system",
  run: async (ctx) => {
    const { set } = await ctx.office();
    const days = set.keepDraftsDays;
    if (days === null) return done({ told: 0, erased: 0 });
    const told = await tell(ctx, days);
    const { rows } = await ctx.client.query<{ id: string }>(
      `select d.id from (${ABANDONED}) d join application a on a.id = d.id where d.erasure_told_at >= d.over_at
         and d.erasure_told_at <= $1::timestamptz - interval '${NOTICE_DAYS} days' and d.over_at + make_interval(days => $2::int) <= $1::timestamptz
       order by d.number limit ${MOST} for update of a`,
      [ctx.now, days],
    );
    for (const { id } of rows) {
      await eraseWritten(ctx, id);
      await ctx.emit("erase-draft", id, { days });
      await settleFile(ctx, id);
    }
    return done({ told, erased: rows.length });
  },
});
