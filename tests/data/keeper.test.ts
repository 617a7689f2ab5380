import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { startApplication } from "../../src/acts/application/start-application";
import { confirmValues } from "../../src/acts/evidence/confirm-values";
import { noteKeeper } from "../../src/acts/evidence/note-keeper";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { fillAny } from "../../src/demo/filling";
import { someone } from "../../src/demo/people";
import { file as fileView } from "../../src/views/assessment/file";
import { readView } from "../../src/views/view/view";
import { anybody } from "../support/files";
import { makePerson, must, openWorld, reasonOf, type World } from "../support/world";

/** Values that another system owns, and values that were carried over from an earlier application. */
describe("where a value is kept", () => {
  let world: World;
  let officer: Actor;
  let applicant: Actor;
  let rounds: Readonly<Record<string, string>>;
  let file = { applicationId: "", number: "" };

  beforeAll(async () => {
    world = await openWorld("keeper");
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    ({ rounds } = await loadCatalogue(world.runtime, "2026-11-25"));
    applicant = await anybody(world, "Student");
    file = await must(world, startApplication, applicant, { roundId: rounds["PCS 1"] ?? "" });
    const told = { "status.ours": true, "status.oursNumber": "S-2024-0117" };
    await fillAny(world.runtime, applicant, file.applicationId, someone("Ana", "Vale"), told, {});
    await world.runtime.pool.query("update choice set submitted_at = $2 where application_id = $1", [
      file.applicationId,
      world.runtime.now(),
    ]);
  });
  afterAll(() => world.close());

  const OURS = { scope: "file", section: "status", entry: "", field: "oursNumber" };
  const value = async () =>
    (await readView(world.runtime, fileView, officer, { number: file.number }))?.values.find(
      (v) => v.field === OURS.field,
    );
  const confirm = (text?: string) =>
    reasonOf(
      runAct(world.runtime, confirmValues, officer, {
        applicationId: file.applicationId,
        values: [{ ...OURS, ...(text === undefined ? {} : { value: text }) }],
      }),
    );
  const note = (text: string, place: object = {}) =>
    reasonOf(
      runAct(world.runtime, noteKeeper, officer, { applicationId: file.applicationId, ...OURS, ...place, text }),
    );

  it("names its owner; the office confirms it as claimed and cannot change it", async () => {
    expect(await value()).toMatchObject({ keptBy: { name: { en: "the student register" } }, pending: null });
    expect(await confirm("S-2024-0118")).toBe("kept-elsewhere");
    expect((await value())?.confirmed).toBeNull();
    expect(await confirm("S-2024-0117")).toBe("ok");
    expect(await confirm()).toBe("ok");
    expect((await value())?.state).toBe("confirmed");
  });

  it("shows the change that waits there until the claim is another, or the note is taken back", async () => {
    expect(await note("")).toBe("already-done");
    expect(await note("x", { field: "special" })).toBe("not-found");
    expect(await note("The last digit is an 8.")).toBe("ok");
    expect((await value())?.pending).toMatchObject({ text: "The last digit is an 8.", by: "Runa Okonjo" });
    expect(await note("")).toBe("ok");
    expect((await value())?.pending).toBeNull();
    expect(await note("The last digit is an 8.")).toBe("ok");
    await world.runtime.pool.query(
      "update answer set value = $2, version = version + 1 where application_id = $1 and field = 'oursNumber'",
      [file.applicationId, JSON.stringify("S-2024-0118")],
    );
    expect((await value())?.pending).toBeNull();
  });

  it("names the application that it was carried over from, until it is changed", async () => {
    const second = await must(world, startApplication, applicant, { roundId: rounds["MMH 1"] ?? "" });
    const town = async () =>
      (await readView(world.runtime, fileView, officer, { number: second.number }))?.values.find(
        (v) => v.section === "contact" && v.field === "town",
      );
    expect((await town())?.from).toBe(file.number);
    await world.runtime.pool.query(
      "update answer set version = version + 1 where application_id = $1 and section = 'contact' and field = 'town'",
      [second.applicationId],
    );
    expect((await town())?.from).toBeNull();
  });
});
