import { chmodSync, existsSync, mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import pg from "pg";
import { afterEach, beforeEach, describe, expect, it } from "vitest";
import { clusterPlace, removeCluster, startCluster } from "../../commands/cluster.mjs";

/** A checkout may stand where only its owner may go, as root's own home does. */
describe("the database of a checkout in a closed folder", () => {
  let closed = "";
  beforeEach(() => {
    closed = mkdtempSync(path.join(tmpdir(), "unvex-closed-"));
    chmodSync(closed, 0o700);
  });
  afterEach(() => rmSync(closed, { recursive: true, force: true }));

  it("starts, is found again, and leaves nothing behind", async () => {
    const folder = path.join(closed, "checkout", ".unvex", "postgres");
    const place = clusterPlace(folder);
    const cluster = await startCluster(folder);
    cluster.createDatabase("some");
    expect((await startCluster(folder)).port).toBe(cluster.port);
    const client = new pg.Client({ connectionString: cluster.url("some") });
    await client.connect();
    expect((await client.query("select 1 as one")).rows).toEqual([{ one: 1 }]);
    await client.end();
    removeCluster(folder);
    expect(existsSync(place)).toBe(false);
  });

  it("stays in the checkout where everybody may go there", () => {
    chmodSync(closed, 0o755);
    expect(clusterPlace(path.join(closed, "postgres"))).toBe(path.join(closed, "postgres"));
  });
});
