import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act";
import { noteLink } from "../../src/acts/note-link";
import { startApplication } from "../../src/acts/start-application";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { fillAny } from "../../src/demo/filling";
import { someone } from "../../src/demo/people";
import { file as fileView } from "../../src/views/file";
import { readView } from "../../src/views/view";
import { anybody, lookAt } from "../support/files";
import { DAY, makePerson, must, openWorld, reasonOf, type World } from "../support/world";

/** Links to own work, and whether they opened when somebody looked. */
describe("links of an application", () => {
  let world: World;
  let officer: Actor;
  let file = { applicationId: "", number: "" };
  let place = { scope: "file", section: "", entry: "", field: "" };
  let url = "";

  beforeAll(async () => {
    world = await openWorld("link_notes");
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    const { rounds } = await loadCatalogue(world.runtime, "2026-11-25");
    const applicant = await anybody(world, "Maker");
    file = await must(world, startApplication, applicant, { roundId: rounds["MMH 1"] ?? "" });
    await fillAny(world.runtime, applicant, file.applicationId, someone("Ana", "Vale"), {}, {});
    const { loaded } = await lookAt(world, file.applicationId);
    const links = loaded.facts.answers.find((a) => a.field === "links");
    if (!links || !Array.isArray(links.value)) throw new Error("the form has no links");
    const { scope, section, entry, field } = links;
    place = { scope, section, entry, field };
    url = String(links.value[0]);
  });
  afterAll(() => world.close());

  const note = (opens: boolean, change: object = {}) =>
    reasonOf(
      runAct(world.runtime, noteLink, officer, { applicationId: file.applicationId, ...place, url, opens, ...change }),
    );
  const notes = async () => (await readView(world.runtime, fileView, officer, { number: file.number }))?.linkNotes;

  it("are noted with the day and who looked; the last look counts", async () => {
    expect(await notes()).toEqual([]);
    expect(await note(false)).toBe("ok");
    world.later(DAY);
    expect(await note(true)).toBe("ok");
    expect(await notes()).toMatchObject([{ ...place, url, opens: true, by: "Runa Okonjo" }]);
    expect(Date.parse((await notes())?.[0]?.at ?? "")).toBe(world.runtime.now().getTime());
  });

  it("that nobody gave are not noted", async () => {
    expect(await note(true, { url: "https://elsewhere.example" })).toBe("not-found");
    expect(await note(true, { section: "person" })).toBe("not-found");
  });
});
