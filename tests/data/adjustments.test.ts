import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { startApplication } from "../../src/acts/application/start-application";
import { endAdjustment, grantAdjustment } from "../../src/acts/assessment/adjustments";
import { confirmValues } from "../../src/acts/evidence/confirm-values";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { fillAny } from "../../src/demo/filling";
import { someone } from "../../src/demo/people";
import { formCopy } from "../../src/views/application/form-copy";
import { myApplication } from "../../src/views/application/my-application";
import { submissions } from "../../src/views/application/submissions";
import { type ConfidedKind, confided } from "../../src/views/assessment/confided";
import { file as fileView } from "../../src/views/assessment/file";
import { readingsOf, readView } from "../../src/views/view/view";
import { anybody } from "../support/files";
import { makePerson, must, openWorld, reasonOf, type World } from "../support/world";

const TOLD = "I look after my brother, who cannot be left alone in the evening.";

/** What is told in confidence: read by advisers alone, who grant what makes up for it. */
describe("special circumstances", () => {
  let world: World;
  let officer: Actor;
  let adviser: Actor;
  let elsewhere: Actor;
  let applicant: Actor;
  let applicationId = "";
  let number = "";
  let silentRound = "";

  beforeAll(async () => {
    world = await openWorld("adjustments");
    officer = await makePerson(world, "Runa Okonjo", ["officer", "lead officer"]);
    adviser = await makePerson(world, "Padraig Hennessy", ["officer", "adviser"]);
    const limited = await makePerson(world, "Elsewhere", ["adviser"], "MES");
    elsewhere = { ...limited, grants: [...limited.grants, { role: "officer", scope: "*" }] };
    const { rounds } = await loadCatalogue(world.runtime, "2026-11-25");
    silentRound = rounds["MTE 1"] ?? "";
    applicant = await anybody(world, "Confiding");
    ({ applicationId, number } = await must(world, startApplication, applicant, { roundId: rounds["MTE 1"] ?? "" }));
    await fillAny(world.runtime, applicant, applicationId, someone("Ana", "Vale"), { "special.text": TOLD }, {});
    await world.runtime.pool.query("update choice set submitted_at = $2 where application_id = $1", [
      applicationId,
      world.runtime.now(),
    ]);
  });
  afterAll(() => world.close());

  const seen = async (by: Actor) => {
    const data = await readView(world.runtime, fileView, by, { number });
    return {
      all: JSON.stringify(data),
      kept: data?.sections.find((s) => s.key === "special")?.kept,
      adjustments: data?.adjustments,
    };
  };
  const grant = (by: Actor, what = "Interview by telephone, after eight") =>
    reasonOf(
      runAct(world.runtime, grantAdjustment, by, {
        applicationId,
        what,
        why: "Cares for a brother in the evening.",
      }),
    );

  it("are read by advisers of the programme, and by nobody else in the office", async () => {
    expect((await seen(adviser)).all).toContain(TOLD);
    expect(await seen(adviser)).toMatchObject({ kept: null });
    for (const other of [officer, elsewhere]) {
      const view = await seen(other);
      expect([view.all.includes(TOLD), view.kept]).toEqual([false, "advisers"]);
    }
    const lines = await readView(world.runtime, submissions, officer, { number });
    expect(JSON.stringify(lines)).not.toContain(TOLD);
  });

  it("stand in the copy that the applicant has, and in none for the office, assessors or finance", async () => {
    const mine = await readView(world.runtime, myApplication, applicant, { number });
    if (!mine) throw new Error("their own application is not seen");
    const copy = (reader: "applicant" | "office" | "assessors" | "finance") =>
      JSON.stringify(formCopy(mine, "Confiding", "en", reader)).includes(TOLD);
    expect([copy("applicant"), copy("office"), copy("assessors"), copy("finance")]).toEqual([
      true,
      false,
      false,
      false,
    ]);
  });

  it("are corrected by nobody who cannot read them", async () => {
    const correct = (by: Actor) =>
      reasonOf(
        runAct(world.runtime, confirmValues, by, {
          applicationId,
          values: [{ scope: "file", section: "special", entry: "", field: "text", value: "Nothing." }],
          note: "Asked for by telephone",
        }),
      );
    expect([await correct(officer), await correct(elsewhere)]).toEqual(["not-yours", "not-yours"]);
  });

  it("lead to what is granted: for office and applicant to read, why for advisers alone", async () => {
    expect([await grant(officer), await grant(elsewhere), await grant(adviser, " ")]).toEqual([
      "not-yours",
      "not-yours",
      "invalid-input",
    ]);
    expect(await grant(adviser)).toBe("ok");
    const what = "Interview by telephone, after eight";
    expect((await seen(adviser)).adjustments).toMatchObject([{ what, why: "Cares for a brother in the evening." }]);
    expect((await seen(officer)).adjustments).toMatchObject([{ what, why: null }]);
    expect((await seen(officer)).all).not.toContain("Cares for");
    const mine = await readView(world.runtime, myApplication, applicant, { number });
    expect([mine?.granted, JSON.stringify(mine).includes("Cares for")]).toEqual([[what], false]);
    const { rows } = await world.runtime.pool.query<{ text: string }>(
      "select values->>'text' as text from message where application_id = $1 and template = 'adjustment-granted'",
      [applicationId],
    );
    expect(rows).toEqual([{ text: what }]);
  });

  it("reach an adviser who is no officer on a page of their own: what was told, what was granted, and nothing else", async () => {
    const alone = await makePerson(world, "Oonagh Farrelly", ["adviser"]);
    const page = (by: Actor, kind: ConfidedKind = "all") => readView(world.runtime, confided, by, { kind });
    const all = await page(alone);
    expect(all?.rows).toMatchObject([
      { number, told: [{ text: TOLD }], adjustments: [{ why: "Cares for a brother in the evening." }], closed: false },
    ]);
    expect(JSON.stringify(all)).not.toMatch(/birth|passport|@/iu);
    expect(all?.counts).toEqual({ open: 0, granted: 1, all: 1 });
    expect((await page(alone, "open"))?.rows).toEqual([]);
    expect(readingsOf(confided, alone, {}, all)).toEqual([{ kind: "file opened", file: number }]);
    expect(await readView(world.runtime, fileView, alone, { number })).toBeNull();
    expect(await page(officer)).toBeNull();
    expect((await page(elsewhere))?.rows).toEqual([]);
    const mes = await anybody(world, "Silent");
    await must(world, startApplication, mes, { roundId: silentRound });
    expect((await page(alone))?.counts.all).toBe(1);
  });

  it("lead to nothing for ever: an adjustment is ended once", async () => {
    const [granted] = (await seen(adviser)).adjustments ?? [];
    const end = (by: Actor) =>
      reasonOf(
        runAct(world.runtime, endAdjustment, by, {
          applicationId,
          adjustmentId: granted?.id ?? "",
        }),
      );
    expect([await end(officer), await end(adviser), await end(adviser)]).toEqual(["not-yours", "ok", "already-done"]);
    expect((await seen(officer)).adjustments).toEqual([]);
    expect((await readView(world.runtime, myApplication, applicant, { number }))?.granted).toEqual([]);
  });
});
