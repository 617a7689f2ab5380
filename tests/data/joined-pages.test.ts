import { PDFDocument } from "@cantoo/pdf-lib";
import { afterAll, beforeAll, beforeEach, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { askApplicant } from "../../src/acts/asks/asks";
import { leaveOutPage } from "../../src/acts/copies/section-summary";
import { joinPages, takeApart } from "../../src/acts/evidence/join-pages";
import { acceptEvidence, returnEvidence } from "../../src/acts/evidence/judge-evidence";
import { supplyForApplicant } from "../../src/acts/evidence/upload-document";
import type { Actor } from "../../src/core/rights/actor";
import { contentBytes } from "../../src/db/content";
import { loadCatalogue } from "../../src/demo/catalogue";
import * as documents from "../../src/demo/documents";
import { IN_PLACE } from "../../src/formats/workshop/in-place";
import { joinSources } from "../../src/views/evidence/join-sources";
import { readView } from "../../src/views/view/view";
import { lookAt, submittedFile, type TestFile } from "../support/files";
import { DAY, makePerson, must, openWorld, type World } from "../support/world";

describe("pages of several documents as one", () => {
  let world: World;
  let officer: Actor;
  let roundId = "";
  let file: TestFile;
  let no = 0;

  beforeAll(async () => {
    world = await openWorld("joined-pages");
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    ({ roundId } = await loadCatalogue(world.runtime, "2026-11-25"));
  });
  afterAll(() => world.close());
  beforeEach(async () => {
    no += 1;
    file = await submittedFile(world, roundId, `Mirel${"abcdefghijklmnop"[no]}`);
    const one = await documents.motivation(file.who, world.runtime.now());
    const two = await documents.bundle(
      await documents.passport(file.who, world.runtime.now()),
      await documents.englishProof(file.who, world.runtime.now()),
    );
    for (const [name, bytes, pages] of [
      ["front.pdf", one, 1],
      ["back.pdf", two, 2],
    ] as const) {
      world.later(DAY / 24);
      const sent = { name, bytes, mediaType: "application/pdf" as const, pages, marks: [] };
      await must(world, supplyForApplicant, officer, { ...at("passport"), ...sent });
    }
    world.later(DAY / 24);
  });

  const at = (requirement: string) => ({ applicationId: file.applicationId, requirement, scope: "file", entry: "" });
  const evidenceOf = async (requirement: string) =>
    (await lookAt(world, file.applicationId)).loaded.facts.evidence.filter((e) => e.requirement === requirement);
  const idOf = async (name: string): Promise<string> => {
    const { rows } = await world.runtime.pool.query<{ id: string }>(
      "select e.id from evidence e join upload u on u.id = e.upload_id where e.application_id = $1 and u.name = $2",
      [file.applicationId, name],
    );
    return rows[0]?.id ?? "";
  };
  const page = async (name: string, number: number, turn: 0 | 90 | 180 | 270 = 0) => ({
    evidenceId: await idOf(name),
    page: number,
    turn,
  });
  /** What the route does: read, lay in the workshop, file. */
  async function join(requirement: string, ...laid: readonly Awaited<ReturnType<typeof page>>[]) {
    const evidenceIds = [...new Set(laid.map((l) => l.evidenceId))];
    const sources = await readView(world.runtime, joinSources, officer, {
      applicationId: file.applicationId,
      evidenceIds,
    });
    if (!sources) return null;
    const made = await IN_PLACE.run(
      "join-pages",
      {
        sources: await Promise.all(
          sources.map(async (s) => ({
            bytes: await contentBytes(world.runtime.pool, s.sha256),
            mediaType: s.mediaType,
          })),
        ),
        pages: laid.map((l) => ({ ...l, source: sources.findIndex((s) => s.evidenceId === l.evidenceId) })),
        mostBytes: 10_000_000,
      },
      "somebody",
    );
    if (made === null || typeof made === "string" || made.verdict === "refuse") throw new Error("nothing was made");
    const { bytes, mediaType, pages, marks } = made;
    const outcome = await runAct(world.runtime, joinPages, officer, {
      ...at(requirement),
      laid: [...laid],
      ...{ name: "Both sides.pdf", bytes, mediaType, pages, marks },
    });
    return { outcome, bytes };
  }

  it("lie in the order and turned as they were laid, and came when the last of them did", async () => {
    const before = await evidenceOf("passport");
    const joined = await join("passport", await page("back.pdf", 2, 90), await page("front.pdf", 1));
    expect(joined?.outcome).toMatchObject({ ok: true });
    const made = await PDFDocument.load(joined?.bytes ?? new Uint8Array());
    expect(made.getPages().map((p) => p.getRotation().angle)).toEqual([90, 0]);
    const now = await evidenceOf("passport");
    expect(now.length).toBe(before.length - 1);
    expect(now.at(-1)).toMatchObject({ judgement: null, suppliedAt: before.at(-1)?.suppliedAt });
  });

  it("leave what was sent as it was, to which it can be taken apart until it is judged", async () => {
    const before = await evidenceOf("passport");
    const laid = [await page("front.pdf", 1), await page("back.pdf", 1)];
    await join("passport", ...laid);
    const apart = async () =>
      runAct(world.runtime, takeApart, officer, {
        applicationId: file.applicationId,
        evidenceId: await idOf("Both sides.pdf"),
      });
    expect(await apart()).toMatchObject({ ok: true });
    expect(await evidenceOf("passport")).toEqual(before);
    expect(await apart()).toMatchObject({ reason: "already-done" });
  });

  it("stay together once the new document was judged", async () => {
    const joined = await join("motivation", await page("front.pdf", 1), await page("back.pdf", 1));
    const evidenceId = await idOf("Both sides.pdf");
    expect(joined?.outcome).toMatchObject({ ok: true });
    await must(world, acceptEvidence, officer, { ...at("motivation"), proof: "copy" });
    const apart = await runAct(world.runtime, takeApart, officer, { applicationId: file.applicationId, evidenceId });
    expect(apart).toMatchObject({ reason: "locked" });
  });

  it("keep out of the copies what was left out of them", async () => {
    const { rows } = await world.runtime.pool.query<{ id: string }>(
      "select upload_id as id from evidence where id = $1",
      [await idOf("back.pdf")],
    );
    await must(world, leaveOutPage, officer, {
      applicationId: file.applicationId,
      uploadId: rows[0]?.id ?? "",
      page: 2,
      out: true,
    });
    await join("passport", await page("front.pdf", 1), await page("back.pdf", 2), await page("back.pdf", 1));
    const left = await world.runtime.pool.query(
      "select l.page from page_left_out l join evidence e on e.upload_id = l.upload_id where e.id = $1",
      [await idOf("Both sides.pdf")],
    );
    expect(left.rows).toEqual([{ page: 2 }]);
  });

  it("answer what was asked for, and take the place of what was sent back", async () => {
    const due = "2026-12-20";
    await must(world, returnEvidence, officer, { ...at("english"), reason: "unreadable", text: "", due });
    await must(world, askApplicant, officer, { ...at("english"), text: "The second page, please.", due });
    await join("english", await page("back.pdf", 2), await page("front.pdf", 1));
    expect((await evidenceOf("english")).map((e) => e.judgement)).toEqual([null]);
    const { asks } = (await lookAt(world, file.applicationId)).loaded.facts;
    expect(asks.filter((a) => a.answeredAt === null)).toEqual([]);
  });

  it("are refused twice at once, of what was accepted, of another file, and where they are not there", async () => {
    const laid = [await page("front.pdf", 1), await page("back.pdf", 1)];
    const both = await Promise.all([join("passport", ...laid), join("passport", ...laid)]);
    expect(both.filter((b) => b?.outcome.ok).length).toBe(1);
    expect(await join("passport", ...laid)).toBeNull();
    const made = { evidenceId: await idOf("Both sides.pdf"), turn: 0 as const };
    const ask = (pages: readonly number[], announced = pages.length) =>
      runAct(world.runtime, joinPages, officer, {
        ...at("passport"),
        laid: pages.map((p) => ({ ...made, page: p })),
        ...{ name: "a.pdf", bytes: Buffer.from("x"), mediaType: "application/pdf", pages: announced, marks: [] },
      });
    expect(await ask([3])).toMatchObject({ reason: "invalid-input" });
    expect(await ask([1, 1])).toMatchObject({ reason: "invalid-input" });
    expect(await ask([2, 1], 3)).toMatchObject({ reason: "invalid-input" });
    await must(world, acceptEvidence, officer, { ...at("passport"), proof: "copy" });
    expect(await ask([2, 1])).toMatchObject({ reason: "locked" });
  });
});
