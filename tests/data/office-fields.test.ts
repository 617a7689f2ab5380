import { randomUUID } from "node:crypto";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { startApplication } from "../../src/acts/application/start-application";
import { confirmValues } from "../../src/acts/evidence/confirm-values";
import { saveAnswers } from "../../src/acts/form/save-answers";
import { prepare } from "../../src/core/assessment/assess";
import type { Json } from "../../src/core/file/facts";
import type { Actor } from "../../src/core/rights/actor";
import type { Condition } from "../../src/core/rules/condition";
import { judge } from "../../src/core/rules/evaluate";
import { makeOffice } from "../../src/core/standards/reference-set";
import { loadCatalogue } from "../../src/demo/catalogue";
import { fillAny } from "../../src/demo/filling";
import { someone } from "../../src/demo/people";
import { referenceSet } from "../../src/demo/reference-set";
import { myApplication } from "../../src/views/application/my-application";
import { file as fileView } from "../../src/views/assessment/file";
import { readView } from "../../src/views/view/view";
import { anybody, lookAt } from "../support/files";
import { makePerson, must, openWorld, reasonOf, type World } from "../support/world";

/** Points for awards: a field of the form that the office fills in, entry by entry, and rules add up. */
describe("what the office fills in", () => {
  let world: World;
  let officer: Actor;
  let applicant: Actor;
  let applicationId = "";
  let number = "";
  const [first, second] = [randomUUID(), randomUUID()];

  beforeAll(async () => {
    world = await openWorld("office_fields");
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    const { rounds } = await loadCatalogue(world.runtime, "2026-11-25");
    applicant = await anybody(world, "Awarded");
    ({ applicationId, number } = await must(world, startApplication, applicant, { roundId: rounds["PCS 1"] ?? "" }));
    await fillAny(world.runtime, applicant, applicationId, someone("Ana", "Vale"), {}, {});
    for (const entry of [first, second])
      for (const [field, value] of [
        ["title", "Prize for the best thesis"],
        ["giver", "Society of the Sea"],
        ["year", "2025"],
      ] as const)
        expect(await save(entry, field, value)).toBe("saved");
    await world.runtime.pool.query("update choice set submitted_at = $2 where application_id = $1", [
      applicationId,
      world.runtime.now(),
    ]);
  });
  afterAll(() => world.close());

  const at = (entry: string, field: string) => ({ scope: "file", section: "awards", entry, field });
  const save = async (entry: string, field: string, value: Json) => {
    const saved = await must(world, saveAnswers, applicant, {
      applicationId,
      changes: [{ ...at(entry, field), value, seen: 0 }],
    });
    return saved.results[0]?.state;
  };
  const give = (entry: string, value: Json, note = "National prize, by the table of points") =>
    reasonOf(
      runAct(world.runtime, confirmValues, officer, {
        applicationId,
        values: [{ ...at(entry, "points"), value }],
        note,
      }),
    );
  const points = async () => {
    const data = await readView(world.runtime, fileView, officer, { number });
    return data?.values
      .filter((v) => v.section === "awards" && v.field === "points")
      .map((v) => [v.confirmed, v.note?.text ?? null]);
  };
  const reaches = async (least: number) => {
    const { loaded } = await lookAt(world, applicationId);
    const { all } = prepare({ ...loaded, office: makeOffice(1, referenceSet), at: world.runtime.now().getTime() });
    const rule: Condition = { op: "sum", list: "answers.awards", field: "points", is: "atLeast", value: least };
    const context = all[0];
    return context ? judge(rule, context.source) : null;
  };

  it("is neither asked of applicants nor taken from them, and nothing is missing without it", async () => {
    const mine = await readView(world.runtime, myApplication, applicant, { number });
    const section = mine?.sections.find((s) => s.key === "awards");
    expect(section?.fields.map((f) => f.key)).toEqual(["title", "giver", "year"]);
    expect(section?.gaps).toEqual([]);
    expect(await save(first, "points", "5")).toBe("refused");
    expect(await points()).toEqual([
      [null, null],
      [null, null],
    ]);
    // Each award is proved by a paper of its own.
    const asked = (await lookAt(world, applicationId)).result.requirements.filter((r) => r.key === "award");
    expect(asked.map((r) => [r.entry, r.standing]).toSorted()).toEqual(
      [first, second].map((entry) => [entry, "missing"]).toSorted(),
    );
  });

  it("is given entry by entry, with a reason, within its bounds, and is never shown to the applicant", async () => {
    expect(await give(first, "6")).toBe("invalid-input");
    expect(await give(first, "3")).toBe("ok");
    expect(await points()).toContainEqual(["3", "National prize, by the table of points"]);
    const mine = await readView(world.runtime, myApplication, applicant, { number });
    expect(JSON.stringify(mine)).not.toContain("table of points");
  });

  it("is added up by rules, open while an entry waits for it", async () => {
    expect(await reaches(3)).toMatchObject({ truth: "met" });
    expect(await reaches(4)).toMatchObject({ truth: "open" });
    expect(await give(second, "1")).toBe("ok");
    expect(await reaches(4)).toMatchObject({ truth: "met", confirmed: true });
    expect(await reaches(5)).toMatchObject({ truth: "not met" });
  });
});
