import { randomUUID } from "node:crypto";
import { afterAll, beforeAll, beforeEach, describe, expect, it } from "vitest";
import { type Outcome, runAct } from "../../src/acts/act/act";
import { startApplication } from "../../src/acts/application/start-application";
import { withdraw } from "../../src/acts/application/withdraw";
import { saveAnswers } from "../../src/acts/form/save-answers";
import type { Json } from "../../src/core/file/facts";
import { gapsOf } from "../../src/core/file/result";
import type { SaveResult } from "../../src/core/form/save-result";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { verifyAll } from "../../src/verify";
import { myApplication } from "../../src/views/application/my-application";
import { readView } from "../../src/views/view/view";
import { begunFile, lookAt, submittedFile } from "../support/files";
import { must, openWorld, type World } from "../support/world";

/** Every field is saved as it is left: nothing typed is lost, and nothing of somebody else's window is written over. */
describe("saving the form", () => {
  let world: World;
  let owner: Actor;
  let roundId = "";
  let rounds: Readonly<Record<string, string>> = {};
  let applicationId = "";

  beforeAll(async () => {
    world = await openWorld("saving");
    ({ roundId, rounds } = await loadCatalogue(world.runtime, "2026-11-25"));
  });
  afterAll(() => world.close());
  beforeEach(async () => {
    ({ owner, applicationId } = await begunFile(world, roundId));
  });

  const change = (place: string, value: Json, seen = 0) => {
    const [section = "", entry = "", field = ""] = place.split("/");
    return { scope: "file", section, entry, field, value, seen };
  };
  const save = (...changes: ReturnType<typeof change>[]) =>
    runAct(world.runtime, saveAnswers, owner, { applicationId, changes });
  const results = (outcome: Outcome<{ readonly results: readonly SaveResult[] }>) =>
    outcome.ok ? outcome.value.results : outcome.reason;
  const stored = async (section: string, entry = "") => {
    const { rows } = await world.runtime.pool.query<{ field: string; value: Json; version: number }>(
      "select field, value, version from answer where application_id = $1 and section = $2 and entry = $3 order by field",
      [applicationId, section, entry],
    );
    return Object.fromEntries(rows.map((r) => [r.field, [r.value, r.version]]));
  };

  it("counts versions, and does not count what is said again", async () => {
    expect(results(await save(change("contact//town", "Paramaribo")))).toEqual([
      { state: "saved", version: 1, issue: null },
    ]);
    expect(results(await save(change("contact//town", "Paramaribo", 0)))).toMatchObject([{ version: 1 }]);
    expect(results(await save(change("contact//town", "Nickerie", 1)))).toMatchObject([{ version: 2 }]);
    expect(await stored("contact")).toEqual({ town: ["Nickerie", 2] });
  });

  it("takes no more lines than the list has room for, a removed one makes room, and what is there may be changed", async () => {
    const { loaded } = await lookAt(world, applicationId);
    const most = Object.values(loaded.rulebooks)[0]?.body.sections.find((s) => s.key === "courses")?.repeats?.max ?? 0;
    const line = (i: number, title = `Course ${i}`, seen = 0) => change(`courses/line-${i}/title`, title, seen);
    const states = async (...changes: ReturnType<typeof change>[]) => {
      const all = results(await save(...changes));
      return typeof all === "string" ? all : all.map((r) => (r.state === "refused" ? r.why : r.state));
    };
    expect(await states(...Array.from({ length: most + 2 }, (_, i) => line(i)))).toEqual([
      ...Array.from({ length: most }, () => "saved"),
      "too-many",
      "too-many",
    ]);
    expect(await states(line(most), line(0, "Another title", 1))).toEqual(["too-many", "saved"]);
    const removed = [{ scope: "file", section: "courses", entry: "line-1" }];
    await must(world, saveAnswers, owner, { applicationId, removed });
    expect(await states(line(most))).toEqual(["saved"]);
  });

  it("knows no lines outside lists, and nothing of a list beside its lines", async () => {
    expect(results(await save(change("contact/line-1/town", "Here"), change("courses//title", "There")))).toEqual([
      { state: "refused", why: "unknown" },
      { state: "refused", why: "unknown" },
    ]);
  });

  it("shows both values to a window that has not seen the other one's, and overwrites neither", async () => {
    await save(change("contact//town", "Here"));
    await save(change("contact//town", "There", 1));
    expect(results(await save(change("contact//town", "Elsewhere", 1), change("contact//street", "Quay")))).toEqual([
      { state: "conflict", version: 2, value: "There" },
      { state: "saved", version: 1, issue: null },
    ]);
    expect(await stored("contact")).toEqual({ street: ["Quay", 1], town: ["There", 2] });
    expect(results(await save(change("contact//town", "Elsewhere", 2)))).toMatchObject([
      { state: "saved", version: 3 },
    ]);
  });

  it("lets one of two windows win that save at the same moment, and tells the other", async () => {
    await save(change("contact//town", "Before"));
    const both = await Promise.all(["One", "Two"].map((town) => save(change("contact//town", town, 1))));
    const states = both.map((o) => (o.ok ? o.value.results[0]?.state : o.reason)).sort();
    expect(states).toEqual(["conflict", "saved"]);
    expect((await stored("contact")).town?.[1]).toBe(2);
  });

  it("keeps wrong values and says what is wrong beside them", async () => {
    expect(
      results(await save(change("person//birthDate", "yesterday"), change("person//familyName", "R2 D2"))),
    ).toMatchObject([{ issue: { code: "not-a-date" } }, { issue: { code: "digits-in-name" } }]);
    expect(await stored("person")).toEqual({ birthDate: ["yesterday", 1], familyName: ["R2 D2", 1] });
    expect((await lookAt(world, applicationId)).result.requirements.slice(0, 1).flatMap(gapsOf)).toEqual(
      expect.arrayContaining([expect.objectContaining({ field: "birthDate", code: "wrong" })]),
    );
  });

  it("keeps an emptied field empty, with its history", async () => {
    await save(change("contact//town", "Paramaribo"));
    await save(change("contact//town", "", 1));
    expect(await stored("contact")).toEqual({ town: ["", 2] });
    const { rows } = await world.runtime.pool.query(
      "select value, version, saved_by from answer_version where application_id = $1 and field = 'town' order by version",
      [applicationId],
    );
    expect(rows.map((r) => [r.value, r.version])).toEqual([
      ["Paramaribo", 1],
      ["", 2],
    ]);
    expect(rows.every((r) => r.saved_by === (owner.kind === "person" ? `person:${owner.id}` : ""))).toBe(true);
  });

  it("keeps entries in the order in which they were added, also when one is taken out and another put in", async () => {
    const [a, b, c] = [randomUUID(), randomUUID(), randomUUID()];
    for (const entry of [c, a, b]) await save(change(`courses/${entry}/title`, entry));
    const order = async () => {
      const { loaded } = await lookAt(world, applicationId);
      return loaded.facts.answers.filter((f) => f.section === "courses").map((f) => f.entry);
    };
    expect(await order()).toEqual([c, a, b]);
    await must(world, saveAnswers, owner, {
      applicationId,
      removed: [{ scope: "file", section: "courses", entry: a }],
    });
    const d = randomUUID();
    await save(change(`courses/${d}/title`, "last"));
    expect(await order()).toEqual([c, b, d]);
  });

  it("gives an entry that comes back a newer version than the one that went", async () => {
    const entry = randomUUID();
    await save(change(`courses/${entry}/title`, "Hydrology"));
    await must(world, saveAnswers, owner, { applicationId, removed: [{ scope: "file", section: "courses", entry }] });
    expect(await stored("courses", entry)).toEqual({});
    expect(results(await save(change(`courses/${entry}/title`, "Hydrology")))).toMatchObject([{ version: 3 }]);
  });

  it.each([
    ["a field that the form does not have", "person//shoeSize", "x", "unknown"],
    ["a section that it does not have", "boats//name", "x", "unknown"],
    ["the word that a list is whole, in a section that is none", "person//complete", true, "unknown"],
    ["a value that is too long to be meant", "contact//street", "x".repeat(24_001), "too-long"],
    ["a sign that no column holds", "contact//street", "Quay\u0000 7", "unreadable"],
    ["half a character, inside a list", "contact//street", ["\ud83d"], "unreadable"],
    ["half a character", "contact//street", "\ud83d Quay", "unreadable"],
  ])("does not take %s, and saves what came with it", async (_, place, value, why) => {
    expect(results(await save(change(place, value), change("contact//town", "Paramaribo")))).toEqual([
      { state: "refused", why },
      { state: "saved", version: 1, issue: null },
    ]);
    expect(await stored("contact")).toEqual({ town: ["Paramaribo", 1] });
  });

  it.each<[string, Json]>([
    ["tests/one/scores", { W: "6.5", L: "7.0", overall: "7", R: "8" }],
    ["person//familyName", { street: "1 quai", town: "Brest", country: "FR" }],
    ["person//givenNames", ["SR", "NL", { b: 1, a: [2, { d: 3, c: 4 }] }]],
    ["courses/one/credits", 7.5],
    ["courses/one/credits", 1e21],
  ])("takes %s = %j sent twice for the same, however the database orders it", async (place, value) => {
    const [section = "", entry = "", field = ""] = place.split("/");
    expect(results(await save(change(place, value)))).toMatchObject([{ state: "saved", version: 1 }]);
    expect(results(await save(change(place, value)))).toMatchObject([{ state: "saved", version: 1 }]);
    expect((await stored(section, entry))[field]).toEqual([value, 1]);
  });

  it("does not take scopes of other files", async () => {
    const other = await begunFile(world, roundId);
    const choice = (await lookAt(world, other.applicationId)).loaded.facts.choices[0]?.id ?? "";
    expect(results(await save({ ...change("contact//town", "x"), scope: choice }))).toEqual([
      { state: "refused", why: "unknown" },
    ]);
    expect(
      await runAct(world.runtime, saveAnswers, owner, {
        applicationId: other.applicationId,
        changes: [change("contact//town", "x")],
      }),
    ).toMatchObject({ ok: false });
  });

  it("changes nothing that was submitted or withdrawn, and says so of each place", async () => {
    const file = await submittedFile(world, roundId, "Halvor");
    const saved = await runAct(world.runtime, saveAnswers, file.applicant, {
      applicationId: file.applicationId,
      changes: [change("contact//town", "Somewhere else", 1)],
      removed: [{ scope: "file", section: "education", entry: file.filled.degree }],
    });
    expect(saved).toMatchObject({
      ok: true,
      value: { results: [{ state: "refused", why: "locked" }], removals: [false] },
    });
    const { loaded } = await lookAt(world, file.applicationId);
    expect(loaded.facts.answers.some((a) => a.entry === file.filled.degree)).toBe(true);
    await must(world, withdraw, owner, { applicationId });
    expect(results(await save(change("contact//town", "Too late")))).toEqual([{ state: "refused", why: "locked" }]);
  });

  it("saves fields beside an entry that may no longer be taken out", async () => {
    const file = await submittedFile(world, roundId, "Sigrun");
    const entry = randomUUID();
    await save(change(`courses/${entry}/title`, "Hydrology"));
    const outcome = await must(world, saveAnswers, owner, {
      applicationId,
      changes: [change("contact//town", "Paramaribo")],
      removed: [
        { scope: "elsewhere", section: "education", entry: file.filled.degree },
        { scope: "file", section: "courses", entry },
      ],
    });
    expect(outcome).toMatchObject({ results: [{ state: "saved" }], removals: [false, true] });
    expect(await stored("contact")).toEqual({ town: ["Paramaribo", 1] });
  });

  it("answers with the sections of the page that asks, as a page that is loaded anew shows them", async () => {
    const entry = randomUUID();
    await save(change("person//familyName", "Okpara"), change("person//givenNames", "Chidi"));
    const saved = await must(world, saveAnswers, owner, {
      applicationId,
      changes: [change("person//oneName", true), change(`courses/${entry}/title`, "Hydrology")],
      page: ["file|person", "file|courses", "file|boats"],
    });
    const { number } = (await lookAt(world, applicationId)).loaded.facts.application;
    const shown = await readView(world.runtime, myApplication, owner, { number });
    expect(saved.sections.map((s) => s.key).sort()).toEqual(["courses", "person"]);
    expect(saved.sections).toEqual(shown?.sections.filter((s) => ["person", "courses"].includes(s.key)));
    expect(saved.sections.find((s) => s.key === "person")?.entries[0]?.values).not.toHaveProperty("givenNames");
  });

  it.each(["a field", "an entry that is taken out", "an entry that comes back", "an answer that slept"])(
    "leaves the file as it is loaded anew after %s",
    async (what) => {
      const entry = randomUUID();
      const field = change(`courses/${entry}/title`, "Hydrology");
      await save(field, change("person//givenNames", "Chidi"), change("contact//town", "Enugu"));
      const removed = [{ scope: "file", section: "courses", entry }];
      if (what === "a field") await save(change("contact//town", "Lagos", 1));
      else if (what === "an answer that slept") {
        await save(change("person//oneName", true));
        await save(change("person//givenNames", "Emeka", 1), change("person//oneName", false, 1));
      } else await must(world, saveAnswers, owner, { applicationId, removed });
      if (what === "an entry that comes back") await save(field);
      expect((await verifyAll(world.runtime.pool)).differing).toEqual([]);
    },
  );

  it("says of every part how it stands, whether an answer opened it or closed it", async () => {
    const begun = await must(world, startApplication, owner, { roundId: rounds["PCS 1"] ?? "" });
    const family = async (wanted: boolean, seen: number) => {
      const change = { scope: "file", section: "funding", entry: "", field: "wanted", value: wanted, seen };
      const { parts } = await must(world, saveAnswers, owner, {
        applicationId: begun.applicationId,
        changes: [change],
      });
      return parts.filter((p) => p.key === "family").map((p) => [p.applies, p.done]);
    };
    expect(await family(true, 0)).toEqual([[true, false]]);
    expect((await family(false, 1))[0]?.[0]).toBe(false);
  });

  it("leaves one event for each save, which names fields and never values", async () => {
    await save(change("person//familyName", "Okpara"), change("contact//town", "Enugu"));
    const { rows } = await world.runtime.pool.query(
      "select act, about from event where application_id = $1 order by id desc limit 1",
      [applicationId],
    );
    expect(rows[0]).toMatchObject({
      act: "save-answers",
      about: { fields: ["person.familyName", "contact.town"], removed: [] },
    });
    expect(JSON.stringify(rows)).not.toMatch(/Okpara|Enugu/u);
    expect((await verifyAll(world.runtime.pool)).differing).toEqual([]);
  });
});
