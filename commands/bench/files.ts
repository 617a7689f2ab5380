import type pg from "pg";
import { assess } from "../../src/core/assessment/assess";
import { database } from "../../src/db/connection";
import { loadFiles } from "../../src/db/queries/load-file";
import { currentOffice } from "../../src/db/queries/office";

const BATCH = 200;

/** Copies a filled file until there are as many as asked, all of them submitted; the next subject finds them there. */
export async function manyFiles(pool: pg.Pool, applicationId: string, count: number): Promise<void> {
  const { rows: made } = await pool.query("select 1 from pg_tables where tablename = 'bench_copy'");
  if (made.length > 0) return;
  process.stdout.write(`· making ${count.toLocaleString("en")} submitted files\n`);
  await pool.query("update choice set submitted_at = now() where application_id = $1", [applicationId]);
  await pool.query(
    `create table bench_copy as select gen_random_uuid() as application_id, gen_random_uuid() as choice_id, gen_random_uuid() as person_id, n
     from generate_series(2, $1) n`,
    [count],
  );
  await pool.query(
    "insert into person (id, name, email, created_at) select person_id, 'P' || n, 'copy' || n || '@bench.example', now() from bench_copy",
  );
  await pool.query(
    `insert into application (id, number, person_id, cycle_id, procedure_id, created_at, group_since_submission)
     select b.application_id, '98-' || lpad(b.n::text, 6, '0'), b.person_id, a.cycle_id, a.procedure_id, now(), 'overseas'
     from bench_copy b, application a where a.id = $1`,
    [applicationId],
  );
  await pool.query(
    `insert into choice (id, application_id, intake_id, round_id, rulebook_id, rank, campus, language, mode, added_at, submitted_at)
     select b.choice_id, b.application_id, c.intake_id, c.round_id, c.rulebook_id, 1, c.campus, c.language, c.mode, now(), now()
     from bench_copy b, choice c where c.application_id = $1`,
    [applicationId],
  );
  await pool.query(
    `insert into answer (application_id, scope, section, entry, field, value, version, position, saved_at)
     select b.application_id, w.scope, w.section, w.entry, w.field, w.value, 1, w.position, now()
     from bench_copy b, answer w where w.application_id = $1`,
    [applicationId],
  );
  await pool.query("analyze");
}

/** Every file as it stands, and nothing else: the floor. */
export async function bare(pool: pg.Pool, at: number): Promise<number> {
  const { rows } = await pool.query<{ id: string }>("select distinct application_id as id from choice order by 1");
  const office = await currentOffice(database(pool));
  let kept = 0;
  for (let from = 0; from < rows.length; from += BATCH) {
    const ids = rows.slice(from, from + BATCH).map((r) => r.id);
    for (const file of await loadFiles(pool, ids)) kept += assess({ ...file, office, at }).choices.length;
  }
  return kept;
}
