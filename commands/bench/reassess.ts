import type pg from "pg";
import type { Runtime } from "../../src/acts/act";
import { draftReferenceSet, editReferenceSet, publishReferenceSet } from "../../src/acts/reference-set";
import { startApplication } from "../../src/acts/start-application";
import type { Actor } from "../../src/core/rights/actor";
import { act, fillForm } from "../../src/demo/applicant";
import { someone } from "../../src/demo/people";
import { referenceSet } from "../../src/demo/reference-set";
import { runJob } from "../../src/jobs/handlers";
import { bare, manyFiles } from "./files";
import { report } from "./measure";

const FILES = Number(process.env.UNVEX_BENCH_FILES ?? 10_000);
const ONE_IN = 20;
const SYSTEM: Actor = { kind: "system" };

/** On the 20 scale 11 passes instead of 10: a grade of 14.8 is no longer enough, one of 15.5 is. */
const STRICTER = {
  ...referenceSet,
  scales: referenceSet.scales.map((s) => (s.key === "to20" ? { ...s, pass: "11" } : s)),
};

/** Files that are looked at again because the standards changed, end to end, beside reading and assessing the same files and nothing else. */
export async function benchReassess(pool: pg.Pool, runtime: Runtime, roundId: string): Promise<void> {
  const { rows: people } = await pool.query<{ id: string }>(
    "insert into person (name, email, created_at) values ('Again', 'again@people.example', now()) returning id",
  );
  const applicant: Actor = { kind: "person", id: people[0]?.id ?? "", name: "Again", grants: [] };
  const { applicationId } = await act(runtime, startApplication, applicant, { roundId });
  await fillForm(runtime, applicant, applicationId, someone("A", "Gain"));
  await manyFiles(pool, applicationId, FILES);
  await pool.query(
    `update answer set value = '"14.8"' where section = 'education' and field = 'grade'
       and application_id in (select application_id from bench_copy where n % $1 = 0)`,
    [ONE_IN],
  );
  const silent = { send: () => Promise.resolve({ result: "sent" as const }) };
  const ctx = { runtime, mail: silent, registry: { lookUp: async () => ({ found: false }) as const }, baseUrl: "" };
  process.stdout.write("\u00b7 assessing them for the first time\n");
  await pool.query(
    `insert into file_standing (application_id, number, stage, turn, reason, order_at, comb, programmes, last_event_at, assessed_at, office_version)
     select id, number, '', '', '', now(), '', '', now(), now(), 0 from application on conflict do nothing`,
  );
  await runJob(ctx, "reassess-aged", {});
  const { edit } = await act(runtime, draftReferenceSet, SYSTEM, {});
  const kept = await act(runtime, editReferenceSet, SYSTEM, { edit, body: STRICTER });
  await act(runtime, publishReferenceSet, SYSTEM, { edit: kept.edit, note: "bench" });
  await bare(pool, Date.now());
  const began = performance.now();
  await bare(pool, Date.now());
  const floor = performance.now() - began;
  const before = await pool.query<{ n: number }>(
    "select count(*)::int as n from choice_standing where findings @> $1::jsonb",
    [JSON.stringify([{ key: "grade", finding: "not met" }])],
  );
  const asked = performance.now();
  await runJob(ctx, "reassess-aged", {});
  const again = performance.now() - asked;
  const after = await pool.query<{ n: number; left: number }>(
    `select count(*)::int as n, (select count(*)::int from file_standing where office_version < (select max(version) from office_reference)) as left
     from choice_standing where findings @> $1::jsonb`,
    [JSON.stringify([{ key: "grade", finding: "not met" }])],
  );
  const changed = (after.rows[0]?.n ?? 0) - (before.rows[0]?.n ?? 0);
  report(
    `${FILES.toLocaleString("en")} files assessed again (${changed.toLocaleString("en")} change)`,
    `${(again / 1000).toFixed(1)} s (bare ${(floor / 1000).toFixed(1)} s)`,
    again / floor,
    "at most 2",
    again <= floor * 2 && after.rows[0]?.left === 0 && changed >= Math.floor(FILES / ONE_IN) - 1,
  );
}
