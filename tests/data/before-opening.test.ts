import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { answerSearch, noteEmptySearch } from "../../src/acts/catalogue/empty-searches";
import { remindOpenings } from "../../src/acts/catalogue/remind-openings";
import { addRound, changeRound } from "../../src/acts/catalogue/rounds";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { renderMail } from "../../src/text/words/render-mail";
import { askedFor } from "../../src/views/catalogue/asked-for";
import { finder } from "../../src/views/catalogue/finder";
import { plans } from "../../src/views/catalogue/plans";
import { readView } from "../../src/views/view/view";
import { DAY, makePerson, must, openWorld, reasonOf, SYSTEM, VISITOR, type World } from "../support/world";

/** What an office looks at before people come. */
describe("before a round opens", () => {
  let world: World;
  let lead: Actor;
  const OPENS = "2027-03-01T09:00:00.000Z";

  beforeAll(async () => {
    world = await openWorld("before_opening");
    await loadCatalogue(world.runtime, "2026-11-25");
    lead = await makePerson(world, "Lead", ["lead officer"]);
    await makePerson(world, "Elsewhere", ["lead officer"], "FYC");
    await makePerson(world, "Officer", ["officer"]);
    const { rows } = await world.runtime.pool.query<{ id: string }>(
      "select i.id from intake i join programme p on p.id = i.programme_id where p.code = 'GBC'",
    );
    const round = {
      key: "late",
      opensAt: OPENS,
      closings: [{ group: "home", at: "2027-04-01T18:00:00.000Z" }],
      rolling: false,
      closesWhenFull: false,
      ifPlacesLeft: false,
      prepareBefore: true,
      promiseDays: 20,
    };
    await must(world, addRound, SYSTEM, { intakeId: rows[0]?.id ?? "", round });
  });
  afterAll(() => world.close());

  const planned = async () => (await readView(world.runtime, plans, lead, { code: "GBC" }))?.programmes[0];
  const gaps = async () => (await planned())?.intakes.flatMap((i) => i.gaps);

  it("a group without a closing is named", async () =>
    expect(await gaps()).toContainEqual({ code: "no-closing", round: "late", group: "overseas" }));

  it("a programme says which results have to be there by its closing", async () => {
    const due = async (code: string) =>
      (await readView(world.runtime, finder, VISITOR, { code }))?.hits[0]?.resultsDue.map((title) => title.en);
    expect([await due("BHT"), await due("MES")]).toEqual([["numeracy test"], []]);
  });

  it("a programme says what it asks for and what it costs, of whom, before anybody chooses it", async () => {
    const asked = async (code: string) => {
      const hit = (await readView(world.runtime, finder, VISITOR, { code }))?.hits[0];
      const fees = hit?.round.groups.flatMap((g) => g.fees.map((f) => `${g.key}: ${f.minor} from ${f.least} ${f.due}`));
      return {
        ...(await readView(world.runtime, askedFor, VISITOR, { code, start: hit?.startsOn ?? "" })),
        short: fees,
      };
    };
    const gbc = await asked("GBC");
    expect(gbc.short).toEqual(["home: 2500 from 0 always", "home: 30000 from 30000 with a place"]);
    expect(gbc.fees).toMatchObject([
      {
        onlyIf: null,
        amounts: [{ group: null, minor: 2500, currency: "EUR" }],
        reductions: [
          {
            title: { en: "Twenty years of practice" },
            amounts: [],
            onlyIf: { fr: "« mois de pratique » est au moins 240" },
          },
          {
            amounts: [{ group: null, minor: 1000 }],
            onlyIf: { en: "“Date of birth” is after 25 years before start of studies" },
          },
        ],
      },
      { due: "with a place" },
    ]);
    const mes = await asked("MES");
    expect(mes.fees?.[0]?.amounts).toMatchObject([{ group: { en: "overseas group" }, minor: 6000 }]);
    const only = Object.fromEntries((mes.needs ?? []).map((n) => [n.title.en, n.onlyIf]));
    expect(only["Degree certificate"]).toBeNull();
    expect(only["Proof of the change of name"]?.en).toBe("“Former names, if your papers carry them” is filled in");
    expect(only["Proof of English"]?.fr).toBe("langue d’enseignement est anglais");
  });

  it("the lead officers of the programme are reminded once, a week before, with how much is missing", async () => {
    world.at(new Date(Date.parse(OPENS) - 8 * DAY).toISOString());
    expect(await must(world, remindOpenings, SYSTEM, {})).toEqual({ told: 0 });
    world.later(2 * DAY);
    const before = (await gaps())?.length ?? 0;
    expect(await must(world, remindOpenings, SYSTEM, {})).toEqual({ told: 1 });
    expect(await must(world, remindOpenings, SYSTEM, {})).toEqual({ told: 0 });
    const { rows } = await world.runtime.pool.query<{ person_id: string; values: Record<string, string> }>(
      "select person_id, values from message where template = 'round-opens-soon'",
    );
    expect(rows.map((r) => r.person_id)).toEqual([lead.kind === "person" ? lead.id : ""]);
    const { subject, body } = renderMail("en", "round-opens-soon", rows[0]?.values ?? {}, "https://apply.example");
    expect(subject).toMatch(/opens on 1 Mar 2027/u);
    expect(before).toBe(2);
    expect(body).toContain("2 things are still missing in what is planned.");
    expect(body).toContain("https://apply.example/office/programmes/GBC");
  });

  it("a round that was moved is reminded of anew", async () => {
    const round = (await planned())?.intakes.flatMap((i) => i.rounds).find((r) => r.key === "late");
    if (!round) throw new Error("no round");
    const { id, version, key, rolling, closesWhenFull, ifPlacesLeft, prepareBefore, promiseDays } = round;
    const opensAt = new Date(Date.parse(OPENS) + 2 * DAY).toISOString();
    const closings = round.closings.map((c) => ({ group: c.group, at: new Date(c.at).toISOString() }));
    await must(world, changeRound, lead, {
      roundId: id,
      version,
      round: { key, opensAt, closings, rolling, closesWhenFull, ifPlacesLeft, prepareBefore, promiseDays },
      reason: "Later.",
    });
    world.later(2 * DAY);
    expect(await must(world, remindOpenings, SYSTEM, {})).toEqual({ told: 1 });
  });
});

describe("words by which nothing was found", () => {
  let world: World;
  let lead: Actor;
  beforeAll(async () => {
    world = await openWorld("empty_searches");
    await loadCatalogue(world.runtime, "2026-11-25");
    lead = await makePerson(world, "Lead", ["lead officer"]);
  });
  afterAll(() => world.close());

  const note = (words: string) => runAct(world.runtime, noteEmptySearch, VISITOR, { words });
  const searches = async () =>
    (await readView(world.runtime, plans, lead, {}))?.searches.map((s) => [s.words, s.times]);
  const found = async (words: string) =>
    (await readView(world.runtime, finder, VISITOR, { words }))?.hits.map((h) => h.code);

  it("are counted under one spelling, the most frequent first; signs alone are not kept", async () => {
    for (const words of ["Zostera beds", "zostera  BEDS", "kelp rafts", "?!"])
      expect((await note(words)).ok).toBe(true);
    await note("x");
    expect(await searches()).toEqual([
      ["Zostera beds", 2],
      ["kelp rafts", 1],
    ]);
  });

  it("are kept with the place that was looked for, a region or a site from afar, and by the place alone", async () => {
    const at = (campus: string, words = "") => runAct(world.runtime, noteEmptySearch, VISITOR, { words, campus });
    await at("region the islands", "kelp rafts");
    await at("afar");
    await at("afar");
    await at("nowhere");
    const noted = (await readView(world.runtime, plans, lead, {}))?.searches.map((s) => [s.words, s.place, s.times]);
    expect(noted).toEqual([
      ["", "From a distance", 2],
      ["Zostera beds", null, 2],
      ["kelp rafts", null, 1],
      ["kelp rafts", "The islands", 1],
    ]);
    for (const [words, campus] of [
      ["", "afar"],
      ["kelp rafts", "region the islands"],
    ] as const)
      await must(world, answerSearch, lead, { words, campus, code: null });
  });

  it("find programmes by region, and those that are taught from afar", async () => {
    const at = async (campus: string) =>
      (await readView(world.runtime, finder, VISITOR, { campus }))?.hits.map((h) => h.code).toSorted();
    expect(await at("region the islands")).toEqual(await at("vell"));
    expect(await at("region merrow coast")).toEqual(
      [...new Set([...((await at("merrow")) ?? []), ...((await at("tarbrook")) ?? [])])].toSorted(),
    );
    expect(await at("afar")).toEqual(["MMH"]);
  });

  it("find programmes by award and by whoever runs them, in any combination", async () => {
    const found = async (query: { award?: string; by?: string; level?: "master" }) =>
      (await readView(world.runtime, finder, VISITOR, query))?.hits.map((h) => h.code).toSorted();
    expect(await found({ award: "MSc" })).toEqual(["MES", "MTE"]);
    expect(await found({ award: "MSc", by: "Tarbrook Boat Yard" })).toEqual([]);
    expect(await found({ by: "Tarbrook Boat Yard" })).toEqual(["GBC"]);
    expect(await found({ by: "ours", level: "master" })).toEqual(["MES", "MMH", "MTE"]);
    const choices = (await readView(world.runtime, finder, VISITOR, {}))?.choices;
    expect([choices?.awards.includes("MA"), choices?.partners]).toEqual([true, ["Tarbrook Boat Yard"]]);
  });

  it("become words by which a programme is found", async () => {
    expect(await found("zostera beds")).toEqual([]);
    await must(world, answerSearch, lead, { words: "Zostera beds", code: "MES" });
    expect(await found("zostera beds")).toEqual(["MES"]);
    expect(await searches()).toEqual([["kelp rafts", 1]]);
    expect(await reasonOf(runAct(world.runtime, answerSearch, lead, { words: "Zostera beds", code: "MES" }))).toBe(
      "already-done",
    );
  });

  it("are put away where no programme is meant, and forgotten after half a year", async () => {
    await must(world, answerSearch, lead, { words: "kelp rafts", code: null });
    expect(await searches()).toEqual([]);
    await note("sponges");
    world.later(181 * DAY);
    await note("urchins");
    expect(await searches()).toEqual([["urchins", 1]]);
  });
});
