import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { leaveChecks, leaveForLater, nextCheck, takeUpLater } from "../../src/acts/checks/checks";
import { acceptEvidence } from "../../src/acts/evidence/judge-evidence";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { checkKinds, checkRunOf } from "../../src/views/checks/checks";
import { readView } from "../../src/views/view/view";
import { readyFile, submittedFile, type TestFile } from "../support/files";
import { makePerson, must, openWorld, type World } from "../support/world";

/** One kind of evidence across all files: the most urgent first, each to one officer alone. */
describe("a check run", () => {
  let world: World;
  let one: Actor;
  let other: Actor;
  let elsewhere: Actor;
  const files: TestFile[] = [];

  beforeAll(async () => {
    world = await openWorld("checks");
    one = await makePerson(world, "Runa Okonjo", ["officer"]);
    other = await makePerson(world, "Padraig Hennessy", ["officer"]);
    elsewhere = await makePerson(world, "Far Away", ["officer"], "FYC");
    const { roundId } = await loadCatalogue(world.runtime, "2026-11-25");
    for (const name of ["Ilse", "Bettina", "Carla", "Dora"]) {
      files.push(
        await submittedFile(
          world,
          roundId,
          name,
          name === "Dora" ? { "education.institution": "Skarvøy Maritime University" } : {},
        ),
      );
      world.later(86_400_000);
    }
    await readyFile(world, roundId, "Draft");
  });
  afterAll(() => world.close());

  const ids = () => files.map((f) => f.applicationId);
  const next = async (by: Actor, passed: readonly string[] = [], institution = "") =>
    (await must(world, nextCheck, by, { requirement: "passport", institution, passed: [...passed] }))?.id ?? null;

  it("counts what waits, by its kind, in submitted files", async () => {
    const kinds = await readView(world.runtime, checkKinds, one, {});
    expect(kinds?.find((k) => k.requirement === "passport")).toMatchObject({
      title: "Passport or identity card",
      files: 4,
      taken: 0,
    });
    expect(await readView(world.runtime, checkKinds, elsewhere, {})).toEqual([]);
  });

  it("gives each file once, the most urgent first, and never to two", async () => {
    const [first = "", second = "", third = "", fourth = ""] = ids();
    expect(await next(one)).toBe(first);
    expect(await next(other)).toBe(second);
    expect(await next(one, [first])).toBe(third);
    expect(await next(other, [second])).toBe(fourth);
    expect(await next(one, [first, third])).toBeNull();
    expect((await readView(world.runtime, checkKinds, one, {}))?.find((k) => k.requirement === "passport")?.taken).toBe(
      2,
    );
    expect((await readView(world.runtime, checkRunOf, one, { requirement: "passport" }))?.left).toBe(2);
    await must(world, leaveChecks, other, { requirement: "passport" });
    expect(await next(one, [first, third])).toBe(second);
    expect(await next(elsewhere)).toBeNull();
    await must(world, leaveChecks, one, { requirement: "passport" });
  });

  it("gives ten at once who ask in the same moment no file twice", async () => {
    const officers = await Promise.all(
      ["Asa", "Bo", "Cy", "Dag"].map((name) => makePerson(world, `Officer ${name}`, ["officer"])),
    );
    const given = await Promise.all(officers.map((by) => next(by)));
    const real = given.filter((id) => id !== null);
    expect(new Set(real).size).toBe(real.length);
    expect(real.length).toBeGreaterThan(0);
    for (const by of officers) await must(world, leaveChecks, by, { requirement: "passport" });
  });

  it("gives what one left for later to others, and to oneself the next day, or once it is taken up", async () => {
    const [first = "", second = ""] = ids();
    const leave = () => must(world, leaveForLater, one, { requirement: "passport", applicationId: first });
    const run = async (by: Actor) => readView(world.runtime, checkRunOf, by, { requirement: "passport" });
    expect(await next(one)).toBe(first);
    await leave();
    expect([await next(one), await next(other)]).toEqual([second, first]);
    for (const by of [one, other]) await must(world, leaveChecks, by, { requirement: "passport" });
    expect([await run(one), await run(other)]).toMatchObject([
      { left: 3, later: 1 },
      { left: 4, later: 0 },
    ]);
    await must(world, takeUpLater, one, { requirement: "passport" });
    expect([await next(one), (await run(one))?.later]).toEqual([first, 0]);
    await leave();
    world.later(86_400_000);
    expect(await next(one)).toBe(first);
    await must(world, leaveChecks, one, { requirement: "passport" });
  });

  it("lets go of what nobody came back to", async () => {
    const [first = ""] = ids();
    expect(await next(one)).toBe(first);
    world.later(16 * 60_000);
    expect(await next(other)).toBe(first);
    await must(world, leaveChecks, other, { requirement: "passport" });
  });

  it("is of one institution where that is asked for, and is over once all is checked", async () => {
    const run = await readView(world.runtime, checkRunOf, one, {
      requirement: "passport",
      institution: "skarvoy maritime university",
    });
    expect(run).toMatchObject({ title: "Passport or identity card", left: 1 });
    expect(run?.institutions).toEqual(
      expect.arrayContaining([
        { name: "university of halden sound", files: 3 },
        { name: "skarvoy maritime university", files: 1 },
      ]),
    );
    expect(await next(one, [], "skarvoy maritime university")).toBe(files[3]?.applicationId);
    for (const { applicationId } of files)
      await must(world, acceptEvidence, one, { applicationId, requirement: "passport", scope: "file", entry: "" });
    expect(await next(one)).toBeNull();
    expect((await readView(world.runtime, checkRunOf, one, { requirement: "passport" }))?.left).toBe(0);
  });
});
