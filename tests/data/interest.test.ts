import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { startApplication } from "../../src/acts/application/start-application";
import { announceOpenings, forgetInterest, noteInterest } from "../../src/acts/catalogue/interest";
import { addRound } from "../../src/acts/catalogue/rounds";
import { loadCatalogue } from "../../src/demo/catalogue";
import { renderMail } from "../../src/text/words/render-mail";
import { plans } from "../../src/views/catalogue/plans";
import { readView } from "../../src/views/view/view";
import { anybody } from "../support/files";
import { makePerson, must, openWorld, SYSTEM, VISITOR, type World } from "../support/world";

/** People who come before a round opens. */
describe("a note of interest", () => {
  let world: World;
  let roundId = "";
  const OPENS = "2026-12-01T09:00:00.000Z";
  beforeAll(async () => {
    world = await openWorld("interest");
    await loadCatalogue(world.runtime, "2026-11-25");
    await must(world, announceOpenings, SYSTEM, {}); // what is open already
    const { rows } = await world.runtime.pool.query<{ id: string }>(
      "select i.id from intake i join programme p on p.id = i.programme_id where p.code = 'GBC'",
    );
    const round = {
      key: "late",
      opensAt: OPENS,
      closings: [
        { group: "home", at: "2027-02-01T18:00:00.000Z" },
        { group: "overseas", at: "2027-02-01T18:00:00.000Z" },
      ],
      rolling: false,
      closesWhenFull: false,
      ifPlacesLeft: false,
      prepareBefore: true,
      promiseDays: 20,
    };
    ({ roundId } = await must(world, addRound, SYSTEM, { intakeId: rows[0]?.id ?? "", round }));
  });
  afterAll(() => world.close());

  const note = (email: string) => runAct(world.runtime, noteInterest, VISITOR, { code: "GBC", email, locale: "fr" });
  const mails = async (template: string) =>
    (
      await world.runtime.pool.query<{ to_address: string; locale: string; values: Record<string, string> }>(
        "select to_address, locale, values from message where template = $1 order by to_address",
        [template],
      )
    ).rows;

  it("is kept once for an address, answered by mail, and counted for the office", async () => {
    expect((await note("Ana@people.example")).ok).toBe(true);
    expect((await note("ana@people.example")).ok).toBe(true);
    expect((await note("second@people.example")).ok).toBe(true);
    expect((await mails("interest-noted")).map((m) => m.to_address)).toEqual([
      "ana@people.example",
      "second@people.example",
    ]);
    const lead = await makePerson(world, "Lead", ["lead officer"]);
    expect((await readView(world.runtime, plans, lead, { code: "GBC" }))?.programmes[0]?.interested).toBe(2);
  });

  it("is refused for what is no address, or no programme", async () => {
    expect(await note("not an address")).toMatchObject({ ok: false, reason: "invalid-input" });
    const nowhere = { code: "XYZ", email: "a@b.example", locale: "en" } as const;
    expect(await runAct(world.runtime, noteInterest, VISITOR, nowhere)).toMatchObject({
      ok: false,
      reason: "not-found",
    });
  });

  it("is taken out by the link in its mail, once", async () => {
    const [, second] = await mails("interest-noted");
    const token = (second?.values.link ?? "").replace("/interest/", "");
    expect((await runAct(world.runtime, forgetInterest, VISITOR, { token })).ok).toBe(true);
    expect(await runAct(world.runtime, forgetInterest, VISITOR, { token })).toMatchObject({ reason: "link-ended" });
  });

  it("is told when the round opens, together with those who prepare, and then forgotten", async () => {
    const drafter = await anybody(world, "Drafter");
    await must(world, startApplication, drafter, { roundId });
    expect(await must(world, announceOpenings, SYSTEM, {})).toEqual({ told: 0 });
    world.at("2026-12-01T09:01:00Z");
    expect(await must(world, announceOpenings, SYSTEM, {})).toEqual({ told: 2 });
    expect((await mails("interest-opened")).map((m) => [m.to_address, m.locale, m.values.link])).toEqual([
      ["ana@people.example", "fr", "/programmes/GBC"],
    ]);
    const [opened] = await mails("interest-opened");
    const { body } = renderMail("fr", "interest-opened", opened?.values ?? {}, "https://apply.example");
    expect(body).toMatch(/Préparez ceci.*\n\n– Passeport.*\n(– .*\n)*– Preuve de pratique\n/u);
    expect(body).not.toContain("Frais");
    expect(await mails("round-opened")).toHaveLength(1);
    expect((await world.runtime.pool.query("select 1 from interest")).rows).toEqual([]);
    expect(await must(world, announceOpenings, SYSTEM, {})).toEqual({ told: 0 });
  });
});
