import { readFileSync } from "node:fs";
import { afterAll, beforeAll, beforeEach, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { writeToApplicant } from "../../src/acts/conversation/conversation";
import { placeMail, putMailAway } from "../../src/acts/conversation/incoming";
import { fileAttachment } from "../../src/acts/evidence/file-attachment";
import { tryMailAgain } from "../../src/acts/mail/messages";
import { keepTrayAnswer, noteTrayFetched } from "../../src/acts/mail/tray-answers";
import { correctAddress, settleReturned } from "../../src/acts/people/correct-address";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { IN_PLACE } from "../../src/formats/workshop/in-place";
import { type JobContext, runJob } from "../../src/jobs/handlers";
import { trayMail } from "../../src/outside/mail";
import {
  type Answer,
  composeAnswer,
  composeReturn,
  imapMailbox,
  type Mailbox,
  trayMailbox,
} from "../../src/outside/mailbox";
import { verifyAll } from "../../src/verify";
import { fileConversation, myConversation } from "../../src/views/conversation/conversation";
import { document } from "../../src/views/evidence/document";
import { incomingDocument, mailIn } from "../../src/views/mail/incoming";
import { fileMessages } from "../../src/views/mail/messages";
import { trayAnswers } from "../../src/views/mail/tray-answers";
import { readView } from "../../src/views/view/view";
import { lookAt, submittedFile, type TestFile } from "../support/files";
import { smallImap } from "../support/small-imap";
import { makePerson, must, NO_REGISTRY, openWorld, reasonOf, SYSTEM, type World } from "../support/world";

const pdf = readFileSync("tests/fixtures/files/good.pdf");

/** Answers to our mails, reports that they did not arrive, and what else comes in. */
describe("mail that comes in", () => {
  let world: World;
  let officer: Actor;
  let elsewhere: Actor;
  let file: TestFile;
  let other: TestFile;
  let number = "";
  let email = "";

  const tray: Mailbox = trayMailbox({
    waiting: () => trayAnswers(world.runtime.pool),
    fetched: async (id) => void (await runAct(world.runtime, noteTrayFetched, SYSTEM, { id })),
  });
  const report = async (mail: { messageId: string; to: string }) => put(await composeReturn(mail));
  const jobs = (mailbox: Mailbox = tray): JobContext => ({
    runtime: world.runtime,
    registry: NO_REGISTRY,
    workshop: IN_PLACE,
    baseUrl: "https://apply.example",
    mailbox,
    mail: trayMail(async () => undefined, report),
  });
  const put = async (raw: Buffer) => void (await runAct(world.runtime, keepTrayAnswer, SYSTEM, { raw }));
  const fetch = () => runJob(jobs(), "fetch-mail", {});
  const deliver = () => runJob(jobs(), "sweep-messages", {});
  const comes = async (answer: Partial<Answer>) => {
    world.later(1000);
    await put(
      await composeAnswer({
        from: `Ilse <${email}>`,
        to: "office@merrow.example",
        subject: "Re",
        text: "Both names are mine.",
        answers: null,
        files: [],
        ...answer,
      }),
    );
    await fetch();
  };
  const one = async <T extends object>(text: string, values: readonly unknown[] = []): Promise<T> => {
    const { rows } = await world.runtime.pool.query<T>(text, [...values]);
    if (!rows[0]) throw new Error("nothing there");
    return rows[0];
  };
  /** The newest mail about a file to an address, by its template. */
  const mailOf = async (template: string, applicationId = file.applicationId) =>
    (
      await one<{ id: string }>(
        "select id from message where application_id = $1 and template = $2 order by queued_at desc limit 1",
        [applicationId, template],
      )
    ).id;
  const owed = async (kind: string, of = file) =>
    (await lookAt(world, of.applicationId)).result.file.owed.find((s) => s.kind === kind)?.count ?? 0;
  const spoken = async () => (await readView(world.runtime, fileConversation, officer, { number }))?.messages ?? [];
  const inbox = async (actor = officer) => await readView(world.runtime, mailIn, actor, {});
  const waiting = async () => (await inbox())?.waiting ?? [];

  beforeAll(async () => {
    world = await openWorld("incoming_mail");
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    elsewhere = await makePerson(world, "Far Away", ["officer"], "FYC");
    const { roundId } = await loadCatalogue(world.runtime, "2026-11-25");
    file = await submittedFile(world, roundId, "Ilse");
    other = await submittedFile(world, roundId, "Otto");
    number = (await lookAt(world, file.applicationId)).loaded.facts.application.number;
    email = (
      await one<{ email: string }>(
        "select p.email from person p join application a on a.person_id = p.id where a.id = $1",
        [file.applicationId],
      )
    ).email;
    await deliver();
  });
  afterAll(() => world.close());
  beforeEach(async () => {
    world.later(86_400_000);
    await world.runtime.pool.query("update conversation set answered_at = $1 where answered_at is null", [
      world.runtime.now(),
    ]);
  });

  it("is an answer in the conversation where it answers a mail to the applicant, once, whoever fetches it", async () => {
    const raw = await composeAnswer({
      from: `Ilse <${email}>`,
      to: "office@merrow.example",
      subject: "Re: We have your application",
      text: "Thank you.\n\nOn Tue, 1 Dec 2026 at 14:00, The office <o@m.example> wrote:\n> Dear Ilse,",
      answers: await mailOf("submitted"),
      files: [
        { name: "Second passport.pdf", bytes: pdf },
        { name: "notes.docx", bytes: readFileSync("tests/fixtures/files/letter.docx") },
      ],
    });
    await put(raw);
    await Promise.all([fetch(), fetch()]);
    await put(raw);
    await fetch();
    const came = (await spoken()).filter((m) => m.mail !== null);
    expect(came).toMatchObject([
      {
        fromOffice: false,
        text: "Thank you.",
        documents: [{ name: "Second passport.pdf", filed: false }],
        mail: { from: email, left: [{ name: "notes.docx", reason: "kind_not_accepted" }] },
      },
    ]);
    expect(came[0]?.mail?.text).toContain("> Dear Ilse,");
    expect(await owed("answer message")).toBe(1);
    // Who sent it sees it, too, and nobody else does.
    const uploadId = came[0]?.documents[0]?.uploadId ?? "";
    const opens = async (actor: Actor) => (await readView(world.runtime, document, actor, { uploadId }))?.name;
    expect([await opens(file.applicant), await opens(other.applicant), await opens(elsewhere)]).toEqual([
      "Second passport.pdf",
      undefined,
      undefined,
    ]);
  });

  it("brings documents that can be put where they belong, once", async () => {
    const uploadId = (await spoken()).find((m) => m.documents.length > 0)?.documents[0]?.uploadId ?? "";
    const at = { applicationId: file.applicationId, requirement: "passport", scope: "file", entry: "", uploadId };
    expect(await reasonOf(runAct(world.runtime, fileAttachment, officer, { ...at, requirement: "nothing" }))).toBe(
      "not-found",
    );
    expect(
      await reasonOf(runAct(world.runtime, fileAttachment, officer, { ...at, applicationId: other.applicationId })),
    ).toBe("not-found");
    await must(world, fileAttachment, officer, at);
    expect(await reasonOf(runAct(world.runtime, fileAttachment, officer, at))).toBe("already-done");
    const { loaded } = await lookAt(world, file.applicationId);
    expect(loaded.facts.evidence.filter((e) => e.requirement === "passport")).toHaveLength(2);
    expect((await spoken()).flatMap((m) => m.documents.map((d) => d.filed))).toEqual([true]);
  });

  it("is in the conversation also from another mailbox of theirs, and says from which", async () => {
    await comes({ from: "ilse@work.example", answers: await mailOf("submitted"), text: "It is me." });
    expect((await spoken()).at(-1)?.mail?.from).toBe("ilse@work.example");
  });

  it("waits where only an address or a number speaks for it, and is placed by somebody", async () => {
    await comes({ subject: `Re: No. ${number}`, text: "Where is my file?" });
    await comes({ from: "stranger@people.example", subject: "Hello", text: "Do you have places?" });
    expect(await owed("answer message")).toBe(0);
    expect((await waiting()).map((m) => [m.text, m.file?.number ?? null, m.account !== null])).toEqual([
      ["Where is my file?", number, true],
      ["Do you have places?", null, false],
    ]);
    // An officer of another programme sees that it waits, and not whose file it is.
    expect((await inbox(elsewhere))?.waiting.map((m) => m.file)).toEqual([null, null]);
    const [mine, strange] = await waiting();
    const place = { applicationId: file.applicationId, mailId: mine?.id ?? "", as: "message" as const };
    expect(await reasonOf(runAct(world.runtime, placeMail, elsewhere, place))).toBe("not-yours");
    await must(world, placeMail, officer, place);
    expect(await reasonOf(runAct(world.runtime, placeMail, officer, place))).toBe("already-done");
    expect((await spoken()).at(-1)?.text).toBe("Where is my file?");
    expect(await owed("answer message")).toBe(1);
    await must(world, putMailAway, officer, { mailId: strange?.id ?? "", away: true });
    expect([(await waiting()).length, (await inbox())?.away.map((m) => m.text)]).toEqual([0, ["Do you have places?"]]);
    await must(world, putMailAway, officer, { mailId: strange?.id ?? "", away: false });
    expect((await waiting()).map((m) => m.text)).toEqual(["Do you have places?"]);
    await must(world, putMailAway, officer, { mailId: strange?.id ?? "", away: true });
  });

  it("keeps what a referee answers from the applicant, with the file for the office alone", async () => {
    await comes({
      from: "referee@people.example",
      answers: await mailOf("reference-asked"),
      text: "Between us: a doubtful case.",
      files: [{ name: "letter.pdf", bytes: pdf }],
    });
    const [mail] = await waiting();
    expect(mail).toMatchObject({ file: { number, confidential: true }, documents: [{ name: "letter.pdf" }] });
    const hangs = { mailId: mail?.id ?? "", no: 0 };
    expect((await readView(world.runtime, incomingDocument, officer, hangs))?.name).toBe("letter.pdf");
    const place = { applicationId: file.applicationId, mailId: mail?.id ?? "" };
    expect(await reasonOf(runAct(world.runtime, placeMail, officer, { ...place, as: "message" }))).toBe("not-yours");
    await must(world, placeMail, officer, { ...place, as: "kept" });
    expect(await readView(world.runtime, incomingDocument, officer, hangs)).toBeNull();
    const kept = (await readView(world.runtime, fileMessages, officer, { number }))?.kept ?? [];
    expect(kept).toMatchObject([{ from: "referee@people.example", text: "Between us: a doubtful case." }]);
    const uploadId = kept[0]?.documents[0]?.uploadId ?? "";
    expect(await readView(world.runtime, document, officer, { uploadId })).not.toBeNull();
    expect(await readView(world.runtime, document, file.applicant, { uploadId })).toBeNull();
    const mine = await readView(world.runtime, myConversation, file.applicant, { number });
    expect(JSON.stringify(mine)).not.toContain("doubtful");
  });

  it("says nothing to anybody where a machine sent it", async () => {
    const raw = (
      await composeAnswer({
        from: email,
        to: "o@m.example",
        subject: "Away",
        text: "I am away.",
        answers: await mailOf("submitted"),
        files: [],
      })
    ).toString();
    await put(Buffer.from(`Auto-Submitted: auto-replied\r\n${raw}`));
    await fetch();
    expect(await owed("answer message")).toBe(0);
    expect((await readView(world.runtime, fileMessages, officer, { number }))?.kept).toEqual(
      expect.arrayContaining([expect.objectContaining({ text: "I am away.", automatic: true })]),
    );
  });

  it("stops filling a file by itself when somebody sends without end", async () => {
    const answers = await mailOf("submitted");
    for (let i = 0; i < 22; i += 1) await comes({ answers, text: `Number ${i}` });
    expect((await spoken()).filter((m) => m.text.startsWith("Number "))).toHaveLength(20);
    expect((await waiting()).map((m) => m.file?.number)).toEqual([number, number]);
    for (const { id } of await waiting()) await must(world, putMailAway, officer, { mailId: id, away: true });
  });

  it("is kept as unreadable where it is no mail, and keeps no other from coming", async () => {
    await put(Buffer.from("\0\0\0 no mail"));
    await comes({ answers: await mailOf("submitted"), text: "After it." });
    expect((await waiting()).map((m) => m.from)).toEqual([""]);
    expect((await spoken()).at(-1)?.text).toBe("After it.");
    await fetch();
    expect(await waiting()).toHaveLength(1);
  });

  it("comes from a mailbox over IMAP, and is off it only once it is kept", async () => {
    const imap = await smallImap();
    const answers = await mailOf("submitted");
    imap.put(
      await composeAnswer({ from: email, to: "o@m.example", subject: "Re", text: "Over IMAP.", answers, files: [] }),
    );
    imap.put(
      await composeAnswer({ from: email, to: "o@m.example", subject: "Re", text: "And one more.", answers, files: [] }),
    );
    const real = imapMailbox(imap.url);
    await expect(real.fetch(() => Promise.reject(new Error("the database is away")))).rejects.toThrow(
      "the database is away",
    );
    expect(imap.seen()).toEqual([false, false]);
    await runJob(jobs(real), "fetch-mail", {});
    await runJob(jobs(real), "fetch-mail", {});
    expect([imap.seen(), imap.handedOver()]).toEqual([
      [true, true],
      [2, 1],
    ]);
    // Both came in the same moment.
    expect(new Set((await spoken()).slice(-2).map((m) => m.text))).toEqual(new Set(["Over IMAP.", "And one more."]));
    await imap.close();
  });

  describe("a mail of ours that comes back", () => {
    const write = async () => {
      await must(world, writeToApplicant, officer, { applicationId: file.applicationId, text: "Which name is it?" });
      world.later(20_000);
      await deliver();
      await fetch();
    };

    it("is work of the office, whether the server said so at once or later", async () => {
      for (const host of ["bounce.example", "late.bounce.example"]) {
        await world.runtime.pool.query(
          "update person set email = 'ilse@' || $2 where id = (select person_id from application where id = $1)",
          [file.applicationId, host],
        );
        await write();
        expect(await owed("reach applicant")).toBe(1);
        const sent = (await readView(world.runtime, fileMessages, officer, { number }))?.sent[0];
        expect(sent).toMatchObject({ state: "failed", failure: expect.stringContaining("no such mailbox") });
        await must(world, settleReturned, officer, { applicationId: file.applicationId, again: false });
        expect(await owed("reach applicant")).toBe(0);
        expect(
          await reasonOf(
            runAct(world.runtime, settleReturned, officer, { applicationId: file.applicationId, again: false }),
          ),
        ).toBe("already-done");
      }
    });

    it("is seen to once it was tried again and has gone out", async () => {
      await write();
      expect(await owed("reach applicant")).toBe(1);
      const admin = await makePerson(world, "Mireille Castagnier", ["administrator"]);
      const { id } = await one<{ id: string }>("select id from message where refused and dealt_at is null");
      await must(world, tryMailAgain, admin, { messageId: id });
      await runJob({ ...jobs(), mail: { send: async () => ({ result: "sent" }) } }, "sweep-messages", {});
      expect(await owed("reach applicant")).toBe(0);
    });

    it("goes to the right address once the office has corrected it, with a trace; the old one is told", async () => {
      await write();
      expect(await owed("reach applicant")).toBe(1);
      const correct = (address: string, reason = "Called; passport number given") =>
        runAct(world.runtime, correctAddress, officer, { applicationId: file.applicationId, email: address, reason });
      const taken = await one<{ email: string }>(
        "select p.email from person p join application a on a.person_id = p.id where a.id = $1",
        [other.applicationId],
      );
      expect(await reasonOf(correct(taken.email))).toBe("address-taken");
      expect(await reasonOf(correct("ILSE@late.bounce.example"))).toBe("nothing-due");
      expect(await reasonOf(correct("ilse@right.example", " "))).toBe("invalid-input");
      expect(await reasonOf(correct(" Ilse@Right.example "))).toBe("ok");
      expect(await owed("reach applicant")).toBe(0);
      const { rows } = await world.runtime.pool.query<{ template: string; to: string }>(
        `select template, to_address as to from message where queued_at = $1 and state = 'queued' order by template`,
        [world.runtime.now()],
      );
      expect(rows).toEqual([
        { template: "address-corrected", to: "ilse@late.bounce.example" },
        { template: "confirm-address", to: "ilse@right.example" },
        { template: "written", to: "ilse@right.example" },
      ]);
      const mails = await readView(world.runtime, fileMessages, officer, { number });
      expect(mails?.addresses).toMatchObject([
        {
          before: "ilse@late.bounce.example",
          after: "ilse@right.example",
          reason: "Called; passport number given",
          by: "Runa Okonjo",
        },
      ]);
      // The mail to the old address comes back as well, and is nobody's work.
      await deliver();
      await fetch();
      expect(await owed("reach applicant")).toBe(0);
    });

    it("keeps the addresses of staff from the office", async () => {
      const { rows } = await world.runtime.pool.query<{ id: string }>(
        "select person_id as id from application where id = $1",
        [other.applicationId],
      );
      await world.runtime.pool.query(
        "insert into role_grant (person_id, role, scope, granted_at) values ($1, 'finance', '*', $2)",
        [rows[0]?.id, world.runtime.now()],
      );
      const correct = runAct(world.runtime, correctAddress, officer, {
        applicationId: other.applicationId,
        email: "mine@people.example",
        reason: "Called",
      });
      expect(await reasonOf(correct)).toBe("not-yours");
    });
  });

  it("leaves every file settled", async () => {
    expect((await verifyAll(world.runtime.pool)).differing).toEqual([]);
  });
});
