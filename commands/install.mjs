/** Installs what a fresh machine lacks: Debian's packages through apt, and the npm packages of the lock file. */
import { spawnSync } from "node:child_process";
import { createHash } from "node:crypto";
import { existsSync, mkdirSync, readFileSync, writeFileSync } from "node:fs";
import path from "node:path";
import { findPostgres } from "./cluster.mjs";
import { requireRoom } from "./disk.mjs";
import { lastLines, longWork } from "./long-work.mjs";
import { Trouble } from "./trouble.mjs";

/** What the npm packages and, after them, the build take. */
const PACKAGES_MB = 1500;

const has = (program) =>
  (process.env.PATH ?? "")
    .split(path.delimiter)
    .some((folder) => folder !== "" && existsSync(path.join(folder, program)));

/** Debian's Chromium; the one without windows, where there is one, paints at half the cost. */
export const findChromium = () =>
  ["chromium-headless-shell", "chromium", "chromium-browser"]
    .map((name) =>
      (process.env.PATH ?? "")
        .split(path.delimiter)
        .map((f) => path.join(f, name))
        .find(existsSync),
    )
    .find(Boolean) ?? null;

async function apt(packages) {
  const line = `apt-get update && apt-get install -y ${packages.join(" ")}`;
  const prefix = process.getuid?.() === 0 ? [] : ["sudo", "-n"];
  if (!has("apt-get"))
    throw new Trouble(`This machine has no apt-get. Install these yourself and start again: ${packages.join(", ")}`);
  if (prefix.length > 0 && (!has("sudo") || spawnSync("sudo", ["-n", "true"]).status !== 0))
    throw new Trouble(`These packages are missing, and this account may not install them. Run as root:\n\n  ${line}\n`);
  const env = { ...process.env, DEBIAN_FRONTEND: "noninteractive" };
  for (const args of [
    ["apt-get", "update"],
    ["apt-get", "install", "-y", "--no-install-recommends", ...packages],
  ]) {
    const [program, ...rest] = [...prefix, ...args];
    const { status, output } = await longWork(args.slice(0, 2).join(" "), program, rest, env);
    if (status !== 0) throw new Trouble(`\`${args.join(" ")}\` failed:\n${lastLines(output, 5)}`);
  }
}

/** Debian's packages that are missing, installed. */
export async function installSystem({ browser }, step) {
  const missing = [
    ...(findPostgres() ? [] : ["postgresql"]),
    ...(browser && !findChromium() ? ["chromium-headless-shell", "fonts-liberation"] : []),
  ];
  if (missing.length === 0) return;
  step(`installing ${missing.join(" and ")} from Debian's packages`);
  await apt(missing);
  if (!findPostgres())
    throw new Trouble("PostgreSQL was installed but its programs were not found. Look at: ls /usr/lib/postgresql");
}

/** The npm packages of the lock file, installed unless this very lock file was installed before. */
export async function installPackages() {
  const lock = createHash("sha256").update(readFileSync("package-lock.json")).digest("hex");
  const mark = path.join("node_modules", ".unvex-lock");
  if (existsSync(mark) && readFileSync(mark, "utf8") === lock) return;
  requireRoom(process.cwd(), PACKAGES_MB);
  const work = ["ci", "--ignore-scripts", "--no-fund", "--no-audit"];
  const { status, output } = await longWork("installing npm packages (a minute or two)", "npm", work);
  if (status !== 0) throw new Trouble(`\`npm ci\` failed:\n${lastLines(output, 8)}`);
  mkdirSync("node_modules", { recursive: true });
  writeFileSync(mark, lock);
}
