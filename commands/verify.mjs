/** `./unvex verify`: recomputes every stored assessment; with --demo the demo's database. */
import { spawnSync } from "node:child_process";
import path from "node:path";
import { dataFolder, openDatabase } from "./database.mjs";
import { installPackages } from "./install.mjs";

export async function run(args) {
  const step = (text) => process.stdout.write(`· ${text}\n`);
  await installPackages();
  const folder = args.includes("--demo") ? path.resolve(".unvex", "demo", "postgres") : dataFolder();
  const database = await openDatabase(step, folder);
  try {
    return (
      spawnSync(process.execPath, ["--import", "tsx", "commands/verify-all.ts"], {
        env: { ...process.env, DATABASE_URL: database.url },
        stdio: "inherit",
      }).status ?? 1
    );
  } finally {
    database.release();
  }
}
