/** `./unvex start`: for real use. Settings come from the environment; docs/operators.md has them all. */
import { spawnSync } from "node:child_process";
import path from "node:path";
import { build } from "./build.mjs";
import { startCluster } from "./cluster.mjs";
import { installPackages, installSystem } from "./install.mjs";
import { launchWeb, launchWorker, stopAll, untilWell } from "./processes.mjs";
import { Trouble } from "./trouble.mjs";

const step = (text) => process.stdout.write(`· ${text}\n`);

/** The settings with an embedded database filled in where none was given. */
export async function settledEnvironment() {
  const env = { ...process.env };
  let cluster = null;
  if (!env.DATABASE_URL) {
    installSystem({ browser: false }, step);
    step("starting the embedded PostgreSQL");
    cluster = await startCluster(path.resolve(env.UNVEX_DATA ?? path.join(".unvex", "data"), "postgres"));
    cluster.createDatabase("unvex");
    env.DATABASE_URL = cluster.url("unvex");
  }
  const checked = spawnSync(process.execPath, ["--import", "tsx", "commands/check-settings.ts"], {
    env,
    encoding: "utf8",
  });
  if (checked.status !== 0) {
    cluster?.stop();
    throw new Trouble(checked.stderr.trim());
  }
  return { env, cluster };
}

export async function run(args) {
  installPackages(step);
  build(step);
  const { env, cluster } = await settledEnvironment();
  const only = args.includes("--web") ? "web" : args.includes("--worker") ? "worker" : "both";
  const port = Number(env.PORT ?? 4600);
  const host = env.UNVEX_HOST ?? "127.0.0.1";
  const children = [];
  if (only !== "worker") children.push(launchWeb(env, port, host, null));
  if (only !== "web") children.push(launchWorker(env, null));
  const stop = () => stopAll(children).then(() => cluster?.stop());
  const ended = new Promise((resolve) => {
    for (const signal of ["SIGINT", "SIGTERM"]) process.once(signal, () => void stop().then(() => resolve(0)));
    for (const child of children) child.once("exit", (code) => void stop().then(() => resolve(code ?? 1)));
  });
  if (only !== "worker" && !(await untilWell(`http://${host}:${port}`, children[0]))) {
    await stop();
    throw new Trouble(`The web server did not start on ${host}:${port}. The lines above say why.`);
  }
  step(`ready at ${env.UNVEX_URL}`);
  return ended;
}
