import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { finder } from "../../src/views/catalogue/finder";
import { turns } from "../../src/views/turns/turns";
import { readView } from "../../src/views/view/view";
import { makePerson, openWorld, VISITOR, type World } from "../support/world";

describe("a fresh installation", () => {
  let world: World;
  beforeAll(async () => {
    world = await openWorld("fresh");
  });
  afterAll(() => world.close());

  it("has a front page without programmes, and an empty list of turns", async () => {
    expect(await readView(world.runtime, finder, VISITOR, {})).toMatchObject({ zone: "UTC", hits: [] });
    const officer = await makePerson(world, "First Officer", ["officer"]);
    expect(await readView(world.runtime, turns, officer, { turn: "office" })).toMatchObject({ rows: [], total: 0 });
  });
});
