import type pg from "pg";
import type { Runtime } from "../../src/acts/act/act";
import { startApplication } from "../../src/acts/application/start-application";
import { askPreview } from "../../src/acts/rulebook/previews";
import { draftRulebook, editRulebook } from "../../src/acts/rulebook/rulebooks";
import type { Actor } from "../../src/core/rights/actor";
import { act, fillForm } from "../../src/demo/applicant";
import { someone } from "../../src/demo/people";
import { mes } from "../../src/demo/rulebooks/mes";
import { IN_PLACE } from "../../src/formats/workshop/in-place";
import { runJob } from "../../src/jobs/handlers";
import { bare, manyFiles } from "./files";
import { report } from "./measure";

const FILES = 10_000;
const SYSTEM: Actor = { kind: "system" };

/** What a stricter rulebook would change for 10,000 submitted files, as the job works it out, beside the bare assessment of the same files. */
export async function benchPreview(pool: pg.Pool, runtime: Runtime, roundId: string): Promise<void> {
  const { rows: people } = await pool.query<{ id: string }>(
    "insert into person (name, email, created_at) values ('Preview', 'preview@people.example', now()) returning id",
  );
  const applicant: Actor = { kind: "person", id: people[0]?.id ?? "", name: "Preview", grants: [] };
  const { applicationId } = await act(runtime, startApplication, applicant, { roundId });
  await fillForm(runtime, applicant, applicationId, someone("Pre", "View"));
  await manyFiles(pool, applicationId, FILES);
  const { rows } = await pool.query<{ intake: string; id: string }>(
    `select r.intake_id as intake, b.id from round r join rulebook b on b.intake_id = r.intake_id and b.status = 'published' where r.id = $1`,
    [roundId],
  );
  const [start] = rows;
  if (!start) throw new Error("the start has no rulebook");
  const { rulebookId } = await act(runtime, draftRulebook, SYSTEM, { intakeId: start.intake, from: start.id });
  const stricter = mes.entryRules.map((r) =>
    r.key === "grade" ? { ...r, rule: { op: "fact", fact: "measure.grade", is: "atMost" as const, value: "1.5" } } : r,
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
    {
      runtime,
      mail: silent,
      registry: { lookUp: async () => ({ found: false }) },
      workshop: IN_PLACE,
      baseUrl: "http://127.0.0.1",
    },
    "preview",
    { previewId },
  );
  const preview = performance.now() - asked;
  const { rows: made } = await pool.query<{ done: number; effects: number }>(
    "select done, (select count(*)::int from preview_effect e where e.preview_id = v.id) as effects from preview v where v.id = $1",
    [previewId],
  );
  report(
    `a preview over ${FILES.toLocaleString("en")} files (${made[0]?.effects} change)`,
    `${(preview / 1000).toFixed(1)} s (bare ${(floor / 1000).toFixed(1)} s)`,
    preview / floor,
    "at most 2",
    // With the one that the others were made from.
    preview <= floor * 2 && made[0]?.done === FILES + 1,
  );
}
