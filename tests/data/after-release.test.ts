import { afterAll, beforeAll, beforeEach, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { withdraw } from "../../src/acts/application/withdraw";
import { answerDecision, dropDecision, prepareDecision, releaseDecision } from "../../src/acts/decision/decisions";
import { requestReference, withdrawReference } from "../../src/acts/references/request-reference";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { IN_PLACE } from "../../src/formats/workshop/in-place";
import { runJob } from "../../src/jobs/handlers";
import { trayMail } from "../../src/outside/mail";
import { verifyAll } from "../../src/verify";
import { lookAt, submittedFile, type TestFile } from "../support/files";
import { makePerson, must, NO_REGISTRY, openWorld, type World } from "../support/world";

describe("decisions that are prepared, released and answered, or not", () => {
  let world: World;
  let officer: Actor;
  let lead: Actor;
  let roundId = "";
  let file: TestFile;
  let no = 0;

  beforeAll(async () => {
    world = await openWorld("released");
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    lead = await makePerson(world, "Tadhg Breen", ["lead officer"]);
    ({ roundId } = await loadCatalogue(world.runtime, "2026-11-25"));
  });
  afterAll(() => world.close());
  beforeEach(async () => {
    no += 1;
    world.at("2026-11-25T09:00:00Z");
    file = await submittedFile(world, roundId, `Halvor${"abcdefghijklmnop"[no]}`);
  });

  const target = () => ({ applicationId: file.applicationId, choiceId: file.choiceId });
  const refuse = (reason: string | null = "The round is full.") =>
    runAct(world.runtime, prepareDecision, officer, { ...target(), kind: "refusal", reason });
  const choice = async () => (await lookAt(world, file.applicationId)).result.choices[0];
  const query = (text: string) => world.runtime.pool.query(text, [file.applicationId]);
  /** A released offer, as far as its answer goes: how files become complete is tested elsewhere. */
  const offer = async (answerBy: string) => {
    await world.runtime.pool.query(
      "insert into decision (choice_id, kind, conditions, prepared_by_id, prepared_at, released_by_id, released_at, answer_by) values ($1, 'offer', '[]', $2, $3, $4, $3, $5)",
      [
        file.choiceId,
        officer.kind === "person" ? officer.id : "",
        world.runtime.now(),
        lead.kind === "person" ? lead.id : "",
        answerBy,
      ],
    );
    await world.runtime.pool.query("update file_standing set valid_until = $2 where application_id = $1", [
      file.applicationId,
      world.runtime.now(),
    ]);
    await reassess();
  };
  const reassess = () =>
    runJob(
      {
        runtime: world.runtime,
        mail: trayMail(async () => undefined),
        registry: NO_REGISTRY,
        workshop: IN_PLACE,
        baseUrl: "http://127.0.0.1:1",
      },
      "reassess-aged",
      {},
    );

  it("an offer that nobody answers lapses by the job, in the list as in the file, and cannot be accepted any more", async () => {
    await offer("2026-12-18");
    const stored = async () =>
      (await query("select stage, valid_until from file_standing where application_id = $1")).rows;
    expect(await stored()).toEqual([{ stage: "decided", valid_until: new Date("2026-12-19T00:00:00Z") }]);
    world.at("2026-12-18T23:59:59Z");
    await reassess();
    expect((await choice())?.stage).toBe("decided");
    world.at("2026-12-19T00:00:00Z");
    await reassess();
    expect(await stored()).toEqual([{ stage: "closed", valid_until: null }]);
    expect(
      await runAct(world.runtime, answerDecision, file.applicant, { ...target(), answer: "accepted" }),
    ).toMatchObject({ reason: "round-closed", details: { closesAt: "2026-12-18" } });
    const { rows } = await query("select act, about from event where application_id = $1 order by id desc limit 1");
    expect(rows).toEqual([{ act: "time-passed", about: { turn: "nobody", stage: "closed" } }]);
    expect((await verifyAll(world.runtime.pool)).differing).toEqual([]);
  });

  it("an answer counts once, up to the last second of the day", async () => {
    await offer("2026-12-18");
    world.at("2026-12-18T23:59:59Z");
    const say = (answer: "accepted" | "declined") =>
      runAct(world.runtime, answerDecision, file.applicant, { ...target(), answer });
    expect([await say("declined"), await say("accepted")]).toMatchObject([{ ok: true }, { reason: "already-done" }]);
    expect(await choice()).toMatchObject({ stage: "closed", closedAs: "declined" });
  });

  it("a refusal needs a reason, may be dropped before it is released, and not after", async () => {
    expect([await refuse(null), await refuse("  ")]).toMatchObject([
      { reason: "needs-reason" },
      { reason: "needs-reason" },
    ]);
    expect(await refuse()).toMatchObject({ ok: true });
    expect(await refuse()).toMatchObject({ reason: "already-done" });
    await must(world, dropDecision, officer, target());
    expect(await refuse()).toMatchObject({ ok: true });
    await must(world, releaseDecision, lead, target());
    expect(await runAct(world.runtime, dropDecision, officer, target())).toMatchObject({ reason: "already-done" });
    expect(await choice()).toMatchObject({ stage: "closed", closedAs: "refused" });
  });

  it("an offer to a file that is not complete is refused, on conditions as well", async () => {
    for (const kind of ["offer", "offer on conditions", "waiting list"] as const)
      expect(await runAct(world.runtime, prepareDecision, officer, { ...target(), kind })).toMatchObject({
        reason: "not-complete",
      });
  });

  it("withdrawing closes the file for good, keeps it, and ends what referees were asked for", async () => {
    await must(world, withdraw, file.applicant, { applicationId: file.applicationId });
    expect(await choice()).toMatchObject({ stage: "closed", closedAs: "withdrawn" });
    const { rows } = await query("select state from reference_request where application_id = $1");
    expect(rows).toEqual([{ state: "withdrawn" }]);
    expect(await refuse()).toMatchObject({ reason: "not-complete" });
    expect(
      await runAct(world.runtime, requestReference, file.applicant, {
        applicationId: file.applicationId,
        referee: file.filled.referee,
      }),
    ).toMatchObject({ reason: "locked" });
  });

  it("referees are written to in the applicant's language, with the programme's title in it", async () => {
    const ownerId = file.applicant.kind === "person" ? file.applicant.id : "";
    await world.runtime.pool.query("update person set locale = 'fr' where id = $1", [ownerId]);
    const { rows } = await query("select id from reference_request where application_id = $1");
    await must(world, withdrawReference, file.applicant, {
      applicationId: file.applicationId,
      requestId: (rows[0] as { id: string }).id,
    });
    await must(world, requestReference, file.applicant, {
      applicationId: file.applicationId,
      referee: file.filled.referee,
    });
    const mails = await query(
      "select template, locale, values->>'programmeFr' as programme from message where application_id = $1 and template like 'reference-%' order by queued_at, template desc",
    );
    expect(mails.rows).toEqual([
      { template: "reference-withdrawn", locale: "fr", programme: null },
      { template: "reference-asked", locale: "en", programme: "Sciences de l’estuaire" },
      { template: "reference-asked", locale: "fr", programme: "Sciences de l’estuaire" },
    ]);
  });
});
