import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { addNote, dropNote, lookIn, markFile, unmarkFile } from "../../src/acts/notes/notes";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { fileNotes } from "../../src/views/notes/notes";
import { turnFacets } from "../../src/views/turns/facets";
import { turns } from "../../src/views/turns/turns";
import { readView } from "../../src/views/view/view";
import { lookAt, submittedFile, type TestFile } from "../support/files";
import { makePerson, must, openWorld, reasonOf, type World } from "../support/world";

/** What officers note in a file for each other: notes, marks, and who else has it open. */
describe("notes and marks", () => {
  let world: World;
  let officer: Extract<Actor, { kind: "person" }>;
  let second: Extract<Actor, { kind: "person" }>;
  let elsewhere: Extract<Actor, { kind: "person" }>;
  let file: TestFile;
  let number = "";

  beforeAll(async () => {
    world = await openWorld("notes");
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    second = await makePerson(world, "Padraig Hennessy", ["officer"]);
    elsewhere = await makePerson(world, "Far Away", ["officer"], "FYC");
    const { roundId } = await loadCatalogue(world.runtime, "2026-11-25");
    file = await submittedFile(world, roundId, "Ilse");
    await submittedFile(world, roundId, "Bettina");
    number = (await lookAt(world, file.applicationId)).loaded.facts.application.number;
  });
  afterAll(() => world.close());

  const at = () => ({ applicationId: file.applicationId });
  const seen = (by: Actor = officer) => readView(world.runtime, fileNotes, by, { number });
  const list = async (filter: object, by: Actor = officer) =>
    (await readView(world.runtime, turns, by, filter))?.rows.map((r) => r.number);

  it("are for whom they name, until they have opened the file", async () => {
    await must(world, addNote, officer, { ...at(), text: "Look at the second page, please.", mentions: [second.id] });
    expect((await seen())?.notes).toMatchObject([
      { by: "Runa Okonjo", mine: true, mentions: [{ name: "Padraig Hennessy", read: false }] },
    ]);
    expect([await list({ day: "for me" }, second), await list({ day: "for me" }, officer)]).toEqual([[number], []]);
    expect((await readView(world.runtime, turns, second, {}))?.days["for me"]).toBe(1);
    await must(world, lookIn, second, at());
    expect(await list({ day: "for me" }, second)).toEqual([]);
    expect((await seen())?.notes[0]?.mentions).toEqual([{ name: "Padraig Hennessy", read: true }]);
  });

  it("name nobody who does not work on the file, and are taken away by who wrote them alone", async () => {
    expect(
      await reasonOf(runAct(world.runtime, addNote, officer, { ...at(), text: "Hm", mentions: [elsewhere.id] })),
    ).toBe("not-yours");
    const noteId = (await seen())?.notes[0]?.id ?? "";
    expect(await reasonOf(runAct(world.runtime, dropNote, second, { ...at(), noteId }))).toBe("not-found");
    await must(world, dropNote, officer, { ...at(), noteId });
    expect((await seen())?.notes).toEqual([]);
  });

  it("let files be found by their marks", async () => {
    await must(world, markFile, officer, { ...at(), mark: "boat yard" });
    expect(await reasonOf(runAct(world.runtime, markFile, second, { ...at(), mark: "boat yard" }))).toBe(
      "already-done",
    );
    expect(await reasonOf(runAct(world.runtime, markFile, second, { ...at(), mark: "a, b" }))).toBe("invalid-input");
    expect([await list({ mark: "boat yard" }), await list({ mark: "no such" })]).toEqual([[number], []]);
    expect((await readView(world.runtime, turnFacets, officer, {}))?.marks).toEqual([
      { value: "boat yard", title: "boat yard", count: 1 },
    ]);
    expect((await readView(world.runtime, turnFacets, elsewhere, {}))?.marks).toEqual([]);
    await must(world, unmarkFile, second, { ...at(), mark: "boat yard" });
    expect(await list({ mark: "boat yard" })).toEqual([]);
  });

  it("say who else has the file open, for a minute", async () => {
    await must(world, lookIn, officer, at());
    expect(await must(world, lookIn, second, at())).toEqual({ others: ["Runa Okonjo"] });
    world.later(61_000);
    expect(await must(world, lookIn, second, at())).toEqual({ others: [] });
    expect(await reasonOf(runAct(world.runtime, lookIn, elsewhere, at()))).toBe("not-found");
  });

  it("are nothing that the applicant's copy of their data holds", async () => {
    await must(world, addNote, officer, { ...at(), text: "Only for us" });
    expect(await readView(world.runtime, fileNotes, file.applicant, { number })).toBeNull();
  });
});
