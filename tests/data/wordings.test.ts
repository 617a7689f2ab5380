import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { claimMessage, reportMessage } from "../../src/acts/mail/messages";
import { saveWording } from "../../src/acts/mail/wordings";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { IN_PLACE } from "../../src/formats/workshop/in-place";
import { type JobContext, runJob } from "../../src/jobs/handlers";
import { fileMessages, myMessages } from "../../src/views/mail/messages";
import { mailWording, mailWordings } from "../../src/views/mail/wordings";
import { readView } from "../../src/views/view/view";
import { lookAt, submittedFile, type TestFile } from "../support/files";
import { makePerson, must, NO_REGISTRY, openWorld, reasonOf, SYSTEM, type World } from "../support/world";

const words = (body: string) => ({
  en: { subject: "No. {number} is here", body },
  fr: { subject: "Le no {number} est là", body },
});

/** The office's own words for mails: version by version, and what was sent keeps those with which it went. */
describe("the words of mails", () => {
  let world: World;
  let lead: Actor;
  let officer: Actor;
  let elsewhere: Actor;
  let file: TestFile;
  let number = "";
  const sent: { subject: string; body: string }[] = [];

  beforeAll(async () => {
    world = await openWorld("wordings");
    lead = await makePerson(world, "Tadhg Breen", ["lead officer"]);
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    elsewhere = await makePerson(world, "Far Away", ["officer"], "FYC");
    const { roundId } = await loadCatalogue(world.runtime, "2026-11-25");
    file = await submittedFile(world, roundId, "Ilse");
    number = (await lookAt(world, file.applicationId)).loaded.facts.application.number;
  });
  afterAll(() => world.close());

  const save = (body: string, version: number, by = lead) =>
    runAct(world.runtime, saveWording, by, { template: "submitted", version, words: words(body) });
  const deliver = () => {
    const jobs: JobContext = {
      runtime: world.runtime,
      registry: NO_REGISTRY,
      workshop: IN_PLACE,
      baseUrl: "https://apply.example",
      mail: {
        send: (mail) => {
          sent.push(mail);
          return Promise.resolve({ result: "sent" });
        },
      },
    };
    return runJob(jobs, "sweep-messages", {});
  };
  const receipt = async () =>
    (await readView(world.runtime, fileMessages, officer, { number }))?.sent.find((m) => m.subject.includes(number));

  it.each([
    ["a brace that stands open", "It is here, {programmes."],
    ["a field that this mail does not have", "It is here, {officer}."],
    ["a brace behind a straight apostrophe that nothing closes", "l'{programmes"],
  ])("are refused with %s", async (_, body) => expect(await reasonOf(save(body, 0))).toBe("unknown-field"));

  it("are a lead officer's, and the later of two writers is told", async () => {
    expect(await reasonOf(save("Welcome, {name}.", 0, officer))).toBe("not-yours");
    expect(
      await reasonOf(runAct(world.runtime, saveWording, lead, { template: "submitted", version: 0, words: null })),
    ).toBe("already-done");
    const both = await Promise.all([save("Welcome, {name}.", 0), save("Good day, {name}.", 0)]);
    expect(both.map((o) => (o.ok ? "ok" : o.reason)).sort()).toEqual(["changed-meanwhile", "ok"]);
  });

  it("go out from the next mail on, an apostrophe before a field included", async () => {
    await must(world, saveWording, lead, { template: "submitted", version: 1, words: words("It's l'{programmes}.") });
    await deliver();
    const mail = sent.find((m) => m.subject.includes(number));
    expect(mail?.subject).toMatch(/^No\. .* is here$/u);
    expect(mail?.body).toContain("It’s l’MES");
    expect(mail?.body).toContain("Dear ");
  });

  it("stay with what was sent, wherever it is read, when they change again", async () => {
    await must(world, saveWording, lead, { template: "submitted", version: 2, words: null });
    const mail = sent.find((m) => m.subject.includes(number));
    expect(await receipt()).toMatchObject({ subject: mail?.subject, body: mail?.body });
    const mine = await readView(world.runtime, myMessages, file.applicant, {});
    expect(mine?.messages.find((m) => m.template === "submitted")?.words?.body).toBe("It’s l’{programmes}.");
  });

  it("are read with values of a file that one works on, and with made-up ones else", async () => {
    const read = (by: Actor, of = "") =>
      readView(world.runtime, mailWording, by, { template: "submitted", number: of });
    expect((await read(officer))?.sample).toMatchObject({ number, values: { number, link: "/my" } });
    expect((await read(officer))?.versions.map((v) => [v.version, v.words === null, v.by])).toEqual([
      [3, true, "Tadhg Breen"],
      [2, false, "Tadhg Breen"],
      [1, false, "Tadhg Breen"],
    ]);
    expect(await read(elsewhere, number)).toMatchObject({ sample: { number: null }, unknown: true });
    const line = (await readView(world.runtime, mailWordings, officer, {}))?.find((l) => l.template === "submitted");
    expect(line).toMatchObject({ own: false, changed: { by: "Tadhg Breen" }, sent: 1 });
  });

  it("are those of the moment when a mail is tried again", async () => {
    await world.runtime.pool.query(
      "insert into message (to_address, template, locale, values, state, due_at, queued_at) values ('a@b.example', 'withdrawn', 'en', '{\"number\":\"1\"}', 'queued', $1, $1)",
      [world.runtime.now()],
    );
    const { rows } = await world.runtime.pool.query<{ id: string }>(
      "select id from message where template = 'withdrawn'",
    );
    const id = rows[0]?.id ?? "";
    const claim = async () => (await must(world, claimMessage, SYSTEM, { messageId: id }))?.words?.en.body ?? null;
    expect(await claim()).toBeNull();
    await must(world, reportMessage, SYSTEM, { messageId: id, attempt: 1, result: "failed", failure: "x" });
    const own = { subject: "{number}", body: "Gone: {number}" };
    await must(world, saveWording, lead, { template: "withdrawn", version: 0, words: { en: own, fr: own } });
    world.later(3_600_000);
    expect(await claim()).toBe("Gone: {number}");
  });
});
