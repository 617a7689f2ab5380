import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { sendAgain } from "../../src/acts/mail/messages";
import { sendLink } from "../../src/acts/people/accounts";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { IN_PLACE } from "../../src/formats/workshop/in-place";
import { type JobContext, runJob } from "../../src/jobs/handlers";
import { fileMessages } from "../../src/views/mail/messages";
import { readView } from "../../src/views/view/view";
import { lookAt, submittedFile, type TestFile } from "../support/files";
import { makePerson, must, NO_REGISTRY, openWorld, reasonOf, SYSTEM, type World } from "../support/world";

/** The mails about a file, as the office reads them. */
describe("mails about a file", () => {
  let world: World;
  let officer: Actor;
  let file: TestFile;
  let other: TestFile;
  const sent: { to: string; subject: string; body: string }[] = [];

  beforeAll(async () => {
    world = await openWorld("file_messages");
    const { roundId } = await loadCatalogue(world.runtime, "2026-11-25");
    officer = await makePerson(world, "Officer", ["officer"]);
    file = await submittedFile(world, roundId, "Reader");
    other = await submittedFile(world, roundId, "Other");
    await deliver();
  });
  afterAll(() => world.close());

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
  const mails = async (of = file) => {
    const { number } = (await lookAt(world, of.applicationId)).loaded.facts.application;
    return (await readView(world.runtime, fileMessages, officer, { number }))?.sent ?? [];
  };

  it("are read as they were sent, without the links of their readers", async () => {
    const receipt = (await mails()).find((m) => m.again);
    expect(receipt).toMatchObject({ state: "sent", failure: null });
    expect(sent.find((m) => m.to === receipt?.to)?.body).toBe(receipt?.body);
    const asked = (await mails()).find((m) => !m.again);
    expect(asked?.subject).toMatch(/^A reference for /u);
    expect(asked?.body).not.toContain("https://");
  });

  it("come with those about the applicant's account, without their links, and not to be sent again from here", async () => {
    const email = (
      await world.runtime.pool.query<{ email: string }>(
        "select p.email from person p join application a on a.person_id = p.id where a.id = $1",
        [file.applicationId],
      )
    ).rows[0]?.email;
    await must(world, sendLink, SYSTEM, { email: email ?? "", purpose: "set password" });
    await deliver();
    const link = (await mails()).find((m) => m.subject === "Set a new password");
    expect(link).toMatchObject({ to: email, state: "sent", again: false });
    expect(link?.body).not.toContain("https://");
    expect((await mails(other)).some((m) => m.subject === "Set a new password")).toBe(false);
  });

  it("are sent once more to the applicant, in the same words, and to nobody else", async () => {
    const receipt = (await mails()).find((m) => m.again);
    const asked = (await mails()).find((m) => !m.again);
    const again = (messageId: string, of = file) =>
      runAct(world.runtime, sendAgain, officer, { applicationId: of.applicationId, messageId });
    expect(await reasonOf(again(asked?.id ?? ""))).toBe("not-found");
    expect(await reasonOf(again(receipt?.id ?? "", other))).toBe("not-found");
    sent.length = 0;
    await must(world, sendAgain, officer, { applicationId: file.applicationId, messageId: receipt?.id ?? "" });
    const waiting = (await mails()).find((m) => m.state === "queued");
    expect(await reasonOf(again(waiting?.id ?? ""))).toBe("locked");
    await deliver();
    expect(sent.map((m) => [m.to, m.subject, m.body])).toEqual([[receipt?.to, receipt?.subject, receipt?.body]]);
    expect((await mails()).filter((m) => m.subject === receipt?.subject)).toHaveLength(2);
  });
});
