import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { startApplication } from "../../src/acts/application/start-application";
import { submitApplication } from "../../src/acts/application/submit-application";
import { answerDecision, prepareDecision, releaseDecision } from "../../src/acts/decision/decisions";
import { confirmValues } from "../../src/acts/evidence/confirm-values";
import { acceptEvidence, returnEvidence } from "../../src/acts/evidence/judge-evidence";
import { recordPayment, startPayment } from "../../src/acts/payments/payments";
import { giveReference, openReference } from "../../src/acts/references/answer-reference";
import { requestReference } from "../../src/acts/references/request-reference";
import { AnswerIndex } from "../../src/core/answers/answer-index";
import { contexts } from "../../src/core/assessment/context";
import { assessAndExplain } from "../../src/core/assessment/explain";
import { unconfirmed } from "../../src/core/requirements/unconfirmed";
import type { Actor } from "../../src/core/rights/actor";
import { leafOf } from "../../src/core/rules/trace";
import { database } from "../../src/db/connection";
import { loadFile } from "../../src/db/queries/load-file";
import { currentOffice } from "../../src/db/queries/office";
import { type Filled, fillForm, supply } from "../../src/demo/applicant";
import { loadCatalogue } from "../../src/demo/catalogue";
import * as documents from "../../src/demo/documents";
import { someone } from "../../src/demo/people";
import { DAY, makePerson, must, openWorld, SYSTEM, type World } from "../support/world";

const HOUR = DAY / 24;

describe("a file travels from its first page to an accepted offer", () => {
  let world: World;
  let applicant: Actor;
  let officer: Actor;
  let lead: Actor;
  let roundId = "";
  let applicationId = "";
  let choiceId = "";
  let filled: Filled = { degree: "", referee: "" };
  const who = someone("Ilse", "Maarteen-Quist");
  const at = { scope: "file", entry: "" };

  const look = async () => {
    const loaded = await loadFile(world.runtime.pool, applicationId);
    if (!loaded) throw new Error("no file");
    const office = await currentOffice(database(world.runtime.pool));
    return { loaded, office, result: assessAndExplain({ ...loaded, office, at: world.runtime.now().getTime() }) };
  };
  const turn = async () => {
    const { result } = await look();
    return [result.file.stage, result.file.turn, result.file.next?.kind ?? null, result.file.next?.requirement ?? null];
  };

  beforeAll(async () => {
    world = await openWorld("slice");
    applicant = await makePerson(world, "Ilse");
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    lead = await makePerson(world, "Tadhg Breen", ["lead officer"]);
    ({ roundId } = await loadCatalogue(world.runtime, "2026-11-25"));
  });
  afterAll(() => world.close());

  it("begins as the applicant's turn, with everything still to fill", async () => {
    ({ applicationId } = await must(world, startApplication, applicant, { roundId }));
    expect(await turn()).toEqual(["preparing", "applicant", "fill", null]);
    choiceId = (await look()).result.choices[0]?.id ?? "";
    expect(
      await runAct(world.runtime, submitApplication, applicant, { applicationId, choiceIds: [choiceId] }),
    ).toMatchObject({ ok: false, reason: "not-complete" });
  });

  it("knows the overseas group and its fee once citizenship is stated", async () => {
    filled = await fillForm(world.runtime, applicant, applicationId, who);
    const { result } = await look();
    expect(result.file.group).toBe("overseas");
    expect(result.fees).toMatchObject([{ item: "handling", amount: { minor: 6000, currency: "EUR" } }]);
  });

  it("can be submitted when documents, reference and fee are there, and not before", async () => {
    const madeOn = world.runtime.now();
    await supply(
      world.runtime,
      applicant,
      applicationId,
      "passport",
      "",
      "passport.pdf",
      await documents.passport(who, madeOn),
    );
    await supply(
      world.runtime,
      applicant,
      applicationId,
      "certificate",
      filled.degree,
      "certificate.pdf",
      await documents.certificate(who, madeOn),
    );
    await supply(
      world.runtime,
      applicant,
      applicationId,
      "transcript",
      filled.degree,
      "transcript.pdf",
      await documents.transcript(who, madeOn, true),
    );
    await supply(
      world.runtime,
      applicant,
      applicationId,
      "motivation",
      "",
      "letter.pdf",
      await documents.motivation(who, madeOn),
    );
    await supply(
      world.runtime,
      applicant,
      applicationId,
      "english",
      "",
      "het.pdf",
      await documents.englishProof(who, madeOn),
    );
    const { result } = await look();
    expect(result.choices[0]?.missing.map((m) => m.requirement)).toEqual(["reference", "fee"]);
    await must(world, requestReference, applicant, { applicationId, referee: filled.referee });
    const charge = (await look()).loaded.facts.charges[0];
    const { paymentId } = await must(world, startPayment, applicant, { applicationId, chargeId: charge?.id ?? "" });
    await must(world, recordPayment, SYSTEM, { paymentId, providerKey: "k1", result: "booked" });
    expect(await must(world, recordPayment, SYSTEM, { paymentId, providerKey: "k1", result: "booked" })).toEqual({
      first: false,
    });
    expect(await turn()).toEqual(["preparing", "applicant", "submit", null]);
    await must(world, submitApplication, applicant, { applicationId, choiceIds: [choiceId] });
    expect(await turn()).toEqual(["submitted", "office", "check", "passport"]);
  });

  it("goes to and fro over a transcript that was sent back", async () => {
    world.later(26 * HOUR);
    await must(world, acceptEvidence, officer, { applicationId, requirement: "passport", ...at });
    await must(world, returnEvidence, officer, {
      applicationId,
      requirement: "transcript",
      scope: "file",
      entry: filled.degree,
      reason: "incomplete",
      text: "Page 2 is missing.",
      due: "2026-12-09",
    });
    for (const requirement of ["motivation", "english"])
      await must(world, acceptEvidence, officer, { applicationId, requirement, ...at });
    await must(world, acceptEvidence, officer, {
      applicationId,
      requirement: "certificate",
      scope: "file",
      entry: filled.degree,
    });
    expect((await turn()).slice(1, 3)).toEqual(["office", "confirm"]);
    world.later(2 * DAY);
    await supply(
      world.runtime,
      applicant,
      applicationId,
      "transcript",
      filled.degree,
      "whole.pdf",
      await documents.transcript(who, world.runtime.now()),
    );
    await must(world, acceptEvidence, officer, {
      applicationId,
      requirement: "transcript",
      scope: "file",
      entry: filled.degree,
    });
  });

  it("waits for the referee once the office has confirmed what the rules use", async () => {
    const { loaded, office, result } = await look();
    const index = new AnswerIndex(loaded.facts);
    const all = contexts(loaded.facts, index, loaded.rulebooks, loaded.rounds, office, world.runtime.now().getTime());
    const values = result.requirements.flatMap((r) => unconfirmed({ contexts: all, index }, r));
    await must(world, confirmValues, officer, { applicationId, values: values.map((v) => ({ ...v })) });
    expect(await turn()).toEqual(["submitted", "third party", "give reference", "reference"]);
    const { rows } = await world.runtime.pool.query<{ id: string }>("select id from reference_request");
    const link: Actor = { kind: "link", requestId: rows[0]?.id ?? "" };
    await must(world, openReference, link, {});
    await must(world, giveReference, link, {
      answers: { known: "Two years, as supervisor", rating: "very good", text: who.referee.words },
    });
    expect(
      await runAct(world.runtime, giveReference, link, {
        answers: { known: "x", rating: "good", text: "once more, twenty signs" },
      }),
    ).toMatchObject({ reason: "link-ended" });
    await must(world, acceptEvidence, officer, { applicationId, requirement: "reference", ...at });
    expect((await turn()).slice(0, 3)).toEqual(["complete", "office", "decide"]);
  });

  it("finds every entry rule met on confirmed values, with the numbers", async () => {
    const { result } = await look();
    const choice = result.choices[0];
    expect(choice?.eligibility).toBe("eligible");
    expect(choice?.findings.map((f) => [f.key, f.finding, f.basis])).toEqual(
      ["firstDegree", "credits", "natural", "grade", "english"].map((key) => [key, "met", "confirmed"]),
    );
    const grade = choice?.findings.find((f) => f.key === "grade");
    expect(grade && leafOf(grade.trace)?.detail).toMatchObject({
      got: "15.5",
      exact: "2.35",
      shown: "2.3",
    });
    expect(choice?.promise).toMatchObject({ days: 30 });
  });

  it("is decided by one person, released by another, and accepted by the applicant", async () => {
    const early = { applicationId, choiceId, kind: "offer" } as const;
    expect(await runAct(world.runtime, prepareDecision, lead, { ...early, reason: "Well done." })).toMatchObject({
      reason: "round-open",
    });
    await must(world, prepareDecision, lead, { ...early, note: "Not to wait." });
    expect(await runAct(world.runtime, releaseDecision, lead, { applicationId, choiceId })).toMatchObject({
      reason: "needs-second-person",
    });
    const second = await makePerson(world, "Second Lead", ["lead officer"]);
    await must(world, releaseDecision, second, { applicationId, choiceId });
    expect(await turn()).toEqual(["decided", "applicant", "answer offer", null]);
    await must(world, answerDecision, applicant, { applicationId, choiceId, answer: "accepted" });
    expect(await turn()).toEqual(["answered", "applicant", "prove", "certificate"]);
  });

  it("stored a projection that the recomputation agrees with", async () => {
    const { rows } = await world.runtime.pool.query("select stage, turn, reason, requirement from file_standing");
    expect(rows).toEqual([{ stage: "answered", turn: "applicant", reason: "prove", requirement: "certificate" }]);
  });
});
