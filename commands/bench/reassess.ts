import type pg from "pg";
import type { Runtime } from "../../src/acts/act/act";
import { startApplication } from "../../src/acts/application/start-application";
import { draftReferenceSet, editReferenceSet, publishReferenceSet } from "../../src/acts/standards/reference-set";
import type { Actor } from "../../src/core/rights/actor";
import type { ReferenceSet } from "../../src/core/standards/reference-set";
import { act, fillForm } from "../../src/demo/applicant";
import { someone } from "../../src/demo/people";
import { referenceSet } from "../../src/demo/reference-set";
import { IN_PLACE } from "../../src/formats/workshop/in-place";
import { runJob } from "../../src/jobs/handlers";
import { verifyAll } from "../../src/verify";
import { byHand, plainFiles } from "./fifteen-rules";
import { bare, manyFiles } from "./files";
import { report, time } from "./measure";

const FILES = Number(process.env.UNVEX_BENCH_FILES ?? 10_000);
const ONE_IN = 20;
const SYSTEM: Actor = { kind: "system" };

/**
 * What is asked for is meant where the hand-written rules assess 375,000 files a second: 100,000 files assessed again in 60 s, database and
 * all, 100,000 that a change cannot touch passed over in 2 s. Machines differ, so a file may take as many times its hand-written
 * assessment as there.
 */
const timesByHand = (seconds: number): number => Math.round((seconds / 100_000) * 375_000 * 10) / 10;

/** Milliseconds for one file by the hand-written rules, on this machine and now. */
async function handWritten(): Promise<number> {
  let kept = 0;
  const turn = () => {
    for (let i = 0; i < 300; i += 1) for (const file of plainFiles) kept += byHand(file) ? 1 : 0;
  };
  const ms = await time(15, turn);
  if (kept === 0) throw new Error("nothing was assessed");
  return ms / (300 * plainFiles.length);
}

/** On the 20 scale 11 passes instead of 10: a grade of 14.8 is no longer enough. */
const STRICTER = {
  ...referenceSet,
  scales: referenceSet.scales.map((s) => (s.key === "to20" ? { ...s, pass: "11" } : s)),
};
/** The same, and something that could touch any file. */
const STRICTER_FOR_ALL = { ...STRICTER, graceMinutes: referenceSet.graceMinutes + 1 };
const AS_BEFORE = { ...STRICTER_FOR_ALL, scales: referenceSet.scales };
/** A scale changes that no file names. */
const UNUSED = {
  ...AS_BEFORE,
  scales: AS_BEFORE.scales.map((s) => (s.key === "to10" ? { ...s, pass: "6" } : s)),
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
    `update answer a set value = case when a.field = 'scale' then '"percent40"' else '"80"' end::jsonb
     from bench_copy b where a.application_id = b.application_id and b.n % $1 <> 0
       and (a.value = '"to20"' or (a.section = 'education' and a.field = 'grade'))`,
    [ONE_IN],
  );
  await pool.query(
    `update answer set value = '"14.8"' where section = 'education' and field = 'grade'
       and application_id in (select application_id from bench_copy where n % $1 = 0)`,
    [ONE_IN],
  );
  const silent = { send: () => Promise.resolve({ result: "sent" as const }) };
  const ctx = {
    runtime,
    mail: silent,
    registry: { lookUp: async () => ({ found: false }) as const },
    workshop: IN_PLACE,
    baseUrl: "",
  };
  process.stdout.write("\u00b7 assessing them for the first time\n");
  await pool.query(
    `insert into file_standing (application_id, number, stage, turn, reason, owes, rests_on, order_at, comb, programmes, last_event_at, assessed_at, office_version)
     select id, number, 'preparing', 'nobody', 'preparing', '{}', '{}', now(), '', '', now(), now(), 0 from application on conflict do nothing`,
  );
  await runJob(ctx, "reassess-aged", {});
  const notMet = async () => {
    const { rows } = await pool.query<{ n: number }>(
      "select count(*)::int as n from choice_standing where findings @> $1::jsonb",
      [JSON.stringify([{ key: "grade", finding: "not met" }])],
    );
    return rows[0]?.n ?? 0;
  };
  /** Puts standards in force and waits until every file stands by them; in milliseconds, and in those of this process alone. */
  const inForce = async (body: ReferenceSet) => {
    const { edit } = await act(runtime, draftReferenceSet, SYSTEM, {});
    const kept = await act(runtime, editReferenceSet, SYSTEM, { edit, body });
    await act(runtime, publishReferenceSet, SYSTEM, { edit: kept.edit, note: "bench" });
    const before = await notMet();
    const [asked, used] = [performance.now(), process.cpuUsage()];
    await runJob(ctx, "reassess-aged", {});
    const { user, system } = process.cpuUsage(used);
    const ms = performance.now() - asked;
    const { rows } = await pool.query(
      "select 1 from file_standing where office_version < (select max(version) from office_reference) limit 1",
    );
    if (rows.length > 0) throw new Error("files were left by older standards");
    return { ms, cpu: (user + system) / 1000, changed: Math.abs((await notMet()) - before) };
  };
  await bare(pool, Date.now());
  const began = performance.now();
  await bare(pool, Date.now());
  const floor = performance.now() - began;
  const expected = Math.floor(FILES / ONE_IN) - 1;
  const seconds = (ms: number) => `${(ms / 1000).toFixed(1)} s`;
  const all = await inForce(STRICTER_FOR_ALL);
  report(
    `${FILES.toLocaleString("en")} files assessed again (${all.changed.toLocaleString("en")} change)`,
    `${seconds(all.ms)} (bare ${seconds(floor)})`,
    all.ms / floor,
    "at most 2",
    all.ms <= floor * 2 && all.changed >= expected,
  );
  const few = await inForce(AS_BEFORE);
  const none = await inForce(UNUSED);
  const hand = await handWritten();
  const beside = (what: string, { ms, cpu, changed }: typeof few, most: number) => {
    const times = ms / FILES / hand;
    report(
      `${what} (${changed.toLocaleString("en")} change)`,
      `${seconds(ms)}, of it CPU here ${seconds(cpu)}`,
      times,
      `at most ${most} (a file, beside by hand)`,
      times <= most,
    );
  };
  beside("every file may be touched", all, timesByHand(60));
  beside(`a scale of one file in ${ONE_IN} changes`, few, timesByHand(60 / ONE_IN + 2));
  beside("a scale that no file names changes", none, timesByHand(2));
  const { files, differing } = await verifyAll(pool);
  report(
    "verified afterwards",
    `${files.toLocaleString("en")} files`,
    differing.length,
    "0 rows differ",
    differing.length === 0,
  );
}
