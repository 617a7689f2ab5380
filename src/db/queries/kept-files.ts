import type pg from "pg";
import type { KeptFile } from "../../core/people/erasure";

/** The files of a person, as far as they decide what may be erased. */
export async function keptFiles(
  client: pg.Pool | pg.PoolClient,
  personId: string,
): Promise<readonly (KeptFile & { readonly id: string })[]> {
  const { rows } = await client.query<Omit<KeptFile, "lastEventAt"> & { id: string; lastEventAt: Date }>(
    `select a.id, a.number, s.stage, s.last_event_at as "lastEventAt",
       exists (select 1 from submission u where u.application_id = a.id) as "wasSubmitted",
       exists (select 1 from charge c join payment p on p.charge_id = c.id where c.application_id = a.id and p.state = 'booked') as "wasPaid",
       not exists (select 1 from answer w where w.application_id = a.id) and not exists (select 1 from upload u where u.application_id = a.id)
         and exists (select 1 from event e where e.application_id = a.id and e.act in ('erase-draft', 'erase-file')) as "isErased"
     from application a join file_standing s on s.application_id = a.id where a.person_id = $1 order by a.number`,
    [personId],
  );
  return rows.map((row) => ({ ...row, lastEventAt: row.lastEventAt.getTime() }));
}
