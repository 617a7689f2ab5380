import { spawn } from "node:child_process";
import { randomBytes } from "node:crypto";
import { mkdirSync, rmSync } from "node:fs";
import path from "node:path";
import type { TestProject } from "vitest/node";
import { removeCluster, startCluster } from "../../commands/cluster.mjs";
import { program } from "../../commands/programs.mjs";

/** The database that the copies are made of; nothing stays connected to it. */
export const DEMO_DATABASE = "demo";

declare module "vitest" {
  interface ProvidedContext {
    /** Where the cluster is that holds the demo's data, and the logs of what runs on copies of it. */
    demoFolder: string;
    demoSecret: string;
  }
}

async function loadDemo(env: Record<string, string>): Promise<number> {
  const child = spawn(process.execPath, await program("load-demo"), {
    env: { ...process.env, ...env },
    stdio: ["ignore", "ignore", "inherit"],
  });
  return new Promise((resolve) => child.on("close", (code) => resolve(code ?? 1)));
}

/** The demo's data once, of which each test file has a copy of its own; gone when the tests end. */
export default async function setup(project: TestProject): Promise<() => void> {
  process.env.UNVEX_TEST = "1";
  const folder = path.join(process.cwd(), ".unvex", `browser-${process.pid}-${randomBytes(3).toString("hex")}`);
  mkdirSync(folder, { recursive: true });
  const cluster = await startCluster(path.join(folder, "postgres"));
  cluster.createDatabase(DEMO_DATABASE);
  const secret = randomBytes(32).toString("hex");
  const loaded = await loadDemo({
    UNVEX_OWNER_URL: cluster.url(DEMO_DATABASE),
    DATABASE_URL: cluster.appUrl(DEMO_DATABASE),
    UNVEX_URL: "http://127.0.0.1",
    UNVEX_SECRET: secret,
    UNVEX_DEMO: "1",
    UNVEX_LOG: "warn",
    NODE_ENV: "production",
  });
  if (loaded !== 0) throw new Error("the demo data could not be loaded");
  project.provide("demoFolder", folder);
  project.provide("demoSecret", secret);
  return () => {
    removeCluster(path.join(folder, "postgres"));
    rmSync(folder, { recursive: true, force: true });
  };
}
