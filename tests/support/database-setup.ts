import { randomBytes } from "node:crypto";
import { rmSync } from "node:fs";
import path from "node:path";
import type { TestProject } from "vitest/node";
import { startCluster } from "../../commands/cluster.mjs";

declare module "vitest" {
  interface ProvidedContext {
    clusterFolder: string;
  }
}

/** A PostgreSQL of the tests' own, in a folder of its own, gone when they end. */
export default async function setup(project: TestProject): Promise<() => void> {
  process.env.UNVEX_TEST = "1";
  const folder = path.join(process.cwd(), ".unvex", `test-${process.pid}-${randomBytes(3).toString("hex")}`);
  const cluster = await startCluster(folder);
  project.provide("clusterFolder", folder);
  return () => {
    cluster.stop("immediate");
    rmSync(folder, { recursive: true, force: true });
  };
}
