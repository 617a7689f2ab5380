/** `./unvex demo`: from whatever state this machine is in to a running demo. */
import { createHash, randomBytes } from "node:crypto";
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import net from "node:net";
import path from "node:path";
import { build } from "./build.mjs";
import { freePort, startCluster } from "./cluster.mjs";
import { installPackages, installSystem } from "./install.mjs";
import { endLeftovers, launchWeb, launchWorker, untilWell } from "./processes.mjs";
import { runProgram } from "./programs.mjs";
import { supervise, watchCluster } from "./supervise.mjs";
import { Trouble } from "./trouble.mjs";

const FOLDER = path.resolve(".unvex", "demo");
const DATABASE = "unvex";
const USUAL_PORT = 4600;

const step = (text) => process.stdout.write(`· ${text}\n`);

function isFree(port) {
  return new Promise((resolve) => {
    const server = net.createServer();
    server.once("error", () => resolve(false));
    server.listen(port, "127.0.0.1", () => server.close(() => resolve(true)));
  });
}

/** The port that was asked for, which must be free; else the usual one, or any. */
async function choosePort(args) {
  const at = args.indexOf("--port");
  if (at < 0) return (await isFree(USUAL_PORT)) ? USUAL_PORT : freePort();
  const port = Number(args[at + 1]);
  if (!Number.isInteger(port) || port < 1 || port > 65535) throw new Trouble("--port needs a number from 1 to 65535.");
  if (!(await isFree(port)))
    throw new Trouble(`Port ${port} is in use. Choose another with --port, or leave --port out.`);
  return port;
}

function secret() {
  const file = path.join(FOLDER, "secret");
  if (!existsSync(file)) writeFileSync(file, randomBytes(32).toString("base64url"), { mode: 0o600 });
  return readFileSync(file, "utf8");
}

/** What the database was made by: data of other tables cannot be used. */
function schemaPrint() {
  const folder = path.join("src", "db", "migrations");
  const hash = createHash("sha256");
  for (const file of readdirSync(folder)
    .sort()
    .filter((f) => f.endsWith(".sql")))
    hash.update(readFileSync(path.join(folder, file)));
  return hash.digest("hex");
}

/** Loads the demo data once. A load that was cut short leaves no mark, and is done anew on an empty database. */
async function loadOnce(cluster, env, fresh) {
  const mark = path.join(FOLDER, "loaded");
  const print = schemaPrint();
  if (fresh || !existsSync(mark) || readFileSync(mark, "utf8") !== print) {
    rmSync(mark, { force: true });
    cluster.dropDatabase(DATABASE);
    cluster.createDatabase(DATABASE);
    step("loading the demo data: every file is made by the same acts that people use");
    const result = await runProgram("load-demo", [], {
      env: { ...process.env, ...env },
      stdio: "inherit",
    });
    if (result.status !== 0)
      throw new Trouble("The demo data could not be loaded; the lines above say why. Try again with --fresh.");
    writeFileSync(mark, print);
  }
}

function printWelcome(url) {
  const lines = readFileSync(path.join(FOLDER, "sign-ins"), "utf8").trimEnd();
  process.stdout.write(
    `\nUnvex is ready:  ${url}\n\n${lines}\n\nEverybody's mail is in the tray:  ${url}/stand-in/tray\nCtrl-C stops everything; the data stays (--fresh starts over).\n`,
  );
}

export async function run(args) {
  const fresh = args.includes("--fresh");
  await installSystem({ browser: false }, step);
  await installPackages();
  await build();
  mkdirSync(FOLDER, { recursive: true });
  const notes = path.join(FOLDER, "processes");
  await endLeftovers(notes);
  const port = await choosePort(args);
  // By its name: browsers keep passkeys for names only.
  const url = `http://localhost:${port}`;
  step("starting PostgreSQL");
  const cluster = await startCluster(path.join(FOLDER, "postgres"));
  let [supervisor, unwatch, stopping] = [null, () => undefined, null];
  const stop = () => {
    unwatch();
    stopping ??= Promise.resolve(supervisor?.stop()).then(() => cluster.stop());
    return stopping;
  };
  const ended = new Promise((resolve) => {
    for (const signal of ["SIGINT", "SIGTERM"])
      process.once(signal, () => {
        process.stdout.write("\n· stopping\n");
        void stop().then(() => resolve(0));
      });
  });
  try {
    const env = {
      DATABASE_URL: cluster.appUrl(DATABASE),
      UNVEX_URL: url,
      UNVEX_SECRET: secret(),
      UNVEX_DEMO: "1",
      UNVEX_FOLDER: FOLDER,
      UNVEX_LOG: process.env.UNVEX_LOG ?? "warn",
    };
    await loadOnce(cluster, { ...env, UNVEX_OWNER_URL: cluster.url(DATABASE) }, fresh);
    step("starting the web server and the worker");
    const log = (name) => path.join(FOLDER, `${name}.log`);
    const say = (line) => process.stderr.write(`· ${line}. Its log is in ${FOLDER}.\n`);
    supervisor = supervise(
      {
        "the web server": () => launchWeb(env, port, "127.0.0.1", log("web")),
        "the worker": () => launchWorker(env, log("worker")),
      },
      { say, notes },
    );
    unwatch = watchCluster(cluster, say);
    if (!(await untilWell(url, supervisor.child("the web server"))))
      throw new Trouble(`The web server did not start. Its log is ${log("web")}.`);
    printWelcome(url);
    const code = await ended;
    await stop();
    return code;
  } catch (error) {
    await stop();
    throw error;
  }
}
