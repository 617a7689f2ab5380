/** `./unvex start`: for real use. Settings come from the environment; docs/operators.md has them all. */
import { build } from "./build.mjs";
import { dataFolder, openDatabase } from "./database.mjs";
import { installPackages } from "./install.mjs";
import { launchWeb, launchWorker, stopAll, untilWell } from "./processes.mjs";
import { runProgram } from "./programs.mjs";
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
  const only = args.includes("--web") ? "web" : args.includes("--worker") ? "worker" : "both";
  const port = Number(env.PORT ?? 4600);
  const host = env.UNVEX_HOST ?? "127.0.0.1";
  const children = [];
  if (only !== "worker") children.push(launchWeb(env, port, host, null));
  if (only !== "web") children.push(launchWorker(env, null));
  const stop = () => stopAll(children).then(() => database.release());
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
