import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { moveChoice } from "../../src/acts/application/change-choices";
import { startApplication } from "../../src/acts/application/start-application";
import { reassessFiles } from "../../src/acts/assessment/reassess";
import type { Actor } from "../../src/core/rights/actor";
import { type LoadedCatalogue, loadCatalogue } from "../../src/demo/catalogue";
import { sites } from "../../src/views/catalogue/sites";
import { readView } from "../../src/views/view/view";
import { anybody } from "../support/files";
import { makePerson, must, openWorld, SYSTEM, type World } from "../support/world";

/** Who is on which campus of a programme. */
describe("the campuses of a start", () => {
  let world: World;
  let catalogue: LoadedCatalogue;
  let officer: Actor;
  beforeAll(async () => {
    world = await openWorld("sites");
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    catalogue = await loadCatalogue(world.runtime, "2026-11-25");
    for (const campus of ["vell", "vell", "merrow"]) {
      const owner = await anybody(world, "Mover");
      const { applicationId } = await must(world, startApplication, owner, {
        roundId: catalogue.rounds["MTE 1"] ?? "",
        campus,
      });
      await world.runtime.pool.query("update choice set submitted_at = $2 where application_id = $1", [
        applicationId,
        world.runtime.now(),
      ]);
      await must(world, reassessFiles, SYSTEM, { applicationIds: [applicationId] });
    }
    // A draft is nowhere yet.
    await must(world, startApplication, await anybody(world, "Drafter"), { roundId: catalogue.rounds["MTE 1"] ?? "" });
  });
  afterAll(() => world.close());

  const read = async () => (await readView(world.runtime, sites, officer, { code: "MTE" }))?.starts[0];
  const counts = async () => Object.fromEntries((await read())?.campuses.map((c) => [c.key, c.people]) ?? []);

  it("say who was submitted where, and how many places there are", async () => {
    expect(await counts()).toEqual({ merrow: 1, vell: 2 });
    expect((await read())?.placed.map((p) => p.campus).sort()).toEqual(["merrow", "vell", "vell"]);
  });

  it("follow when somebody is moved", async () => {
    const [one] = (await read())?.placed.filter((p) => p.campus === "vell") ?? [];
    if (!one) throw new Error("nobody is there");
    const { applicationId, choiceId, mode, track } = one;
    await must(world, moveChoice, officer, {
      ...{ applicationId, choiceId, mode, track },
      campus: "merrow",
      reason: "The workshop at Vell is full.",
    });
    expect(await counts()).toEqual({ merrow: 2, vell: 1 });
  });

  it("lose sight of those whose choice is decided, and count them still", async () => {
    const [one] = (await read())?.placed ?? [];
    await world.runtime.pool.query(
      "insert into decision (choice_id, kind, conditions, prepared_by_id, prepared_at) values ($1, 'offer', '[]', $2, now())",
      [one?.choiceId, officer.kind === "person" ? officer.id : ""],
    );
    expect((await read())?.placed).toHaveLength(2);
    expect(await counts()).toEqual({ merrow: 2, vell: 1 });
  });

  it("are no question where there is one", async () =>
    expect(await readView(world.runtime, sites, officer, { code: "GBC" })).toBeNull());
});
