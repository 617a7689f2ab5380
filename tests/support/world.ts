import { inject } from "vitest";
import type { z } from "zod";
import { startCluster } from "../../commands/cluster.mjs";
import { type Act, type Outcome, type Runtime, runAct } from "../../src/acts/act/act";
import type { Actor, Role } from "../../src/core/rights/actor";
import { openPool } from "../../src/db/connection";
import { openQueue } from "../../src/db/queue";
import type { ExaminationRegistry } from "../../src/outside/registry";
import { EMPTY_WORLD } from "./database-setup";

/** A database of one test file's own, with a clock that the test moves. */
export interface World {
  readonly runtime: Runtime;
  readonly url: string;
  /** As the owner of its tables. */
  readonly ownerUrl: string;
  readonly at: (instant: string) => void;
  readonly later: (ms: number) => void;
  readonly close: () => Promise<void>;
}

export const DAY = 86_400_000;

export async function openWorld(name: string, start = "2026-11-25T09:00:00Z"): Promise<World> {
  const cluster = await startCluster(inject("clusterFolder"));
  const database = `${name}_${process.pid}`;
  cluster.createDatabase(database, EMPTY_WORLD);
  const url = cluster.appUrl(database);
  const boss = openQueue(url);
  await boss.start();
  const pool = openPool(url, 6);
  let now = new Date(start);
  return {
    url,
    ownerUrl: cluster.url(database),
    runtime: { pool, boss, now: () => now },
    at: (instant) => {
      now = new Date(instant);
    },
    later: (ms) => {
      now = new Date(now.getTime() + ms);
    },
    close: async () => {
      await boss.stop({ graceful: false });
      await pool.end();
      cluster.dropDatabase(database);
    },
  };
}

/** A registry that nobody asks in a test that is about something else. */
export const NO_REGISTRY: ExaminationRegistry = { lookUp: async () => ({ found: false }) };

export const SYSTEM: Actor = { kind: "system" };
export const VISITOR: Actor = { kind: "visitor" };

/** How an act ended: "ok", or the reason for which it was refused. */
export async function reasonOf(outcome: Promise<{ readonly ok: boolean; readonly reason?: string }>): Promise<string> {
  const done = await outcome;
  return done.ok ? "ok" : (done.reason ?? "");
}

/** Runs an act that has to succeed. */
export async function must<Schema extends z.ZodType, Value>(
  world: World,
  act: Act<Schema, Value>,
  actor: Actor,
  input: z.input<Schema>,
): Promise<Value> {
  const outcome: Outcome<Value> = await runAct(world.runtime, act, actor, input);
  if (!outcome.ok)
    throw new Error(`${act.name} was refused: ${outcome.reason} ${JSON.stringify(outcome.details ?? {})}`);
  return outcome.value;
}

/** A person with roles, made directly: how people come to be is tested elsewhere. */
export async function makePerson(
  world: World,
  name: string,
  roles: readonly Role[] = [],
  scope = "*",
): Promise<Extract<Actor, { kind: "person" }>> {
  const email = `${name.toLowerCase().replace(/[^a-z]+/gu, ".")}@people.example`;
  const { rows } = await world.runtime.pool.query<{ id: string }>(
    "insert into person (name, email, created_at, confirmed_at) values ($1, $2, $3, $3) returning id",
    [name, email, world.runtime.now()],
  );
  const id = rows[0]?.id ?? "";
  for (const role of roles)
    await world.runtime.pool.query(
      "insert into role_grant (person_id, role, scope, granted_at) values ($1, $2, $3, $4)",
      [id, role, scope, world.runtime.now()],
    );
  return { kind: "person", id, name, grants: roles.map((role) => ({ role, scope })) };
}
