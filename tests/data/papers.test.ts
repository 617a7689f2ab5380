import { randomUUID } from "node:crypto";
import { readFileSync } from "node:fs";
import { afterAll, beforeAll, beforeEach, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { askApplicant } from "../../src/acts/asks/asks";
import { acceptEvidence, returnEvidence } from "../../src/acts/evidence/judge-evidence";
import { supplyForApplicant } from "../../src/acts/evidence/upload-document";
import {
  announcePaper,
  dropAnnouncement,
  inspectPaper,
  matchPaper,
  notePaper,
  noteStrayPaper,
  sendPaperBack,
  takePaperBack,
} from "../../src/acts/post/papers";
import { UNDO_MS } from "../../src/core/file-acts/undo";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { paperFile, papers } from "../../src/views/post/papers";
import { readView } from "../../src/views/view/view";
import { begunFile, lookAt, submittedFile, type TestFile } from "../support/files";
import { DAY, makePerson, must, openWorld, reasonOf, type World } from "../support/world";

describe("papers that come otherwise than by upload", () => {
  let world: World;
  let officer: Actor;
  let roundId = "";
  let file: TestFile;
  let no = 0;

  beforeAll(async () => {
    world = await openWorld("papers");
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    ({ roundId } = await loadCatalogue(world.runtime, "2026-11-25"));
  });
  afterAll(() => world.close());
  beforeEach(async () => {
    no += 1;
    file = await submittedFile(world, roundId, `Runi${"abcdefghijklmnop"[no]}`);
    world.later(DAY / 24);
  });

  const at = (requirement: string) => ({ applicationId: file.applicationId, requirement, scope: "file", entry: "" });
  const look = async () => (await lookAt(world, file.applicationId)).result;
  const standing = async (requirement: string) =>
    (await look()).requirements.find((r) => r.key === requirement)?.standing;
  const owed = async () => (await look()).file.owed.map((s) => `${s.turn}: ${s.kind}`);
  const mails = async (template: string) =>
    (
      await world.runtime.pool.query<{ state: string; values: Record<string, string> }>(
        "select state, values from message where application_id = $1 and template = $2 order by queued_at, id",
        [file.applicationId, template],
      )
    ).rows;
  const list = (which: "to look at" | "whose" | "to go back" | "expected" | "all") =>
    readView(world.runtime, papers, officer, { list: which });
  const note = (more: object = {}) =>
    must(world, notePaper, officer, { ...at("motivation"), cameOn: "2026-11-26", ...more });
  const sendBack = () =>
    must(world, returnEvidence, officer, { ...at("motivation"), reason: "unreadable", text: "", due: "2026-12-09" });
  const announce = (expectedOn = "2026-12-20") =>
    runAct(world.runtime, announcePaper, file.applicant, { ...at("motivation"), way: "post", expectedOn });

  it("are promised with their day, instead of being asked for, until the applicant says that they do not come", async () => {
    await sendBack();
    expect(await owed()).toContain("applicant: supply again");
    expect(await announce()).toMatchObject({ ok: true });
    expect([await standing("motivation"), await owed()]).toEqual([
      "promised",
      expect.not.arrayContaining(["applicant: supply again"]),
    ]);
    expect((await look()).file.owed.find((s) => s.kind === "await paper")?.due).toBe("2026-12-20");
    await announce("2027-01-10");
    const expected = (await list("expected"))?.expected.filter((e) => e.expectedOn === "2027-01-10");
    expect(expected?.map((e) => [e.title, e.way])).toEqual([["Letter of motivation", "post"]]);
    await must(world, dropAnnouncement, file.applicant, at("motivation"));
    expect(await standing("motivation")).toBe("returned");
    expect(await runAct(world.runtime, dropAnnouncement, file.applicant, at("motivation"))).toMatchObject({
      reason: "already-done",
    });
  });

  it("are looked at once they came: the announcement and the ask end, and the applicant is told", async () => {
    await must(world, askApplicant, officer, { ...at("motivation"), text: "On paper, please.", due: "2026-12-09" });
    await announce();
    const { paperId } = await note();
    const { loaded } = await lookAt(world, file.applicationId);
    expect([loaded.facts.announced, loaded.facts.asks.map((a) => a.answeredAt !== null)]).toEqual([[], [true]]);
    expect(await owed()).toContain("office: inspect");
    const [mail] = await mails("paper-arrived");
    expect([mail?.values.documentEn, mail?.values.due]).toEqual(["Letter of motivation", "2026-11-26"]);
    await must(world, inspectPaper, officer, { applicationId: file.applicationId, paperId, sendBack: false });
    expect(await owed()).not.toContain("office: inspect");
  });

  it("may belong to no requirement, and then say what they are", async () => {
    const nowhere = { ...at(""), cameOn: "2026-11-26" };
    expect(await runAct(world.runtime, notePaper, officer, nowhere)).toMatchObject({ reason: "not-found" });
    await note({ ...nowhere, contents: "A letter of thanks" });
    expect((await list("to look at"))?.rows[0]).toMatchObject({ contents: "A letter of thanks", title: "" });
  });

  it("are taken back within ten seconds, with their mail, and later not", async () => {
    const { paperId } = await note();
    const back = { applicationId: file.applicationId, paperId };
    await must(world, takePaperBack, officer, back);
    expect((await mails("paper-arrived"))[0]?.state).toBe("withdrawn");
    expect(await owed()).not.toContain("office: inspect");
    const second = await note();
    world.later(UNDO_MS + 1);
    expect(await runAct(world.runtime, takePaperBack, officer, { ...back, paperId: second.paperId })).toMatchObject({
      reason: "too-late-to-undo",
    });
  });

  it("have their scan beside them, which is told with them and goes with their note", async () => {
    const scan = (paperId: string | null) =>
      runAct(world.runtime, supplyForApplicant, officer, {
        ...at("motivation"),
        name: "scan.pdf",
        bytes: readFileSync("tests/fixtures/files/good.pdf"),
        mediaType: "application/pdf",
        marks: [],
        paperId,
      });
    const documents = async () =>
      (await lookAt(world, file.applicationId)).loaded.facts.evidence.filter((e) => e.requirement === "motivation")
        .length;
    const before = await documents();
    const { paperId } = await note();
    expect(await reasonOf(scan(randomUUID()))).toBe("already-done");
    expect(await reasonOf(scan(paperId))).toBe("ok");
    expect(await reasonOf(scan(paperId))).toBe("already-done");
    expect([await documents(), (await mails("supplied-for-you")).length]).toEqual([before + 1, 0]);
    expect((await list("to look at"))?.rows.find((r) => r.id === paperId)?.uploadId).not.toBeNull();
    await must(world, takePaperBack, officer, { applicationId: file.applicationId, paperId });
    expect(await documents()).toBe(before);
    // One that was judged meanwhile stays, and so does the note of its paper.
    const again = await note();
    await scan(again.paperId);
    await must(world, acceptEvidence, officer, at("motivation"));
    const takeBack = runAct(world.runtime, takePaperBack, officer, { applicationId: file.applicationId, ...again });
    expect(await reasonOf(takeBack)).toBe("locked");
    expect((await list("to look at"))?.rows.some((r) => r.id === again.paperId)).toBe(true);
  });

  it("go back once they were looked at, and the applicant is told", async () => {
    const { paperId } = await note();
    const which = { applicationId: file.applicationId, paperId };
    expect(await runAct(world.runtime, sendPaperBack, officer, which)).toMatchObject({ reason: "already-done" });
    await must(world, inspectPaper, officer, { ...which, sendBack: true });
    expect((await list("to go back"))?.rows.map((r) => r.id)).toContain(paperId);
    await must(world, sendPaperBack, officer, which);
    expect((await list("to go back"))?.rows.map((r) => r.id)).not.toContain(paperId);
    expect(await mails("paper-sent-back")).toHaveLength(1);
    expect(await runAct(world.runtime, sendPaperBack, officer, which)).toMatchObject({ reason: "already-done" });
  });

  it("of which nobody knows whose they are wait until somebody does, once", async () => {
    const { paperId } = await must(world, noteStrayPaper, officer, {
      contents: "A diploma without a name",
      cameOn: "2026-11-26",
    });
    expect((await list("whose"))?.rows.map((r) => [r.id, r.number])).toContainEqual([paperId, null]);
    const theirs = { ...at("motivation"), paperId };
    const matched = await Promise.all([
      runAct(world.runtime, matchPaper, officer, theirs),
      runAct(world.runtime, matchPaper, officer, theirs),
    ]);
    expect(matched.filter((m) => m.ok)).toHaveLength(1);
    expect(await owed()).toContain("office: inspect");
    expect((await list("whose"))?.rows.map((r) => r.id)).not.toContain(paperId);
  });

  it("are offered for a file by what is expected, then what is lacking, and not for other programmes", async () => {
    await sendBack();
    await announce();
    const number = (await lookAt(world, file.applicationId)).loaded.facts.application.number;
    const found = await readView(world.runtime, paperFile, officer, { number });
    expect(found?.places[0]).toMatchObject({ requirement: "motivation", expectedOn: "2026-12-20" });
    const elsewhere = await makePerson(world, "Petra Hennessy", ["officer"], "BHT");
    expect(await readView(world.runtime, paperFile, elsewhere, { number })).toBeNull();
    await note();
    expect(
      (await readView(world.runtime, papers, elsewhere, { list: "all" }))?.rows.some((r) => r.number === number),
    ).toBe(false);
  });

  it("are announced by nobody for a draft, for what is not asked for, or for another’s file", async () => {
    const { applicationId, owner } = await begunFile(world, roundId);
    const draft = { ...at("motivation"), applicationId, way: "post" as const, expectedOn: "2026-12-20" };
    expect(await runAct(world.runtime, announcePaper, owner, draft)).toMatchObject({ reason: "locked" });
    expect(await runAct(world.runtime, announcePaper, owner, { ...draft, ...at("motivation") })).toMatchObject({
      reason: "not-yours",
    });
    const permit = { ...draft, ...at("permit") };
    expect(await runAct(world.runtime, announcePaper, file.applicant, permit)).toMatchObject({ reason: "locked" });
  });
});
