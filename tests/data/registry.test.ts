import { randomUUID } from "node:crypto";
import { afterAll, beforeAll, beforeEach, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { startApplication } from "../../src/acts/application/start-application";
import { submitApplication } from "../../src/acts/application/submit-application";
import { confirmValues } from "../../src/acts/evidence/confirm-values";
import { recordPayment, startPayment } from "../../src/acts/payments/payments";
import { askRegistry, keepRegistryRecord, setRegistryMode, takeRegistryResults } from "../../src/acts/results/registry";
import type { Actor } from "../../src/core/rights/actor";
import { type LoadedCatalogue, loadCatalogue } from "../../src/demo/catalogue";
import { fillAny } from "../../src/demo/filling";
import { someone } from "../../src/demo/people";
import { supplyAny } from "../../src/demo/supplying";
import { IN_PLACE } from "../../src/formats/workshop/in-place";
import { runJob } from "../../src/jobs/handlers";
import { type ExaminationRegistry, simulatedRegistry } from "../../src/outside/registry";
import { awaited } from "../../src/views/assessment/awaited";
import { file as fileView } from "../../src/views/assessment/file";
import { registryStore } from "../../src/views/results/registry-store";
import { readView } from "../../src/views/view/view";
import { anybody, lookAt } from "../support/files";
import { makePerson, must, openWorld, reasonOf, SYSTEM, type World } from "../support/world";

const SITTING = "0a1f8f4e-5f5e-4f0a-9b61-0b5a1d2c3e01";
const RECORD = { board: "northern", year: "2025", candidate: "NEC-1", name: "VALE ANA" };

describe("the registry of examinations", () => {
  let world: World;
  let officer: Actor;
  let catalogue: LoadedCatalogue;
  let file = { applicationId: "", number: "" };
  let registry: ExaminationRegistry;

  beforeAll(async () => {
    world = await openWorld("registry");
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    catalogue = await loadCatalogue(world.runtime, "2026-11-25");
    registry = simulatedRegistry(registryStore(world.runtime.pool));
  });
  afterAll(() => world.close());
  beforeEach(async () => {
    await must(world, setRegistryMode, SYSTEM, { down: false, delayMs: 0 });
    const applicant = await anybody(world, "Ana");
    const who = someone("Ana", "Vale", { citizenships: ["IE"], residence: "IE", birthDate: "2008-05-19" });
    file = await must(world, startApplication, applicant, { roundId: catalogue.rounds["BHT 1"] ?? "" });
    await fillAny(
      world.runtime,
      applicant,
      file.applicationId,
      who,
      {},
      {
        sittings: [{ id: SITTING, board: "northern", year: "2025", candidate: "NEC-1" }],
        subjects: [
          { sitting: SITTING, subject: "mathematics", mark: "70" },
          { sitting: SITTING, subject: "physics", mark: "66" },
          { sitting: SITTING, subject: "history", mark: "80" },
        ],
      },
    );
    await world.runtime.pool.query("update choice set submitted_at = $2 where application_id = $1", [
      file.applicationId,
      world.runtime.now(),
    ]);
  });

  it("a subject that stands in its sitting already is not added from paper a second time; in another sitting it is free", async () => {
    const add = (sitting: string, subject: string) => {
      const line = { scope: "file", section: "subjects", entry: randomUUID() };
      return reasonOf(
        runAct(world.runtime, confirmValues, officer, {
          applicationId: file.applicationId,
          values: Object.entries({ sitting, subject, mark: "61" }).map(([field, value]) => ({ ...line, field, value })),
          note: "By the certificate",
        }),
      );
    };
    expect(await add(SITTING, "physics")).toBe("said-twice");
    expect(await add(SITTING, "chemistry")).toBe("ok");
    expect(await add(SITTING, "chemistry")).toBe("said-twice");
    expect(await add(randomUUID(), "physics")).toBe("ok");
    expect([await add(SITTING, "other"), await add(SITTING, "other")]).toEqual(["ok", "ok"]);
    // A line may be changed to what is free, and not to what is taken.
    const { rows } = await world.runtime.pool.query<{ entry: string }>(
      "select entry from answer where application_id = $1 and section = 'subjects' and value = '\"history\"'",
      [file.applicationId],
    );
    const change = (value: string) =>
      reasonOf(
        runAct(world.runtime, confirmValues, officer, {
          applicationId: file.applicationId,
          values: [{ scope: "file", section: "subjects", entry: rows[0]?.entry ?? "", field: "subject", value }],
          note: "By the certificate",
        }),
      );
    expect([await change("physics"), await change("biology")]).toEqual(["said-twice", "ok"]);
  });

  const place = () => ({ applicationId: file.applicationId, scope: "file", section: "sittings", entry: SITTING });
  const keep = (change: object = {}) =>
    must(world, keepRegistryRecord, SYSTEM, {
      ...RECORD,
      results: [
        { subject: "mathematics", mark: "70" },
        { subject: "physics", mark: "56" },
      ],
      ...change,
    });
  const ask = async () => (await must(world, askRegistry, officer, place())).queryId;
  const answer = (queryId: string) =>
    runJob(
      {
        runtime: world.runtime,
        mail: { send: async () => ({ result: "sent" }) },
        registry,
        workshop: IN_PLACE,
        baseUrl: "",
      },
      "ask-registry",
      { queryId },
    );
  const page = async () => readView(world.runtime, fileView, officer, { number: file.number });
  const marks = async () =>
    (await page())?.values
      .filter((v) => v.section === "subjects" && v.field === "mark")
      .map((v) => [v.claim, v.confirmed, v.state]);

  it("confirms what it has, as it was awarded, and leaves what it lacks claimed", async () => {
    await keep();
    const queryId = await ask();
    expect((await page())?.registry).toMatchObject([{ state: "asked", by: "Runa Okonjo" }]);
    await answer(queryId);
    expect((await page())?.registry).toMatchObject([{ state: "found", name: "VALE ANA" }]);
    expect(await marks()).toEqual([
      ["70", "70", "confirmed"],
      ["66", "56", "changed"],
      ["80", null, "claimed"],
    ]);
    const physics = (await page())?.assessment.choices[0]?.findings.find((f) => f.key === "physics");
    expect(physics?.finding).toBe("not met");
    expect((await page())?.events.map((e) => e.act)).toEqual(
      expect.arrayContaining(["ask-registry", "report-registry"]),
    );
  });

  it("tells of further sittings of the same person, once it is sure that it is the same", async () => {
    await keep();
    await keep({ year: "2023", candidate: "NEC-7", results: [{ subject: "physics", mark: "41" }] });
    await keep({ year: "2022", candidate: "NEC-8", name: "Somebody Else" });
    await answer(await ask());
    expect((await page())?.registry[0]?.others).toEqual([{ board: "northern", year: "2023" }]);
    world.later(1000);
    // Under another name nothing more is shown of a person who may be somebody else.
    await keep({ name: "Jana Vogt" });
    await keep({ year: "2021", candidate: "NEC-9", name: "Jana Vogt" });
    await answer(await ask());
    const [latest] = (await page())?.registry ?? [];
    expect([latest?.state, latest?.others]).toEqual(["other name", []]);
    await must(world, takeRegistryResults, officer, { applicationId: file.applicationId, queryId: latest?.id ?? "" });
    expect((await page())?.registry[0]?.others).toEqual([{ board: "northern", year: "2021" }]);
    await world.runtime.pool.query("delete from registry_record");
  });

  it("that is down says so, is asked again by the queue, and then answers", async () => {
    await keep();
    await must(world, setRegistryMode, SYSTEM, { down: true, delayMs: 0 });
    const queryId = await ask();
    await expect(answer(queryId)).rejects.toThrow("does not answer");
    await expect(answer(queryId)).rejects.toThrow("does not answer");
    expect((await page())?.registry).toMatchObject([{ state: "down", answeredAt: null }]);
    expect((await page())?.events.filter((e) => e.act === "report-registry")).toHaveLength(1);
    await must(world, setRegistryMode, SYSTEM, { down: false, delayMs: 0 });
    expect(await ask()).toBe(queryId); // a person may wake the queue
    await answer(queryId);
    expect((await page())?.registry).toMatchObject([{ state: "found" }]);
  });

  it("knows nobody under the number: nothing is confirmed, and it can be asked again", async () => {
    await keep({ candidate: "NEC-2" });
    await world.runtime.pool.query("delete from registry_record where candidate = 'NEC-1'");
    await answer(await ask());
    expect((await page())?.registry).toMatchObject([{ state: "not found", year: "2025", since: "2012" }]);
    expect((await marks())?.every(([, confirmed]) => confirmed === null)).toBe(true);
    await ask();
  });

  it("goes by a name of before: what was taken under it is confirmed by itself", async () => {
    await keep({ name: "Aïssatou Sarr" });
    await must(world, confirmValues, officer, {
      applicationId: file.applicationId,
      values: [{ scope: "file", section: "person", entry: "", field: "formerNames", value: "Aïssatou Sarr" }],
      note: "By the deed of the change of name",
    });
    await answer(await ask());
    expect((await page())?.registry).toMatchObject([{ state: "found", name: "Aïssatou Sarr" }]);
  });

  it("has another name: a person looks before anything is taken over", async () => {
    await keep({ name: "Aïssatou Sarr" });
    const queryId = await ask();
    await answer(queryId);
    expect((await page())?.registry).toMatchObject([{ state: "other name", name: "Aïssatou Sarr" }]);
    expect((await marks())?.every(([, confirmed]) => confirmed === null)).toBe(true);
    await must(world, takeRegistryResults, officer, { applicationId: file.applicationId, queryId });
    expect((await marks())?.map(([, confirmed]) => confirmed)).toEqual(["70", "56", null]);
    expect(
      await runAct(world.runtime, takeRegistryResults, officer, { applicationId: file.applicationId, queryId }),
    ).toMatchObject({
      ok: false,
      reason: "already-done",
    });
  });

  it("is asked once at a time, with everything that it needs", async () => {
    await keep();
    await ask();
    expect(await runAct(world.runtime, askRegistry, officer, place())).toMatchObject({ reason: "already-done" });
    expect(await runAct(world.runtime, askRegistry, officer, { ...place(), entry: "nothing" })).toMatchObject({
      reason: "invalid-input",
    });
  });

  it("that answers twice is heard once", async () => {
    await keep();
    const queryId = await ask();
    await answer(queryId);
    await answer(queryId);
    expect((await page())?.events.filter((e) => e.act === "report-registry")).toHaveLength(1);
  });

  describe("gives the lines of a sitting that nobody types", () => {
    const FED = "0a1f8f4e-5f5e-4f0a-9b61-0b5a1d2c3e09";
    const results = [
      { subject: "mathematics", mark: "71" },
      { subject: "physics", mark: "63" },
      { subject: "falconry", mark: "90" },
    ];
    let applicant: Actor;
    let number = "";
    let queryId = "";

    const requirement = async (key: string) =>
      (await readView(world.runtime, fileView, officer, { number }))?.assessment.requirements
        .filter((r) => r.key === key)
        .map((r) => [r.entry, r.standing]);
    const finding = async (key: string) =>
      (await readView(world.runtime, fileView, officer, { number }))?.assessment.choices[0]?.findings.find(
        (f) => f.key === key,
      )?.finding;
    const lines = async () =>
      (await readView(world.runtime, fileView, officer, { number }))?.values
        .filter((v) => v.section === "subjects" && v.field === "mark")
        .map((v) => [v.claim, v.confirmed])
        .sort();
    const waiting = async () =>
      (await readView(world.runtime, fileView, officer, { number }))?.assessment.file.owed
        .filter((s) => s.requirement === "schooling")
        .map((s) => `${s.turn}: ${s.kind}`);
    const missingInFeed = async () =>
      (await readView(world.runtime, awaited, officer, { kind: "registry" }))?.rows.map((r) => r.about);

    beforeEach(async () => {
      applicant = await anybody(world, "Fed");
      const who = someone("Fed", "Vale", { citizenships: ["IE"], residence: "IE", birthDate: "2008-05-19" });
      const made = await must(world, startApplication, applicant, { roundId: catalogue.rounds["BHT 1"] ?? "" });
      number = made.number;
      const sittings = [{ id: FED, board: "northern", year: "2026", candidate: "NEC-9", marks: "registry" }];
      await fillAny(world.runtime, applicant, made.applicationId, who, {}, { sittings });
      await supplyAny(world.runtime, applicant, made.applicationId, who);
      for (const charge of (await lookAt(world, made.applicationId)).loaded.facts.charges) {
        const { paymentId } = await must(world, startPayment, applicant, {
          applicationId: made.applicationId,
          chargeId: charge.id,
        });
        await must(world, recordPayment, SYSTEM, { paymentId, providerKey: paymentId, result: "booked" });
      }
      const choiceIds = (await lookAt(world, made.applicationId)).loaded.facts.choices.map((c) => c.id);
      await must(world, submitApplication, applicant, { applicationId: made.applicationId, choiceIds });
      const { rows } = await world.runtime.pool.query<{ id: string; by_id: string | null }>(
        "select id, by_id from registry_query where application_id = $1",
        [made.applicationId],
      );
      expect(rows).toEqual([{ id: expect.any(String), by_id: null }]);
      queryId = rows[0]?.id ?? "";
    });

    it("asking by itself on submission, without a paper, and open until it answers", async () => {
      expect(await requirement("results")).toEqual([["", "not needed"]]);
      expect([await lines(), await finding("mathematics")]).toEqual([[], "open"]);
      expect(await missingInFeed()).toEqual(["Northern Examinations Council 2026 NEC-9"]);
      expect([await requirement("schooling"), await waiting()]).toEqual([
        [["", "promised"]],
        ["third party: await registry"],
      ]);
      await must(world, keepRegistryRecord, SYSTEM, {
        ...RECORD,
        year: "2026",
        candidate: "NEC-9",
        name: "Fed Vale",
        results,
      });
      await answer(queryId);
      expect(await lines()).toEqual([
        [null, "63"],
        [null, "71"],
      ]);
      expect([await requirement("schooling"), await waiting()]).toEqual([[["", "accepted"]], []]);
      expect([await finding("mathematics"), await finding("physics"), await missingInFeed()]).toEqual([
        "met",
        "met",
        [],
      ]);
      // Asked again, it adds nothing twice, and what was changed there is confirmed.
      const again = await readView(world.runtime, fileView, officer, { number });
      const next = await must(world, askRegistry, officer, {
        applicationId: again?.id ?? "",
        scope: "file",
        section: "sittings",
        entry: FED,
      });
      await answer(next.queryId);
      expect((await lines())?.length).toBe(2);
    });

    it("or asks for the paper where the office says that it does not know the candidate", async () => {
      await world.runtime.pool.query("delete from registry_record where candidate = 'NEC-9'");
      await answer(queryId);
      expect([await lines(), await finding("mathematics")]).toEqual([[], "open"]);
      expect(await waiting()).toEqual(["office: check"]);
      const page = await readView(world.runtime, fileView, officer, { number });
      await must(world, confirmValues, officer, {
        applicationId: page?.id ?? "",
        values: [{ scope: "file", section: "sittings", entry: FED, field: "marks", value: "typed" }],
        note: "The registry has nobody under this number.",
      });
      expect([await requirement("results"), await missingInFeed()]).toEqual([[[FED, "missing"]], []]);
    });
  });
});
