import type pg from "pg";
import type { Runtime } from "../../src/acts/act";
import { askPreview } from "../../src/acts/previews";
import { draftRulebook, editRulebook } from "../../src/acts/rulebooks";
import { startApplication } from "../../src/acts/start-application";
import { assess } from "../../src/core/assessment/assess";
import type { Actor } from "../../src/core/rights/actor";
import { database } from "../../src/db/connection";
import { loadFiles } from "../../src/db/load-file";
import { currentOffice } from "../../src/db/office";
import { act, fillForm } from "../../src/demo/applicant";
import { someone } from "../../src/demo/people";
import { mes } from "../../src/demo/rulebooks/mes";
import { runJob } from "../../src/jobs/handlers";
import { report } from "./measure";

const FILES = 10_000;
const BATCH = 200;
const SYSTEM: Actor = { kind: "system" };

/** Copies a filled file until there are as many as asked, all of them submitted. */
async function manyFiles(pool: pg.Pool, applicationId: string): Promise<void> {
  process.stdout.write(`· making ${FILES.toLocaleString("en")} submitted files\n`);
  await pool.query("update choice set submitted_at = now() where application_id = $1", [applicationId]);
  await pool.query(
    `create table bench_copy as select gen_random_uuid() as application_id, gen_random_uuid() as choice_id, gen_random_uuid() as person_id, n
     from generate_series(2, $1) n`,
    [FILES],
  );
  await pool.query(
    "insert into person (id, name, email, created_at) select person_id, 'P' || n, 'copy' || n || '@bench.example', now() from bench_copy",
  );
  await pool.query(
    `insert into application (id, number, person_id, cycle_id, procedure_id, created_at, group_at_submission)
     select b.application_id, '98-' || lpad(b.n::text, 5, '0'), b.person_id, a.cycle_id, a.procedure_id, now(), 'overseas'
     from bench_copy b, application a where a.id = $1`,
    [applicationId],
  );
  await pool.query(
    `insert into choice (id, application_id, intake_id, round_id, rulebook_id, rank, campus, mode, added_at, submitted_at)
     select b.choice_id, b.application_id, c.intake_id, c.round_id, c.rulebook_id, 1, c.campus, c.mode, now(), now()
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
async function bare(pool: pg.Pool, at: number): Promise<number> {
  const { rows } = await pool.query<{ id: string }>("select distinct application_id as id from choice order by 1");
  const office = await currentOffice(database(pool));
  let kept = 0;
  for (let from = 0; from < rows.length; from += BATCH) {
    const ids = rows.slice(from, from + BATCH).map((r) => r.id);
    for (const file of await loadFiles(pool, ids)) kept += assess({ ...file, office, at }).choices.length;
  }
  return kept;
}

/** What a stricter rulebook would change for 10,000 submitted files, as the job works it out, beside the bare assessment of the same files. */
export async function benchPreview(pool: pg.Pool, runtime: Runtime, roundId: string): Promise<void> {
  const { rows: people } = await pool.query<{ id: string }>(
    "insert into person (name, email, created_at) values ('Preview', 'preview@people.example', now()) returning id",
  );
  const applicant: Actor = { kind: "person", id: people[0]?.id ?? "", name: "Preview", grants: [] };
  const { applicationId } = await act(runtime, startApplication, applicant, { roundId });
  await fillForm(runtime, applicant, applicationId, someone("Pre", "View"));
  await manyFiles(pool, applicationId);
  const { rows } = await pool.query<{ intake: string; id: string }>(
    `select r.intake_id as intake, b.id from round r join rulebook b on b.intake_id = r.intake_id and b.status = 'published' where r.id = $1`,
    [roundId],
  );
  const [start] = rows;
  if (!start) throw new Error("the start has no rulebook");
  const { rulebookId } = await act(runtime, draftRulebook, SYSTEM, { intakeId: start.intake, from: start.id });
  const stricter = mes.entryRules.map((r) =>
    r.key === "grade" ? { ...r, rule: { fact: "measure.grade", is: "atMost" as const, value: "1.5" } } : r,
  );
  await act(runtime, editRulebook, SYSTEM, { rulebookId, edit: 1, body: { ...mes, entryRules: stricter } });
  await bare(pool, Date.now());
  const began = performance.now();
  await bare(pool, Date.now());
  const floor = performance.now() - began;
  const { previewId } = await act(runtime, askPreview, SYSTEM, { rulebookId });
  const asked = performance.now();
  const silent = { send: () => Promise.resolve({ result: "sent" as const }) };
  await runJob(
    { runtime, mail: silent, registry: { lookUp: async () => ({ found: false }) }, baseUrl: "http://127.0.0.1" },
    "preview",
    { previewId },
  );
  const preview = performance.now() - asked;
  const { rows: made } = await pool.query<{ done: number; effects: number }>(
    "select done, jsonb_array_length(effects) as effects from preview where id = $1",
    [previewId],
  );
  report(
    `a preview over ${FILES.toLocaleString("en")} files (${made[0]?.effects} change)`,
    `${(preview / 1000).toFixed(1)} s (bare ${(floor / 1000).toFixed(1)} s)`,
    preview / floor,
    "at most 2",
    preview <= floor * 2 && made[0]?.done === FILES,
  );
}
