import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { passOverFiles, reassessFiles, tryFileAgain } from "../../src/acts/assessment/reassess";
import { draftReferenceSet, editReferenceSet, publishReferenceSet } from "../../src/acts/standards/reference-set";
import type { Actor } from "../../src/core/rights/actor";
import type { ReferenceSet } from "../../src/core/standards/reference-set";
import { loadCatalogue } from "../../src/demo/catalogue";
import { referenceSet } from "../../src/demo/reference-set";
import { IN_PLACE } from "../../src/formats/workshop/in-place";
import { runJob } from "../../src/jobs/handlers";
import { verifyAll } from "../../src/verify";
import { lookAt, submittedFile, type TestFile } from "../support/files";
import { DAY, makePerson, must, NO_REGISTRY, openWorld, type World } from "../support/world";

const SYSTEM: Actor = { kind: "system" };

/** Files that are looked at again together: only what changed is written. */
describe("assessing files again", () => {
  let world: World;
  let lead: Actor;
  let files: readonly TestFile[];

  beforeAll(async () => {
    world = await openWorld("reassess");
    const { roundId } = await loadCatalogue(world.runtime, "2026-11-25");
    lead = await makePerson(world, "Lead", ["lead officer", "standards keeper"]);
    files = [
      await submittedFile(world, roundId, "Firsta"),
      await submittedFile(world, roundId, "Secondb", { "education.scale": "percent40", "education.grade": "88" }),
    ];
  });
  afterAll(() => world.close());

  /** The rows of a file as the database holds them, with the transaction that wrote each. */
  const rows = async ({ applicationId }: TestFile) => {
    const { rows: found } = await world.runtime.pool.query<{
      choice: string;
      name: string;
      version: number;
      event: Date;
    }>(
      `select (select xmin::text from choice_standing where application_id = $1) as choice, (select xmin::text from file_search where application_id = $1) as name,
         s.office_version as version, s.last_event_at as event from file_standing s where s.application_id = $1`,
      [applicationId],
    );
    return found[0];
  };
  const jobs = () => ({
    runtime: world.runtime,
    mail: { send: async () => ({ result: "sent" as const }) },
    registry: NO_REGISTRY,
    workshop: IN_PLACE,
    baseUrl: "",
  });
  const again = () => must(world, reassessFiles, SYSTEM, { applicationIds: files.map((f) => f.applicationId) });
  const inForce = async (body: ReferenceSet) => {
    const { edit } = await must(world, draftReferenceSet, lead, {});
    const kept = await must(world, editReferenceSet, lead, { edit, body });
    await must(world, publishReferenceSet, lead, { edit: kept.edit, note: "test" });
  };
  const gradeOf = async ({ applicationId }: TestFile) => {
    const { rows: found } = await world.runtime.pool.query<{ finding: string }>(
      `select f->>'finding' as finding from choice_standing c, jsonb_array_elements(c.findings) f where c.application_id = $1 and f->>'key' = 'grade'`,
      [applicationId],
    );
    return found[0]?.finding;
  };

  it("writes nothing of a file that stands as it stood, but that it was looked at", async () => {
    const before = await Promise.all(files.map(rows));
    world.later(DAY / 24);
    expect(await again()).toEqual({ count: 2, changed: 0 });
    expect(await Promise.all(files.map(rows))).toEqual(before);
    expect((await verifyAll(world.runtime.pool)).differing).toEqual([]);
  });

  it("writes the file that new standards change, and notes the version for both", async () => {
    const before = await Promise.all(files.map(rows));
    expect(await Promise.all(files.map(gradeOf))).toEqual(["met", "met"]);
    await inForce({
      ...referenceSet,
      scales: referenceSet.scales.map((s) => (s.key === "to20" ? { ...s, pass: "12" } : s)),
    });
    expect(await again()).toEqual({ count: 2, changed: 1 });
    const after = await Promise.all(files.map(rows));
    expect(after.map((r) => r?.version)).toEqual([2, 2]);
    expect(after.map((r, i) => r?.choice === before[i]?.choice)).toEqual([false, true]);
    expect(after.map((r) => r?.event)).toEqual(before.map((r) => r?.event));
    expect(await Promise.all(files.map(gradeOf))).toEqual(["not met", "met"]);
    expect((await verifyAll(world.runtime.pool)).differing).toEqual([]);
  });

  it("settles what follows beyond the lists: an applicant group that moves makes a charge", async () => {
    const [first] = files;
    if (!first) throw new Error("no file");
    await world.runtime.pool.query("update application set group_since_submission = 'overseas' where id = $1", [
      first.applicationId,
    ]);
    expect(await again()).toEqual({ count: 2, changed: 1 });
    const { loaded } = await lookAt(world, first.applicationId);
    expect(loaded.facts.charges.map((c) => c.minor > 0)).toEqual([true]);
    expect((await verifyAll(world.runtime.pool)).differing).toEqual([]);
  });

  it("passes over the files that rest on nothing that changed, and notes the version for them", async () => {
    const passing = (marks: Readonly<Record<string, string>>): ReferenceSet => ({
      ...referenceSet,
      map: null,
      scales: referenceSet.scales.map((s) => ({ ...s, pass: marks[s.key] ?? s.pass })),
    });
    const before = await Promise.all(files.map(rows));
    await inForce(passing({ to20: "12", down6: "4.2" }));
    expect(await must(world, passOverFiles, SYSTEM, {})).toEqual({ passed: 2 });
    await inForce(passing({ to20: "11", down6: "4.2" }));
    expect(await must(world, passOverFiles, SYSTEM, {})).toEqual({ passed: 1 });
    const after = await Promise.all(files.map(rows));
    const added = after.map((r, i) => (r?.version ?? 0) - (before[i]?.version ?? 0));
    expect(added).toEqual([1, 2]);
    expect(after.map((r) => r?.choice)).toEqual(before.map((r) => r?.choice));
    expect((await verifyAll(world.runtime.pool)).differing).toEqual([]);
  });

  it("sets a file aside that cannot be assessed, goes on with the others, and looks at it again later", async () => {
    const [broken = "", well = ""] = files.map((f) => f.applicationId);
    const query = async (text: string, values: unknown[] = []) => (await world.runtime.pool.query(text, values)).rows;
    const run = () => runJob(jobs(), "reassess-aged", {});
    const trouble = () => query("select application_id as id, tries, error->>'name' as name from file_trouble");
    const aged = () =>
      query("select application_id as id from file_standing where valid_until <= $1", [world.runtime.now()]);
    const [own] = await query("select round_id as id from choice where application_id = $1", [broken]);
    // No act makes such a round: whatever makes the assessment of one file throw is a defect of ours.
    const [odd] = await query(
      `insert into round (intake_id, key, opens_at, closings, promise_days) select intake_id, 'odd', opens_at, '5', 1 from round where id = $1 returning id`,
      [own.id],
    );
    await query("update choice set round_id = $2 where application_id = $1", [broken, odd.id]);
    await query("update file_standing set valid_until = $1", [world.runtime.now()]);
    await run();
    expect(await trouble()).toEqual([{ id: broken, tries: 1, name: "TypeError" }]);
    expect(await aged()).toEqual([{ id: broken }]);
    await run();
    expect(await trouble()).toMatchObject([{ tries: 1 }]);
    world.later(5 * 60_000);
    await query("update file_standing set valid_until = $1 where application_id = $2", [world.runtime.now(), well]);
    await run();
    expect([await trouble(), await aged()]).toMatchObject([[{ tries: 2 }], [{ id: broken }]]);
    await query("update choice set round_id = $2 where application_id = $1", [broken, own.id]);
    await query("delete from round where id = $1", [odd.id]);
    await run();
    expect(await trouble()).toHaveLength(1);
    const administrator = await makePerson(world, "Administrator", ["administrator"]);
    await must(world, tryFileAgain, administrator, { applicationId: broken });
    await run();
    expect(await trouble()).toEqual([]);
    expect((await verifyAll(world.runtime.pool)).differing).toEqual([]);
  });

  it("looks at every file where passing over fails, and says what failed", async () => {
    await inForce({
      ...referenceSet,
      scales: referenceSet.scales.map((s) => ({ ...s, pass: s.key === "to20" ? "13" : s.pass })),
    });
    // A rulebook that nobody stands on and that cannot be read: passing over looks at all of them.
    const { rows: odd } = await world.runtime.pool.query(
      "insert into rulebook (intake_id, version, status, body) select intake_id, 100, 'superseded', '{}' from rulebook limit 1 returning id",
    );
    await expect(runJob(jobs(), "reassess-aged", {})).rejects.toThrow();
    await world.runtime.pool.query("delete from rulebook where id = $1", [odd[0].id]);
    const { rows: left } = await world.runtime.pool.query(
      "select 1 from file_standing where office_version < (select max(version) from office_reference)",
    );
    expect(left).toEqual([]);
  });

  it("goes on until every file was looked at by the version in force", async () => {
    await inForce(referenceSet);
    await runJob(jobs(), "reassess-aged", {});
    const { rows: left } = await world.runtime.pool.query("select 1 from file_standing where office_version < 5");
    expect(left).toEqual([]);
    expect(await Promise.all(files.map(gradeOf))).toEqual(["met", "met"]);
  });
});
