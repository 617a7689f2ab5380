import { createHash, randomUUID } from "node:crypto";
import { afterAll, beforeAll, beforeEach, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { withdraw } from "../../src/acts/application/withdraw";
import { saveAnswers } from "../../src/acts/form/save-answers";
import { declineReference, giveReference, openReference } from "../../src/acts/references/answer-reference";
import { requestReference, withdrawReference } from "../../src/acts/references/request-reference";
import type { Actor } from "../../src/core/rights/actor";
import type { Filled } from "../../src/demo/applicant";
import { loadCatalogue } from "../../src/demo/catalogue";
import { document } from "../../src/views/evidence/document";
import { referencePage, requestOfLink } from "../../src/views/references/reference-page";
import { readView } from "../../src/views/view/view";
import { filledFile, lookAt } from "../support/files";
import { makePerson, must, openWorld, reasonOf, type World } from "../support/world";

/** A referee has no account: a link that serves one request, and ends. */
describe("references", () => {
  let world: World;
  let owner: Actor;
  let roundId = "";
  let applicationId = "";
  let filled: Filled;

  beforeAll(async () => {
    world = await openWorld("references");
    ({ roundId } = await loadCatalogue(world.runtime, "2026-11-25"));
  });
  afterAll(() => world.close());
  beforeEach(async () => {
    world.at("2026-11-25T09:00:00Z");
    ({ owner, applicationId, filled } = await filledFile(world, roundId));
  });

  const answers = {
    known: "Two years of laboratory work",
    rating: "very good" as const,
    text: "She measures carefully.",
  };
  const ask = () => must(world, requestReference, owner, { applicationId, referee: filled.referee });
  const standing = async () =>
    (await lookAt(world, applicationId)).result.requirements.find((r) => r.kind === "reference")?.standing;
  const mails = async () => {
    const { rows } = await world.runtime.pool.query<{ template: string; to: string; values: Record<string, string> }>(
      "select template, to_address as to, values from message where application_id = $1 order by queued_at, template",
      [applicationId],
    );
    return rows;
  };
  /** The holder of the link in the newest mail to the referee. */
  const holder = async (): Promise<Actor> => {
    const asked = (await mails()).filter((m) => m.template === "reference-asked").at(-1);
    const token = asked?.values.link?.replace("/reference/", "") ?? "";
    const requestId = await requestOfLink(world.runtime.pool, createHash("sha256").update(token).digest("hex"));
    return { kind: "link", requestId: requestId ?? randomUUID() };
  };
  const page = async (actor: Actor) => readView(world.runtime, referencePage, actor, {});

  it("are asked of nobody at an address of the applicant's own, and by nobody without a name", async () => {
    const put = async (section: string, field: string, entry: string, value: string) => {
      const { loaded } = await lookAt(world, applicationId);
      const seen =
        loaded.facts.answers.find((x) => x.section === section && x.field === field && x.entry === entry)?.version ?? 0;
      await must(world, saveAnswers, owner, {
        applicationId,
        changes: [{ scope: "file", section, entry, field, value, seen }],
      });
    };
    const asked = () =>
      reasonOf(runAct(world.runtime, requestReference, owner, { applicationId, referee: filled.referee }));
    const { rows } = await world.runtime.pool.query<{ email: string }>(
      "select p.email from person p join application a on a.person_id = p.id where a.id = $1",
      [applicationId],
    );
    const [name, domain] = (rows[0]?.email ?? "").split("@");
    await put("referees", "email", filled.referee, `${name?.toUpperCase()}+letters@${domain}`);
    expect(await asked()).toBe("own-address");
    await put("referees", "email", filled.referee, "somebody@halden-sound.example");
    await put("person", "givenNames", "", "");
    await put("person", "familyName", "", "");
    expect(await asked()).toBe("name-first");
    await put("person", "familyName", "", "Vale");
    expect(await asked()).toBe("ok");
  });

  it("are asked for by a mail whose link shows the name and the programme, and nothing else", async () => {
    await ask();
    expect(await standing()).toBe("promised");
    const [mail] = await mails();
    expect([mail?.to, mail?.values.applicant, mail?.values.programmeEn]).toEqual([
      "o.finnegan@halden-sound.example",
      "Ana Vale",
      "Estuary Science",
    ]);
    const seen = await page(await holder());
    expect(Object.keys(seen ?? {}).sort()).toEqual([
      "applicant",
      "draft",
      "dueAt",
      "endsAt",
      "locale",
      "moreUntil",
      "programmes",
      "state",
      "zone",
    ]);
    expect(seen).toMatchObject({ state: "asked", applicant: "Ana Vale" });
    const { rows } = await world.runtime.pool.query(
      "select l.token_hash from reference_link l join reference_request r on r.id = l.request_id where r.application_id = $1",
      [applicationId],
    );
    expect(mail?.values.link).not.toContain(rows[0]?.token_hash);
  });

  it("are asked for again three times a day at most, however the address is written", async () => {
    const again = async () => {
      const outcome = await runAct(world.runtime, requestReference, owner, { applicationId, referee: filled.referee });
      if (!outcome.ok) return outcome.reason;
      await must(world, withdrawReference, owner, { applicationId, requestId: outcome.value.requestId });
      return "ok";
    };
    expect([await again(), await again(), await again(), await again()]).toEqual(["ok", "ok", "ok", "mailed-enough"]);
    const { rowCount } = await world.runtime.pool.query(
      "update answer set value = '\"O.Finnegan@Halden-Sound.example\"' where application_id = $1 and field = 'email' and value::text like '%finnegan%'",
      [applicationId],
    );
    expect([rowCount, await again()]).toEqual([1, "mailed-enough"]);
    world.later(24 * 3_600_000);
    expect(await again()).toBe("ok");
  });

  it("are given once: by words, and the link is over", async () => {
    await ask();
    const link = await holder();
    await must(world, openReference, link, {});
    expect((await page(link))?.state).toBe("opened");
    await must(world, giveReference, link, { answers });
    expect([await standing(), (await page(link))?.state]).toEqual(["to check", "given"]);
    expect(await runAct(world.runtime, giveReference, link, { answers })).toMatchObject({ reason: "link-ended" });
    expect(await runAct(world.runtime, declineReference, link, {})).toMatchObject({ reason: "link-ended" });
    expect((await mails()).map((m) => m.template)).toContain("reference-given");
  });

  it("are given by a letter, which the applicant never reads", async () => {
    await ask();
    const link = await holder();
    const letter = {
      name: "letter.pdf",
      bytes: Buffer.from("in confidence"),
      mediaType: "application/pdf" as const,
      pages: 1,
      marks: [],
    };
    await must(world, giveReference, link, { answers: { ...answers, text: "" }, letter });
    const { rows } = await world.runtime.pool.query<{ id: string }>(
      "select upload_id as id from reference_request where application_id = $1",
      [applicationId],
    );
    const uploadId = rows[0]?.id ?? "";
    const officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    expect(await readView(world.runtime, document, officer, { uploadId })).toMatchObject({ name: "letter.pdf" });
    expect(await readView(world.runtime, document, owner, { uploadId })).toBeNull();
  });

  it.each([
    ["no words and no letter", { ...answers, text: "" }],
    ["too few words", { ...answers, text: "Fine." }],
    ["nothing about how they know each other", { ...answers, known: " " }],
  ])("with %s are refused, and the link stays open", async (_, wrong) => {
    await ask();
    const link = await holder();
    expect(await runAct(world.runtime, giveReference, link, { answers: wrong })).toMatchObject({
      ok: false,
      reason: "invalid-input",
    });
    expect((await page(link))?.state).toBe("asked");
  });

  it("may be declined; the applicant is told, and may ask again with a link that is new", async () => {
    await ask();
    const link = await holder();
    await must(world, declineReference, link, {});
    expect([await standing(), (await page(link))?.state]).toEqual(["missing", "declined"]);
    expect((await mails()).map((m) => m.template)).toContain("reference-declined");
    world.later(60_000);
    await ask();
    const next = await holder();
    expect(next).not.toEqual(link);
    await must(world, giveReference, next, { answers });
    expect(await standing()).toBe("to check");
  });

  it("are served until 30 days after the latest closing, to the second", async () => {
    await ask();
    const link = await holder();
    const end = (await page(link))?.endsAt;
    expect(end).toBe("2027-02-08T18:00:00.000Z");
    world.at("2027-02-08T17:59:59Z");
    expect((await page(link))?.state).toBe("asked");
    world.at("2027-02-08T18:00:00Z");
    expect((await page(link))?.state).toBe("late");
    expect(await runAct(world.runtime, giveReference, link, { answers })).toMatchObject({ reason: "link-ended" });
    expect(await runAct(world.runtime, openReference, link, {})).toMatchObject({ reason: "link-ended" });
  });

  it("are not asked for twice at once, nor of somebody whose address is missing or wrong", async () => {
    await ask();
    const again = { applicationId, referee: filled.referee };
    expect(await runAct(world.runtime, requestReference, owner, again)).toMatchObject({ reason: "already-done" });
    const referee = randomUUID();
    const field = (name: string, value: string) => ({
      scope: "file",
      section: "referees",
      entry: referee,
      field: name,
      value,
      seen: 0,
    });
    const askThem = () => runAct(world.runtime, requestReference, owner, { applicationId, referee });
    expect(await askThem()).toMatchObject({ reason: "not-complete" });
    await must(world, saveAnswers, owner, {
      applicationId,
      changes: [field("name", "Dr Liv Aas"), field("email", "liv at home"), field("role", "academic")],
    });
    expect(await askThem()).toMatchObject({ reason: "not-complete" });
  });

  it("end at once when the applicant takes the request back, or the whole application", async () => {
    const { requestId } = await ask();
    const link = await holder();
    await must(world, withdrawReference, owner, { applicationId, requestId });
    expect([(await page(link))?.state, await standing()]).toEqual(["ended", "missing"]);
    expect(await runAct(world.runtime, giveReference, link, { answers })).toMatchObject({ reason: "link-ended" });
    world.later(60_000);
    await ask();
    const next = await holder();
    await must(world, withdraw, owner, { applicationId });
    expect((await page(next))?.state).toBe("ended");
    expect(
      await runAct(world.runtime, requestReference, owner, { applicationId, referee: filled.referee }),
    ).toMatchObject({
      reason: "locked",
    });
  });

  it("cannot be given through a link that was made up", async () => {
    await ask();
    const madeUp: Actor = { kind: "link", requestId: randomUUID() };
    expect(await page(madeUp)).toBeNull();
    expect(await runAct(world.runtime, giveReference, madeUp, { answers })).toMatchObject({ reason: "link-ended" });
    expect(await runAct(world.runtime, giveReference, owner, { answers })).toMatchObject({ ok: false });
  });
});
