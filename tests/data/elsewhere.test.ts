import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { moveProgramme, suggestMove } from "../../src/acts/application/move-programme";
import { withdraw } from "../../src/acts/application/withdraw";
import { overrideFinding } from "../../src/acts/assessment/override-finding";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { elsewhere, type OtherPlace } from "../../src/views/assessment/elsewhere";
import { readView } from "../../src/views/view/view";
import { filledFile, lookAt, submittedFile, type TestFile } from "../support/files";
import { makePerson, must, openWorld, reasonOf, type World } from "../support/world";

/** A submitted choice that belongs somewhere else. */
describe("another programme for a submitted choice", () => {
  let world: World;
  let officer: Actor;
  let own: Actor;
  let lead: Actor;
  let file: TestFile;
  let roundId: string;

  beforeAll(async () => {
    world = await openWorld("elsewhere");
    ({ roundId } = await loadCatalogue(world.runtime, "2026-11-25"));
    officer = await makePerson(world, "Officer", ["officer"]);
    own = await makePerson(world, "Own", ["officer"], "MES");
    lead = await makePerson(world, "Lead", ["lead officer"]);
    file = await submittedFile(world, roundId, "Astrid");
  });
  afterAll(() => world.close());

  const look = async (actor = officer, of = file) => {
    const { loaded } = await lookAt(world, of.applicationId);
    return readView(world.runtime, elsewhere, actor, {
      number: loaded.facts.application.number,
      choiceId: of.choiceId,
    });
  };
  const placeOf = async (code: string): Promise<OtherPlace> => {
    const found = (await look())?.places.find((p) => p.code === code);
    if (!found) throw new Error(`${code} is not among the places`);
    return found;
  };
  const move = (actor: Actor, target: string, of = file) =>
    runAct(world.runtime, moveProgramme, actor, {
      applicationId: of.applicationId,
      choiceId: of.choiceId,
      roundId: target,
      reason: "The topic is the other programme’s",
    });
  const mails = async (template: string) =>
    (
      await world.runtime.pool.query<{ values: Record<string, string> }>(
        "select values from message where template = $1 and application_id = $2",
        [template, file.applicationId],
      )
    ).rows.map((r) => r.values);

  it("is looked for among those of the same procedure that the file does not hold", async () => {
    const { rows } = await world.runtime.pool.query<{ code: string }>(
      "select code from programme where procedure_id = (select procedure_id from programme where code = 'MES') and code <> 'MES' order by code",
    );
    const codes = [...new Set((await look())?.places.map((p) => p.code))].toSorted();
    expect(codes).toEqual(rows.map((r) => r.code));
    expect(codes.length).toBeGreaterThan(0);
    expect((await look())?.now.eligibility).toBe(
      (await lookAt(world, file.applicationId)).result.choices[0]?.eligibility,
    );
  });

  it("nothing changes by looking or by suggesting it", async () => {
    const place = await placeOf("MTE");
    await must(world, suggestMove, officer, {
      applicationId: file.applicationId,
      choiceId: file.choiceId,
      roundId: place.roundId,
      track: place.track?.key ?? null,
      reason: "Your modules are about turbines",
    });
    expect((await mails("move-suggested"))[0]).toMatchObject({ from: "MES", text: "Your modules are about turbines" });
    expect((await lookAt(world, file.applicationId)).loaded.facts.choices[0]?.programme).toBe("MES");
  });

  it("is refused for a draft, for a programme elsewhere, for one that is held, and without the right to it", async () => {
    const { roundId: target } = await placeOf("MTE");
    const draft = await filledFile(world, roundId);
    const draftChoice = (await lookAt(world, draft.applicationId)).result.choices[0]?.id ?? "";
    expect(
      await reasonOf(move(officer, target, { ...file, applicationId: draft.applicationId, choiceId: draftChoice })),
    ).toBe("locked");
    const { rows } = await world.runtime.pool.query<{ id: string }>(
      "select r.id from round r join intake i on i.id = r.intake_id join programme p on p.id = i.programme_id where p.code = 'FYC' limit 1",
    );
    expect(await reasonOf(move(officer, rows[0]?.id ?? ""))).toBe("not-offered");
    expect(await reasonOf(move(officer, roundId))).toBe("already-applied");
    expect(await reasonOf(move(own, target))).toBe("not-yours");
  });

  it("stands there as it was said beforehand; what was sent stays, and overrides end", async () => {
    const before = await lookAt(world, file.applicationId);
    const rule = before.result.choices[0]?.findings[0];
    await must(world, overrideFinding, lead, {
      applicationId: file.applicationId,
      choiceId: file.choiceId,
      rule: rule?.key ?? "",
      finding: rule?.finding === "met" ? "not met" : "met",
      reason: "Seen",
    });
    const said = await placeOf("MTE");
    await must(world, moveProgramme, officer, {
      applicationId: file.applicationId,
      choiceId: file.choiceId,
      roundId: said.roundId,
      track: said.track?.key ?? null,
      reason: "The topic is the other programme’s",
    });
    const { loaded, result } = await lookAt(world, file.applicationId);
    const [choice] = result.choices;
    expect(loaded.facts.choices[0]).toMatchObject({ id: file.choiceId, programme: "MTE", completeAt: null });
    expect(loaded.facts.overrides).toEqual([]);
    expect(loaded.facts.evidence.map((e) => e.id)).toEqual(before.loaded.facts.evidence.map((e) => e.id));
    expect({
      eligibility: choice?.eligibility,
      findings: choice?.findings.map((f) => ({ title: f.title.en, finding: f.finding })),
      missing: result.requirements
        .filter((r) => r.choices.includes(file.choiceId) && ["missing", "returned"].includes(r.standing))
        .map((r) => r.title.en),
    }).toEqual({ eligibility: said.eligibility, findings: said.findings, missing: said.missing });
    expect((await mails("programme-moved"))[0]).toMatchObject({ from: "MES", programmeEn: said.title });
    expect((await look())?.places.map((p) => p.code)).toContain("MES");
  });

  it("is no longer possible once the choice is withdrawn", async () => {
    const { roundId: target } = await placeOf("MES");
    await must(world, withdraw, file.applicant, { applicationId: file.applicationId, choiceId: null });
    expect(await reasonOf(move(officer, target))).toBe("not-found");
  });
});
