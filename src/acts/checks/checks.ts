import { and, eq } from "drizzle-orm";
import { checkTag, leaveChecksInput, leaveForLaterInput, nextCheckInput } from "../../core/checks/inputs";
import { holds, OFFICE } from "../../core/rights/actor";
import { dayAt, startOfDay } from "../../core/time/zone";
import { application, checkClaim, checkLater } from "../../db/schema";
import { defineAct, done, refuse } from "../act/act";

/** Whoever has gone away without a word holds nothing up for longer. */
const HELD_MINUTES = 15;
/** Another officer may take the same one in the same moment: then the next is tried. */
const TRIES = 5;

/** The most urgent file that has this evidence to check, is in nobody's run and was not passed over; it is in one's own run from now on. */
const CLAIM = `with found as (
    select s.application_id from file_standing s
    where s.tags @> array[$1] and s.stage <> 'preparing' and s.application_id <> all($5::uuid[])
      and ($6::text[] is null or exists (select 1 from choice c join intake i on i.id = c.intake_id join programme p on p.id = i.programme_id
        where c.application_id = s.application_id and p.code = any($6)))
      and ($7 = '' or exists (select 1 from file_search n where n.application_id = s.application_id and strpos(n.text, '&' || $7) > 0))
      and not exists (select 1 from check_later l where l.application_id = s.application_id and l.requirement = $2 and l.person_id = $3 and l.until > $4)
      and not exists (select 1 from check_claim k where k.application_id = s.application_id and k.requirement = $2 and k.person_id <> $3 and k.until > $4)
    order by s.order_at, s.number limit 1)
  insert into check_claim (application_id, requirement, person_id, until)
    select application_id, $2, $3, $4::timestamptz + interval '${HELD_MINUTES} minutes' from found
  on conflict (application_id, requirement) do update set person_id = excluded.person_id, until = excluded.until
    where check_claim.until <= $4 or check_claim.person_id = excluded.person_id
  returning application_id as id, (select number from application a where a.id = check_claim.application_id) as number`;

/** Gives the next file of a check run; two officers are never given the same. */
export const nextCheck = defineAct({
  name: "next-check",
  input: nextCheckInput,
  may: (ctx) => holds(ctx.actor, OFFICE),
  run: async (ctx, { requirement, institution, passed }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const scopes = ctx.actor.grants.filter((g) => OFFICE.includes(g.role)).map((g) => g.scope);
    const programmes = scopes.includes("*") ? null : scopes;
    for (let tries = 0; tries < TRIES; tries += 1) {
      const { rows } = await ctx.client.query<{ id: string; number: string }>(CLAIM, [
        checkTag(requirement),
        requirement,
        ctx.actor.id,
        ctx.now,
        passed,
        programmes,
        institution,
      ]);
      if (rows[0]) return done(rows[0]);
    }
    return done(null);
  },
});

/** Leaves a file for later: whoever does so is not given it again before the next day, whatever page they come back by. */
export const leaveForLater = defineAct({
  name: "leave-for-later",
  input: leaveForLaterInput,
  may: (ctx) => holds(ctx.actor, OFFICE),
  run: async (ctx, { applicationId, requirement }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const [known] = await ctx.db
      .select({ id: application.id })
      .from(application)
      .where(eq(application.id, applicationId));
    if (!known) return refuse("not-found");
    const { zone } = await ctx.office();
    const until = new Date(startOfDay(zone, dayAt(zone, ctx.now.getTime()) + 1));
    await ctx.db
      .insert(checkLater)
      .values({ applicationId, requirement, personId: ctx.actor.id, until })
      .onConflictDoUpdate({
        target: [checkLater.applicationId, checkLater.requirement, checkLater.personId],
        set: { until },
      });
    await ctx.db
      .delete(checkClaim)
      .where(
        and(
          eq(checkClaim.applicationId, applicationId),
          eq(checkClaim.requirement, requirement),
          eq(checkClaim.personId, ctx.actor.id),
        ),
      );
    return done(null);
  },
});

/** Takes up what one had left for later: it is given again. */
export const takeUpLater = defineAct({
  name: "take-up-later",
  input: leaveChecksInput,
  may: (ctx) => holds(ctx.actor, OFFICE),
  run: async (ctx, { requirement }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    await ctx.db
      .delete(checkLater)
      .where(and(eq(checkLater.personId, ctx.actor.id), eq(checkLater.requirement, requirement)));
    return done(null);
  },
});

/** Whoever leaves a run lets go of what was before them. */
export const leaveChecks = defineAct({
  name: "leave-checks",
  input: leaveChecksInput,
  may: (ctx) => holds(ctx.actor, OFFICE),
  run: async (ctx, { requirement }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    await ctx.db
      .delete(checkClaim)
      .where(and(eq(checkClaim.personId, ctx.actor.id), eq(checkClaim.requirement, requirement)));
    return done(null);
  },
});
