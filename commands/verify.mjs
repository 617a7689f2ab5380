/** `./unvex verify`: recomputes every stored assessment; with --demo the demo's database. */
import path from "node:path";
import { dataFolder, openDatabase } from "./database.mjs";
import { installPackages } from "./install.mjs";
import { runProgram } from "./programs.mjs";

export async function run(args) {
  const step = (text) => process.stdout.write(`· ${text}\n`);
  await installPackages();
  const folder = args.includes("--demo") ? path.resolve(".unvex", "demo", "postgres") : dataFolder();
  const database = await openDatabase(step, folder);
  try {
    const env = { ...process.env, DATABASE_URL: database.url };
    return (await runProgram("verify-all", [], { env, stdio: "inherit" })).status ?? 1;
  } finally {
    database.release();
  }
}
