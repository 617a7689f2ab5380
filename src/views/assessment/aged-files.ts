import type pg from "pg";

/**
 * Files whose stored result was valid only until an instant that has passed, the oldest first, then those that were assessed by an older
 * reference set, and those that could not be assessed and whose next try is due. Files that are set aside wait for theirs. For the
 * system alone.
 */
export async function agedFiles(pool: pg.Pool, now: Date, most: number): Promise<readonly string[]> {
  const { rows } = await pool.query<{ id: string }>(
    `with waiting as (select application_id from file_trouble where next_try_at > $1)
     (select application_id as id from file_standing where valid_until <= $1 and application_id not in (select * from waiting)
        order by valid_until limit $2)
     union (select application_id from file_standing where office_version < (select coalesce(max(version), 0) from office_reference)
        and application_id not in (select * from waiting) order by office_version limit $2)
     union (select application_id from file_trouble where next_try_at <= $1 limit $2) limit $2`,
    [now, most],
  );
  return rows.map((r) => r.id);
}
