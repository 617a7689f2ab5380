import { type ChildProcess, spawn } from "node:child_process";
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import path from "node:path";
import pg from "pg";
import { afterEach, beforeEach, describe, expect, it } from "vitest";
import { removeCluster, startCluster } from "../../commands/cluster.mjs";
import { endLeftovers, isAlive } from "../../commands/processes.mjs";
import { supervise, watchCluster } from "../../commands/supervise.mjs";

/** What a start keeps going, and what it leaves. */
describe("the processes of a start", () => {
  let folder = "";
  const started: ChildProcess[] = [];
  beforeEach(() => {
    folder = mkdtempSync(path.join(process.cwd(), ".unvex", "processes-"));
  });
  afterEach(() => {
    for (const child of started.splice(0)) child.kill("SIGKILL");
    rmSync(folder, { recursive: true, force: true });
  });

  /** A process that works until it is told to stop, or does not listen to that. */
  const launch = (script = "setInterval(() => undefined, 1000)"): ChildProcess => {
    const child = spawn(process.execPath, ["-e", script], { stdio: "ignore" });
    started.push(child);
    return child;
  };
  const notes = () => path.join(folder, "processes");
  const noted = () => (existsSync(notes()) ? readFileSync(notes(), "utf8").split("\n").map(Number) : []);
  const DEAF = `process.on("SIGTERM", () => undefined); setInterval(() => undefined, 1000);
    require("node:fs").writeFileSync(process.argv[1], "ready")`;

  it("are started again when they end by themselves, which is said, and noted for the next start", async () => {
    const lines: string[] = [];
    const supervisor = supervise(
      { web: () => launch(), worker: () => launch() },
      { say: (line) => lines.push(line), notes: notes(), firstPause: 10 },
    );
    const first = supervisor.child("web");
    const worker = supervisor.child("worker")?.pid;
    expect(noted()).toEqual([first?.pid, worker]);
    first?.kill("SIGKILL");
    await expect.poll(() => supervisor.child("web")?.pid ?? first?.pid, { timeout: 20_000 }).not.toBe(first?.pid);
    expect(lines).toEqual(["web ended by itself (SIGKILL); it is started again in 1 s"]);
    expect(supervisor.child("worker")?.pid).toBe(worker);
    expect(noted().sort()).toEqual([supervisor.child("web")?.pid, worker].sort());
    await supervisor.stop();
    expect(started.every((child) => !isAlive(child.pid ?? 0))).toBe(true);
    expect(lines).toHaveLength(1);
  });

  it("that end at once are started less and less often", async () => {
    const lines: string[] = [];
    const supervisor = supervise(
      { web: () => launch("process.exit(3)") },
      { say: (line) => lines.push(line), notes: notes(), firstPause: 400 },
    );
    await expect.poll(() => lines.length, { timeout: 30_000 }).toBeGreaterThanOrEqual(3);
    await supervisor.stop();
    expect(lines.slice(0, 3).map((line) => /\((\d)\).*in (\d) s/u.exec(line)?.slice(1))).toEqual([
      ["3", "1"],
      ["3", "1"],
      ["3", "2"],
    ]);
  });

  it("that were left by a start that was killed are ended for sure, also deaf ones", async () => {
    const mark = path.join(folder, "mark");
    const child = spawn(process.execPath, ["-e", DEAF, mark], { stdio: "ignore" });
    started.push(child);
    await expect.poll(() => existsSync(mark), { timeout: 20_000 }).toBe(true);
    writeFileSync(notes(), String(child.pid));
    await endLeftovers(notes());
    expect(isAlive(child.pid ?? 0)).toBe(false);
    expect(existsSync(notes())).toBe(false);
  });

  it("somebody else's is left alone, though it has the number that was noted", async () => {
    const child = spawn(process.execPath, ["-e", "setInterval(() => undefined, 1000)"], { stdio: "ignore", cwd: "/" });
    started.push(child);
    writeFileSync(notes(), String(child.pid));
    await endLeftovers(notes());
    expect(isAlive(child.pid ?? 0)).toBe(true);
  });

  it("include the database, which comes back where it was", async () => {
    const home = path.join(folder, "postgres");
    const cluster = await startCluster(home);
    const lines: string[] = [];
    const unwatch = watchCluster(cluster, (line) => lines.push(line), 50);
    try {
      cluster.stop("immediate");
      const connects = async () => {
        const client = new pg.Client({ connectionString: cluster.url("postgres") });
        client.on("error", () => undefined);
        return client.connect().then(
          () => client.end().then(() => true),
          () => false,
        );
      };
      await expect.poll(connects, { timeout: 60_000 }).toBe(true);
      expect(lines[0]).toBe("PostgreSQL ended by itself; it is started again");
    } finally {
      unwatch();
      removeCluster(home);
    }
  });
});
