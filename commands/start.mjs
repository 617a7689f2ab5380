/** `./unvex start`: for real use. Settings come from the environment; docs/operators.md has them all. */
import { mkdirSync } from "node:fs";
import path from "node:path";
import { build } from "./build.mjs";
import { dataFolder, openDatabase } from "./database.mjs";
import { installPackages } from "./install.mjs";
import { endLeftovers, launchWeb, launchWorker, stopAll, untilWell } from "./processes.mjs";
import { runProgram } from "./programs.mjs";
import { supervise, watchCluster } from "./supervise.mjs";
import { Trouble } from "./trouble.mjs";

const step = (text) => process.stdout.write(`· ${text}\n`);

/** The settings with an embedded database filled in where none was given. */
export async function settledEnvironment() {
  const database = await openDatabase(step, dataFolder());
  const env = { ...process.env, DATABASE_URL: database.url, UNVEX_OWNER_URL: database.ownerUrl };
  const checked = await runProgram("check-settings", [], { env, encoding: "utf8" });
  if (checked.status !== 0) {
    database.release();
    throw new Trouble(checked.stderr.trim());
  }
  return { env, database };
}

export async function run(args) {
  await installPackages();
  const { env, database } = await settledEnvironment();
  await build();
  if (env.UNVEX_OWNER_URL) {
    const prepared = await runProgram("prepare-database", [], { env, encoding: "utf8" });
    if (prepared.status !== 0) {
      database.release();
      throw new Trouble(prepared.stderr.trim());
    }
  }
  const port = Number(env.PORT ?? 4600);
  const host = env.UNVEX_HOST ?? "127.0.0.1";
  const start = { env, database, port, host, url: `http://${host}:${port}` };
  if (args.includes("--web")) return runAlone(start, launchWeb(env, port, host, null), true);
  if (args.includes("--worker")) return runAlone(start, launchWorker(env, null), false);
  return runBoth(start);
}

/** Resolves once somebody wants to stop. */
const told = () =>
  new Promise((resolve) => {
    for (const signal of ["SIGINT", "SIGTERM"]) process.once(signal, resolve);
  });

const notStarted = ({ host, port }, where) =>
  new Trouble(`The web server did not start on ${host}:${port}. ${where} why.`);

/** One process, which says what it says where we do, and whose end is ours: what started us starts us again. */
async function runAlone(start, child, isWeb) {
  const { database, url, env } = start;
  const stop = () => stopAll([child]).then(() => database.release());
  const ended = new Promise((resolve) => child.once("exit", (code) => resolve(code ?? 1)));
  const code = Promise.race([told().then(() => 0), ended]);
  if (isWeb && !(await untilWell(url, child))) {
    await stop();
    throw notStarted(start, "The lines above say");
  }
  step(isWeb ? `ready at ${env.UNVEX_URL}` : "the worker is started");
  const result = await code;
  await stop();
  return result;
}

/** Both processes and the embedded database, kept going; each writes a log of its own. */
async function runBoth(start) {
  const { env, database, port, host, url } = start;
  const folder = path.dirname(dataFolder());
  const log = (name) => path.join(folder, `${name}.log`);
  const notes = path.join(folder, "processes");
  mkdirSync(folder, { recursive: true });
  await endLeftovers(notes);
  const say = (line) => process.stderr.write(`${new Date().toISOString()} ${line}. The logs are in ${folder}.\n`);
  const stopped = told();
  const supervisor = supervise(
    {
      "the web server": () => launchWeb(env, port, host, log("web")),
      "the worker": () => launchWorker(env, log("worker")),
    },
    { say, notes },
  );
  const unwatch = database.cluster ? watchCluster(database.cluster, say) : () => undefined;
  const stop = async () => {
    unwatch();
    await supervisor.stop();
    database.release();
  };
  if (!(await untilWell(url, supervisor.child("the web server")))) {
    await stop();
    throw notStarted(start, `The end of ${log("web")} says`);
  }
  step(`ready at ${env.UNVEX_URL}; the logs are in ${folder}`);
  await stopped;
  await stop();
  return 0;
}
