import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct, tryAct } from "../../src/acts/act/act";
import { askApplicant } from "../../src/acts/asks/asks";
import { handFile } from "../../src/acts/assessment/take-file";
import { acceptEvidence } from "../../src/acts/evidence/judge-evidence";
import { noteLook, takeLookBack } from "../../src/acts/turns/last-look";
import { doToFiles } from "../../src/acts/turns/many-files";
import { dropList, keepList } from "../../src/acts/turns/named-lists";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { turnFacets } from "../../src/views/turns/facets";
import { manyChoices } from "../../src/views/turns/many-choices";
import { namedLists } from "../../src/views/turns/named-lists";
import { turns } from "../../src/views/turns/turns";
import { readView } from "../../src/views/view/view";
import { begunFile, submittedFile, type TestFile } from "../support/files";
import { makePerson, must, openWorld, reasonOf, type World } from "../support/world";

const DAY = 86_400_000;

/** How a list is narrowed, ordered, kept under a name, and worked through at once. */
describe("lists of files", () => {
  let world: World;
  let officer: Extract<Actor, { kind: "person" }>;
  let second: Extract<Actor, { kind: "person" }>;
  let elsewhere: Extract<Actor, { kind: "person" }>;
  let lead: Actor;
  let first: TestFile;
  let other: TestFile;
  let draft: string;

  beforeAll(async () => {
    world = await openWorld("turn_lists");
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    second = await makePerson(world, "Padraig Hennessy", ["officer"]);
    elsewhere = await makePerson(world, "Far Away", ["officer"], "FYC");
    lead = await makePerson(world, "Tadhg Breen", ["lead officer"]);
    const { roundId } = await loadCatalogue(world.runtime, "2026-11-25");
    first = await submittedFile(world, roundId, "Ilse");
    world.later(2 * DAY);
    other = await submittedFile(world, roundId, "Bettina");
    draft = (await begunFile(world, roundId)).applicationId;
    world.later(60_000);
    await must(world, acceptEvidence, officer, {
      applicationId: first.applicationId,
      requirement: "passport",
      scope: "file",
      entry: "",
    });
  });
  afterAll(() => world.close());

  type Asked = Parameters<typeof readView<typeof turns.input, unknown>>[3];
  const read = async (asked: Asked, actor: Actor = officer) => {
    const data = await readView(world.runtime, turns, actor, asked);
    if (!data) throw new Error("the list was refused");
    return data;
  };
  const names = async (asked: Asked, actor?: Actor) =>
    (await read(asked, actor)).rows.map((r) => r.name.split(" ")[0] ?? "");

  it("hold what has all the tags, and count what they can be narrowed down by further", async () => {
    const office = { turn: "office" };
    expect((await names(office)).sort()).toEqual(["Bettina", "Ilse"]);
    expect(await names({ ...office, tags: ["standing:passport to check"] })).toEqual(["Bettina"]);
    expect(await names({ ...office, tags: ["standing:passport to check", "programme:MTE"] })).toEqual([]);
    expect((await names({ ...office, tags: ["nonsense", "programme:MES"] })).sort()).toEqual(["Bettina", "Ilse"]);
    const facets = await readView(world.runtime, turnFacets, officer, office);
    const values = (word: string) => facets?.tags.find((f) => f.word === word)?.values;
    expect(values("programme")).toEqual([{ value: "programme:MES", title: expect.stringContaining("MES"), count: 2 }]);
    expect(values("round")?.[0]?.title).toMatch(/^MES, round 1, 20\d\d$/u);
    expect(values("standing")).toContainEqual({
      value: "standing:passport to check",
      title: "Passport or identity card: to check",
      count: 1,
    });
    expect(facets?.officers).toEqual([{ value: "nobody", title: "Nobody yet", count: 2 }]);
    const narrowed = await readView(world.runtime, turnFacets, officer, {
      ...office,
      tags: ["standing:passport to check"],
    });
    expect(narrowed?.tags.find((f) => f.word === "programme")?.values[0]?.count).toBe(1);
    expect(await readView(world.runtime, turnFacets, elsewhere, office)).toMatchObject({ officers: [] });
  });

  it("say in words what they are narrowed by", async () => {
    const { chips } = await read({ tags: ["standing:passport to check", "group:home"], officer: "nobody" });
    expect(chips.map((c) => c.title)).toEqual([
      "Passport or identity card: to check",
      expect.stringMatching(/home/iu),
      "In nobody’s hands",
    ]);
  });

  it("are ordered as one asks, and go on after each page in that order", async () => {
    expect(await names({ turn: "office", order: "newest" })).toEqual(["Bettina", "Ilse"]);
    expect(await names({ turn: "office", order: "untouched" })).toEqual(["Bettina", "Ilse"]);
    const [row] = (await read({ turn: "office", order: "newest" })).rows;
    const after = `${row?.arrivedAt}~${row?.number}`;
    expect(await names({ turn: "office", order: "newest", after })).toEqual(["Ilse"]);
    expect(await names({ turn: "office", order: "urgent", after: "nonsense" })).toHaveLength(2);
  });

  it("hold what came in since one's own last look, which is taken back, and is nobody else's", async () => {
    const look = (at: string, by = officer) => reasonOf(runAct(world.runtime, noteLook, by, { at }));
    const [bettina] = (await read({ day: "came in" })).rows;
    const arrived = bettina?.arrivedAt ?? "";
    const before = new Date(Date.parse(arrived) - 1).toISOString();
    expect([await look(before), (await read({})).looked, await names({ day: "came in" })]).toEqual([
      "ok",
      before,
      ["Bettina"],
    ]);
    // What is dated forward, or behind what one has seen, is no look.
    expect(await look(new Date(world.runtime.now().getTime() + DAY).toISOString())).toBe("invalid-input");
    expect(await look(new Date(Date.parse(before) - DAY).toISOString())).toBe("already-done");
    const after = new Date(Date.parse(arrived) + 1).toISOString();
    expect([await look(after), await names({ day: "came in" }), (await read({})).days["came in"]]).toEqual([
      "ok",
      [],
      0,
    ]);
    const theirs = await readView(world.runtime, turns, await makePerson(world, "Ossian Vael", ["officer"]), {
      day: "came in",
    });
    expect(theirs?.rows.map((r) => r.number)).toEqual([bettina?.number]);
    const back = () => reasonOf(runAct(world.runtime, takeLookBack, officer, {}));
    expect([await back(), await names({ day: "came in" })]).toEqual(["ok", ["Bettina"]]);
    expect([await back(), (await read({})).looked, await back()]).toEqual(["ok", null, "already-done"]);
  });

  it("begin a day with what came in, what is due and what is stuck", async () => {
    const before = await read({});
    expect(before.days).toMatchObject({ "came in": 1, stuck: 0 });
    expect(await names({ day: "came in" })).toEqual(["Bettina"]);
    await must(world, askApplicant, officer, {
      ...{ applicationId: other.applicationId, requirement: "passport", scope: "file", entry: "" },
      text: "In colour, please",
      due: "2026-12-03",
    });
    world.later(20 * DAY);
    const after = await read({});
    expect(after.days).toMatchObject({ "came in": 0, stuck: 0 });
    expect(await names({ day: "due this week" })).toEqual(expect.arrayContaining(["Ilse"]));
    expect(after.days["due this week"]).toBe((await names({ day: "due this week" })).length);
  });

  it("are kept under a name, which one has once, and shared by a lead officer alone", async () => {
    const query = "with=programme%3AMES&turn=office&after=x";
    await must(world, keepList, officer, { name: "Masters", query, shared: false });
    await must(world, keepList, officer, { name: "Masters", query: "turn=applicant", shared: false });
    expect(await reasonOf(runAct(world.runtime, keepList, officer, { name: "All", query, shared: true }))).toBe(
      "not-yours",
    );
    const { listId } = await must(world, keepList, lead, { name: "For all", query, shared: true });
    const seen = async (by: Actor) =>
      (await readView(world.runtime, namedLists, by, {}))?.map((l) => [l.name, l.query, l.by]);
    expect(await seen(officer)).toEqual([
      ["For all", "turn=office&with=programme%3AMES", "Tadhg Breen"],
      ["Masters", "turn=applicant", null],
    ]);
    expect(await seen(second)).toEqual([["For all", "turn=office&with=programme%3AMES", "Tadhg Breen"]]);
    expect(await reasonOf(runAct(world.runtime, dropList, second, { listId }))).toBe("not-found");
    await must(world, dropList, lead, { listId });
    expect((await seen(second))?.length).toBe(0);
  });

  it("are handed on to who may work on them, and back", async () => {
    const { applicationId } = first;
    expect(await must(world, handFile, officer, { applicationId, officerId: second.id })).toEqual({ before: null });
    expect(await names({ officer: second.id })).toEqual(["Ilse"]);
    expect(await names({ officer: "nobody", turn: "office" })).toEqual(["Bettina"]);
    expect(await reasonOf(runAct(world.runtime, handFile, officer, { applicationId, officerId: elsewhere.id }))).toBe(
      "not-yours",
    );
    expect(await reasonOf(runAct(world.runtime, handFile, officer, { applicationId, officerId: second.id }))).toBe(
      "already-done",
    );
    expect(await must(world, handFile, second, { applicationId, officerId: null })).toEqual({ before: second.id });
  });

  it("try an act without keeping anything of it", async () => {
    const { applicationId } = first;
    const count = async () =>
      (
        await world.runtime.pool.query<{ n: number }>(
          "select (select count(*) from event)::int + (select count(*) from message)::int as n",
        )
      ).rows[0]?.n;
    const before = await count();
    expect(await tryAct(world.runtime, handFile, officer, { applicationId, officerId: second.id })).toMatchObject({
      ok: true,
    });
    expect(await reasonOf(tryAct(world.runtime, handFile, officer, { applicationId, officerId: elsewhere.id }))).toBe(
      "not-yours",
    );
    expect([await count(), await names({ officer: second.id })]).toEqual([before, []]);
  });

  it("say before they do the same to many what comes of it in each, and then do it", async () => {
    const ids = [first.applicationId, other.applicationId, draft];
    const ask = { do: "ask", requirement: "passport", text: "Both sides, please", due: "2027-01-15" } as const;
    const would = await doToFiles(world.runtime, officer, ids, ask, false);
    expect(would.map((l) => [l.done, l.says])).toEqual([
      [false, "It is not open there."],
      [true, "Is asked for: Passport or identity card."],
      [false, expect.any(String)],
    ]);
    const asks = async () =>
      (await world.runtime.pool.query("select 1 from ask where text = 'Both sides, please'")).rowCount;
    expect(await asks()).toBe(0);
    const did = await doToFiles(world.runtime, officer, ids, ask, true);
    expect(did.map((l) => l.done)).toEqual([false, true, false]);
    expect(await asks()).toBe(1);
    expect(await doToFiles(world.runtime, elsewhere, ids, ask, false)).toEqual([]);
  });

  it("remind of what waits for somebody, once a day", async () => {
    const ids = [first.applicationId, other.applicationId];
    const remind = { do: "remind", words: "We would like to go on." } as const;
    const did = await doToFiles(world.runtime, officer, ids, remind, true);
    expect(did.map((l) => [l.done, l.says])).toEqual([
      [false, "Nothing waits for the applicant there."],
      [true, expect.stringMatching(/waits? for them\.$/u)],
    ]);
    const { rows } = await world.runtime.pool.query<{ values: { listFr: string; words: string } }>(
      "select values from message where template = 'reminded'",
    );
    expect(rows).toHaveLength(1);
    expect(rows[0]?.values.listFr).toMatch(/^– /u);
    const [, again] = await doToFiles(world.runtime, officer, ids, remind, true);
    expect(again?.says).toBe("They were reminded less than a day ago.");
  });

  it("offer the officers with what they have in hand, and what is open in the marked files", async () => {
    await must(world, handFile, officer, { applicationId: first.applicationId, officerId: second.id });
    const choices = await readView(world.runtime, manyChoices, officer, {
      ids: [first.applicationId, other.applicationId],
    });
    expect(choices?.officers.find((o) => o.id === second.id)?.inHand).toBe(1);
    expect(choices?.open.find((o) => o.key === "certificate")).toMatchObject({ title: "Degree certificate", files: 2 });
    expect(choices?.open.find((o) => o.key === "passport")).toMatchObject({ files: 1 });
    const theirs = await readView(world.runtime, manyChoices, elsewhere, { ids: [first.applicationId] });
    expect(theirs?.open).toEqual([]);
  });
});
