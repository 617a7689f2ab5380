import { afterAll, beforeAll, beforeEach, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { askApplicant } from "../../src/acts/asks/asks";
import { filePages, putTogether } from "../../src/acts/evidence/file-pages";
import { acceptEvidence, returnEvidence } from "../../src/acts/evidence/judge-evidence";
import { supplyForApplicant } from "../../src/acts/evidence/upload-document";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import * as documents from "../../src/demo/documents";
import { suppliedInOrder } from "../../src/views/application/form-copy";
import { applicationOfCopy } from "../../src/views/copies/copy-work";
import { lookAt, submittedFile, type TestFile } from "../support/files";
import { DAY, makePerson, must, openWorld, type World } from "../support/world";

describe("the pages of a document", () => {
  let world: World;
  let officer: Actor;
  let roundId = "";
  let file: TestFile;
  let no = 0;

  beforeAll(async () => {
    world = await openWorld("file-pages");
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    ({ roundId } = await loadCatalogue(world.runtime, "2026-11-25"));
  });
  afterAll(() => world.close());
  beforeEach(async () => {
    no += 1;
    file = await submittedFile(world, roundId, `Bera${"abcdefghijklmnop"[no]}`);
    world.later(DAY / 24);
    const bytes = await documents.bundle(
      await documents.motivation(file.who, world.runtime.now()),
      await documents.passport(file.who, world.runtime.now()),
      await documents.englishProof(file.who, world.runtime.now()),
    );
    await must(world, supplyForApplicant, officer, {
      ...at("motivation"),
      name: "scan.pdf",
      bytes,
      mediaType: "application/pdf",
      pages: 3,
      marks: [],
    });
    world.later(DAY / 24);
  });

  const at = (requirement: string) => ({
    applicationId: file.applicationId,
    requirement,
    scope: "file",
    entry: "",
  });
  const part = (requirement: string, firstPage: number, lastPage = firstPage) => ({
    requirement,
    scope: "file",
    entry: "",
    firstPage,
    lastPage,
  });
  const evidenceOf = async (requirement: string) =>
    (await lookAt(world, file.applicationId)).loaded.facts.evidence.filter((e) => e.requirement === requirement);
  /** The bundle: what came last for the letter. */
  const bundle = async () => (await evidenceOf("motivation")).at(-1);
  const sort = async (...parts: readonly ReturnType<typeof part>[]) =>
    runAct(world.runtime, filePages, officer, {
      applicationId: file.applicationId,
      evidenceId: (await bundle())?.id ?? "",
      parts: [...parts],
    });
  const thirds = () => sort(part("motivation", 1), part("passport", 2), part("english", 3));

  it("are filed each where they belong, to be checked there, and came when the document came", async () => {
    const came = (await bundle())?.suppliedAt;
    expect(await thirds()).toMatchObject({ ok: true });
    for (const requirement of ["motivation", "passport", "english"]) {
      const last = (await evidenceOf(requirement)).at(-1);
      expect([requirement, last?.judgement, last?.suppliedAt]).toEqual([requirement, null, came]);
    }
    expect((await evidenceOf("motivation")).length).toBe(2);
  });

  it("stand in the dossier each under its own title", async () => {
    await thirds();
    const application = await applicationOfCopy(world.runtime.pool, file.applicationId, world.runtime.now());
    if (!application) throw new Error("no application");
    const ranges = suppliedInOrder(application, "en", "office")
      .filter((d) => d.range.first > 1)
      .map((d) => [d.title, d.range.first, d.range.last]);
    expect(ranges).toEqual([
      ["Passport or identity card", 2, 2],
      ["Proof of English", 3, 3],
    ]);
  });

  it("answer what was asked for where they are filed", async () => {
    await must(world, askApplicant, officer, { ...at("passport"), text: "The back, please.", due: "2026-12-09" });
    await thirds();
    expect((await lookAt(world, file.applicationId)).loaded.facts.asks.map((a) => a.answeredAt === null)).toEqual([
      false,
    ]);
  });

  it("make room like what is sent anew: what was sent back there is replaced", async () => {
    await must(world, returnEvidence, officer, {
      ...at("passport"),
      reason: "unreadable",
      text: "",
      due: "2026-12-09",
    });
    await thirds();
    expect((await evidenceOf("passport")).map((e) => e.judgement)).toEqual([null]);
  });

  it("are put together again, until one of them is judged", async () => {
    const whole = await bundle();
    const again = () =>
      runAct(world.runtime, putTogether, officer, {
        applicationId: file.applicationId,
        evidenceId: whole?.id ?? "",
      });
    await thirds();
    expect(await again()).toMatchObject({ ok: true });
    expect((await bundle())?.id).toBe(whole?.id);
    expect((await evidenceOf("english")).length).toBe(1);
    expect(await again()).toMatchObject({ reason: "already-done" });
    await thirds();
    await must(world, acceptEvidence, officer, { ...at("english"), proof: "copy" });
    expect(await again()).toMatchObject({ reason: "locked" });
  });

  it("are refused where pages are left over or stand twice, where nothing changes, and where nothing is asked for", async () => {
    expect(await sort(part("motivation", 1), part("passport", 3))).toMatchObject({ reason: "invalid-input" });
    expect(await sort(part("motivation", 1, 2), part("passport", 2, 3))).toMatchObject({ reason: "invalid-input" });
    expect(await sort(part("motivation", 1, 3))).toMatchObject({ reason: "nothing-due" });
    expect(await sort(part("permit", 1, 3))).toMatchObject({ reason: "not-found" });
    expect(await sort(part("no-such", 1, 3))).toMatchObject({ reason: "not-found" });
  });

  it("are sorted once by two officers at a time", async () => {
    const outcomes = await Promise.all([thirds(), thirds()]);
    expect(outcomes.filter((o) => o.ok)).toHaveLength(1);
    expect((await evidenceOf("english")).length).toBe(2);
  });

  it("of what was accepted stay where they are", async () => {
    await must(world, acceptEvidence, officer, { ...at("motivation"), proof: "copy" });
    expect(await thirds()).toMatchObject({ reason: "locked" });
  });
});
