import type pg from "pg";

/** The files that claim a number of a list whose result is nobody's yet. */
export async function filesOfList(pool: pg.Pool, listId: string): Promise<readonly string[]> {
  const { rows } = await pool.query<{ id: string }>(
    `select distinct k.application_id as id from owner_result r join file_key k on k.key = 'test ' || r.test || ' ' || r.number_key
     where r.list_id = $1 and r.state = 'nobody'`,
    [listId],
  );
  return rows.map((r) => r.id);
}
