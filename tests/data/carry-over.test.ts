import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { startApplication } from "../../src/acts/application/start-application";
import { submitApplication } from "../../src/acts/application/submit-application";
import { withdraw } from "../../src/acts/application/withdraw";
import { recordPayment, startPayment } from "../../src/acts/payments/payments";
import { loadCatalogue } from "../../src/demo/catalogue";
import { myApplication } from "../../src/views/application/my-application";
import { readView } from "../../src/views/view/view";
import { filledFile, lookAt, submittedFile } from "../support/files";
import { must, openWorld, SYSTEM, type World } from "../support/world";

let world: World;
let rounds: Readonly<Record<string, string>>;
let roundId: string;
beforeAll(async () => {
  world = await openWorld("carry_over");
  ({ rounds, roundId } = await loadCatalogue(world.runtime, "2026-11-25"));
});
afterAll(() => world.close());

describe("a second application of the same person", () => {
  it("begins with who they are and what they have studied, and says where that comes from", async () => {
    const first = await filledFile(world, roundId);
    const earlier = (await lookAt(world, first.applicationId)).loaded.facts;
    const second = await must(world, startApplication, first.owner, {
      roundId: rounds["PCS rolling"] ?? rounds["PCS 1"] ?? "",
    });
    const { loaded } = await lookAt(world, second.applicationId);
    const value = (facts: typeof earlier, section: string, field: string) =>
      facts.answers.filter((a) => a.section === section && a.field === field).map((a) => a.value);
    for (const [section, field] of [
      ["person", "familyName"],
      ["citizenship", "citizenships"],
      ["education", "institution"],
      ["courses", "title"],
    ] as const)
      expect([section, value(loaded.facts, section, field)]).toEqual([section, value(earlier, section, field)]);
    expect(value(loaded.facts, "referees", "name")).toEqual([]);
    expect(loaded.facts.answers.filter((a) => a.field === "complete")).toEqual([]);
    const shown = await readView(world.runtime, myApplication, first.owner, { number: second.number });
    expect(shown?.carried).toMatchObject({ from: earlier.application.number });
  });

  it("brings the papers along that still hold, and does not ask whether there was an earlier one", async () => {
    const sent = await submittedFile(world, roundId, "Twice");
    const before = await world.runtime.pool.query<{ requirement: string; sha256: string }>(
      "select e.requirement, u.sha256 from evidence e join upload u on u.id = e.upload_id where e.application_id = $1",
      [sent.applicationId],
    );
    const papersOf = async (applicationId: string) =>
      (
        await world.runtime.pool.query<{ requirement: string; sha256: string; judgement: string | null }>(
          "select e.requirement, u.sha256, e.judgement from evidence e join upload u on u.id = e.upload_id where e.application_id = $1 order by 1",
          [applicationId],
        )
      ).rows;
    await world.runtime.pool.query(
      "update evidence set judgement = 'returned' where application_id = $1 and requirement = 'english'",
      [sent.applicationId],
    );
    const start = (key: string) => must(world, startApplication, sent.applicant, { roundId: rounds[key] ?? "" });
    const second = await start("PCS 1");
    const papers = await papersOf(second.applicationId);
    expect(papers.map((p) => p.requirement)).toEqual(["certificate", "passport", "transcript"]);
    for (const paper of papers) {
      expect(before.rows).toContainEqual({ requirement: paper.requirement, sha256: paper.sha256 });
      expect(paper.judgement).toBeNull();
    }
    const { loaded, result } = await lookAt(world, second.applicationId);
    const said = (field: string) =>
      loaded.facts.answers.find((a) => a.section === "earlier" && a.field === field)?.value;
    const { number } = (await lookAt(world, sent.applicationId)).loaded.facts.application;
    expect([said("applied"), said("number")]).toEqual([true, number]);
    expect(result.requirements.find((r) => r.key === "passport")?.standing).toBe("to check");
    const shown = await readView(world.runtime, myApplication, sent.applicant, { number: second.number });
    expect(shown?.carried).toMatchObject({ from: number, papers: 3 });
  });

  it("leaves a passport behind that is over", async () => {
    const sent = await submittedFile(world, roundId, "Expired");
    await world.runtime.pool.query(
      `update answer set value = '"2026-01-31"' where application_id = $1 and field = 'passportExpiry'`,
      [sent.applicationId],
    );
    const second = await must(world, startApplication, sent.applicant, { roundId: rounds["PCS 1"] ?? "" });
    const papers = (await lookAt(world, second.applicationId)).loaded.facts.evidence.map((e) => e.requirement);
    expect(papers.toSorted()).toEqual(["certificate", "english", "transcript"]);
  });

  it("is empty for somebody who has told nothing yet", async () => {
    const first = await filledFile(world, roundId);
    const { loaded } = await lookAt(world, first.applicationId);
    expect(loaded.facts.answers.some((a) => a.section === "person")).toBe(true);
    const shown = await readView(world.runtime, myApplication, first.owner, {
      number: loaded.facts.application.number,
    });
    expect(shown?.carried).toBeNull();
  });
});

describe("the least number of choices", () => {
  it("stops a submission until it is reached", async () => {
    const sent = submittedFile(world, roundId, "Enough");
    await expect(sent).resolves.toBeDefined();
    await world.runtime.pool.query(
      `update procedure set rules = jsonb_set(rules, '{least}', '2') where key = 'taught'`,
    );
    await expect(submittedFile(world, roundId, "Lacking")).rejects.toThrow("choice-rule");
    await world.runtime.pool.query(
      `update procedure set rules = jsonb_set(rules, '{least}', '1') where key = 'taught'`,
    );
  });
});

describe("fees after a withdrawal", () => {
  const chargesOf = async (applicationId: string) =>
    (await lookAt(world, applicationId)).loaded.facts.charges.map((c) => [c.item, c.minor, c.paidMinor]);

  it("what was not paid is no longer owed", async () => {
    const file = await filledFile(world, roundId);
    expect((await chargesOf(file.applicationId))[0]?.[1]).toBeGreaterThan(0);
    await must(world, withdraw, file.owner, { applicationId: file.applicationId });
    expect((await chargesOf(file.applicationId)).map(([, minor]) => minor)).toEqual([0]);
  });

  it("what was paid is kept where the rulebook says nothing else", async () => {
    const file = await filledFile(world, roundId);
    const [charge] = (await lookAt(world, file.applicationId)).loaded.facts.charges;
    if (!charge) throw new Error("nothing is due");
    const { paymentId } = await must(world, startPayment, file.owner, {
      applicationId: file.applicationId,
      chargeId: charge.id,
    });
    await must(world, recordPayment, SYSTEM, { paymentId, providerKey: "k-1", result: "booked" });
    await must(world, withdraw, file.owner, { applicationId: file.applicationId });
    expect(await chargesOf(file.applicationId)).toEqual([[charge.item, charge.minor, charge.minor]]);
    const again = await runAct(world.runtime, submitApplication, file.owner, {
      applicationId: file.applicationId,
      choiceIds: [(await lookAt(world, file.applicationId)).loaded.facts.choices[0]?.id ?? ""],
    });
    expect(again).toMatchObject({ ok: false });
  });
});
