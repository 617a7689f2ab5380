import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { startApplication } from "../../src/acts/application/start-application";
import { withdraw } from "../../src/acts/application/withdraw";
import { askApplicant } from "../../src/acts/asks/asks";
import { takeFile } from "../../src/acts/assessment/take-file";
import { saveAnswers } from "../../src/acts/form/save-answers";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { PAGE, type TurnsData, turns } from "../../src/views/turns/turns";
import { readView } from "../../src/views/view/view";
import { anybody, submittedFile } from "../support/files";
import { makePerson, must, openWorld, type World } from "../support/world";

const FILES = 2 * PAGE + 7;

/** The officer's list: every file once, page by page, the most urgent first, and nobody's who is not in their programmes. */
describe("the turn list", () => {
  let world: World;
  let officer: Extract<Actor, { kind: "person" }>;
  const numbers: string[] = [];
  const ids: string[] = [];
  const people: Actor[] = [];

  beforeAll(async () => {
    world = await openWorld("turns");
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    const { roundId } = await loadCatalogue(world.runtime, "2026-11-25");
    for (let i = 0; i < FILES; i += 1) {
      const person = await anybody(world, "Applicant");
      const made = await must(world, startApplication, person, { roundId });
      numbers.push(made.number);
      ids.push(made.applicationId);
      people.push(person);
    }
    await submittedFile(world, roundId, "Ilse");
    await submittedFile(world, roundId, "Bettina");
  }, 120_000);
  afterAll(() => world.close());

  type Filter = Parameters<typeof readView<typeof turns.input, TurnsData>>[3];
  const read = async (filter: Filter, actor: Actor = officer): Promise<TurnsData> => {
    const data = await readView(world.runtime, turns, actor, filter);
    if (!data) throw new Error("the list was refused");
    return data;
  };
  const walk = async (filter: Filter): Promise<readonly (readonly TurnsData["rows"][number][])[]> => {
    const pages: TurnsData["rows"][number][][] = [];
    let after: string | null = null;
    do {
      const data: TurnsData = await read({ ...(filter as object), after });
      pages.push([...data.rows]);
      after = data.next;
    } while (after !== null && pages.length < 20);
    return pages;
  };

  it("counts under a turn what is owed there while the file is in another one, and lists it", async () => {
    expect((await read({ turn: "office" })).also).toEqual([]);
    const [submitted] = (await read({ turn: "office" })).rows;
    await must(world, askApplicant, officer, {
      applicationId: submitted?.id ?? "",
      requirement: "passport",
      scope: "file",
      entry: "",
      text: "Where did you study in 2020?",
      due: "2026-12-20",
    });
    const { rows, also } = await read({ turn: "office" });
    expect(rows.map((r) => r.also)).toContainEqual(["applicant"]);
    expect(also).toEqual([{ turn: "applicant", count: 1 }]);
    const listed = await read({ also: "applicant" });
    expect(listed.rows.map((r) => [r.number, r.turn])).toEqual([[submitted?.number, "office"]]);
    expect([listed.total, (await read({ also: "payment" })).total]).toEqual([1, 0]);
  });

  it("shows every file once, however many pages it takes, in one order", async () => {
    const pages = await walk({ turn: "applicant" });
    expect(pages.map((p) => p.length)).toEqual([PAGE, PAGE, 7]);
    const rows = pages.flat();
    expect(new Set(rows.map((r) => r.number))).toEqual(new Set(numbers));
    const keys = rows.map((r) => `${r.dueAt ?? "~"} ${r.number}`);
    expect(keys).toEqual([...keys].sort());
  });

  it("begins at the first page where its address was spoilt", async () => {
    const first = await read({ turn: "applicant" });
    for (const after of ["nonsense", "nonsense~27-00001", "~", "x".repeat(200)])
      expect((await read({ turn: "applicant", after })).rows).toEqual(first.rows);
  });

  it("counts by turn and reason what it shows", async () => {
    const data = await read({ turn: "office" });
    expect(data.total).toBe(2);
    expect(data.rows.map((r) => [r.turn, r.reason, r.stage])).toEqual([
      ["office", "check", "submitted"],
      ["office", "check", "submitted"],
    ]);
    const counted = Object.fromEntries(data.counts.map((c) => [`${c.turn}: ${c.reason}`, c.count]));
    expect(counted).toEqual({ "office: check": 2, "applicant: fill": FILES });
    expect((await read({ turn: "applicant", reason: "answer offer" })).rows).toEqual([]);
  });

  it("finds by a part of a name or number, in any turn, without accents or case", async () => {
    const found = async (find: string) => (await read({ find })).rows.map((r) => r.name || r.number);
    expect(await found("maarteen")).toEqual(["Ilse Maarteen-Quist", "Bettina Maarteen-Quist"]);
    expect((await read({ find: numbers[3]?.slice(3) ?? "" })).rows.map((r) => r.number)).toContain(numbers[3]);
    expect(await found("nobody at all")).toEqual([]);
    const { rows } = await world.runtime.pool.query<{ email: string }>(
      "select p.email from person p join application a on a.person_id = p.id join file_standing s on s.application_id = a.id where s.name = 'Ilse Maarteen-Quist'",
    );
    const address = rows[0]?.email ?? "";
    expect(await found(address.toLowerCase())).toEqual(["Ilse Maarteen-Quist"]);
    expect(await found("@nowhere.example")).toEqual([]);
  });

  it("of one officer holds the files in their hands, and lets go of those that were let go", async () => {
    const [first = "", second = ""] = ids;
    await must(world, takeFile, officer, { applicationId: first, mine: true });
    await must(world, takeFile, officer, { applicationId: second, mine: true });
    const mine = async () => {
      const data = await read({ mine: true });
      return [data.total, data.rows.map((r) => [r.number, r.officer]).sort()];
    };
    expect(await mine()).toEqual([
      2,
      [
        [numbers[0], "Runa Okonjo"],
        [numbers[1], "Runa Okonjo"],
      ],
    ]);
    await must(world, takeFile, officer, { applicationId: second, mine: false });
    expect(await mine()).toEqual([1, [[numbers[0], "Runa Okonjo"]]]);
  });

  it("shows a name as it is corrected, also where nothing changes for those who look for it", async () => {
    const [applicationId = ""] = ids.slice(6);
    const person = people[6] ?? officer;
    const name = async (value: string, seen: number) => {
      const change = { scope: "file", section: "person", entry: "", field: "familyName", value, seen };
      await must(world, saveAnswers, person, { applicationId, changes: [change] });
      return (await read({ find: "zielinska" })).rows.map((r) => r.name);
    };
    expect([await name("zielinska", 0), await name("Zielińska", 1)]).toEqual([["zielinska"], ["Zielińska"]]);
  });

  it("follows an act at once: a name that is typed, an application that is withdrawn", async () => {
    const [applicationId = ""] = ids.slice(5);
    const person = people[5] ?? officer;
    await must(world, saveAnswers, person, {
      applicationId,
      changes: [{ scope: "file", section: "person", entry: "", field: "familyName", value: "Ó Súilleabháin", seen: 0 }],
    });
    const found = async () => (await read({ find: "o suilleabhain" })).rows.map((r) => [r.number, r.turn]);
    expect(await found()).toEqual([[numbers[5], "applicant"]]);
    await must(world, withdraw, person, { applicationId });
    expect(await found()).toEqual([[numbers[5], "nobody"]]);
  });

  it("shows a row as time has made it, also before the job has come round", async () => {
    const before = await read({ find: numbers[9] ?? "" });
    expect(before.rows[0]).toMatchObject({ turn: "applicant", stage: "preparing" });
    world.at("2027-01-09T18:00:01Z");
    const after = await read({ find: numbers[9] ?? "" });
    expect(after.rows[0]).toMatchObject({ turn: "nobody", stage: "closed", dueAt: null });
    world.at("2026-11-25T10:00:00Z");
  });

  it("is refused to applicants, and holds nothing of programmes that are not the officer's", async () => {
    expect(await readView(world.runtime, turns, people[0] ?? officer, {})).toBeNull();
    expect(await readView(world.runtime, turns, { kind: "visitor" }, {})).toBeNull();
    const elsewhere = await makePerson(world, "Elsewhere", ["officer"], "XYZ");
    const here = await makePerson(world, "Here", ["officer"], "MES");
    expect(await read({}, elsewhere)).toMatchObject({ rows: [], counts: [], total: 0, next: null });
    expect((await read({}, here)).total).toBe(FILES + 2);
  });
});
