import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { startApplication } from "../../src/acts/application/start-application";
import type { Json } from "../../src/core/file/facts";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { figures } from "../../src/views/figures/figures";
import { turnContacts } from "../../src/views/turns/contacts";
import { turns } from "../../src/views/turns/turns";
import { readView } from "../../src/views/view/view";
import { anybody, lookAt } from "../support/files";
import { makePerson, must, openWorld, type World } from "../support/world";

/** What is known in figures alone, and what rulebooks have counted, over the submitted applications of one start. */
describe("figures", () => {
  let world: World;
  let officer: Actor;
  let round: string;
  let rolling: string;
  let bachelor: string;

  beforeAll(async () => {
    world = await openWorld("figures");
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    const { rounds } = await loadCatalogue(world.runtime, "2026-11-25");
    [round, rolling, bachelor] = [rounds["PCS 1"] ?? "", rounds["FYC rolling"] ?? "", rounds["BHT 1"] ?? ""];
  });
  afterAll(() => world.close());

  /** An application of which only a few answers matter here; written straight, as nothing else is looked at. */
  async function applied(
    name: string,
    answers: Readonly<Record<string, Json>>,
    submitted = true,
    roundId = round,
  ): Promise<void> {
    const { applicationId } = await must(world, startApplication, await anybody(world, name), { roundId });
    for (const [place, value] of Object.entries(answers)) {
      const [section, field, entry = ""] = place.split(".");
      await world.runtime.pool.query(
        `insert into answer (application_id, scope, section, entry, field, value, version, position, saved_at) values ($1, 'file', $2, $3, $4, $5, 1, 0, $6)`,
        [applicationId, section, entry, field, JSON.stringify(value), world.runtime.now()],
      );
    }
    const scope = (await lookAt(world, applicationId)).result.choices[0]?.id;
    if (submitted)
      await world.runtime.pool.query("update choice set submitted_at = $2 where id = $1", [scope, world.runtime.now()]);
  }
  const page = async (start: string | null = null, actor: Actor = officer) =>
    readView(world.runtime, figures, actor, { start });
  const linesOf = async (key: string) =>
    (await page())?.figures.find((f) => f.key === key)?.lines.map((l) => [l.label, l.count]);

  it("count submitted applications alone, exactly where it is no secret, and withhold small groups where it is", async () => {
    for (let i = 0; i < 6; i += 1)
      await applied(`woman ${i}`, { "figures.describes": "woman", "sponsor.employed": i < 2, "heard.from": ["fair"] });
    for (let i = 0; i < 7; i += 1)
      await applied(`man ${i}`, {
        "figures.describes": "man",
        "figures.first": { notKnown: true },
        "sponsor.employed": false,
        "heard.from": ["fair", "friends"],
      });
    await applied("other", { "figures.describes": "other", "figures.first": true, "heard.from": ["agent"] });
    await applied("a draft", { "figures.describes": "woman", "sponsor.employed": true }, false);

    expect((await page())?.shown).toMatchObject({ code: "PCS", submitted: 14 });
    expect(await linesOf("sponsor.employed")).toEqual([
      ["Yes", 2],
      ["No", 11],
      ["no answer", 1],
    ]);
    // One alone would follow from the sum: the next smallest goes with it.
    expect(await linesOf("figures.describes")).toEqual([
      ["A woman", null],
      ["A man", 7],
      ["In other words", null],
    ]);
    expect(await linesOf("figures.first")).toEqual([
      ["Yes", null],
      ["No", 0],
      ["do not know it", 7],
      ["no answer", null],
    ]);
    // Several answers add up to no sum that gives a small one away.
    expect(await linesOf("heard.from")).toEqual([
      ["At school or university", 0],
      ["Friends or family", 7],
      ["A fair", 13],
      ["A search on the web", 0],
      ["An agent", null],
    ]);
  });

  it("show what was written for them apart from the files, once five have written, and in no order that tells who", async () => {
    const write = (name: string, where: string) => applied(name, { "elsewhere.where": where }, true, bachelor);
    const written = async () => {
      const start = (await page())?.starts.find((s) => s.code === "BHT")?.id ?? "";
      return (await page(start))?.written;
    };
    const line = { key: "elsewhere.where", section: "Where else you apply", title: "Other institutions" };
    for (const [name, where] of [
      ["first", "Vestby"],
      ["second", "Halden Sound"],
      ["third", " Aldous College "],
      ["fourth", "Vestby"],
      ["fifth", ""],
    ] as const)
      await write(name, where);
    expect(await written()).toEqual([{ ...line, texts: null }]);
    await write("sixth", "Ringholm");
    expect(await written()).toEqual([
      { ...line, texts: ["Aldous College", "Halden Sound", "Ringholm", "Vestby", "Vestby"] },
    ]);
  });

  it("lead to the files that said so, unless nobody may know who they are", async () => {
    const shown = (await page())?.figures ?? [];
    const answerAt = (key: string, label: string) =>
      shown.find((f) => f.key === key)?.lines.find((l) => l.label === label)?.value;
    expect(answerAt("sponsor.employed", "Yes")).toBe("yes");
    expect(answerAt("sponsor.employed", "no answer")).toBeNull();
    expect(shown.filter((f) => f.confidential).flatMap((f) => f.lines.map((l) => l.value))).not.toContain("man");
    const start = (await page())?.shown?.id ?? "";
    const listed = async (place: string, value: string) => {
      const [section = "", field = ""] = place.split(".");
      const list = await readView(world.runtime, turns, officer, { said: { start, section, field, value } });
      return list && { said: list.said, total: list.total, names: list.rows.map((r) => r.name).length };
    };
    expect(await listed("sponsor.employed", "yes")).toEqual({
      said: "Does a public body employ you, and send you here? Yes",
      total: 2,
      names: 2,
    });
    expect(await listed("sponsor.employed", "no")).toMatchObject({ total: 11 });
    expect(await listed("figures.describes", "man")).toBeNull();
    expect(await listed("person.familyName", "Vale")).toBeNull();
    const table = await readView(world.runtime, turnContacts, officer, {
      said: { start, section: "sponsor", field: "employed", value: "yes" },
    });
    expect(table).toHaveLength(2);
  });

  it("compare the rounds of a start", async () => {
    expect(await linesOf("round")).toBeUndefined();
    await world.runtime.pool.query(
      `update choice set round_id = $1 where id in (select id from choice where submitted_at is not null and round_id = $2 order by id limit 3)`,
      [rolling, round],
    );
    expect(await linesOf("round")).toEqual([
      ["1", 11],
      ["rolling", 3],
    ]);
  });

  it("are shown start by start, of one's own programmes, and to nobody outside the office", async () => {
    const elsewhere = await makePerson(world, "Elsewhere Officer", ["officer"], "MES");
    const own = await page(null, elsewhere);
    expect([...new Set(own?.starts.map((s) => s.code))]).toEqual(["MES"]);
    const pcs = (await page())?.shown?.id ?? "";
    expect((await page(pcs))?.shown?.code).toBe("PCS");
    expect((await page(pcs, elsewhere))?.shown?.code).toBe("MES");
    expect(await page(null, await anybody(world, "Curious"))).toBeNull();
  });

  it("say in which country people studied last, of those who are counted", async () => {
    const degree = (entry: string, country: string, end: string) => ({
      [`education.institution.${entry}`]: "Somewhere",
      [`education.country.${entry}`]: country,
      [`education.end.${entry}`]: end,
    });
    await applied("one place", degree("a", "FR", "2024-06-30"));
    await applied("two places", { ...degree("a", "NL", "2022-06-30"), ...degree("b", "FR", "2025-06-30") });
    await applied("elsewhere", degree("a", "NL", "2024-06-30"));
    await applied("a draft", degree("a", "PT", "2024-06-30"), false);
    expect(await linesOf("studied")).toEqual([
      ["France", 2],
      ["Netherlands", 1],
    ]);
  });
});
