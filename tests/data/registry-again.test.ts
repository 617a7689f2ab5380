import { randomUUID } from "node:crypto";
import { afterAll, beforeAll, beforeEach, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { startApplication } from "../../src/acts/application/start-application";
import { confirmValues } from "../../src/acts/evidence/confirm-values";
import {
  askRegistry,
  keepRegistryRecord,
  leaveRegistryResults,
  setRegistryMode,
  takeRegistryResults,
} from "../../src/acts/results/registry";
import { askRegistriesAgain } from "../../src/acts/results/registry-again";
import type { Actor } from "../../src/core/rights/actor";
import { type LoadedCatalogue, loadCatalogue } from "../../src/demo/catalogue";
import { fillAny } from "../../src/demo/filling";
import { someone } from "../../src/demo/people";
import { IN_PLACE } from "../../src/formats/workshop/in-place";
import { runJob } from "../../src/jobs/handlers";
import { simulatedRegistry } from "../../src/outside/registry";
import { file as fileView } from "../../src/views/assessment/file";
import { registryStore } from "../../src/views/results/registry-store";
import { readView } from "../../src/views/view/view";
import { anybody, lookAt } from "../support/files";
import { DAY, makePerson, must, openWorld, reasonOf, SYSTEM, type World } from "../support/world";

/** Registries that publish late, and correct what they published. */
describe("a registry of examinations that is asked again by itself", () => {
  let world: World;
  let officer: Actor;
  let catalogue: LoadedCatalogue;
  let file = { applicationId: "", number: "" };
  let candidate = "";
  let sitting = "";

  beforeAll(async () => {
    world = await openWorld("registry_again");
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    catalogue = await loadCatalogue(world.runtime, "2026-11-25");
  });
  afterAll(() => world.close());

  beforeEach(async () => {
    world.at("2026-11-25T09:00:00Z");
    await must(world, setRegistryMode, SYSTEM, { down: false, delayMs: 0 });
    sitting = randomUUID();
    candidate = `NEC-${sitting.slice(0, 8)}`;
    const applicant = await anybody(world, "Ana");
    const who = someone("Ana", "Vale", { citizenships: ["IE"], residence: "IE", birthDate: "2008-05-19" });
    file = await must(world, startApplication, applicant, { roundId: catalogue.rounds["BHT 1"] ?? "" });
    const sittings = [{ id: sitting, board: "northern", year: "2025", candidate }];
    const subjects = [{ sitting, subject: "mathematics", mark: "70" }];
    await fillAny(world.runtime, applicant, file.applicationId, who, {}, { sittings, subjects });
    await world.runtime.pool.query("update choice set submitted_at = $2 where application_id = $1", [
      file.applicationId,
      world.runtime.now(),
    ]);
    // The standing of the file follows with the next act in it.
    await confirm("person", "", "birthPlace", "Galway");
  });

  const confirm = (section: string, entry: string, field: string, value: string) =>
    must(world, confirmValues, officer, {
      applicationId: file.applicationId,
      values: [{ scope: "file", section, entry, field, value }],
      note: "By the paper",
    });
  const keep = (results: Readonly<Record<string, string>>) =>
    must(world, keepRegistryRecord, SYSTEM, {
      ...{ board: "northern", year: "2025", candidate, name: "Ana Vale" },
      results: Object.entries(results).map(([subject, mark]) => ({ subject, mark })),
    });
  const work = (queryId: string) =>
    runJob(
      {
        runtime: world.runtime,
        mail: { send: async () => ({ result: "sent" }) },
        registry: simulatedRegistry(registryStore(world.runtime.pool)),
        workshop: IN_PLACE,
        baseUrl: "",
      },
      "ask-registry",
      { queryId },
    );
  const first = async () => {
    const place = { applicationId: file.applicationId, scope: "file", section: "sittings", entry: sitting };
    const { queryId } = await must(world, askRegistry, officer, place);
    await work(queryId);
    return queryId;
  };
  /** @returns whether the question was asked again */
  const again = async (queryId: string) => {
    const due = async () =>
      (
        await world.runtime.pool.query<{ at: Date | null }>("select again_at as at from registry_query where id = $1", [
          queryId,
        ])
      ).rows[0]?.at?.getTime() ?? 0;
    const before = await due();
    await must(world, askRegistriesAgain, SYSTEM, {});
    if ((await due()) === before) return false;
    await work(queryId);
    return true;
  };
  const page = async () => readView(world.runtime, fileView, officer, { number: file.number });
  const state = async () => (await page())?.registry[0]?.state;
  const confirmed = async () =>
    (await page())?.values.filter((v) => v.section === "subjects" && v.field === "mark").map((v) => v.confirmed);
  const owes = async () =>
    (await lookAt(world, file.applicationId)).result.file.owed.some((s) => s.kind === "read results");
  const answers = async () =>
    (
      await world.runtime.pool.query("select 1 from event where application_id = $1 and act = 'report-registry'", [
        file.applicationId,
      ])
    ).rowCount;

  it("finds on a later day what was published late, and enters it by itself", async () => {
    const queryId = await first();
    expect([await state(), await again(queryId)]).toEqual(["not found", false]);
    world.later(DAY);
    expect([await again(queryId), await state(), await answers()]).toEqual([true, "not found", 1]);
    await keep({ mathematics: "70" });
    await must(world, keepRegistryRecord, SYSTEM, {
      ...{ board: "northern", year: "2023", candidate: `${candidate}-b`, name: "Ana Vale" },
      results: [{ subject: "physics", mark: "41" }],
    });
    world.later(DAY);
    expect([await again(queryId), await state(), await confirmed()]).toEqual([true, "found", ["70"]]);
    // What was left out is found as on the first day.
    expect((await page())?.registry[0]).toMatchObject({ others: [{ board: "northern", year: "2023" }], since: "2012" });
  });

  it("adds what is new, and never overwrites what was confirmed: an officer says which counts", async () => {
    await keep({ mathematics: "70" });
    const queryId = await first();
    await keep({ mathematics: "74", physics: "61" });
    await must(world, keepRegistryRecord, SYSTEM, {
      board: "northern",
      year: "2019",
      candidate: `${candidate}-c`,
      name: "Ana Vale",
      results: [],
    });
    world.later(2 * DAY);
    expect(await again(queryId)).toBe(false);
    world.later(5 * DAY);
    expect([await again(queryId), await state(), await confirmed(), await owes()]).toEqual([
      true,
      "changed",
      ["70"],
      true,
    ]);
    // What else it knows of the same person does not wait for that.
    expect((await page())?.registry[0]?.others).toContainEqual({ board: "northern", year: "2019" });
    await must(world, takeRegistryResults, officer, { applicationId: file.applicationId, queryId });
    expect([await state(), await confirmed(), await owes()]).toEqual(["found", ["74"], false]);
    const input = { applicationId: file.applicationId, queryId };
    expect(await reasonOf(runAct(world.runtime, leaveRegistryResults, officer, input))).toBe("already-done");
  });

  it("leaves what was confirmed where an officer says so, and is no news when it says the same again", async () => {
    await keep({ mathematics: "70" });
    const queryId = await first();
    await keep({ mathematics: "71" });
    world.later(7 * DAY);
    expect([await again(queryId), await state()]).toEqual([true, "changed"]);
    await must(world, leaveRegistryResults, officer, { applicationId: file.applicationId, queryId });
    expect([await state(), await confirmed(), await owes()]).toEqual(["found", ["70"], false]);
    world.later(7 * DAY);
    expect([await again(queryId), await state(), await confirmed()]).toEqual([true, "found", ["70"]]);
  });

  it("says nothing by what is gone, by another name, or while it is down", async () => {
    await keep({ mathematics: "70" });
    const queryId = await first();
    const entries = await answers();
    for (const later of [
      () => keep({}),
      () =>
        must(world, keepRegistryRecord, SYSTEM, {
          ...{ board: "northern", year: "2025", candidate, name: "Somebody Else" },
          results: [{ subject: "mathematics", mark: "12" }],
        }),
    ]) {
      await later();
      world.later(7 * DAY);
      expect([await again(queryId), await state(), await confirmed()]).toEqual([true, "found", ["70"]]);
    }
    await must(world, setRegistryMode, SYSTEM, { down: true, delayMs: 0 });
    world.later(7 * DAY);
    await expect(again(queryId)).rejects.toThrow(/does not answer/u);
    expect([await state(), await confirmed(), await answers()]).toEqual(["found", ["70"], entries]);
  });

  it("asks no more once a decision stands", async () => {
    const queryId = await first();
    await world.runtime.pool.query("update file_standing set stage = 'decided' where application_id = $1", [
      file.applicationId,
    ]);
    world.later(7 * DAY);
    expect(await again(queryId)).toBe(false);
  });
});
