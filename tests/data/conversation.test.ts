import { readFileSync } from "node:fs";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { dropHeld, holdAttachment } from "../../src/acts/conversation/attachments";
import {
  readConversation,
  settleMessages,
  takeMessageBack,
  writeToApplicant,
  writeToOffice,
} from "../../src/acts/conversation/conversation";
import { dropText, saveText } from "../../src/acts/conversation/texts";
import { fileAttachment } from "../../src/acts/evidence/file-attachment";
import { clearAway } from "../../src/acts/people/clear-away";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { verifyAll } from "../../src/verify";
import { recurringQuestions } from "../../src/views/contact/recurring-questions";
import { fileConversation, myConversation, officeTexts } from "../../src/views/conversation/conversation";
import { readView } from "../../src/views/view/view";
import { begunFile, lookAt, submittedFile, type TestFile } from "../support/files";
import { makePerson, must, openWorld, reasonOf, SYSTEM, type World } from "../support/world";

/** Applicant and office write to each other in the file; whoever has not answered has the turn. */
describe("the conversation on a file", () => {
  let world: World;
  let officer: Actor;
  let elsewhere: Actor;
  let lead: Actor;
  let file: TestFile;
  let number = "";

  beforeAll(async () => {
    world = await openWorld("conversation");
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    elsewhere = await makePerson(world, "Far Away", ["officer"], "FYC");
    lead = await makePerson(world, "Tadhg Breen", ["lead officer"]);
    const { roundId } = await loadCatalogue(world.runtime, "2026-11-25");
    file = await submittedFile(world, roundId, "Ilse");
    number = (await lookAt(world, file.applicationId)).loaded.facts.application.number;
  });
  afterAll(() => world.close());

  const at = () => ({ applicationId: file.applicationId });
  const owed = async (applicationId = file.applicationId) =>
    (await lookAt(world, applicationId)).result.file.owed.find((s) => s.kind === "answer message");
  const mine = async () => (await readView(world.runtime, myConversation, file.applicant, { number }))?.messages;
  const theirs = () => readView(world.runtime, fileConversation, officer, { number });
  const mails = async () =>
    (
      await world.runtime.pool.query<{ state: string; values: { text: string } }>(
        "select state, values from message where template = 'written' order by queued_at",
      )
    ).rows;

  it("makes what the applicant writes a step of the office, until it is answered", async () => {
    expect(await owed()).toBeUndefined();
    await must(world, writeToOffice, file.applicant, {
      ...at(),
      text: "Does my field course count?",
      about: "courses",
    });
    world.later(60_000);
    await must(world, writeToOffice, file.applicant, { ...at(), text: "It had ten credits.", about: "nothing such" });
    world.later(60_000);
    expect(await owed()).toMatchObject({ turn: "office", count: 2, due: "2026-11-27" });
    expect((await mine())?.map((m) => [m.text, m.about, m.readAt])).toEqual([
      ["Does my field course count?", "courses", null],
      ["It had ten credits.", "", null],
    ]);
    await must(world, readConversation, officer, at());
    expect((await mine())?.every((m) => m.readAt !== null && m.answeredAt === null)).toBe(true);
    await must(world, writeToApplicant, officer, {
      ...at(),
      text: "It does, as natural science.",
      question: "Which area has a field course?",
    });
    expect(await owed()).toBeUndefined();
    expect((await mine())?.map((m) => [m.fromOffice, m.by, m.answeredAt !== null])).toEqual([
      [false, expect.any(String), true],
      [false, expect.any(String), true],
      [true, "Runa Okonjo", false],
    ]);
    expect((await mails()).map((m) => [m.state, m.values.text])).toEqual([["queued", "It does, as natural science."]]);
  });

  it("is taken back while its mail waits, and what it had answered waits again", async () => {
    world.later(60_000);
    await must(world, writeToOffice, file.applicant, { ...at(), text: "And the seminar?" });
    world.later(60_000);
    const { messageId } = await must(world, writeToApplicant, officer, { ...at(), text: "No." });
    expect(await reasonOf(runAct(world.runtime, takeMessageBack, lead, { ...at(), messageId }))).toBe("not-found");
    await must(world, takeMessageBack, officer, { ...at(), messageId });
    expect((await mine())?.map((m) => m.text)).not.toContain("No.");
    expect(await owed()).toMatchObject({ count: 1 });
    expect((await mails()).at(-1)?.state).toBe("withdrawn");
    await world.runtime.pool.query("update message set state = 'sent' where template = 'written' and state = 'queued'");
    const sent = (await mine())?.find((m) => m.fromOffice)?.id ?? "";
    expect(await reasonOf(runAct(world.runtime, takeMessageBack, officer, { ...at(), messageId: sent }))).toBe(
      "too-late-to-undo",
    );
    await must(world, settleMessages, officer, at());
    expect(await owed()).toBeUndefined();
    expect(await reasonOf(runAct(world.runtime, settleMessages, officer, at()))).toBe("already-done");
  });

  it("sends nothing in which a field was left in its braces", async () => {
    expect(await reasonOf(runAct(world.runtime, writeToApplicant, officer, { ...at(), text: "Until {by}." }))).toBe(
      "field-left",
    );
  });

  it("is read and written by its applicant and the office of its programmes alone", async () => {
    const { owner } = await begunFile(
      world,
      (await lookAt(world, file.applicationId)).loaded.facts.choices[0]?.roundId ?? "",
    );
    expect(await readView(world.runtime, myConversation, owner, { number })).toBeNull();
    expect(await readView(world.runtime, fileConversation, elsewhere, { number })).toBeNull();
    expect(await reasonOf(runAct(world.runtime, writeToOffice, owner, { ...at(), text: "Hello" }))).toBe("not-yours");
    expect(await reasonOf(runAct(world.runtime, readConversation, elsewhere, at()))).toBe("not-found");
    expect(await reasonOf(runAct(world.runtime, writeToApplicant, elsewhere, { ...at(), text: "Hello" }))).toBe(
      "not-yours",
    );
  });

  it("is the office's turn in a draft, too, whose applicant goes on all the same", async () => {
    const { roundId } = (await lookAt(world, file.applicationId)).loaded.facts.choices[0] ?? { roundId: "" };
    const { owner, applicationId } = await begunFile(world, roundId);
    await must(world, writeToOffice, owner, { applicationId, text: "May I begin with the courses?" });
    const { result } = await lookAt(world, applicationId);
    expect([result.file.turn, result.file.stage]).toEqual(["office", "preparing"]);
    expect(result.file.owed.map((s) => s.kind).sort()).toEqual(["answer message", "fill"]);
    await must(world, settleMessages, officer, { applicationId });
    expect((await lookAt(world, applicationId)).result.file.turn).toBe("applicant");
  });

  it("takes no more than twenty messages a day", async () => {
    const write = (text: string) => runAct(world.runtime, writeToOffice, file.applicant, { ...at(), text });
    world.later(86_400_001);
    const said = [];
    for (let i = 0; i < 21; i += 1) said.push(await reasonOf(write(`Number ${i}`)));
    expect(said.filter((s) => s === "ok")).toHaveLength(20);
    expect(said.at(-1)).toBe("written-enough");
    await must(world, settleMessages, officer, at());
  });

  it("collects what was asked for the help texts", async () => {
    const questions = await readView(world.runtime, recurringQuestions, lead, {});
    expect(questions?.find((q) => q.section === "courses")).toMatchObject({
      code: "MES",
      times: 1,
      questions: ["Which area has a field course?"],
    });
  });

  it("has texts of the office, filled in for the file and kept by a lead officer", async () => {
    const text = {
      textId: null,
      version: null,
      name: "Thanks",
      en: "Dear {name}, about {number}: thank you.",
      fr: "Merci, {name}.",
      uses: ["message" as const],
    };
    expect(await reasonOf(runAct(world.runtime, saveText, officer, text))).toBe("not-yours");
    expect(await reasonOf(runAct(world.runtime, saveText, lead, { ...text, uses: [] }))).toBe("invalid-input");
    expect(await runAct(world.runtime, saveText, lead, { ...text, fr: "Merci, {nom}." })).toMatchObject({
      reason: "unknown-field",
      details: { fields: ["nom"] },
    });
    const { textId } = await must(world, saveText, lead, text);
    expect(await reasonOf(runAct(world.runtime, saveText, lead, text))).toBe("already-done");
    await must(world, saveText, lead, { ...text, textId, version: 1, fr: "Merci bien, {name}." });
    expect(await reasonOf(runAct(world.runtime, saveText, lead, { ...text, textId, version: 1 }))).toBe(
      "changed-meanwhile",
    );
    expect((await readView(world.runtime, officeTexts, officer, {}))?.map((t) => [t.name, t.version, t.fr])).toEqual([
      ["Thanks", 2, "Merci bien, {name}."],
    ]);
    const data = await theirs();
    expect(data?.values).toMatchObject({ name: "Ilse Maarteen-Quist", number, officer: "Runa Okonjo" });
    expect(data?.texts.map((t) => t.name)).toEqual(["Thanks"]);
    await must(world, dropText, lead, { textId });
    expect(await readView(world.runtime, officeTexts, officer, {})).toEqual([]);
  });

  it("sends documents that are held for the writer, and lets go of what nobody sends", async () => {
    const hold = async (by: Actor, name = "a.pdf") =>
      must(world, holdAttachment, by, {
        ...at(),
        name,
        bytes: readFileSync("tests/fixtures/files/good.pdf"),
        mediaType: "application/pdf",
        marks: [],
      });
    const held = async (by: Actor) =>
      by === officer ? (await theirs())?.held : (await readView(world.runtime, myConversation, by, { number }))?.held;
    const mineNow = await hold(file.applicant, "mine.pdf");
    const office = await hold(officer, "ours.pdf");
    expect([(await held(file.applicant))?.map((d) => d.name), (await held(officer))?.map((d) => d.name)]).toEqual([
      ["mine.pdf"],
      ["ours.pdf"],
    ]);
    expect(
      await reasonOf(
        runAct(world.runtime, holdAttachment, elsewhere, {
          ...at(),
          name: "x.pdf",
          bytes: Buffer.from("x"),
          mediaType: "application/pdf",
          marks: [],
        }),
      ),
    ).toBe("not-yours");
    // Nobody sends or takes away what another one holds.
    const write = (files: readonly string[]) =>
      runAct(world.runtime, writeToApplicant, officer, { ...at(), text: "See there.", files: [...files] });
    expect(await reasonOf(write([mineNow.uploadId]))).toBe("changed-meanwhile");
    expect(await reasonOf(runAct(world.runtime, dropHeld, officer, { ...at(), uploadId: mineNow.uploadId }))).toBe(
      "already-done",
    );
    const sent = await must(world, writeToApplicant, officer, {
      ...at(),
      text: "See there.",
      files: [office.uploadId],
    });
    const message = (await mine())?.find((m) => m.text === "See there.");
    expect(message?.documents.map((d) => d.name)).toEqual(["ours.pdf"]);
    // Taken back, it is held again, and what was put to a requirement meanwhile stays there.
    await must(world, fileAttachment, officer, {
      ...at(),
      requirement: "passport",
      scope: "file",
      entry: "",
      uploadId: office.uploadId,
    });
    await must(world, takeMessageBack, officer, { ...at(), messageId: sent.messageId });
    expect((await held(officer))?.map((d) => d.name)).toEqual(["ours.pdf"]);
    await must(world, dropHeld, officer, { ...at(), uploadId: office.uploadId });
    expect(await held(officer)).toEqual([]);
    world.later(25 * 3_600_000);
    expect(await must(world, clearAway, SYSTEM, {})).toMatchObject({ attachments: 1 });
    expect(await held(file.applicant)).toEqual([]);
    const { rows } = await world.runtime.pool.query("select 1 from upload where id = $1", [office.uploadId]);
    expect(rows).toHaveLength(1);
  });

  it("leaves every file stored as it is assessed anew", async () => {
    expect((await verifyAll(world.runtime.pool)).differing).toEqual([]);
  });
});
