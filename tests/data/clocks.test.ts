import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { takeFile } from "../../src/acts/assessment/take-file";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { verifyAll } from "../../src/verify";
import { clocks, decisionTimes } from "../../src/views/figures/clocks";
import { readView } from "../../src/views/view/view";
import { submittedFile, type TestFile } from "../support/files";
import { makePerson, must, openWorld, VISITOR, type World } from "../support/world";

/** Five decisions are enough to say how long they took; the days that each was with the office and with others. */
const DECIDED = [
  { name: "Aoife", back: "2026-12-03", released: "2026-12-04" },
  { name: "Bran", back: "2026-12-02", released: "2026-12-08" },
  { name: "Ciara", back: "2026-12-02", released: "2026-12-10" },
  { name: "Donal", back: "2026-12-02", released: "2026-12-14" },
  { name: "Enda", back: "2026-12-02", released: "2026-12-16" },
] as const;

/** Where files wait how long, and how long decisions took, with the office's own time apart. */
describe("clocks", () => {
  let world: World;
  let officer: Actor;
  let lead: Actor;
  let round = "";
  let waiting: TestFile;

  beforeAll(async () => {
    world = await openWorld("clocks");
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    lead = await makePerson(world, "Tadhg Breen", ["lead officer"]);
    ({
      rounds: { "MES 1": round = "" },
    } = await loadCatalogue(world.runtime, "2026-11-25"));
  });
  afterAll(() => world.close());

  const idOf = (actor: Actor) => (actor.kind === "person" ? actor.id : "");
  const query = (sql: string, values: unknown[]) => world.runtime.pool.query(sql, values);
  const published = async () => (await readView(world.runtime, decisionTimes, VISITOR, { code: "MES" }))?.times;
  const page = async (actor = officer) => readView(world.runtime, clocks, actor, {});

  /** Submitted on 25 November, with the applicant since the 30th until it came back, then released. */
  async function decided({ name, back, released }: (typeof DECIDED)[number]): Promise<void> {
    world.at("2026-11-25T09:00:00Z");
    const { applicationId, choiceId } = await submittedFile(world, round, name);
    const turnAt = (turn: string, day: string) =>
      query("insert into turn_change (application_id, at, turn) values ($1, $2, $3)", [
        applicationId,
        `${day}T10:00:00Z`,
        turn,
      ]);
    await turnAt("applicant", "2026-11-30");
    await turnAt("office", back);
    world.at(`${released}T12:00:00Z`);
    await query(
      "insert into decision (choice_id, kind, conditions, prepared_by_id, prepared_at, released_by_id, released_at, answer_by) values ($1, 'offer', '[]', $2, $3, $4, $3, '2027-01-20')",
      [choiceId, idOf(officer), world.runtime.now(), idOf(lead)],
    );
    await must(world, takeFile, officer, { applicationId, mine: true });
  }

  it("say for what how many files wait, since when, and which the longest", async () => {
    waiting = await submittedFile(world, round, "Ferdia");
    world.at("2026-11-27T09:00:00Z");
    await submittedFile(world, round, "Grainne");
    world.at("2026-12-04T09:00:00Z");
    const number = (await query("select number from application where id = $1", [waiting.applicationId])).rows[0]
      ?.number;
    expect((await page())?.waiting).toEqual([
      {
        turn: "office",
        reason: "check",
        count: 2,
        late: 1,
        half: 7,
        longest: { days: 7, number, name: expect.stringContaining("Ferdia") },
      },
    ]);
  });

  it("publish nothing of a few decisions, and from five on how long they took us", async () => {
    await query("update programme set shows_times = true where code = 'MES'", []);
    for (const one of DECIDED.slice(0, 4)) await decided(one);
    expect(await published()).toBeNull();
    for (const one of DECIDED.slice(4)) await decided(one);
    // Own days: 25 to 30 November are 3; then one, four, six, eight and ten more.
    expect(await published()).toEqual({
      count: 5,
      half: 9,
      nine: 13,
    });
    await query("update programme set shows_times = false where code = 'MES'", []);
    expect(await published()).toBeNull();
  });

  it("keep the time of others apart, and are the office's alone, over its own programmes", async () => {
    expect((await page())?.decided).toMatchObject([
      { code: "MES", count: 5, half: 9, nine: 13, othersHalf: 2, published: false },
    ]);
    const elsewhere = await makePerson(world, "Somebody", ["officer"], "BHT");
    expect(await page(elsewhere)).toEqual({ waiting: [], decided: [] });
    expect(await page(waiting.applicant)).toBeNull();
    expect((await verifyAll(world.runtime.pool)).differing).toEqual([]);
  });
});
