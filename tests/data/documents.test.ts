import { randomUUID } from "node:crypto";
import { afterAll, beforeAll, beforeEach, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { askApplicant } from "../../src/acts/asks/asks";
import { acceptEvidence, returnEvidence } from "../../src/acts/evidence/judge-evidence";
import { removeDocument, setAsideTwin } from "../../src/acts/evidence/remove-document";

import { supplyForApplicant, uploadDocument } from "../../src/acts/evidence/upload-document";
import { MOST_AT_REQUIREMENT } from "../../src/core/evidence/limits";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { file } from "../../src/views/assessment/file";
import { document, documentBytes } from "../../src/views/evidence/document";
import { readView } from "../../src/views/view/view";
import { begunFile, filledFile, lookAt, submittedFile, type TestFile } from "../support/files";
import { makePerson, must, openWorld, reasonOf, type World } from "../support/world";

/** Documents: supplied, replaced, taken out, judged; read by those whose they are and by the office over the file. */
describe("documents", () => {
  let world: World;
  let owner: Actor;
  let officer: Actor;
  let roundId = "";
  let applicationId = "";
  let no = 0;

  beforeAll(async () => {
    world = await openWorld("documents");
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    ({ roundId } = await loadCatalogue(world.runtime, "2026-11-25"));
  });
  afterAll(() => world.close());
  beforeEach(async () => {
    no += 1;
    ({ owner, applicationId } = await filledFile(world, roundId));
  });

  const sheet = (text: string, name = "letter.pdf") => ({
    applicationId,
    requirement: "motivation",
    scope: "file",
    name,
    bytes: Buffer.from(text),
    mediaType: "application/pdf" as const,
    pages: 1,
    marks: [],
  });
  it("of one requirement are not more than can be read, and one that is taken out makes room", async () => {
    const begun = await begunFile(world, roundId);
    const send = (i: number) =>
      runAct(world.runtime, uploadDocument, begun.owner, {
        ...sheet(`%PDF-1.4 page ${i}`),
        applicationId: begun.applicationId,
      });
    for (let i = 0; i < MOST_AT_REQUIREMENT; i += 1) expect((await send(i)).ok).toBe(true);
    expect(await send(99)).toMatchObject({ ok: false, details: { document: "too_many" } });
    const [first] = (await lookAt(world, begun.applicationId)).loaded.facts.evidence;
    await must(world, removeDocument, begun.owner, {
      applicationId: begun.applicationId,
      evidenceId: first?.id ?? "",
    });
    expect((await send(99)).ok).toBe(true);
  });

  it("are taken from the applicant as the rulebook says: of its formats and not longer", async () => {
    const send = (more: object) =>
      runAct(world.runtime, uploadDocument, owner, { ...sheet("%PDF-1.4 letter"), ...more });
    expect(await send({ mediaType: "image/png" })).toMatchObject({ ok: false, details: { document: "only_pdf_here" } });
    expect(await send({ pages: 3 })).toMatchObject({
      ok: false,
      details: { document: "too_many_pages_here", pages: 2 },
    });
    expect((await send({ pages: 2 })).ok).toBe(true);
    expect((await send({ requirement: "passport", mediaType: "image/png", pages: 3 })).ok).toBe(true);
    const submitted = await submittedFile(world, roundId, "Longwinded");
    const put = { ...sheet("%PDF-1.4 by mail"), applicationId: submitted.applicationId, pages: 3 };
    // A bundle that came by mail is put in by the office, and sorted there.
    expect((await runAct(world.runtime, supplyForApplicant, officer, put)).ok).toBe(true);
  });

  const supply = (text: string, name?: string) => must(world, uploadDocument, owner, sheet(text, name));
  const motivation = async (id = applicationId) => {
    const { result, loaded } = await lookAt(world, id);
    const found = result.requirements.find((r) => r.key === "motivation");
    return {
      standing: found?.standing,
      evidence: loaded.facts.evidence.filter((e) => e.requirement === "motivation").map((e) => e.id),
    };
  };
  const read = async (uploadId: string, actor: Actor) => {
    const found = await readView(world.runtime, document, actor, { uploadId });
    if (!found) return null;
    const parts: Buffer[] = [];
    for await (const part of documentBytes(world.runtime.pool, found)) parts.push(part);
    return Buffer.concat(parts).toString();
  };

  it("may be several for one requirement while an application is prepared, and be taken out again", async () => {
    await supply("one");
    await supply("two");
    const before = await motivation();
    expect([before.standing, before.evidence.length]).toEqual(["to check", 2]);
    for (const evidenceId of before.evidence) await must(world, removeDocument, owner, { applicationId, evidenceId });
    expect(await motivation()).toEqual({ standing: "missing", evidence: [] });
    const { rows } = await world.runtime.pool.query(
      "select count(*)::int as n from evidence where application_id = $1 and replaced_at is not null",
      [applicationId],
    );
    expect(rows[0]?.n).toBe(2);
  });

  it("keep their content once, whoever sends it, and are each somebody's own", async () => {
    const { owner: other, applicationId: theirs } = await begunFile(world, roundId);
    const mine = await supply("the same words");
    const copy = await must(world, uploadDocument, other, {
      ...sheet("the same words"),
      applicationId: theirs,
    });
    const { rows } = await world.runtime.pool.query(
      "select count(distinct sha256)::int as contents, count(*)::int as uploads from upload where id = any($1::uuid[])",
      [[mine.uploadId, copy.uploadId]],
    );
    expect(rows[0]).toEqual({ contents: 1, uploads: 2 });
    expect(await read(mine.uploadId, owner)).toBe("the same words");
    expect(await read(mine.uploadId, other)).toBeNull();
    expect(await read(copy.uploadId, owner)).toBeNull();
  });

  it("that came by post are put in by the office, once the application is submitted, and answer what was asked for", async () => {
    const putIn = (id: string, change: object = {}) =>
      reasonOf(
        runAct(world.runtime, supplyForApplicant, officer, { ...sheet("from the post"), applicationId: id, ...change }),
      );
    expect(await putIn(applicationId)).toBe("locked");
    const file = await submittedFile(world, roundId, "Poster");
    const place = { applicationId: file.applicationId, requirement: "motivation", scope: "file", entry: "" };
    await must(world, returnEvidence, officer, {
      ...place,
      reason: "unreadable",
      text: "Again, please.",
      due: "2026-12-10",
    });
    const asked = async () =>
      (await lookAt(world, file.applicationId)).loaded.facts.asks.filter((a) => a.answeredAt === null);
    expect(await asked()).toHaveLength(1);
    expect(await putIn(file.applicationId, { requirement: "studies" })).toBe("not-found");
    expect(await putIn(file.applicationId)).toBe("ok");
    const { rows: told } = await world.runtime.pool.query<{ title: string }>(
      "select values->>'documentEn' as title from message where application_id = $1 and template = 'supplied-for-you'",
      [file.applicationId],
    );
    expect(told).toEqual([{ title: "Letter of motivation" }]);
    expect((await motivation(file.applicationId)).standing).toBe("to check");
    expect(await asked()).toEqual([]);
    await must(world, acceptEvidence, officer, { ...place, proof: "original seen" });
    expect((await motivation(file.applicationId)).standing).toBe("accepted");
  });

  it("that were sent twice in one file, or stand in another, are said to the office", async () => {
    const { number } = (await lookAt(world, applicationId)).loaded.facts.application;
    await supply("the one and only letter");
    await must(world, uploadDocument, owner, { ...sheet("the one and only letter"), requirement: "passport" });
    await supply("another letter", "second.pdf");
    const seen = await readView(world.runtime, file, officer, { number });
    const said = seen?.documents.map((d) => [d.requirement, d.name, d.twice, d.alsoIn.length]).sort();
    expect(said).toEqual([
      ["motivation", "letter.pdf", ["passport"], 0],
      ["motivation", "second.pdf", [], 0],
      ["passport", "letter.pdf", ["motivation"], 0],
    ]);
    const evidenceOf = (requirement: string, name: string) =>
      seen?.documents.find((d) => d.requirement === requirement && d.name === name)?.evidenceId ?? "";
    const setAside = (evidenceId: string) =>
      reasonOf(runAct(world.runtime, setAsideTwin, officer, { applicationId, evidenceId }));
    expect(await setAside(evidenceOf("motivation", "second.pdf"))).toBe("not-found");
    expect(await setAside(evidenceOf("motivation", "letter.pdf"))).toBe("ok");
    const left = (await readView(world.runtime, file, officer, { number }))?.documents.filter((d) => !d.replacedAt);
    expect(left?.map((d) => [d.requirement, d.name, d.twice]).sort()).toEqual([
      ["motivation", "second.pdf", []],
      ["passport", "letter.pdf", []],
    ]);
    expect(await setAside(evidenceOf("passport", "letter.pdf"))).toBe("not-found");
  });

  it("are read by the office of their programme, by no other office, and by no visitor", async () => {
    const { uploadId } = await supply("words");
    const elsewhere = await makePerson(world, "Elsewhere", ["officer"], "XYZ");
    const administrator = await makePerson(world, "Administrator", ["administrator"]);
    expect(await read(uploadId, officer)).toBe("words");
    expect(await read(uploadId, elsewhere)).toBeNull();
    expect(await read(uploadId, administrator)).toBeNull();
    expect(await read(uploadId, { kind: "visitor" })).toBeNull();
    expect(await read(randomUUID(), officer)).toBeNull();
  });

  it.each([
    ["C:\\Users\\ana\\letter.pdf", "letter.pdf"],
    ["../../etc/passwd", "passwd"],
    ["letter\u202efdp.exe", "letterfdp.exe"],
    ["\u0000\u0007", "document"],
    ["a\ud800.pdf", "a.pdf"],
    [`${"x".repeat(200)}.pdf`, "x".repeat(150)],
  ])("called %j are shown as %j", async (name, shown) => {
    const { uploadId } = await supply("words", name);
    expect((await readView(world.runtime, document, owner, { uploadId }))?.name).toBe(shown);
  });

  it.each([
    ["a requirement that the rulebook does not know", { requirement: "hat" }],
    ["an entry that it is not asked for", { entry: "nowhere" }],
    ["one that no document answers", { requirement: "reference" }],
    ["another scope", { scope: "elsewhere" }],
  ])("for %s are refused, and leave nothing behind", async (_, wrong) => {
    expect(await runAct(world.runtime, uploadDocument, owner, { ...sheet("lost"), ...wrong })).toMatchObject({
      ok: false,
      reason: "locked",
    });
    const { rows } = await world.runtime.pool.query("select 1 from upload where application_id = $1", [applicationId]);
    expect(rows).toEqual([]);
  });

  describe("of a submitted application", () => {
    let file: TestFile;
    beforeEach(async () => {
      file = await submittedFile(world, roundId, `Halvor${"abcdefghijklmnopqrstuvwxyz"[no]}`);
      applicationId = file.applicationId;
      owner = file.applicant;
    });
    const first = async () => (await motivation()).evidence[0] ?? "";
    const place = () => ({ applicationId, requirement: "motivation", scope: "file" });

    it("can be neither added nor taken out while the office looks", async () => {
      expect(await runAct(world.runtime, uploadDocument, owner, sheet("more"))).toMatchObject({ reason: "locked" });
      expect(
        await runAct(world.runtime, removeDocument, owner, { applicationId, evidenceId: await first() }),
      ).toMatchObject({ reason: "locked" });
    });

    it("that were sent back make room for the next, and stay in the history", async () => {
      const old = await first();
      await must(world, returnEvidence, officer, {
        ...place(),
        reason: "incomplete",
        text: "The second page is missing.",
        due: "2026-12-10",
      });
      expect((await motivation()).standing).toBe("returned");
      await supply("both pages");
      const now = await motivation();
      expect([now.standing, now.evidence.length, now.evidence.includes(old)]).toEqual(["to check", 1, false]);
      const { rows } = await world.runtime.pool.query(
        "select judgement, replaced_at is not null as replaced from evidence where id = $1",
        [old],
      );
      expect(rows).toEqual([{ judgement: "returned", replaced: true }]);
    });

    it("that were accepted are open again for as long as somebody asks", async () => {
      await must(world, acceptEvidence, officer, place());
      expect(await runAct(world.runtime, uploadDocument, owner, sheet("more"))).toMatchObject({ reason: "locked" });
      await must(world, askApplicant, officer, {
        ...place(),
        text: "Please send the signed version.",
        due: "2026-12-10",
      });
      await supply("signed");
      expect((await motivation()).standing).toBe("to check");
      const { loaded } = await lookAt(world, applicationId);
      expect(loaded.facts.asks.filter((a) => a.answeredAt === null)).toEqual([]);
      expect(await runAct(world.runtime, uploadDocument, owner, sheet("once more"))).toMatchObject({
        reason: "locked",
      });
    });
  });
});
