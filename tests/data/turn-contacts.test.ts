import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { turnContacts } from "../../src/views/turns/contacts";
import { readView } from "../../src/views/view/view";
import { filledFile, lookAt, submittedFile, type TestFile } from "../support/files";
import { makePerson, openWorld, type World } from "../support/world";

/** The list of turns for a spreadsheet. */
describe("whom a list of files reaches", () => {
  let world: World;
  let officer: Actor;
  let elsewhere: Actor;
  let file: TestFile;

  beforeAll(async () => {
    world = await openWorld("turn_contacts");
    const { roundId } = await loadCatalogue(world.runtime, "2026-11-25");
    officer = await makePerson(world, "Officer", ["officer"]);
    elsewhere = await makePerson(world, "Elsewhere", ["officer"], "FYC");
    file = await submittedFile(world, roundId, "Caller", { "contact.phone": "+353 1 700 1234" });
    await filledFile(world, roundId);
  });
  afterAll(() => world.close());

  it("is each with the address of the account and the number of the form", async () => {
    const { loaded } = await lookAt(world, file.applicationId);
    const { rows } = await world.runtime.pool.query<{ email: string }>(
      "select p.email from person p join application a on a.person_id = p.id where a.id = $1",
      [file.applicationId],
    );
    const all = await readView(world.runtime, turnContacts, officer, { turn: "office" });
    expect(all).toHaveLength(1);
    expect(all?.[0]).toMatchObject({
      number: loaded.facts.application.number,
      email: rows[0]?.email,
      phone: "+353 1 700 1234",
      programmes: "MES",
      stage: "submitted",
      turn: "office",
    });
  });

  it("is the same filter as the list, and nobody of other programmes", async () => {
    expect(await readView(world.runtime, turnContacts, officer, {})).toHaveLength(2);
    expect(await readView(world.runtime, turnContacts, officer, { turn: "applicant" })).toHaveLength(1);
    expect(await readView(world.runtime, turnContacts, officer, { mine: true })).toEqual([]);
    expect(await readView(world.runtime, turnContacts, officer, { round: "open" })).toHaveLength(1);
    expect(await readView(world.runtime, turnContacts, elsewhere, {})).toEqual([]);
  });
});
