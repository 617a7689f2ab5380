import { existsSync, readFileSync } from "node:fs";
import path from "node:path";
import type { Browser } from "playwright-core";
import { inject } from "vitest";
import { freePort, startCluster } from "../../commands/cluster.mjs";
import { launchWeb, launchWorker, noteProcesses, stopAll, untilWell } from "../../commands/processes.mjs";
import { openBrowser } from "./browser";
import { DEMO_DATABASE } from "./browser-setup";

/** The whole application with the demo's data, of one test file's own, and a browser to look at it. */
export interface Demo {
  readonly browser: Browser;
  readonly url: string;
  readonly databaseUrl: string;
  /** What its processes have written to their log. */
  readonly log: () => string;
  readonly close: () => Promise<void>;
}

/** @param settings what is set otherwise than in the demo @param host the name or number of this machine in addresses */
export async function openDemo(
  name: string,
  settings: Readonly<Record<string, string>> = {},
  host: "127.0.0.1" | "localhost" = "127.0.0.1",
): Promise<Demo> {
  const folder = inject("demoFolder");
  const cluster = await startCluster(path.join(folder, "postgres"));
  cluster.createDatabase(name, DEMO_DATABASE);
  const port = await freePort();
  const url = `http://${host}:${port}`;
  const env = {
    DATABASE_URL: cluster.appUrl(name),
    UNVEX_URL: url,
    UNVEX_SECRET: inject("demoSecret"),
    UNVEX_DEMO: "1",
    UNVEX_LOG: "warn",
    UNVEX_DIST: process.env.UNVEX_DIST ?? ".next",
    NODE_ENV: "production",
    ...settings,
  };
  const log = path.join(folder, `log-${name}`);
  const children = [launchWeb(env, port, "127.0.0.1", log), launchWorker(env, log)];
  noteProcesses(path.join(folder, `processes-${name}`), children);
  if (!(await untilWell(url, children[0]))) throw new Error("the web server did not start");
  const browser = await openBrowser();
  return {
    browser,
    url,
    databaseUrl: env.DATABASE_URL,
    log: () => (existsSync(log) ? readFileSync(log, "utf8") : ""),
    close: async () => {
      await browser.close();
      await stopAll(children);
      cluster.dropDatabase(name);
    },
  };
}
