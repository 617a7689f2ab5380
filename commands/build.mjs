/** Builds the web application, unless what is built was made from these very files. */
import { spawnSync } from "node:child_process";
import { createHash } from "node:crypto";
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from "node:fs";
import path from "node:path";
import { Trouble } from "./trouble.mjs";

const SOURCES = ["src", "public", "package-lock.json", "next.config.ts", "tsconfig.json"];

function filesIn(place) {
  if (!existsSync(place)) return [];
  if (statSync(place).isFile()) return [place];
  return readdirSync(place)
    .sort()
    .flatMap((name) => filesIn(path.join(place, name)));
}

function fingerprint() {
  const hash = createHash("sha256");
  for (const file of SOURCES.flatMap(filesIn).filter((f) => !f.endsWith(".test.ts")))
    hash.update(file).update("\0").update(readFileSync(file));
  return hash.digest("hex");
}

export function build(step, folder = ".next") {
  const mark = path.join(folder, ".unvex-source");
  const print = fingerprint();
  if (existsSync(mark) && readFileSync(mark, "utf8") === print) return;
  step("building the web application (a minute or two)");
  const result = spawnSync(process.execPath, ["node_modules/next/dist/bin/next", "build"], {
    encoding: "utf8",
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: "1", UNVEX_DIST: folder },
  });
  if (result.status !== 0)
    throw new Trouble(
      `The build failed:\n${`${result.stdout}\n${result.stderr}`.trim().split("\n").slice(-25).join("\n")}`,
    );
  writeFileSync(mark, print);
}
