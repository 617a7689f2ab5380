import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { pageCounts } from "../../src/views/turns/page-counts";
import { quickFind } from "../../src/views/turns/quick-find";
import { readView } from "../../src/views/view/view";
import { submittedFile } from "../support/files";
import { makePerson, openWorld, type World } from "../support/world";

/** What the find field of the office offers while somebody types. */
describe("the find field", () => {
  let world: World;
  let officer: Actor;
  let number = "";

  beforeAll(async () => {
    world = await openWorld("quick_find");
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    const { roundId } = await loadCatalogue(world.runtime, "2026-11-25");
    const { applicationId } = await submittedFile(world, roundId, "Zoé");
    const { rows } = await world.runtime.pool.query<{ number: string }>(
      "select number from application where id = $1",
      [applicationId],
    );
    number = rows[0]?.number ?? "";
  });
  afterAll(() => world.close());

  const found = async (words: string, by = officer) => {
    const all = await readView(world.runtime, quickFind, by, { words });
    return all && [all.files.map((f) => f.name), all.programmes.map((p) => p.code)];
  };

  it.each<readonly [string, readonly string[], readonly string[]]>([
    ["zoe", ["Zoé Maarteen-Quist"], []],
    ["MAARTEEN", ["Zoé Maarteen-Quist"], []],
    ["tidal", [], ["BHT", "MTE"]],
    ["mt", [], ["MTE"]],
    ["énergie", [], ["MTE"]],
    ["%%", [], []],
    ["__", [], []],
    ["nobody at all", [], []],
    ["quist zoe", ["Zoé Maarteen-Quist"], []],
    ["Marteen", ["Zoé Maarteen-Quist"], []],
    ["maartn quisd", ["Zoé Maarteen-Quist"], []],
  ])("“%s”", async (words, files, programmes) => {
    expect(await found(words)).toEqual([files, programmes]);
  });

  it.each([
    ["Orla Finnegan", "referee", false],
    ["halden sound", "institution", false],
    ["R 441 7720", "document", false],
    ["Finegan", "referee", true],
  ] as const)("finds by “%s”, and says that it is the %s", async (words, by, near) => {
    const all = await readView(world.runtime, quickFind, officer, { words });
    expect(all?.files.map((f) => f.name)).toEqual(["Zoé Maarteen-Quist"]);
    expect(all?.files[0]?.near).toBe(near);
    expect(all?.files[0]?.foundBy?.by).toBe(by);
  });

  it("finds a file by its number, however it is typed, and by its last figures", async () => {
    for (const typed of [number, number.replace("-", " "), number.replace("-", ""), number.slice(3)])
      expect([typed, (await found(typed))?.[0]]).toEqual([typed, ["Zoé Maarteen-Quist"]]);
  });

  it("counts what waits on pages, for those who work there", async () => {
    const counts = (by: Actor) => readView(world.runtime, pageCounts, by, {});
    expect(await counts(officer)).toEqual({
      "/office": 1,
      "/office/drafts": 0,
      "/office/mail-in": 0,
      "/office/references": 0,
      "/office/results": 0,
      "/office/papers": 0,
    });
    expect(await counts(await makePerson(world, "Counting Elsewhere", ["officer"], "FYC"))).toMatchObject({
      "/office": 0,
    });
    expect(await counts(await makePerson(world, "Administrator", ["administrator"]))).toEqual({ "/office/mail": 0 });
    expect(await counts(await makePerson(world, "Counting Finance", ["finance"]))).toBeNull();
  });

  it("offers the files of one’s own programmes alone, and none to those who work on none", async () => {
    expect(await found("zoe", await makePerson(world, "Elsewhere", ["officer"], "FYC"))).toEqual([[], []]);
    expect(await found("zoe", await makePerson(world, "Keeper", ["standards keeper"]))).toEqual([[], []]);
    expect(await found("zoe", await makePerson(world, "Finance", ["finance"]))).toBeNull();
  });
});
