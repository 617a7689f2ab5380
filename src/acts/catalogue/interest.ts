import { and, eq } from "drizzle-orm";
import { z } from "zod";
import { programmeName } from "../../core/catalogue/programme";
import { localeSchema } from "../../core/text/local-text";
import { NEEDED_TITLES } from "../../db/queries/rulebook-paths";
import { enqueue } from "../../db/queue";
import { interest, programme } from "../../db/schema";
import { defineAct, done, refuse } from "../act/act";
import { hashToken, newToken } from "../act/token";
import { hadEnough, networkHadEnough, queueMail } from "../mail/queue-mail";
import { network } from "../people/access";
import { closeOpeningsWithoutPlaces } from "./rounds";

/**
 * Notes that somebody wants to know when a programme opens. The same address is noted once; whether it was there already is not told. The
 * mail that answers holds the link that takes the address out.
 */
export const noteInterest = defineAct({
  name: "note-interest",
  input: z.object({ code: z.string().max(20), email: z.email().max(320), locale: localeSchema, network }),
  may: (ctx) => ctx.actor.kind === "visitor" || ctx.actor.kind === "person",
  run: async (ctx, { code, email, locale, network: from }) => {
    if (await networkHadEnough(ctx, from)) return done(null);
    const [offered] = await ctx.db.select().from(programme).where(eq(programme.code, code));
    if (!offered) return refuse("not-found");
    const toAddress = email.trim().toLowerCase();
    if (await hadEnough(ctx, toAddress)) return done(null);
    const { token, hash } = newToken();
    const made = await ctx.db
      .insert(interest)
      .values({ programmeId: offered.id, email: toAddress, locale, tokenHash: hash, notedAt: ctx.now })
      .onConflictDoNothing()
      .returning({ id: interest.id });
    if (!made[0]) return done(null);
    await ctx.emit("note-interest", null, { programme: code });
    await queueMail(ctx, {
      applicationId: null,
      personId: null,
      toAddress,
      locale,
      template: "interest-noted",
      values: {
        programmeEn: programmeName(offered, "en"),
        programmeFr: programmeName(offered, "fr"),
        link: `/interest/${token}`,
      },
    });
    return done(null);
  },
});

/** Takes an address out again; whoever has the link may. */
export const forgetInterest = defineAct({
  name: "forget-interest",
  input: z.object({ token: z.string().max(200) }),
  may: (ctx) => ctx.actor.kind === "visitor" || ctx.actor.kind === "person",
  run: async (ctx, { token }) => {
    const gone = await ctx.db
      .delete(interest)
      .where(and(eq(interest.tokenHash, hashToken(token))))
      .returning({ programmeId: interest.programmeId });
    return gone[0] ? done(null) : refuse("link-ended");
  },
});

const RECENT_DAYS = 3;

/**
 * Announces the rounds that have opened: to those who left their address, whose note is then forgotten, and to those who prepare an
 * application in them. A round that opened long ago and was never announced is left alone.
 */
export const announceOpenings = defineAct({
  name: "announce-openings",
  input: z.object({}),
  may: (ctx) => ctx.actor.kind === "system",
  run: async (ctx) => {
    await closeOpeningsWithoutPlaces(ctx);
    const { rows } = await ctx.client.query<{ id: string; programme_id: string; recent: boolean }>(
      `update round r set announced_at = $1 from intake i
       where i.id = r.intake_id and r.announced_at is null and r.opens_at <= $1 and r.closed_at is null
         and exists (select 1 from rulebook b where b.intake_id = i.id and b.status = 'published')
       returning r.id, i.programme_id, r.opens_at > $1::timestamptz - make_interval(days => $2) as recent`,
      [ctx.now, RECENT_DAYS],
    );
    const opened = rows.filter((r) => r.recent);
    if (opened.length === 0) return done({ told: 0 });
    const rounds = opened.map((r) => r.id);
    const programmes = [...new Set(opened.map((r) => r.programme_id))];
    const named =
      "'programmeEn', ltrim(p.award || ' ' || (p.title->>'en')), 'programmeFr', ltrim(p.award || ' ' || (p.title->>'fr'))";
    const waiting = await ctx.client.query(
      `with gone as (delete from interest where programme_id = any($1::uuid[]) returning *)
       insert into message (to_address, template, locale, values, state, due_at, queued_at)
         select g.email, 'interest-opened', g.locale, jsonb_build_object(${named}, 'link', '/programmes/' || p.code,
           'listEn', coalesce(n.en, ''), 'listFr', coalesce(n.fr, ''), 'count', coalesce(n.count, 0)::text), 'queued', $2, $2
         from gone g join programme p on p.id = g.programme_id left join lateral (
           select string_agg('– ' || (q->>'en'), chr(10) order by no) as en, string_agg('– ' || (q->>'fr'), chr(10) order by no) as fr, count(*) as count
           from intake i join round r on r.intake_id = i.id and r.id = any($3::uuid[]) join rulebook b on b.intake_id = i.id and b.status = 'published',
             jsonb_array_elements(jsonb_path_query_array(b.body, '${NEEDED_TITLES}')) with ordinality as x(q, no)
           where i.programme_id = p.id) n on true`,
      [programmes, ctx.now, rounds],
    );
    const drafting = await ctx.client.query(
      `insert into message (application_id, person_id, to_address, template, locale, values, state, due_at, queued_at)
         select a.id, w.id, w.email, 'round-opened', w.locale,
           jsonb_build_object('name', w.name, 'number', a.number, 'link', '/my/' || a.number, ${named}), 'queued', $2, $2
         from choice c join application a on a.id = c.application_id join person w on w.id = a.person_id
           join intake i on i.id = c.intake_id join programme p on p.id = i.programme_id
         where c.round_id = any($1::uuid[]) and c.submitted_at is null and c.withdrawn_at is null and a.withdrawn_at is null`,
      [rounds, ctx.now],
    );
    const told = (waiting.rowCount ?? 0) + (drafting.rowCount ?? 0);
    await enqueue(ctx.boss, ctx.client, "sweep-messages", {});
    await ctx.emit("announce-openings", null, { rounds, told });
    return done({ told });
  },
});
