import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { askReferencePreview } from "../../src/acts/rulebook/previews";
import {
  draftReferenceSet,
  dropReferenceDraft,
  editReferenceSet,
  publishReferenceSet,
} from "../../src/acts/standards/reference-set";
import type { Actor } from "../../src/core/rights/actor";
import type { ReferenceSet } from "../../src/core/standards/reference-set";
import { loadCatalogue } from "../../src/demo/catalogue";
import { referenceSet } from "../../src/demo/reference-set";
import { IN_PLACE } from "../../src/formats/workshop/in-place";
import { runJob } from "../../src/jobs/handlers";
import { verifyAll } from "../../src/verify";
import { standards } from "../../src/views/standards/standards";
import { readView } from "../../src/views/view/view";
import { filledFile, lookAt, submittedFile, type TestFile } from "../support/files";
import { makePerson, must, NO_REGISTRY, openWorld, reasonOf, type World } from "../support/world";

/** On the 20 scale 12 passes instead of 10, so 15 is worth 2.8 and no longer 2.5. */
const STRICTER: ReferenceSet = {
  ...referenceSet,
  scales: referenceSet.scales.map((s) => (s.key === "to20" ? { ...s, pass: "12" } : s)),
};

/** What the office goes by: drafted, previewed and put in force, with files that were assessed by the version before. */
describe("the office's standards", () => {
  let world: World;
  let officer: Actor;
  let lead: Actor;
  let second: Actor;
  let draft: { applicationId: string };
  let sent: TestFile;

  beforeAll(async () => {
    world = await openWorld("standards");
    const { roundId } = await loadCatalogue(world.runtime, "2026-11-25");
    [officer, lead, second] = await Promise.all([
      makePerson(world, "Officer", ["officer"]),
      makePerson(world, "Lead", ["lead officer", "standards keeper"]),
      makePerson(world, "Second Lead", ["lead officer", "standards keeper"]),
    ]);
    draft = await filledFile(world, roundId);
    sent = await submittedFile(world, roundId, "Sender");
  });
  afterAll(() => world.close());

  const job = async (name: "preview" | "reassess-aged", payload: unknown) =>
    runJob(
      {
        runtime: world.runtime,
        mail: { send: async () => ({ result: "sent" as const }) },
        registry: NO_REGISTRY,
        workshop: IN_PLACE,
        baseUrl: "",
      },
      name,
      payload,
    );
  const page = async () => {
    const seen = await readView(world.runtime, standards, lead, {});
    if (!seen) throw new Error("the lead officer does not see the standards");
    return seen;
  };
  const gradeOf = async (applicationId: string) =>
    (await lookAt(world, applicationId)).result.choices[0]?.findings.find((f) => f.key === "grade")?.finding;

  it("are read by officers and written by a lead officer, one draft at a time", async () => {
    expect(await reasonOf(runAct(world.runtime, draftReferenceSet, officer, {}))).toBe("not-yours");
    expect(await must(world, draftReferenceSet, lead, {})).toEqual({ edit: 1 });
    expect(await reasonOf(runAct(world.runtime, draftReferenceSet, second, {}))).toBe("already-done");
    const seen = await readView(world.runtime, standards, officer, {});
    expect(seen).toMatchObject({ version: 1, inForce: 1, mayWrite: false, differences: [] });
    expect(seen?.draft).toMatchObject({ base: 1, by: "Lead", problems: [], preview: null });
    expect(seen?.facts.map((f) => f.name)).toEqual(
      expect.arrayContaining(["citizenship.citizenships", "citizenship.residence", "person.birthDate", "start"]),
    );
    expect(seen?.facts.map((f) => f.name)).not.toContain("group");
  });

  it("tell the second of two writers, and keep a draft whose texts are not whole", async () => {
    const unfinished = { ...STRICTER, areas: [...STRICTER.areas, { key: "law", title: { en: "Law", fr: "" } }] };
    expect(await must(world, editReferenceSet, lead, { edit: 1, body: unfinished })).toEqual({ edit: 2 });
    expect(await reasonOf(runAct(world.runtime, editReferenceSet, second, { edit: 1, body: referenceSet }))).toBe(
      "changed-meanwhile",
    );
    expect((await page()).draft?.problems).toEqual([{ code: "missing-text", area: "areas", about: "law: French" }]);
    expect(await reasonOf(runAct(world.runtime, askReferencePreview, lead, {}))).toBe("invalid-input");
    expect(await reasonOf(runAct(world.runtime, publishReferenceSet, lead, { edit: 2, note: "law" }))).toBe(
      "invalid-input",
    );
  });

  it("let nothing go that a rulebook, a programme or a round names", async () => {
    const gone = {
      ...STRICTER,
      campuses: STRICTER.campuses.slice(1),
      tests: STRICTER.tests.slice(1),
      groups: STRICTER.groups.slice(1),
      areas: STRICTER.areas.filter((a) => a.key !== "natural"),
    };
    await must(world, editReferenceSet, lead, { edit: 2, body: gone });
    expect((await page()).draft?.problems.map((p) => `${p.code} ${p.area} ${p.about}`).sort()).toEqual([
      "still-used areas natural",
      "still-used campuses merrow",
      "still-used groups home",
      "still-used tests het",
    ]);
  });

  it("let nothing go that the options of a form name, nor what people alone have picked", async () => {
    const picked = {
      ...STRICTER,
      scales: STRICTER.scales.filter((s) => s.key !== "to10"),
      graduates: STRICTER.graduates.filter((g) => g.key === "merrow"),
    };
    // Nobody's answer names Skarvøy, and one file rests on Halden.
    const { pool } = world.runtime;
    const rests = "select application_id as id, rests_on as on from file_standing where application_id = $1";
    const { rows } = await pool.query<{ id: string; on: string[] }>(rests, [sent.applicationId]);
    const rest = "update file_standing set rests_on = $2 where application_id = $1";
    await pool.query(rest, [sent.applicationId, [...(rows[0]?.on ?? []), "graduates halden"]]);
    await must(world, editReferenceSet, lead, { edit: 3, body: picked });
    expect((await page()).draft?.problems.map((p) => `${p.code} ${p.area} ${p.about}`).sort()).toEqual([
      "still-used graduates halden",
      "still-used scales to10",
    ]);
    expect(await reasonOf(runAct(world.runtime, publishReferenceSet, lead, { edit: 4, note: "Without" }))).toBe(
      "invalid-input",
    );
    await pool.query(rest, [sent.applicationId, rows[0]?.on]);
  });

  it("show before they count what they would change for whom", async () => {
    await must(world, editReferenceSet, lead, { edit: 4, body: STRICTER });
    const { previewId } = await must(world, askReferencePreview, lead, {});
    await job("preview", { previewId });
    const seen = await page();
    expect(seen.differences.map((d) => `${d.change} ${d.area} ${d.key}`)).toEqual(["changed grade scale to20"]);
    expect(seen.draft?.preview).toMatchObject({ total: 2, done: 2, finished: true, stale: false });
    expect(seen.draft?.preview?.effects.map((e) => [e.submitted, e.eligibility, e.findings, e.group])).toEqual(
      expect.arrayContaining([
        [
          true,
          { before: "eligible", after: "not eligible" },
          [{ key: "grade", before: "met", after: "not met" }],
          null,
        ],
        [
          false,
          { before: "eligible", after: "not eligible" },
          [{ key: "grade", before: "met", after: "not met" }],
          null,
        ],
      ]),
    );
    expect(await gradeOf(sent.applicationId)).toBe("met");
  });

  it("come into force once, also when two put them in force at once, and every file is worked out anew", async () => {
    const outcomes = await Promise.all(
      [lead, second].map((who) =>
        reasonOf(runAct(world.runtime, publishReferenceSet, who, { edit: 5, note: "12 passes" })),
      ),
    );
    expect(outcomes.sort()).toEqual(["already-done", "ok"]);
    expect(await page()).toMatchObject({ version: 2, inForce: 2, note: "12 passes", draft: null, outOfDate: 2 });
    await job("reassess-aged", {});
    expect((await page()).outOfDate).toBe(0);
    expect(await gradeOf(sent.applicationId)).toBe("not met");
    expect(await gradeOf(draft.applicationId)).toBe("not met");
    const { rows } = await world.runtime.pool.query<{ eligibility: string }>("select eligibility from choice_standing");
    expect(rows.map((r) => r.eligibility)).toEqual(["not eligible", "not eligible"]);
    expect((await readView(world.runtime, standards, officer, { version: 1 }))?.differences).toEqual([]);
    expect((await verifyAll(world.runtime.pool)).differing).toEqual([]);
  });

  it("refuse a draft that was begun before the version in force", async () => {
    await must(world, draftReferenceSet, lead, {});
    await world.runtime.pool.query("update reference_draft set base = 1");
    expect(await reasonOf(runAct(world.runtime, publishReferenceSet, lead, { edit: 1, note: "late" }))).toBe(
      "changed-meanwhile",
    );
    await must(world, dropReferenceDraft, lead, {});
    expect(await reasonOf(runAct(world.runtime, publishReferenceSet, lead, { edit: 1, note: "gone" }))).toBe(
      "already-done",
    );
    expect(await reasonOf(runAct(world.runtime, dropReferenceDraft, lead, {}))).toBe("not-found");
  });
});
