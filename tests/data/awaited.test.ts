import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { confirmValues } from "../../src/acts/evidence/confirm-values";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { awaited } from "../../src/views/assessment/awaited";
import { readView } from "../../src/views/view/view";
import { submittedFile, type TestFile } from "../support/files";
import { makePerson, must, openWorld, type World } from "../support/world";

describe("what is still to come, over all files", () => {
  let world: World;
  let officer: Actor;
  let elsewhere: Actor;
  let late: TestFile;

  beforeAll(async () => {
    world = await openWorld("awaited");
    const { roundId } = await loadCatalogue(world.runtime, "2026-11-25");
    officer = await makePerson(world, "Officer", ["officer"]);
    elsewhere = await makePerson(world, "Elsewhere", ["officer"], "FYC");
    const running = (day: string) => ({ "education.status": "in progress", "education.expectedEnd": day });
    late = await submittedFile(world, roundId, "Latera", running("2027-07-20"));
    await submittedFile(world, roundId, "Earlier", running("2027-02-28"));
    await submittedFile(world, roundId, "Settled");
  });
  afterAll(() => world.close());

  const degrees = async (actor: Actor) => (await readView(world.runtime, awaited, actor, { kind: "degree" }))?.rows;

  it("stands in the order of the days that were stated, each with its file", async () => {
    const page = await readView(world.runtime, awaited, officer, { kind: "degree" });
    expect(page?.rows.map((r) => r.due)).toEqual(["2027-02-28", "2027-07-20"]);
    expect(page?.counts).toEqual({
      result: 0,
      degree: 2,
      courses: 0,
      registry: 0,
      "one part short": 0,
      "paper ends": 0,
    });
  });

  it("goes away with the act that settles it", async () => {
    await must(world, confirmValues, officer, {
      applicationId: late.applicationId,
      values: [{ scope: "file", section: "education", entry: late.filled.degree, field: "status", value: "completed" }],
      note: "By the certificate",
    });
    expect((await degrees(officer))?.map((r) => r.due)).toEqual(["2027-02-28"]);
  });

  it("is seen for one's own programmes alone", async () => expect(await degrees(elsewhere)).toEqual([]));
});
