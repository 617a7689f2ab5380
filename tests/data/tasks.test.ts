import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { addTask, dropTask, finishTask } from "../../src/acts/assessment/tasks";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { verifyAll } from "../../src/verify";
import { myApplication } from "../../src/views/application/my-application";
import { file as fileView } from "../../src/views/assessment/file";
import { turns } from "../../src/views/turns/turns";
import { readView } from "../../src/views/view/view";
import { lookAt, submittedFile } from "../support/files";
import { DAY, makePerson, openWorld, reasonOf, type World } from "../support/world";

/** What an officer makes work of: owed by the office, by a day, until it is done; nothing for the applicant to read. */
describe("work that an officer makes of what was stated", () => {
  let world: World;
  let officer: Actor;
  let second: Actor;
  let file: Awaited<ReturnType<typeof submittedFile>>;
  let number = "";
  let roundId = "";

  beforeAll(async () => {
    world = await openWorld("tasks");
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    second = await makePerson(world, "Tadhg Breen", ["lead officer"]);
    const { rounds } = await loadCatalogue(world.runtime, "2026-11-25");
    roundId = rounds["MES 1"] ?? "";
    file = await submittedFile(world, roundId, "Worker");
    number = (await lookAt(world, file.applicationId)).loaded.facts.application.number;
    world.later(1000);
  });
  afterAll(() => world.close());

  const add = (more: { section?: string; title?: string; due?: string } = {}) =>
    reasonOf(
      runAct(world.runtime, addTask, officer, {
        applicationId: file.applicationId,
        section: "education",
        title: "Ask the university why the third year is missing",
        due: "2026-11-26",
        ...more,
      }),
    );
  const shown = async () => (await readView(world.runtime, fileView, officer, { number }))?.tasks ?? [];
  const owed = async () =>
    (await lookAt(world, file.applicationId)).result.file.owed
      .filter((s) => s.kind === "task")
      .map((s) => [s.turn, s.title?.en, s.due]);

  it("is owed by the office, before what is due later, and stands in the list of turns", async () => {
    expect(await owed()).toEqual([]);
    expect(await add({ section: "nowhere" })).toBe("not-found");
    expect(await add({ title: "  " })).toBe("invalid-input");
    expect(await add()).toBe("ok");
    expect(await owed()).toEqual([["office", "Ask the university why the third year is missing", "2026-11-26"]]);
    const row = (await readView(world.runtime, turns, officer, { turn: "office" }))?.rows.find(
      (r) => r.number === number,
    );
    expect(row?.reason).toBe("task");
    expect(await shown()).toMatchObject([{ section: "education", by: "Runa Okonjo", done: null }]);
  });

  it("is nothing that the applicant reads, nor what they wait for", async () => {
    const mine = await readView(world.runtime, myApplication, file.applicant, { number });
    expect(JSON.stringify(mine)).not.toContain("third year");
    expect(mine?.assessment.file.next?.kind).toBe("check");
    expect(mine?.events.map((e) => e.act)).not.toContain("add-task");
    // Nor does it stay in events, which outlive an erasure.
    const { rows } = await world.runtime.pool.query<{ about: object }>(
      "select about from event where act = 'add-task'",
    );
    expect(rows).toEqual([{ about: { section: "education" } }]);
  });

  it("is done once, by whoever gets to it, and what came of it stays", async () => {
    const [task] = await shown();
    const finish = (by: Actor) =>
      reasonOf(
        runAct(world.runtime, finishTask, by, {
          applicationId: file.applicationId,
          taskId: task?.id ?? "",
          outcome: "It was spent abroad; the transcript comes.",
        }),
      );
    world.later(DAY);
    expect([await finish(second), await finish(officer)]).toEqual(["ok", "already-done"]);
    expect(await owed()).toEqual([]);
    expect(await shown()).toMatchObject([
      { done: { by: "Tadhg Breen", outcome: "It was spent abroad; the transcript comes." } },
    ]);
    const drop = { applicationId: file.applicationId, taskId: task?.id ?? "" };
    expect(await reasonOf(runAct(world.runtime, dropTask, officer, drop))).toBe("already-done");
  });

  it("can be dropped while it is open, and belongs to its own file", async () => {
    await add({ section: "", title: "Not needed after all" });
    const open = (await shown()).find((t) => t.done === null);
    const other = await submittedFile(world, roundId, "Stranger");
    const drop = (applicationId: string) =>
      reasonOf(runAct(world.runtime, dropTask, officer, { applicationId, taskId: open?.id ?? "" }));
    expect([await drop(other.applicationId), await drop(file.applicationId)]).toEqual(["already-done", "ok"]);
    expect((await shown()).map((t) => t.done === null)).toEqual([false]);
    expect((await verifyAll(world.runtime.pool)).differing).toEqual([]);
  });
});
