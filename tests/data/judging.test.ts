import { afterAll, beforeAll, beforeEach, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { askApplicant, settleAsk } from "../../src/acts/asks/asks";
import { excuseRequirement } from "../../src/acts/evidence/excuse-requirement";
import { acceptEvidence, returnEvidence, undoJudgement } from "../../src/acts/evidence/judge-evidence";
import { saveReason } from "../../src/acts/evidence/return-reasons";
import { UNDO_MS } from "../../src/core/file-acts/undo";
import type { Actor } from "../../src/core/rights/actor";
import { supply } from "../../src/demo/applicant";
import { loadCatalogue } from "../../src/demo/catalogue";
import * as documents from "../../src/demo/documents";
import { renderMail } from "../../src/text/words/render-mail";
import { reasonText } from "../../src/text/words/return-reasons";
import { myApplication } from "../../src/views/application/my-application";
import { returnReasons } from "../../src/views/evidence/return-reasons";
import { readView } from "../../src/views/view/view";
import { lookAt, submittedFile, type TestFile } from "../support/files";
import { DAY, makePerson, must, openWorld, reasonOf, type World } from "../support/world";

describe("judging what was supplied", () => {
  let world: World;
  let officer: Actor;
  let roundId = "";
  let file: TestFile;
  let no = 0;

  beforeAll(async () => {
    world = await openWorld("judging");
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    ({ roundId } = await loadCatalogue(world.runtime, "2026-11-25"));
  });
  afterAll(() => world.close());
  beforeEach(async () => {
    no += 1;
    file = await submittedFile(world, roundId, `Ilse${"abcdefghijklmnop"[no]}`);
    world.later(DAY / 24);
  });

  const at = (requirement: string, entry = "") => ({
    applicationId: file.applicationId,
    requirement,
    scope: "file",
    entry,
  });
  const sendBack = (requirement: string, entry = "") =>
    must(world, returnEvidence, officer, {
      ...at(requirement, entry),
      reason: "incomplete",
      text: "The last page is missing.",
      due: "2026-12-09",
    });
  const standing = async (requirement: string) =>
    (await lookAt(world, file.applicationId)).result.requirements.find((r) => r.key === requirement)?.standing;
  const mails = async () =>
    (
      await world.runtime.pool.query<{ document: string; state: string }>(
        "select values->>'documentEn' as document, state from message where application_id = $1 and template in ('evidence-returned', 'asked') order by queued_at, document",
        [file.applicationId],
      )
    ).rows.map((m) => [m.document, m.state]);

  it("is sent back once by two officers, with one ask and one mail, and accepting it settles the ask", async () => {
    const back = () =>
      runAct(world.runtime, returnEvidence, officer, {
        ...at("motivation"),
        reason: "incomplete",
        text: "",
        due: "2026-12-09",
      });
    const both = await Promise.all([back(), back()]);
    expect(both.map((o) => (o.ok ? "ok" : o.reason)).sort()).toEqual(["already-done", "ok"]);
    expect(await mails()).toHaveLength(1);
    world.later(DAY);
    await must(world, acceptEvidence, officer, { ...at("motivation"), proof: "copy" });
    const { facts } = (await lookAt(world, file.applicationId)).loaded;
    expect(facts.asks.filter((a) => a.answeredAt === null)).toEqual([]);
    expect(await standing("motivation")).toBe("accepted");
  });

  it("takes back only what was undone: of two documents sent back at once, the other stays, with its mail", async () => {
    await sendBack("motivation");
    await sendBack("transcript", file.filled.degree);
    world.later(UNDO_MS - 1);
    await must(world, undoJudgement, officer, at("motivation"));
    expect([await standing("motivation"), await standing("transcript")]).toEqual(["to check", "returned"]);
    expect(await mails()).toEqual([
      ["Letter of motivation", "withdrawn"],
      ["Transcript of records", "queued"],
    ]);
    const { loaded } = await lookAt(world, file.applicationId);
    expect(loaded.facts.asks.map((a) => a.requirement)).toEqual(["transcript"]);
  });

  it("goes out with nothing left in braces", async () => {
    const ask = { ...at("passport"), text: "Dear {name}, which name do you use?", due: "2026-12-09" };
    expect(await reasonOf(runAct(world.runtime, askApplicant, officer, ask))).toBe("field-left");
    const back = { ...ask, reason: "other" as const, text: "By {by}, please." };
    expect(await reasonOf(runAct(world.runtime, returnEvidence, officer, back))).toBe("field-left");
    expect((await lookAt(world, file.applicationId)).loaded.facts.asks).toEqual([]);
  });

  it("takes an ask back for ten seconds: its mail is withdrawn, and nothing waits for the applicant", async () => {
    await must(world, askApplicant, officer, { ...at("passport"), text: "Which name do you use?", due: "2026-12-09" });
    expect((await lookAt(world, file.applicationId)).result.file.owed.map((s) => s.kind)).toContain("answer ask");
    await must(world, undoJudgement, officer, at("passport"));
    expect((await lookAt(world, file.applicationId)).result.file.owed.map((s) => s.kind)).not.toContain("answer ask");
    expect(await mails()).toEqual([["Passport or identity card", "withdrawn"]]);
  });

  it("takes nothing back once the ten seconds are over", async () => {
    await sendBack("motivation");
    world.later(UNDO_MS + 1);
    expect(await runAct(world.runtime, undoJudgement, officer, at("motivation"))).toMatchObject({
      reason: "too-late-to-undo",
    });
    expect([await standing("motivation"), (await mails())[0]?.[1]]).toEqual(["returned", "queued"]);
  });

  const owed = async () => (await lookAt(world, file.applicationId)).result.file.owed.map((s) => s.kind);
  const settleIt = (requirement: string) => runAct(world.runtime, settleAsk, officer, at(requirement));

  it("settles an ask that is answered in another way: nothing waits, what was supplied stands, a second time there is nothing", async () => {
    await must(world, askApplicant, officer, { ...at("passport"), text: "Which name do you use?", due: "2026-12-09" });
    world.later(DAY);
    expect(await settleIt("motivation")).toMatchObject({ reason: "already-done" });
    expect(await owed()).toContain("answer ask");
    expect(await settleIt("passport")).toMatchObject({ ok: true });
    expect([await owed(), await standing("passport")]).toEqual([
      expect.not.arrayContaining(["answer ask"]),
      "to check",
    ]);
    expect(await settleIt("passport")).toMatchObject({ reason: "already-done" });
  });

  it("withdraws mail that still waits when an ask is settled, and settles what is asked for where it is excused", async () => {
    const lead = await makePerson(world, "Maro Lindqvist", ["lead officer"]);
    for (const requirement of ["passport", "motivation"])
      await must(world, askApplicant, officer, { ...at(requirement), text: "The original?", due: "2026-12-09" });
    await settleIt("passport");
    await must(world, excuseRequirement, lead, { ...at("motivation"), reason: "Seen at the fair." });
    expect(await owed()).not.toContain("answer ask");
    expect((await mails()).map(([, state]) => state)).toEqual(["withdrawn", "withdrawn"]);
  });

  it("needs words where the reason is another one, and a document to send back", async () => {
    const back = { ...at("motivation"), due: "2026-12-09", text: "  " };
    expect(await runAct(world.runtime, returnEvidence, officer, { ...back, reason: "other" })).toMatchObject({
      reason: "needs-reason",
    });
    expect(
      await runAct(world.runtime, returnEvidence, officer, { ...back, requirement: "reference", reason: "unreadable" }),
    ).toMatchObject({ reason: "not-found" });
  });

  it("goes back for a reason that the office keeps, in its words; one that is not offered any more stays readable", async () => {
    const lead = await makePerson(world, "Nora Valtteri", ["lead officer"]);
    const words = { en: "The stamp is missing.", fr: "Le tampon manque." };
    const reason = { key: null, version: 0, title: "No stamp", words, offered: true };
    expect(await reasonOf(runAct(world.runtime, saveReason, officer, reason))).toBe("not-yours");
    const { key } = await must(world, saveReason, lead, reason);
    const back = (at: string, code: string) =>
      runAct(world.runtime, returnEvidence, officer, {
        applicationId: file.applicationId,
        requirement: at,
        scope: "file",
        entry: "",
        reason: code,
        due: "2026-12-09",
      });
    expect(await reasonOf(back("motivation", "nothing"))).toBe("not-offered");
    expect(await reasonOf(back("motivation", key))).toBe("ok");
    const { rows } = await world.runtime.pool.query<{ values: Record<string, string> }>(
      "select values from message where application_id = $1 and template = 'evidence-returned'",
      [file.applicationId],
    );
    const mail = (locale: "en" | "fr") => renderMail(locale, "evidence-returned", rows[0]?.values ?? {}, null).body;
    expect([mail("en"), mail("fr")]).toEqual([
      expect.stringContaining("The stamp is missing."),
      expect.stringContaining("Le tampon manque."),
    ]);
    const both = await Promise.all(
      [false, true].map((offered) =>
        reasonOf(runAct(world.runtime, saveReason, lead, { ...reason, key, version: 1, offered })),
      ),
    );
    expect(both.sort()).toEqual(["changed-meanwhile", "ok"]);
    const last = (await readView(world.runtime, returnReasons, officer, {}))?.find((r) => r.key === key);
    await runAct(world.runtime, saveReason, lead, { ...reason, key, version: last?.version ?? 0, offered: false });
    expect(await reasonOf(back("passport", key))).toBe("not-offered");
    const number = (await lookAt(world, file.applicationId)).loaded.facts.application.number;
    const mine = await readView(world.runtime, myApplication, file.applicant, { number });
    const result = mine?.assessment.requirements.find((r) => r.key === "motivation");
    expect(result?.kind === "document" ? reasonText("fr", result.reason, mine?.returnWords ?? {}) : "").toBe(
      "Le tampon manque.",
    );
  });

  it("sends a built-in reason in the words of the office once it has some", async () => {
    const lead = await makePerson(world, "Sini Valtteri", ["lead officer"]);
    const words = { en: "We cannot read it.", fr: "Nous ne pouvons le lire." };
    const own = { key: "unreadable", version: 0, title: "Cannot be read", words, offered: true };
    expect(await reasonOf(runAct(world.runtime, saveReason, lead, { ...own, key: "of-nobody" }))).toBe("not-found");
    await must(world, saveReason, lead, own);
    const reasons = await readView(world.runtime, returnReasons, officer, {});
    expect(reasons?.filter((r) => r.key === "unreadable")).toMatchObject([
      { title: "Cannot be read", words, version: 1 },
    ]);
    expect(reasons?.map((r) => r.key).slice(0, 2)).toEqual(["unreadable", "incomplete"]);
  });

  it("is answered by a new document, which replaces the one that was sent back and keeps it in the history", async () => {
    await sendBack("motivation");
    world.later(DAY);
    await supply(
      world.runtime,
      file.applicant,
      file.applicationId,
      "motivation",
      "",
      "again.pdf",
      await documents.motivation(file.who, world.runtime.now()),
    );
    const { loaded, result } = await lookAt(world, file.applicationId);
    expect([await standing("motivation"), loaded.facts.asks[0]?.answeredAt !== null]).toEqual(["to check", true]);
    expect(result.file.turn).toBe("office");
    const { rows } = await world.runtime.pool.query<{ name: string; replaced: boolean }>(
      "select u.name, e.replaced_at is not null as replaced from evidence e join upload u on u.id = e.upload_id where e.application_id = $1 and e.requirement = 'motivation' order by e.supplied_at",
      [file.applicationId],
    );
    expect(rows).toEqual([
      { name: "motivation.pdf", replaced: true },
      { name: "again.pdf", replaced: false },
    ]);
  });

  it("accepts once; a second time only with a higher proof", async () => {
    await must(world, acceptEvidence, officer, at("certificate", file.filled.degree));
    const again = (proof: "copy" | "original seen") =>
      runAct(world.runtime, acceptEvidence, officer, { ...at("certificate", file.filled.degree), proof });
    expect(await again("copy")).toMatchObject({ reason: "already-done" });
    expect(await again("original seen")).toMatchObject({ ok: true });
    expect(await again("copy")).toMatchObject({ reason: "already-done" });
  });
});
