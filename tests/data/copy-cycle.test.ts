import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { copyCycle } from "../../src/acts/catalogue/copy-cycle";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { nextCycle } from "../../src/views/application/next-cycle";
import { finder } from "../../src/views/catalogue/finder";
import { plans } from "../../src/views/catalogue/plans";
import { rulebooks } from "../../src/views/rulebook/rulebooks";
import { readView } from "../../src/views/view/view";
import { makePerson, must, openWorld, VISITOR, type World } from "../support/world";

describe("a cycle copied to the next year", () => {
  let world: World;
  let lead: Actor;
  beforeAll(async () => {
    world = await openWorld("copy_cycle");
    await loadCatalogue(world.runtime, "2026-11-25");
    lead = await makePerson(world, "Lead", ["lead officer"]);
  });
  afterAll(() => world.close());

  it("is shown before it is planned, and is what is planned", async () => {
    const shown = await readView(world.runtime, nextCycle, lead, { from: "2027" });
    const mes = shown?.starts.find((s) => s.code === "MES");
    expect([shown?.to, mes?.startsOn, mes?.there]).toEqual([
      "2028",
      { before: "2027-09-01", after: "2028-09-01" },
      false,
    ]);
    const outcome = await must(world, copyCycle, lead, { from: "2027", years: 1, programmes: ["MES", "PCS"] });
    expect([outcome.cycle, [...outcome.made].sort(), outcome.there]).toEqual(["2028", ["MES", "PCS"], []]);
    const planned = await readView(world.runtime, plans, lead, { code: "MES" });
    const [old, copy] = planned?.programmes[0]?.intakes ?? [];
    expect([copy?.startsOn, copy?.places, copy?.cycle]).toEqual(["2028-09-01", old?.places, "2028"]);
    expect(copy?.rounds.map((r) => [r.key, r.opensAt, r.closings])).toEqual(
      mes?.rounds.map((r) => [r.key, r.opensAt, r.closings.map(({ group, at }) => ({ group, at }))]),
    );
  });

  it("begins a draft of each rulebook, and opens nothing before it is published", async () => {
    const lines = await readView(world.runtime, rulebooks, lead, {});
    const copies = lines?.filter((l) => l.cycle === "2028") ?? [];
    expect(copies.map((l) => [l.code, l.published, l.draft !== null])).toEqual([
      ["MES", null, true],
      ["PCS", null, true],
    ]);
    const found = await readView(world.runtime, finder, VISITOR, { code: "MES" });
    expect(found?.hits.map((h) => h.startsOn)).toEqual(["2027-09-01"]);
  });

  it("leaves alone what the target has already", async () => {
    const again = await must(world, copyCycle, lead, { from: "2027", years: 1, programmes: ["MES", "MTE"] });
    expect([again.made, again.there]).toEqual([["MTE"], ["MES"]]);
    const shown = await readView(world.runtime, nextCycle, lead, { from: "2027" });
    expect(shown?.starts.filter((s) => s.there).map((s) => s.code)).toEqual(["MES", "MTE", "PCS"]);
  });

  it("comes from a cycle that exists", async () =>
    expect(await runAct(world.runtime, copyCycle, lead, { from: "1999", years: 1, programmes: ["MES"] })).toMatchObject(
      { ok: false, reason: "not-found" },
    ));
});
