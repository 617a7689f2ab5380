import type pg from "pg";

/**
 * Holds a process to its place: it works as a user that owns nothing, in a database that was prepared for it.
 * @throws Error with a sentence that says what to set otherwise
 */
export async function requireAdmitted(pool: pg.Pool): Promise<void> {
  const { rows } = await pool.query<{ there: boolean; owns: boolean }>(
    `select to_regclass('public.event') is not null as there,
       exists (select 1 from pg_class c where c.oid = to_regclass('public.event') and pg_has_role(current_user, c.relowner, 'member')) as owns`,
  );
  if (!rows[0]?.there)
    throw new Error(
      "The database is empty. Set UNVEX_OWNER_URL to its address as its owner beside DATABASE_URL, and start again: the tables are made then.",
    );
  if (rows[0].owns)
    throw new Error(
      "DATABASE_URL is the owner of the tables, who could switch their guards off. Give the owner as UNVEX_OWNER_URL and another user in DATABASE_URL; Unvex makes that one.",
    );
}
