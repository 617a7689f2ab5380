import { afterAll, beforeAll, beforeEach, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { answerAsk, readAnswer } from "../../src/acts/asks/answers";
import { sendAskList, takeAsksBack } from "../../src/acts/asks/ask-list";
import { extendAsk, settleAsk } from "../../src/acts/asks/asks";
import { UNDO_MS } from "../../src/core/file-acts/undo";
import type { Actor } from "../../src/core/rights/actor";
import { supply } from "../../src/demo/applicant";
import { loadCatalogue } from "../../src/demo/catalogue";
import * as documents from "../../src/demo/documents";
import { IN_PLACE } from "../../src/formats/workshop/in-place";
import { runJob } from "../../src/jobs/handlers";
import { renderMail } from "../../src/text/words/render-mail";
import { file as fileView } from "../../src/views/assessment/file";
import { readView } from "../../src/views/view/view";
import { begunFile, lookAt, submittedFile, type TestFile } from "../support/files";
import { DAY, makePerson, must, NO_REGISTRY, openWorld, type World } from "../support/world";

const DUE = "2026-12-16";

describe("a list of what is asked for", () => {
  let world: World;
  let officer: Actor;
  let roundId = "";
  let file: TestFile;
  let no = 0;

  beforeAll(async () => {
    world = await openWorld("asks");
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    ({ roundId } = await loadCatalogue(world.runtime, "2026-11-25"));
  });
  afterAll(() => world.close());
  beforeEach(async () => {
    no += 1;
    file = await submittedFile(world, roundId, `Asta${"abcdefghijklmnop"[no]}`);
    world.later(DAY / 24);
  });

  const at = (requirement: string) => ({ requirement, scope: "file", entry: "" });
  const again = { ...at("motivation"), wants: "evidence" as const, text: "The second page is missing." };
  const question = { ...at(""), wants: "words" as const, text: "Which of the two names is yours?" };
  const send = (more: object = {}) =>
    must(world, sendAskList, officer, {
      applicationId: file.applicationId,
      items: [again, question],
      due: DUE,
      ...more,
    });
  const trySend = (more: object) =>
    runAct(world.runtime, sendAskList, officer, { applicationId: file.applicationId, items: [], due: DUE, ...more });
  const asks = async () => (await lookAt(world, file.applicationId)).loaded.facts.asks;
  const owed = async () => (await lookAt(world, file.applicationId)).result.file.owed.map((s) => s.kind);
  const mails = async (template: string) =>
    (
      await world.runtime.pool.query<{ state: string; values: Record<string, string> }>(
        "select state, values from message where application_id = $1 and template = $2 order by queued_at, id",
        [file.applicationId, template],
      )
    ).rows;
  const remind = () =>
    runJob(
      {
        runtime: world.runtime,
        mail: { send: () => Promise.resolve({ result: "sent" }) },
        registry: NO_REGISTRY,
        workshop: IN_PLACE,
        baseUrl: "",
      },
      "remind-asked",
      {},
    );

  it("says to the office when the applicant last signed in", async () => {
    const { number } = (await lookAt(world, file.applicationId)).loaded.facts.application;
    const seen = async () => (await readView(world.runtime, fileView, officer, { number }))?.lastSignIn;
    expect(await seen()).toBeNull();
    const person = file.applicant.kind === "person" ? file.applicant.id : "";
    for (const at of ["2026-11-20T08:00:00Z", "2026-11-21T08:00:00Z"])
      await world.runtime.pool.query("insert into access_record (at, kind, person_id) values ($1, 'signed in', $2)", [
        at,
        person,
      ]);
    expect(Date.parse((await seen()) ?? "")).toBe(Date.parse("2026-11-21T08:00:00Z"));
  });

  it("goes out with nothing left in braces, in no line", async () => {
    const left = { ...question, text: "{name}, which of the two names is yours?" };
    expect(await trySend({ items: [again, left] })).toMatchObject({ ok: false, reason: "field-left" });
    expect(await trySend({ items: [again], words: "By {by}." })).toMatchObject({ ok: false, reason: "field-left" });
    expect(await mails("asked-list")).toEqual([]);
  });

  it("goes out in one mail, which says of each item what it is about", async () => {
    await send({ words: "Nearly there." });
    const [mail, ...more] = await mails("asked-list");
    expect(more).toEqual([]);
    const { body } = renderMail("en", "asked-list", mail?.values ?? {}, "https://apply.example");
    expect(body).toContain("Nearly there.\n\nWe ask you for:");
    expect(body).toContain(
      "– Letter of motivation: The second page is missing.\n– Which of the two names is yours?\n\nPlease answer by 16 Dec 2026",
    );
    expect((await owed()).filter((k) => k === "answer ask")).toHaveLength(2);
  });

  it("opens sections for correction with it, and the mail goes at once", async () => {
    await send({ items: [], sections: [{ scope: "file", section: "person" }], correction: "Your second name." });
    const [mail] = await mails("asked-list");
    expect(mail?.values.listEn).toMatch(/^– To correct in your application \(.+\): Your second name\.$/u);
    expect(await owed()).toContain("correct");
    expect(await mails("reopened")).toEqual([]);
  });

  it("is taken back whole within ten seconds, with its mail, and later not", async () => {
    const { letter } = await send();
    await must(world, takeAsksBack, officer, { applicationId: file.applicationId, letter });
    expect([await asks(), (await mails("asked-list"))[0]?.state]).toEqual([[], "withdrawn"]);
    const second = await send();
    world.later(UNDO_MS + 1);
    const late = { applicationId: file.applicationId, letter: second.letter };
    expect(await runAct(world.runtime, takeAsksBack, officer, late)).toMatchObject({ reason: "too-late-to-undo" });
    expect(await asks()).toHaveLength(2);
  });

  it("keeps its mail while anything of it is open, and withdraws it with the last", async () => {
    await send();
    await must(world, settleAsk, officer, { applicationId: file.applicationId, ...at("motivation") });
    expect((await mails("asked-list"))[0]?.state).toBe("queued");
    const [, words] = await asks();
    await must(world, settleAsk, officer, { applicationId: file.applicationId, ...at(""), askId: words?.id ?? "" });
    expect((await mails("asked-list"))[0]?.state).toBe("withdrawn");
  });

  it("is answered item by item: a document ends its item, words are read by the office", async () => {
    await send({ items: [again, question, { ...at("motivation"), wants: "words", text: "Who wrote it?" }] });
    const page = await documents.motivation(file.who, world.runtime.now());
    await supply(world.runtime, file.applicant, file.applicationId, "motivation", "", "again.pdf", page);
    const open = (await asks()).filter((a) => a.answeredAt === null);
    expect(open.map((a) => a.wants)).toEqual(["words", "words"]);
    const own = { applicationId: file.applicationId, askId: open[0]?.id ?? "" };
    await must(world, answerAsk, file.applicant, { ...own, text: "Both; the first is my mother’s." });
    expect(await owed()).toContain("read answer");
    expect(await runAct(world.runtime, answerAsk, file.applicant, { ...own, text: "Again." })).toMatchObject({
      reason: "already-done",
    });
    await must(world, readAnswer, officer, own);
    expect(await owed()).not.toContain("read answer");
    expect(await runAct(world.runtime, readAnswer, officer, own)).toMatchObject({ reason: "already-done" });
  });

  it("takes no words for what has to be supplied", async () => {
    await send();
    const askId = (await asks())[0]?.id ?? "";
    const words = { applicationId: file.applicationId, askId, text: "I have sent it by post." };
    expect(await runAct(world.runtime, answerAsk, file.applicant, words)).toMatchObject({ reason: "already-done" });
  });

  it("is refused where it asks for nothing, for what is not there, or of whoever has not submitted", async () => {
    expect(await trySend({})).toMatchObject({ reason: "nothing-due" });
    expect(await trySend({ items: [{ ...again, ...at("no-such-paper") }] })).toMatchObject({ reason: "not-found" });
    expect(await trySend({ items: [{ ...question, wants: "evidence" }] })).toMatchObject({ reason: "not-found" });
    const person = { scope: "file", section: "person" };
    expect(await trySend({ sections: [person] })).toMatchObject({ reason: "needs-reason" });
    const unknown = { sections: [{ ...person, section: "nowhere" }], correction: "All of it." };
    expect(await trySend(unknown)).toMatchObject({ reason: "not-found" });
    expect([await asks(), await mails("asked-list")]).toEqual([[], []]);
    const { applicationId } = await begunFile(world, roundId);
    expect(await trySend({ applicationId, items: [question] })).toMatchObject({ reason: "locked" });
  });

  it("is reminded of once before its day and once after it, in one mail, and not of what was answered", async () => {
    await send();
    world.at("2026-12-10T12:00:00Z");
    await remind();
    expect(await mails("ask-reminder")).toEqual([]);
    world.at("2026-12-11T12:00:00Z");
    await remind();
    await remind();
    const [before, ...twice] = await mails("ask-reminder");
    expect([before?.values.late, twice]).toEqual(["0", []]);
    expect(before?.values.listEn?.split("\n")).toEqual([
      "– Letter of motivation: until 16 Dec 2026",
      "– Which of the two names is yours?: until 16 Dec 2026",
    ]);
    await must(world, settleAsk, officer, { applicationId: file.applicationId, ...at("motivation") });
    world.at("2026-12-20T12:00:00Z");
    await remind();
    await remind();
    const all = await mails("ask-reminder");
    expect(all.map((m) => m.values.late)).toEqual(["0", "1"]);
    expect(all[1]?.values.listEn).not.toContain("motivation");
  });

  it("gets more time, of which a mail tells and which is reminded of anew", async () => {
    world.at("2027-01-05T12:00:00Z");
    await send({ due: "2027-01-08" });
    world.at("2027-01-20T12:00:00Z");
    await remind();
    expect(await owed()).toContain("follow up");
    for (const { id: askId } of await asks())
      await must(world, extendAsk, officer, { applicationId: file.applicationId, askId, due: "2027-02-10" });
    expect(await owed()).not.toContain("follow up");
    const told = (await mails("ask-extended")).map((m) => [m.values.documentEn, m.values.due]);
    expect(told.sort()).toEqual([
      ["Letter of motivation", "2027-02-10"],
      ["Which of the two names is yours?", "2027-02-10"],
    ]);
    world.at("2027-02-08T12:00:00Z");
    await remind();
    expect((await mails("ask-reminder")).map((m) => m.values.late)).toEqual(["1", "0"]);
  });
});
