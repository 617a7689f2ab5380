import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { saveAnswers } from "../../src/acts/form/save-answers";
import { judgeSamePerson } from "../../src/acts/people/same-person";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { someone } from "../../src/demo/people";
import { file as fileView } from "../../src/views/assessment/file";
import { readView } from "../../src/views/view/view";
import { filledFile, lookAt } from "../support/files";
import { DAY, makePerson, must, openWorld, type World } from "../support/world";

describe("files of one person", () => {
  let world: World;
  let officer: Actor;
  let roundId = "";
  const files: Record<string, { readonly id: string; readonly number: string; readonly applicant: Actor }> = {};

  beforeAll(async () => {
    world = await openWorld("same_person");
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    ({ roundId } = await loadCatalogue(world.runtime, "2026-11-25"));
    const people = {
      first: ["Katarzyna", "Zielińska", "2002-12-01", "EK7741902"],
      second: ["Katarzyna", "Zielinska", "2002-12-01", "EK 774-1902"],
      slip: ["Zielinska", "Katarzyna", "2002-01-12", "XX0000001"],
      other: ["Katarzyna", "Wolny", "1999-05-04", "XX0000002"],
      stranger: ["Owen", "Tarrick", "2001-07-19", "XX0000003"],
    } as const;
    for (const [key, [given, family, birthDate, passportNumber]] of Object.entries(people)) {
      const made = await filledFile(world, roundId, someone(given, family, { birthDate, passportNumber }));
      const { loaded } = await lookAt(world, made.applicationId);
      files[key] = { id: made.applicationId, number: loaded.facts.application.number, applicant: made.owner };
    }
  });
  afterAll(() => world.close());

  const of = (key: string) => {
    const found = files[key];
    if (!found) throw new Error(key);
    return found;
  };
  const doubles = async (key: string, actor = officer) => {
    const data = await readView(world.runtime, fileView, actor, { number: of(key).number });
    return data?.doubles.map((d) => [d.number, d.seen.verdict, d.said?.verdict ?? null]);
  };
  const say = (key: string, other: string, verdict: "same" | "different" | "undecided", actor = officer) =>
    runAct(world.runtime, judgeSamePerson, actor, {
      applicationId: of(key).id,
      otherNumber: of(other).number,
      verdict,
    });

  it("are found by name, date of birth and document, from both sides, and nobody else is", async () => {
    expect(await doubles("first")).toEqual([
      [of("second").number, "same", null],
      [of("slip").number, "look", null],
    ]);
    expect((await doubles("slip"))?.map(([number]) => number)).toEqual([of("first").number, of("second").number]);
    expect(await doubles("other")).toEqual([]);
    expect(await doubles("stranger")).toEqual([]);
  });

  it("what an officer says is remembered on both, until it is taken back", async () => {
    await must(world, judgeSamePerson, officer, {
      applicationId: of("first").id,
      otherNumber: of("second").number,
      verdict: "same",
    });
    expect(await doubles("second")).toContainEqual([of("first").number, "same", "same"]);
    world.later(DAY);
    await say("second", "first", "different");
    expect(await doubles("first")).toContainEqual([of("second").number, "same", "different"]);
    world.later(DAY);
    await say("first", "second", "undecided");
    expect(await doubles("first")).toContainEqual([of("second").number, "same", null]);
  });

  it("follow the answers: a corrected name brings files together or apart", async () => {
    const { loaded } = await lookAt(world, of("stranger").id);
    const change = async (changes: Readonly<Record<string, string>>) => {
      const now = (await lookAt(world, of("stranger").id)).loaded.facts.answers;
      await must(world, saveAnswers, of("stranger").applicant, {
        applicationId: of("stranger").id,
        changes: Object.entries(changes).map(([place, value]) => {
          const [section = "", field = ""] = place.split(".");
          const seen = now.find((a) => a.section === section && a.field === field)?.version ?? 0;
          return { scope: "file", section, entry: "", field, value, seen };
        }),
      });
    };
    expect(loaded.facts.answers.length).toBeGreaterThan(0);
    await change({
      "person.givenNames": "Katarzyna",
      "person.familyName": "Zielinska",
      "person.birthDate": "2002-12-01",
    });
    expect((await doubles("first"))?.map(([number]) => number)).toContain(of("stranger").number);
    await change({ "person.givenNames": "Owen", "person.familyName": "Tarrick", "person.birthDate": "2001-07-19" });
    expect((await doubles("first"))?.map(([number]) => number)).not.toContain(of("stranger").number);
  });

  it("are not for those who may not see the other file, and a file is no double of itself", async () => {
    const elsewhere = await makePerson(world, "Office Elsewhere", ["officer"], "FYC");
    expect(await doubles("first", elsewhere)).toBeUndefined();
    expect(await say("first", "second", "same", elsewhere)).toMatchObject({ ok: false, reason: "not-yours" });
    expect(await say("first", "first", "same")).toMatchObject({ ok: false, reason: "not-found" });
  });
});
