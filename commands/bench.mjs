/** `./unvex bench`: speed as ratios against floors that are measured in the same run, on a PostgreSQL of its own. */
import { spawnSync } from "node:child_process";
import { randomBytes } from "node:crypto";
import { mkdirSync, rmSync } from "node:fs";
import path from "node:path";
import { build } from "./build.mjs";
import { freePort, removeCluster, startCluster } from "./cluster.mjs";
import { installPackages, installSystem } from "./install.mjs";
import { program } from "./programs.mjs";

const step = (text) => process.stdout.write(`· ${text}\n`);

export async function run(args) {
  await installSystem({ browser: false }, step);
  await installPackages();
  if (args.length === 0 || ["page", "form", "kill", "hostile"].some((subject) => args.includes(subject))) await build();
  const folder = path.resolve(".unvex", `bench-${process.pid}`);
  mkdirSync(folder, { recursive: true });
  const cluster = await startCluster(folder);
  cluster.createDatabase("bench");
  try {
    return (
      spawnSync(process.execPath, ["--expose-gc", ...(await program("bench", ...args))], {
        env: {
          ...process.env,
          UNVEX_OWNER_URL: cluster.url("bench"),
          DATABASE_URL: cluster.appUrl("bench"),
          UNVEX_URL: `http://127.0.0.1:${await freePort()}`,
          UNVEX_SECRET: randomBytes(32).toString("hex"),
          UNVEX_BENCH_FOLDER: folder,
          UNVEX_CARD: "stand-in",
          UNVEX_SECOND_FACTOR: "offered",
          UNVEX_LOG: "error",
        },
        stdio: "inherit",
      }).status ?? 1
    );
  } finally {
    removeCluster(folder);
    rmSync(folder, { recursive: true, force: true });
  }
}
