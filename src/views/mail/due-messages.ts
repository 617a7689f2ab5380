import type pg from "pg";

const MOST = 500;

/** Mails that are queued and due. For the system alone. */
export async function dueMessages(pool: pg.Pool, now: Date): Promise<readonly string[]> {
  const { rows } = await pool.query<{ id: string }>(
    "select id from message where state = 'queued' and due_at <= $1 order by due_at limit $2",
    [now, MOST],
  );
  return rows.map((r) => r.id);
}
