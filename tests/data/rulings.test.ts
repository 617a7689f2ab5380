import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { submitApplication } from "../../src/acts/application/submit-application";
import { confirmValues } from "../../src/acts/evidence/confirm-values";
import { askEarlyRuling, endCaseRuling, endRuling, ruleOnCase } from "../../src/acts/rulings/rulings";
import { saveInstitution } from "../../src/acts/standards/institutions";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { INSTITUTIONS } from "../../src/demo/institutions";
import { myApplication } from "../../src/views/application/my-application";
import { file as fileView } from "../../src/views/assessment/file";
import { rulings as rulingsView } from "../../src/views/rulings/rulings";
import { readView } from "../../src/views/view/view";
import { lookAt, readyFile, submittedFile, type TestFile } from "../support/files";
import { DAY, makePerson, must, openWorld, reasonOf, type World } from "../support/world";

describe("rulings", () => {
  let world: World;
  let officer: Actor;
  let roundId = "";
  let first: TestFile;
  let second: TestFile;

  const claim = (name: string, school = "Serowe Senior Secondary School") =>
    submittedFile(world, roundId, name, {
      "english.way": "exempt",
      "english.ground": "schooling",
      "english.country": "BW",
      "english.place": school,
    });

  beforeAll(async () => {
    world = await openWorld("rulings");
    officer = await makePerson(world, "Runa Okonjo", ["officer", "standards keeper"]);
    ({ roundId } = await loadCatalogue(world.runtime, "2026-11-25"));
    first = await claim("Tomasa");
    second = await claim("Tomasb");
    world.later(DAY / 24);
  });
  afterAll(() => world.close());

  const place = (file: TestFile) => ({
    applicationId: file.applicationId,
    question: "English exemption",
    scope: "file",
    section: "english",
    entry: "",
  });
  const english = async (file: TestFile) =>
    (await lookAt(world, file.applicationId)).result.choices[0]?.findings.find((f) => f.key === "english");
  const owes = async (file: TestFile) =>
    (await lookAt(world, file.applicationId)).result.file.owed.some((s) => s.kind === "rule");
  const caseOf = async (file: TestFile) => {
    const { loaded } = await lookAt(world, file.applicationId);
    const data = await readView(world.runtime, fileView, officer, { number: loaded.facts.application.number });
    return data?.cases.find((c) => c.question === "English exemption");
  };
  const refusal = async (file: TestFile, input: object) => {
    const outcome = await runAct(world.runtime, ruleOnCase, officer, { ...place(file), ...input } as never);
    return outcome.ok ? "done" : outcome.reason;
  };

  it("an unanswered claim is a step of the office; a ruling with its reason settles it", async () => {
    expect([(await english(first))?.finding, await owes(first)]).toEqual(["open", true]);
    await must(world, ruleOnCase, officer, {
      ...place(first),
      verdict: "accepted",
      reason: "Letter of the school seen.",
    });
    expect([(await english(first))?.finding, await owes(first)]).toEqual(["met", false]);
    expect((await caseOf(first))?.ruling).toMatchObject({
      verdict: "accepted",
      reason: "Letter of the school seen.",
      by: "Runa Okonjo",
      files: 1,
    });
  });

  it("is offered in the next like case, and holds there once it is taken over", async () => {
    const [earlier] = (await caseOf(second))?.earlier ?? [];
    expect(earlier).toMatchObject({
      nearness: "same",
      verdict: "accepted",
      institution: "Serowe Senior Secondary School",
    });
    await must(world, ruleOnCase, officer, { ...place(second), earlier: earlier?.id ?? "" });
    expect((await english(second))?.finding).toBe("met");
    expect((await caseOf(second))?.ruling?.files).toBe(2);
  });

  it("is as near under another name of the school, once the register knows that it is one", async () => {
    const third = await claim("Tomasx", "Serowe High");
    const nearness = async () => (await caseOf(third))?.earlier.map((e) => e.nearness);
    expect(await nearness()).toEqual(["same country"]);
    const [school] = INSTITUTIONS.filter((i) => i.kind === "school");
    if (!school) throw new Error("the demo has no school");
    const institution = {
      ...school,
      name: "Serowe Senior Secondary School",
      otherNames: ["Serowe High"],
      country: "BW",
    };
    await must(world, saveInstitution, officer, { institutionId: null, version: null, institution });
    expect(await nearness()).toEqual(["same"]);
  });

  it("taken back in one file it goes on holding in the other, and is still offered", async () => {
    await must(world, endCaseRuling, officer, place(second));
    expect([(await english(first))?.finding, (await english(second))?.finding]).toEqual(["met", "open"]);
    expect((await caseOf(second))?.earlier).toHaveLength(1);
    expect(await runAct(world.runtime, endCaseRuling, officer, place(second))).toMatchObject({
      reason: "already-done",
    });
  });

  it("taken back where it was made and holds nowhere else it is offered no more", async () => {
    await must(world, ruleOnCase, officer, {
      ...place(second),
      verdict: "refused",
      reason: "The letter names one year.",
    });
    expect((await english(second))?.finding).toBe("not met");
    await must(world, endCaseRuling, officer, place(second));
    expect((await caseOf(second))?.earlier.map((e) => e.verdict)).toEqual(["accepted"]);
  });

  it("ended by the office it stays where it was applied, and is kept with the reason", async () => {
    const [known] = (await caseOf(second))?.earlier ?? [];
    await must(world, endRuling, officer, { rulingId: known?.id ?? "", reason: "The school changed its language." });
    expect((await caseOf(second))?.earlier).toEqual([]);
    expect((await english(first))?.finding).toBe("met");
    expect(await refusal(second, { earlier: known?.id })).toBe("not-found");
    const listed = await readView(world.runtime, rulingsView, officer, { words: "serowe accepted" });
    expect(listed?.rulings).toMatchObject([
      { ended: { by: "Runa Okonjo", reason: "The school changed its language." } },
    ]);
    expect(listed?.rulings[0]?.numbers).toHaveLength(1);
  });

  it("no longer holds once the case is another, and is asked again", async () => {
    await must(world, ruleOnCase, officer, { ...place(second), verdict: "accepted", reason: "Seen." });
    expect((await english(second))?.finding).toBe("met");
    await must(world, confirmValues, officer, {
      applicationId: second.applicationId,
      values: [{ scope: "file", section: "english", entry: "", field: "place", value: "Another School" }],
      note: "By the certificate",
    });
    expect([(await english(second))?.finding, await owes(second), (await caseOf(second))?.changed]).toEqual([
      "open",
      true,
      true,
    ]);
    await must(world, endCaseRuling, officer, place(second));
  });

  it("needs a verdict with a reason, and a case that the file has", async () => {
    expect(await refusal(second, { verdict: "accepted" })).toBe("needs-reason");
    expect(await refusal(second, { verdict: "accepted", reason: "  " })).toBe("invalid-input");
    expect(await refusal(second, { question: "luck", verdict: "accepted", reason: "x" })).toBe("not-found");
    expect(await refusal(second, { entry: "nobody", verdict: "accepted", reason: "x" })).toBe("not-found");
  });

  it("keeps what was ruled out of the events", async () => {
    const { rows } = await world.runtime.pool.query<{ about: string }>(
      "select about::text as about from event where act in ('rule-on-case', 'end-case-ruling')",
    );
    expect(rows.length).toBeGreaterThan(2);
    for (const { about } of rows) expect(about).not.toMatch(/Serowe|Letter/u);
  });

  it("are made before the submission where the applicant asks for it, who is told at once", async () => {
    const draft = await readyFile(world, roundId, "Early", {
      "english.way": "exempt",
      "english.ground": "work",
      "english.country": "NA",
      "english.place": "Walvis Bay Pilots",
    });
    const ask = (actor: Actor = draft.applicant) =>
      reasonOf(runAct(world.runtime, askEarlyRuling, actor, place(draft)));
    const mine = async () => {
      const { loaded } = await lookAt(world, draft.applicationId);
      const { number } = loaded.facts.application;
      return (await readView(world.runtime, myApplication, draft.applicant, { number }))?.cases;
    };
    const rule = () => refusal(draft, { verdict: "refused", reason: "Half a year is not two." });
    // Nobody rules on what is not submitted and was not asked about.
    expect([await owes(draft), await rule()]).toEqual([false, "not-found"]);
    expect(await mine()).toMatchObject([{ question: "English exemption", answer: null, askedAt: null }]);
    expect(await ask(officer)).toBe("not-yours");
    expect([await ask(), await ask()]).toEqual(["ok", "already-done"]);
    expect(await owes(draft)).toBe(true);
    expect((await mine())?.[0]?.askedAt).not.toBeNull();
    const { result } = await lookAt(world, draft.applicationId);
    // Five working days from the 25th; the applicant may go on in the meantime.
    expect(result.file.owed.find((s) => s.kind === "rule")).toMatchObject({ turn: "office", due: "2026-12-02" });
    expect(result.file).toMatchObject({ stage: "preparing", turn: "office", next: { kind: "rule" } });
    const page = await readView(world.runtime, myApplication, draft.applicant, {
      number: (await lookAt(world, draft.applicationId)).loaded.facts.application.number,
    });
    expect(page?.assessment.file).toMatchObject({ turn: "applicant", next: { kind: "submit" } });
    expect(await rule()).toBe("done");
    expect([await owes(draft), (await mine())?.[0]?.answer]).toEqual([false, "refused"]);
    const { rows } = await world.runtime.pool.query<{ template: string }>(
      "select template from message where application_id = $1 and template like 'case-%'",
      [draft.applicationId],
    );
    expect(rows).toEqual([{ template: "case-refused" }]);
    await must(world, submitApplication, draft.applicant, {
      applicationId: draft.applicationId,
      choiceIds: [draft.choiceId],
    });
    expect([(await english(draft))?.finding, await mine()]).toEqual(["not met", []]);
  });

  it("says what the case is held equal to and within which limits, to officers and to the applicant", async () => {
    const terms = {
      equalTo: "Schooling in English from the first year",
      limits: "For programmes taught in English alone",
    };
    const third = await claim("Tomasv", "Another Secondary School");
    await must(world, ruleOnCase, officer, { ...place(third), verdict: "accepted", reason: "As told.", ...terms });
    expect((await caseOf(third))?.ruling).toMatchObject(terms);
    const { result } = await lookAt(world, third.applicationId);
    const lines = JSON.stringify(result.choices[0]?.findings.find((f) => f.key === "english")?.trace);
    expect(lines).toContain(terms.equalTo);
    expect(lines).toContain(terms.limits);
    const found = await readView(world.runtime, rulingsView, officer, { words: "taught in English alone" });
    expect(found?.rulings.map((r) => r.limits)).toEqual([terms.limits]);
  });

  it("keeps no limits of what it refuses", async () => {
    const fourth = await claim("Tomasw", "A Fourth Secondary School");
    await must(world, ruleOnCase, officer, { ...place(fourth), verdict: "refused", reason: "No.", limits: "None" });
    expect((await caseOf(fourth))?.ruling).toMatchObject({ verdict: "refused", limits: null, equalTo: null });
  });
});
