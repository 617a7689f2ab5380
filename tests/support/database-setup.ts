import { randomBytes } from "node:crypto";
import { mkdirSync, rmSync } from "node:fs";
import path from "node:path";
import type { TestProject } from "vitest/node";
import { type Cluster, removeCluster, startCluster } from "../../commands/cluster.mjs";
import { prepareDatabase } from "../../src/db/prepare";

/** An empty database with every migration, which each test file gets a copy of. */
export const EMPTY_WORLD = "empty_world";

async function makeEmptyWorld(cluster: Cluster): Promise<void> {
  cluster.createDatabase(EMPTY_WORLD);
  await prepareDatabase(cluster.url(EMPTY_WORLD), cluster.appUrl(EMPTY_WORLD));
}

declare module "vitest" {
  interface ProvidedContext {
    clusterFolder: string;
  }
}

/** A PostgreSQL of the tests' own, in a folder of its own, gone when they end. */
export default async function setup(project: TestProject): Promise<() => void> {
  process.env.UNVEX_TEST = "1";
  const folder = path.join(process.cwd(), ".unvex", `test-${process.pid}-${randomBytes(3).toString("hex")}`);
  mkdirSync(folder, { recursive: true });
  const cluster = await startCluster(folder);
  await makeEmptyWorld(cluster);
  project.provide("clusterFolder", folder);
  return () => {
    removeCluster(folder);
    rmSync(folder, { recursive: true, force: true });
  };
}
