/** `./unvex verify`: recomputes every stored assessment; with --demo the demo's database. */
import { spawnSync } from "node:child_process";
import path from "node:path";
import { startCluster } from "./cluster.mjs";
import { installPackages } from "./install.mjs";
import { Trouble } from "./trouble.mjs";

export async function run(args) {
  installPackages((text) => process.stdout.write(`· ${text}\n`));
  const folder = path.resolve(".unvex", args.includes("--demo") ? "demo" : "data", "postgres");
  const url = process.env.DATABASE_URL ?? (await startCluster(folder)).url("unvex");
  if (!url) throw new Trouble("Set DATABASE_URL, or start Unvex once.");
  return (
    spawnSync(process.execPath, ["--import", "tsx", "commands/verify-all.ts"], {
      env: { ...process.env, DATABASE_URL: url },
      stdio: "inherit",
    }).status ?? 1
  );
}
