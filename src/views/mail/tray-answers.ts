import type pg from "pg";

const AT_ONCE = 50;

/** What was written in the mail stand-in and the office has not fetched. It is an outside service's own store: for the system alone. */
export async function trayAnswers(pool: pg.Pool): Promise<readonly { readonly id: string; readonly raw: Buffer }[]> {
  const { rows } = await pool.query<{ id: string; raw: Buffer }>(
    "select id, raw from tray_answer where fetched_at is null order by at limit $1",
    [AT_ONCE],
  );
  return rows;
}
