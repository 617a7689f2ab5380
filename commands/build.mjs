/** Builds the web application and the worker, unless what is built was made from these very files. */
import { createHash } from "node:crypto";
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from "node:fs";
import path from "node:path";
import { requireRoom } from "./disk.mjs";
import { lastLines, longWork } from "./long-work.mjs";
import { makeProgram, program } from "./programs.mjs";
import { Trouble } from "./trouble.mjs";

const SOURCES = [
  "src",
  "commands/programs.mjs",
  "public",
  "package-lock.json",
  "next.config.ts",
  "tsconfig.json",
  "commands/library-css.ts",
];
const BUILD_MB = 300;
/** Made by the build itself. */
const MADE = path.join("src", "ui", "styles", "library.css");

function filesIn(place) {
  if (!existsSync(place)) return [];
  if (statSync(place).isFile()) return [place];
  return readdirSync(place)
    .sort()
    .flatMap((name) => filesIn(path.join(place, name)));
}

function fingerprint() {
  const hash = createHash("sha256");
  for (const file of SOURCES.flatMap(filesIn).filter((f) => !f.endsWith(".test.ts") && f !== MADE))
    hash.update(file).update("\0").update(readFileSync(file));
  return hash.digest("hex");
}

async function run(title, args, env = {}) {
  const { status, output } = await longWork(title, process.execPath, args, { ...process.env, ...env });
  if (status !== 0) throw new Trouble(`The build failed:\n${lastLines(output, 25)}`);
}

/** @returns whether there was anything to build */
export async function build(folder = ".next") {
  const mark = path.join(folder, ".unvex-source");
  const print = fingerprint();
  if (existsSync(mark) && readFileSync(mark, "utf8") === print) return false;
  requireRoom(process.cwd(), BUILD_MB);
  await run("making the style sheet of the component library", await program("library-css"));
  await run("building the web application (a minute or two)", ["node_modules/next/dist/bin/next", "build"], {
    NEXT_TELEMETRY_DISABLED: "1",
    UNVEX_DIST: folder,
  });
  for (const name of ["worker", "workshop"]) await makeProgram(`src/${name}.ts`, path.join(folder, `${name}.mjs`));
  writeFileSync(mark, print);
  return true;
}
