/** The web server and the worker, as built, as child processes that go when we go. */
import { spawn } from "node:child_process";
import { closeSync, existsSync, openSync, readFileSync, readlinkSync, rmSync, writeFileSync } from "node:fs";
import path from "node:path";

const STOP_MS = 8000;

/**
 * Starts a process that writes what it says to a log file by itself, so that it needs nobody who listens; without a file it says it where
 * we do.
 */
export function launch(args, env, logFile) {
  const log = logFile ? openSync(logFile, "a") : null;
  const child = spawn(process.execPath, args, {
    // Who owns the tables is not the application's business.
    env: { ...process.env, ...env, UNVEX_OWNER_URL: undefined },
    stdio: ["ignore", log ?? "inherit", log ?? "inherit"],
  });
  if (log !== null) closeSync(log);
  return child;
}

export const launchWeb = (env, port, host, logFile) =>
  launch(
    ["node_modules/next/dist/bin/next", "start", "-H", host, "-p", String(port)],
    { NEXT_TELEMETRY_DISABLED: "1", NODE_ENV: "production", ...env },
    logFile,
  );
export const launchWorker = (env, logFile) =>
  launch(
    [path.join(env.UNVEX_DIST ?? process.env.UNVEX_DIST ?? ".next", "worker.mjs")],
    { NODE_ENV: "production", ...env },
    logFile,
  );

/** Whether a process works still. One that was killed and that nothing has reaped since has a number, but is dead. */
export function isAlive(pid) {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, "utf8");
    return stat.replace(/^.*\) /u, "").charAt(0) !== "Z";
  } catch {
    return false;
  }
}

/** Notes the processes of this start, so that the next one finds them should this one be killed. */
export function noteProcesses(file, children) {
  writeFileSync(file, children.map((child) => child.pid).join("\n"));
}

/** The processes that a start has noted and that still run in this very folder. */
function leftFrom(file) {
  const pids = existsSync(file) ? readFileSync(file, "utf8").split("\n").map(Number).filter(Boolean) : [];
  return pids.filter((pid) => {
    try {
      return isAlive(pid) && readlinkSync(`/proc/${pid}/cwd`) === process.cwd();
    } catch {
      return false; // gone already, or somebody else's by now
    }
  });
}

/** Ends for sure what a start that was killed has left running: it is asked first, and killed where it does not listen. */
export async function endLeftovers(file) {
  const signal = (name) => {
    const left = leftFrom(file);
    for (const pid of left)
      try {
        process.kill(pid, name);
      } catch {
        // it went in this moment
      }
    return left.length > 0;
  };
  const end = Date.now() + STOP_MS;
  for (let left = signal("SIGTERM"); left && Date.now() < end; left = leftFrom(file).length > 0)
    await new Promise((resolve) => setTimeout(resolve, 100));
  while (signal("SIGKILL")) await new Promise((resolve) => setTimeout(resolve, 50));
  rmSync(file, { force: true });
}

/** Waits until the web server answers on its health address. */
export async function untilWell(url, child, seconds = 60) {
  const end = Date.now() + seconds * 1000;
  while (Date.now() < end) {
    if (child.exitCode !== null) return false;
    try {
      if ((await fetch(`${url}/health`)).ok) return true;
    } catch {
      // not listening yet
    }
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
  return false;
}

/** Asks processes to end, and ends those that do not listen. */
export async function stopAll(children) {
  await Promise.all(
    children.map(
      (child) =>
        new Promise((resolve) => {
          if (child.exitCode !== null || child.signalCode !== null) return resolve();
          const timer = setTimeout(() => child.kill("SIGKILL"), STOP_MS);
          child.once("exit", () => {
            clearTimeout(timer);
            resolve();
          });
          child.kill("SIGTERM");
        }),
    ),
  );
}
