import { z } from "zod";
import { type PlannedStart, planGaps } from "../../core/catalogue/plan-gaps";
import type { ProgrammeInput } from "../../core/catalogue/programme";
import { enqueue } from "../../db/queue";
import { defineAct, done } from "../act/act";

/** How long before the opening the office is reminded. */
const DAYS_BEFORE = 7;

interface Opening {
  readonly code: string;
  readonly en: string;
  readonly fr: string;
  readonly opens_at: Date;
  readonly programme: Pick<ProgrammeInput, "fields" | "prerequisites" | "contact" | "keywords">;
  readonly start: PlannedStart;
}

/** Reminds the lead officers of a programme, once, that a round opens in a week, and how much is missing in what is planned. */
export const remindOpenings = defineAct({
  name: "remind-openings",
  input: z.object({}),
  may: (ctx) => ctx.actor.kind === "system",
  run: async (ctx) => {
    const { set } = await ctx.office();
    const { rows } = await ctx.client.query<Opening>(
      `with due as (
         update round set reminded_at = $1 where reminded_at is null and closed_at is null
           and opens_at > $1 and opens_at <= $1::timestamptz + make_interval(days => $2) returning *
       )
       select p.code, ltrim(p.award || ' ' || (p.title->>'en')) as en, ltrim(p.award || ' ' || (p.title->>'fr')) as fr, d.opens_at,
         json_build_object('fields', p.fields, 'prerequisites', p.prerequisites, 'contact', p.contact, 'keywords', p.keywords) as programme,
         json_build_object('startsOn', i.starts_on, 'places', i.places,
           'rulebook', (select b.version from rulebook b where b.intake_id = i.id and b.status = 'published'),
           'rounds', json_build_array(json_build_object('key', d.key, 'closings', d.closings))) as start
       from due d join intake i on i.id = d.intake_id join programme p on p.id = i.programme_id order by d.opens_at, p.code`,
      [ctx.now, DAYS_BEFORE],
    );
    if (rows.length === 0) return done({ told: 0 });
    const { zone } = await ctx.office();
    const groups = set.groups.map((g) => g.key);
    let told = 0;
    for (const { code, en, fr, opens_at, programme, start } of rows) {
      const values = {
        programmeEn: en,
        programmeFr: fr,
        moment: opens_at.toISOString(),
        zone: set.zone,
        gaps: String(planGaps(programme, start, groups, zone).length),
        link: `/office/programmes/${code}`,
      };
      const written = await ctx.client.query(
        `insert into message (person_id, to_address, template, locale, values, state, due_at, queued_at)
         select w.id, w.email, 'round-opens-soon', w.locale, $2::jsonb || jsonb_build_object('name', w.name), 'queued', $3, $3
         from person w where exists (select 1 from role_grant g where g.person_id = w.id and g.role = 'lead officer' and g.scope in ('*', $1))`,
        [code, JSON.stringify(values), ctx.now],
      );
      told += written.rowCount ?? 0;
    }
    await enqueue(ctx.boss, ctx.client, "sweep-messages", {});
    await ctx.emit("remind-openings", null, { programmes: rows.map((r) => r.code), told });
    return done({ told });
  },
});
