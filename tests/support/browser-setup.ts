import { type ChildProcess, spawn } from "node:child_process";
import { randomBytes } from "node:crypto";
import { mkdirSync, rmSync } from "node:fs";
import path from "node:path";
import type { TestProject } from "vitest/node";
import { freePort, startCluster } from "../../commands/cluster.mjs";
import { launchWeb, launchWorker, noteProcesses, stopAll, untilWell } from "../../commands/processes.mjs";

declare module "vitest" {
  interface ProvidedContext {
    appUrl: string;
    databaseUrl: string;
    appEnvironment: Record<string, string>;
    appPort: number;
  }
}

function loadDemo(env: Record<string, string>): Promise<number> {
  const child: ChildProcess = spawn(process.execPath, ["--import", "tsx", "commands/load-demo.ts"], {
    env: { ...process.env, ...env },
    stdio: ["ignore", "ignore", "inherit"],
  });
  return new Promise((resolve) => child.on("close", (code) => resolve(code ?? 1)));
}

/** The whole application on ports and a database of its own, with the demo's data, gone when the tests end. */
export default async function setup(project: TestProject): Promise<() => Promise<void>> {
  process.env.UNVEX_TEST = "1";
  const folder = path.join(process.cwd(), ".unvex", `browser-${process.pid}-${randomBytes(3).toString("hex")}`);
  mkdirSync(folder, { recursive: true });
  const cluster = await startCluster(path.join(folder, "postgres"));
  cluster.createDatabase("browser");
  const port = await freePort();
  const url = `http://127.0.0.1:${port}`;
  const databaseUrl = cluster.url("browser");
  const env = {
    DATABASE_URL: databaseUrl,
    UNVEX_URL: url,
    UNVEX_SECRET: randomBytes(32).toString("hex"),
    UNVEX_DEMO: "1",
    UNVEX_LOG: "warn",
    UNVEX_DIST: process.env.UNVEX_DIST ?? ".next",
    NODE_ENV: "production",
  };
  if ((await loadDemo(env)) !== 0) throw new Error("the demo data could not be loaded");
  const log = path.join(folder, "log");
  const children = [launchWeb(env, port, "127.0.0.1", log), launchWorker(env, log)];
  noteProcesses(path.join(folder, "processes"), children);
  if (!(await untilWell(url, children[0]))) throw new Error("the web server did not start");
  project.provide("appUrl", url);
  project.provide("databaseUrl", databaseUrl);
  project.provide("appEnvironment", env);
  project.provide("appPort", port);
  return async () => {
    await stopAll(children);
    cluster.stop("immediate");
    rmSync(folder, { recursive: true, force: true });
  };
}
