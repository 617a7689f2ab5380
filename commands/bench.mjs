/** `./unvex bench`: speed as ratios against floors that are measured in the same run, on a PostgreSQL of its own. */
import { spawnSync } from "node:child_process";
import { rmSync } from "node:fs";
import path from "node:path";
import { startCluster } from "./cluster.mjs";
import { installPackages, installSystem } from "./install.mjs";

const step = (text) => process.stdout.write(`· ${text}\n`);

export async function run() {
  installSystem({ browser: false }, step);
  installPackages(step);
  const folder = path.resolve(".unvex", `bench-${process.pid}`);
  const cluster = await startCluster(folder);
  cluster.createDatabase("bench");
  try {
    return (
      spawnSync(process.execPath, ["--expose-gc", "--import", "tsx", "commands/bench.ts"], {
        env: { ...process.env, DATABASE_URL: cluster.url("bench") },
        stdio: "inherit",
      }).status ?? 1
    );
  } finally {
    cluster.stop("immediate");
    rmSync(folder, { recursive: true, force: true });
  }
}
