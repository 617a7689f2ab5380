import type pg from "pg";

/**
 * Files whose stored result was valid only until an instant that has passed, the oldest first, then those that were assessed by an older
 * reference set. For the system alone.
 */
export async function agedFiles(pool: pg.Pool, now: Date, most: number): Promise<readonly string[]> {
  const { rows } = await pool.query<{ id: string }>(
    `(select application_id as id from file_standing where valid_until <= $1 order by valid_until limit $2)
     union (select application_id from file_standing where office_version < (select coalesce(max(version), 0) from office_reference)
            order by office_version limit $2) limit $2`,
    [now, most],
  );
  return rows.map((r) => r.id);
}
