import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { openWorld, type World } from "../../tests/support/world";
import { inTransaction } from "./connection";
import { isOutage } from "./defects";

describe("a connection that breaks", () => {
  let world: World;
  beforeAll(async () => {
    world = await openWorld("broken_connection");
  });
  afterAll(() => world.close());

  /** Ends the server's side of the connection in the middle, while the client waits for nothing. */
  const broken = () =>
    inTransaction(world.runtime.pool, async ({ client }) => {
      const { rows } = await client.query<{ pid: number }>("select pg_backend_pid() as pid");
      const ended = new Promise((resolve) => client.once("end", resolve));
      await world.runtime.pool.query("select pg_terminate_backend($1)", [rows[0]?.pid]);
      await ended;
      await client.query("select 1");
    });

  it("in the middle of a transaction ends the transaction and not the process, and is an outage", async () => {
    const failure = await broken().catch((error: unknown) => error);
    expect(isOutage(failure)).toBe(true);
  });

  it("leaves a pool that works", async () => {
    for (let i = 0; i < 8; i += 1) await broken().catch(() => undefined);
    const { rows } = await world.runtime.pool.query<{ one: number }>("select 1 as one");
    expect(rows).toEqual([{ one: 1 }]);
  });
});
