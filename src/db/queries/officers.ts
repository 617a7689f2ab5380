import type pg from "pg";
import type { PlainDate } from "../../core/ids";
import { OFFICE } from "../../core/rights/actor";
import type { Officer } from "../../core/turns/assigning";

/** Everybody who may work on files, by id, in the order of their names. */
export async function officersThere(
  client: Pick<pg.Pool, "query"> | Pick<pg.PoolClient, "query">,
  now: Date,
  today: PlainDate,
): Promise<ReadonlyMap<string, Officer>> {
  const { rows } = await client.query<Officer>(
    `select p.id, p.name, (select json_agg(json_build_object('role', g.role, 'scope', g.scope)) from role_grant g
       where g.person_id = p.id and g.role = any($1) and (g.until is null or g.until > $2)) as grants,
      (select count(*)::int from file_standing s where s.officer_id = p.id and s.stage not in ('preparing', 'closed')) as "inHand",
      (select a.cover_id from absence a where a.person_id = p.id and $3::date between a.from_on and a.until_on) as "coverId"
     from person p where exists (select 1 from role_grant g where g.person_id = p.id and g.role = any($1) and (g.until is null or g.until > $2))
     order by p.name, p.id`,
    [OFFICE, now, today],
  );
  return new Map(rows.map((officer) => [officer.id, officer]));
}
