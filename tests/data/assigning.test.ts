import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { takeFile } from "../../src/acts/assessment/take-file";
import { assignArrived, assignFile, dropAbsence, noteAbsence, saveAssigning } from "../../src/acts/turns/assigning";
import { doToFiles } from "../../src/acts/turns/many-files";
import type { Actor } from "../../src/core/rights/actor";
import type { AssigningRule } from "../../src/core/turns/assigning";
import { loadCatalogue } from "../../src/demo/catalogue";
import { file } from "../../src/views/assessment/file";
import { assigningPage } from "../../src/views/turns/assigning";
import { turns } from "../../src/views/turns/turns";
import { readView } from "../../src/views/view/view";
import { submittedFile } from "../support/files";
import { makePerson, must, openWorld, reasonOf, SYSTEM, type World } from "../support/world";

type Person = Extract<Actor, { kind: "person" }>;

/** Applications get their officer by the office's rules, and whoever stands in for somebody has their files, too. */
describe("assigning by rule", () => {
  let world: World;
  let lead: Person;
  let runa: Person;
  let padraig: Person;
  let round = "";

  beforeAll(async () => {
    world = await openWorld("assigning");
    lead = await makePerson(world, "Tadhg Breen", ["lead officer"]);
    runa = await makePerson(world, "Runa Okonjo", ["officer"]);
    padraig = await makePerson(world, "Padraig Hennessy", ["officer"]);
    ({
      rounds: { "MES 1": round = "" },
    } = await loadCatalogue(world.runtime, "2026-11-25"));
  });
  afterAll(() => world.close());

  const rule = (officers: readonly Person[], change: Partial<AssigningRule> = {}): AssigningRule => ({
    programmes: [],
    groups: [],
    from: "",
    to: "",
    officers: officers.map((o) => o.id),
    ...change,
  });
  const save = (version: number, rules: AssigningRule[], actor: Actor = lead) =>
    runAct(world.runtime, saveAssigning, actor, { version, rules });
  const holder = async (applicationId: string) =>
    (
      await world.runtime.pool.query<{ id: string | null; listed: string | null }>(
        "select a.officer_id as id, s.officer_id as listed from application a join file_standing s on s.application_id = a.id where a.id = $1",
        [applicationId],
      )
    ).rows[0];
  const page = (actor: Actor = lead) => readView(world.runtime, assigningPage, actor, {});
  const mineOf = async (actor: Actor) =>
    (await readView(world.runtime, turns, actor, { turn: "office", mine: true }))?.rows.map((r) => r.id) ?? [];

  it("is a job after each submission, leaves what somebody has, and does nothing without rules", async () => {
    const { applicationId } = await submittedFile(world, round, "Aoife");
    const queued = await world.runtime.pool.query(
      "select 1 from pgboss.job where name = 'assign-file' and data->>'applicationId' = $1",
      [applicationId],
    );
    expect(queued.rowCount).toBe(1);
    expect(await reasonOf(runAct(world.runtime, assignArrived, SYSTEM, { applicationId }))).toBe("not-found");
    expect((await save(0, [rule([runa, padraig])])).ok).toBe(true);
    await must(world, assignArrived, SYSTEM, { applicationId });
    expect(await holder(applicationId)).toEqual({ id: runa.id, listed: runa.id });
    expect(await reasonOf(runAct(world.runtime, assignArrived, SYSTEM, { applicationId }))).toBe("already-done");
    await must(world, takeFile, lead, { applicationId, mine: true });
    expect(await reasonOf(runAct(world.runtime, assignArrived, SYSTEM, { applicationId }))).toBe("already-done");
    expect((await holder(applicationId))?.id).toBe(lead.id);
    await must(world, assignFile, lead, { applicationId });
    expect((await holder(applicationId))?.id).toBe(runa.id);
  });

  it("is saved whole, and by nobody over what somebody else has saved meanwhile", async () => {
    const seen = (await page())?.version ?? 0;
    expect((await save(seen, [rule([padraig], { from: "A", to: "L" })])).ok).toBe(true);
    expect(await reasonOf(save(seen, [rule([runa])]))).toBe("changed-meanwhile");
    expect(await reasonOf(save(seen + 1, [rule([runa])], runa))).toBe("not-yours");
    const both = await Promise.all([save(seen + 1, [rule([runa])]), save(seen + 1, [rule([padraig])])]);
    expect(both.map((o) => o.ok).toSorted()).toEqual([false, true]);
    expect((await page())?.rules).toHaveLength(1);
    await save(seen + 2, [rule([runa, padraig])]);
  });

  it("spreads files that come at once, each to who has fewer by then", async () => {
    const files = [];
    for (const name of ["Bran", "Ciara", "Donal", "Enda"]) files.push(await submittedFile(world, round, name));
    await Promise.all(files.map(({ applicationId }) => must(world, assignArrived, SYSTEM, { applicationId })));
    const counts = (await page())?.officers.map((o) => [o.name, o.inHand]);
    // Runa had one already, so that the five are three and two.
    expect(counts).toEqual([
      ["Padraig Hennessy", expect.any(Number)],
      ["Runa Okonjo", expect.any(Number)],
      ["Tadhg Breen", 0],
    ]);
    expect(
      counts
        ?.slice(0, 2)
        .map(([, n]) => n)
        .toSorted(),
    ).toEqual([2, 3]);
  });

  it("many at once: it is said first where each goes, and can be taken back by what it says was before", async () => {
    const { applicationId } = await submittedFile(world, round, "Ferdia");
    await save((await page())?.version ?? 0, [rule([runa])]);
    const looked = await doToFiles(world.runtime, lead, [applicationId], { do: "assign" }, false);
    expect(looked).toMatchObject([{ done: true, says: "To Runa Okonjo.", before: null }]);
    expect((await holder(applicationId))?.id).toBeNull();
    await doToFiles(world.runtime, lead, [applicationId], { do: "assign" }, true);
    expect((await holder(applicationId))?.id).toBe(runa.id);
    const again = await doToFiles(world.runtime, lead, [applicationId], { do: "assign" }, true);
    expect(again).toMatchObject([{ done: false, says: "It is where the rules put it." }]);
  });

  it("goes to who stands in while somebody is away, who finds the other's files among their own", async () => {
    const away = { personId: runa.id, coverId: padraig.id, from: "2026-11-25", until: "2026-11-27" };
    const others = await mineOf(runa);
    expect(others.length).toBeGreaterThan(0);
    expect((await mineOf(padraig)).filter((id) => others.includes(id))).toEqual([]);
    const { absenceId } = await must(world, noteAbsence, runa, away);
    expect(await reasonOf(runAct(world.runtime, noteAbsence, runa, { ...away, from: "2026-11-27" }))).toBe(
      "already-done",
    );
    expect(await reasonOf(runAct(world.runtime, noteAbsence, padraig, away))).toBe("not-yours");
    expect((await mineOf(padraig)).filter((id) => others.includes(id)).toSorted()).toEqual(others.toSorted());
    const { applicationId } = await submittedFile(world, round, "Grainne");
    await must(world, assignArrived, SYSTEM, { applicationId });
    expect((await holder(applicationId))?.id).toBe(padraig.id);
    const number = (await world.runtime.pool.query("select number from application where id = $1", [others[0]])).rows[0]
      ?.number;
    const officerOf = async () => (await readView(world.runtime, file, lead, { number }))?.officer;
    expect(await officerOf()).toEqual({ id: runa.id, name: "Runa Okonjo", cover: "Padraig Hennessy" });
    expect((await page())?.absences).toMatchObject([{ personId: runa.id, now: true }]);
    world.at("2026-11-28T09:00:00Z");
    expect((await officerOf())?.cover).toBeNull();
    expect((await mineOf(padraig)).filter((id) => others.includes(id))).toEqual([]);
    expect((await page())?.absences).toEqual([]);
    world.at("2026-11-25T09:00:00Z");
    expect(await reasonOf(runAct(world.runtime, dropAbsence, padraig, { absenceId }))).toBe("not-found");
    await must(world, dropAbsence, lead, { absenceId });
    expect((await mineOf(padraig)).filter((id) => others.includes(id))).toEqual([]);
  });
});
