import { afterAll, beforeAll, beforeEach, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { endOverride, overrideFinding } from "../../src/acts/assessment/override-finding";
import type { Actor } from "../../src/core/rights/actor";
import { leafOf } from "../../src/core/rules/trace";
import { loadCatalogue } from "../../src/demo/catalogue";
import { myApplication } from "../../src/views/application/my-application";
import { file as fileView } from "../../src/views/assessment/file";
import { readView } from "../../src/views/view/view";
import { begunFile, lookAt, submittedFile, type TestFile } from "../support/files";
import { DAY, makePerson, must, openWorld, type World } from "../support/world";

describe("overriding a finding", () => {
  let world: World;
  let lead: Actor;
  let officer: Actor;
  let roundId = "";
  let file: TestFile;
  let no = 0;

  beforeAll(async () => {
    world = await openWorld("override");
    lead = await makePerson(world, "Tadhg Breen", ["lead officer"]);
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    ({ roundId } = await loadCatalogue(world.runtime, "2026-11-25"));
  });
  afterAll(() => world.close());
  beforeEach(async () => {
    no += 1;
    file = await submittedFile(world, roundId, `Tomas${"abcdefghij"[no]}`);
    world.later(DAY / 24);
  });

  const place = (rule: string) => ({ applicationId: file.applicationId, choiceId: file.choiceId, rule });
  const finding = async (rule: string) =>
    (await lookAt(world, file.applicationId)).result.choices[0]?.findings.find((f) => f.key === rule);
  const reasonOf = async (actor: Actor, input: object) => {
    const outcome = await runAct(world.runtime, overrideFinding, actor, { ...place("grade"), ...input } as never);
    return outcome.ok ? "done" : outcome.reason;
  };

  it("counts from then on, is kept with who and why, and stays to be read once it was taken back", async () => {
    expect(await finding("grade")).toMatchObject({ finding: "met", overrides: null });
    await must(world, overrideFinding, lead, {
      ...place("grade"),
      finding: "not met",
      reason: "The mark is of another person.",
    });
    expect(await finding("grade")).toMatchObject({ finding: "not met", overrides: "met" });
    world.later(DAY);
    await must(world, endOverride, lead, { ...place("grade"), reason: "It was hers after all." });
    expect(await finding("grade")).toMatchObject({ finding: "met", overrides: null });
    const { loaded } = await lookAt(world, file.applicationId);
    const data = await readView(world.runtime, fileView, officer, { number: loaded.facts.application.number });
    expect(data?.overrides).toMatchObject([
      {
        rule: "grade",
        finding: "not met",
        worked: "met",
        by: "Tadhg Breen",
        reason: "The mark is of another person.",
        ended: { by: "Tadhg Breen", reason: "It was hers after all." },
      },
    ]);
    expect(data?.events.map((e) => e.act)).toEqual(expect.arrayContaining(["override-finding", "end-override"]));
  });

  it("needs a lead officer and a reason, and something to override", async () => {
    expect(await reasonOf(officer, { finding: "not met", reason: "x" })).toBe("not-yours");
    expect(await reasonOf(lead, { finding: "not met", reason: "  " })).toBe("invalid-input");
    expect(await reasonOf(lead, { finding: "met", reason: "It is met." })).toBe("already-done");
    expect(await reasonOf(lead, { rule: "luck", finding: "met", reason: "x" })).toBe("not-found");
    expect(await reasonOf(lead, { finding: "not met", reason: "Once" })).toBe("done");
    expect(await reasonOf(lead, { finding: "not met", reason: "Twice" })).toBe("already-done");
  });

  it("is told to the applicant as what counts, without the working that it overrides", async () => {
    const { loaded } = await lookAt(world, file.applicationId);
    const { number } = loaded.facts.application;
    const told = async () => {
      const shown = await readView(world.runtime, myApplication, file.applicant, { number });
      const grade = shown?.assessment.choices[0]?.findings.find((f) => f.key === "grade");
      return [grade?.finding, grade?.overrides, grade?.trace ? leafOf(grade.trace)?.detail?.kind : null];
    };
    expect(await told()).toEqual(["met", null, "grade"]);
    await must(world, overrideFinding, lead, { ...place("grade"), finding: "not met", reason: "Of another person." });
    expect(await told()).toEqual(["not met", null, null]);
    const shown = JSON.stringify(await readView(world.runtime, myApplication, file.applicant, { number }));
    expect(shown).not.toContain("Of another person.");
  });

  it("tells the applicant nothing of the rules before the submission, nor of rules that are not for telling", async () => {
    const { owner, applicationId } = await begunFile(world, roundId);
    const { loaded } = await lookAt(world, applicationId);
    const shown = await readView(world.runtime, myApplication, owner, { number: loaded.facts.application.number });
    expect(shown?.assessment.choices.map((c) => c.findings)).toEqual([[]]);
  });

  it("is not for an application that is still being prepared", async () => {
    const { applicationId } = await begunFile(world, roundId);
    const { rows } = await world.runtime.pool.query<{ id: string }>("select id from choice where application_id = $1", [
      applicationId,
    ]);
    const outcome = await runAct(world.runtime, overrideFinding, lead, {
      applicationId,
      choiceId: rows[0]?.id ?? "",
      rule: "grade",
      finding: "met",
      reason: "Early",
    });
    expect(outcome).toMatchObject({ ok: false, reason: "not-complete" });
  });
});
