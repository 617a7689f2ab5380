import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { openWorld, type World } from "../../../tests/support/world";
import { makeAuth } from "../../auth/better-auth";
import { assess } from "../../core/assessment/assess";
import type { PlainDate } from "../../core/ids";
import { database } from "../../db/connection";
import { loadFile } from "../../db/load-file";
import { currentOffice } from "../../db/office";
import { verifyAll } from "../../verify";
import { startOfStudies } from "../catalogue";
import { loadDemo } from "../demo";
import { stories } from "./index";

const ANCHOR = "2026-11-25" as PlainDate;
const told = stories(ANCHOR, startOfStudies(ANCHOR) as PlainDate);

describe("the demo's stories", () => {
  let world: World;
  let numbers = new Map<string, string>();

  beforeAll(async () => {
    world = await openWorld("stories");
    const settings = { url: "http://127.0.0.1:1", secret: "a secret of at least thirty-two signs" };
    const made = await loadDemo(
      {
        runtime: world.runtime,
        auth: makeAuth(database(world.runtime.pool), settings),
        baseUrl: settings.url,
        moveTo: (at) => world.at(at.toISOString()),
        say: () => undefined,
      },
      ANCHOR,
    );
    numbers = new Map(made.map((m) => [m.key, m.number]));
  });
  afterAll(() => world.close());

  it.each(told.map((s) => [s.key, s] as const))("%s", async (key, story) => {
    const { rows } = await world.runtime.pool.query<{ id: string }>("select id from application where number = $1", [
      numbers.get(key),
    ]);
    const loaded = await loadFile(world.runtime.pool, rows[0]?.id ?? "");
    if (!loaded) throw new Error("no file");
    const office = await currentOffice(database(world.runtime.pool));
    const { file, choices } = assess({ ...loaded, office, at: world.runtime.now().getTime() });
    const { stage, turn, next, requirement, findings, eligibility } = story.expects;
    expect([file.stage, file.turn, file.next?.kind ?? null]).toEqual([stage, turn, next]);
    if (requirement) expect(file.next?.requirement).toBe(requirement);
    if (eligibility) expect(choices[0]?.eligibility).toBe(eligibility);
    for (const [rule, finding] of Object.entries(findings ?? {}))
      expect([rule, choices[0]?.findings.find((f) => f.key === rule)?.finding]).toEqual([rule, finding]);
  });

  it("are stored just as they are assessed anew", async () => {
    expect(await verifyAll(world.runtime.pool)).toEqual({ files: told.length, differing: [] });
  });

  it("left no personal value in an event", async () => {
    const { rows } = await world.runtime.pool.query<{ about: string }>("select about::text as about from event");
    const text = rows.map((r) => r.about).join("\n");
    for (const { profile } of told)
      for (const value of [profile.family, profile.email, profile.passportNumber]) expect(text).not.toContain(value);
  });
});
