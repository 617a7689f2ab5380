/** `./unvex test`: everything that must hold. The last line is `N passed, N failed`. */
import { spawn } from "node:child_process";
import { existsSync, mkdirSync, readFileSync, rmSync } from "node:fs";
import path from "node:path";
import { build } from "./build.mjs";
import { installPackages, installSystem } from "./install.mjs";
import { clearLeftovers } from "./leftovers.mjs";
import { Trouble } from "./trouble.mjs";

const FOLDER = path.resolve(".unvex");
const DIST = ".next-test";
const started = Date.now();
const step = (text) => process.stdout.write(`· ${text}  [${Math.round((Date.now() - started) / 1000)} s]\n`);

const working = new Set();

/** Somebody wants to stop: what runs is ended first, and nothing of it stays. */
function endWhenTold() {
  for (const signal of ["SIGINT", "SIGTERM"])
    process.once(signal, async () => {
      const ended = [...working].map((child) => new Promise((resolve) => child.once("close", resolve)));
      for (const child of working) child.kill("SIGTERM");
      await Promise.all(ended);
      await clearLeftovers(FOLDER);
      process.exit(130);
    });
}

function call(args, env = {}) {
  return new Promise((resolve) => {
    const child = spawn(process.execPath, args, {
      env: { ...process.env, UNVEX_TEST: "1", UNVEX_DIST: DIST, ...env },
      stdio: ["ignore", "pipe", "pipe"],
    });
    working.add(child);
    let output = "";
    child.stdout.on("data", (data) => (output += data));
    child.stderr.on("data", (data) => (output += data));
    child.on("close", (code) => {
      working.delete(child);
      resolve({ code: code ?? 1, output });
    });
  });
}

/** A check that either holds or does not. */
async function check(name, args) {
  const { code, output } = await call(args);
  step(`${name}: ${code === 0 ? "holds" : "does not hold"}`);
  if (code !== 0) process.stdout.write(`${output.trim()}\n`);
  return code === 0 ? { passed: 1, failed: 0 } : { passed: 0, failed: 1 };
}

/** The tests of one project, counted one by one. */
async function tests(project) {
  const report = path.join(FOLDER, `report-${project}-${process.pid}.json`);
  const { code, output } = await call([
    "node_modules/vitest/vitest.mjs",
    "run",
    "--project",
    project,
    "--reporter=default",
    "--reporter=json",
    `--outputFile.json=${report}`,
  ]);
  const result = existsSync(report) ? JSON.parse(readFileSync(report, "utf8")) : null;
  rmSync(report, { force: true });
  const passed = result?.numPassedTests ?? 0;
  // A file that cannot even be loaded has no failed test, but the run has failed.
  const failed = Math.max(result?.numFailedTests ?? 0, code === 0 ? 0 : 1);
  step(`${project} tests: ${passed} passed, ${failed} failed`);
  if (code !== 0) process.stdout.write(`${output.trim()}\n`);
  return { passed, failed };
}

async function production() {
  try {
    if (await build(DIST)) step("production build: holds");
    return { passed: 1, failed: 0 };
  } catch (error) {
    if (!(error instanceof Trouble)) throw error;
    process.stdout.write(`${error.message}\n`);
    return { passed: 0, failed: 1 };
  }
}

const STEPS = {
  format: () => check("formatting and lint", ["node_modules/@biomejs/biome/bin/biome", "check", "--error-on-warnings"]),
  types: () => check("strict types", ["node_modules/typescript/bin/tsc", "--noEmit"]),
  imports: () =>
    check("import rules", [
      "node_modules/dependency-cruiser/bin/dependency-cruise.mjs",
      "src",
      "--config",
      ".dependency-cruiser.cjs",
    ]),
  unused: () => check("unused code", ["node_modules/knip/bin/knip.js"]),
  unit: () => tests("unit"),
  data: () => tests("data"),
  build: production,
  browser: async () => {
    // Asked for alone, it must not look at an older build.
    const built = await production();
    return built.failed > 0 ? built : tests("browser");
  },
};

/** One after the other, but for the build, which leaves a core free for the short checks. Types come before it, for it writes some. */
const ORDER = [["types"], ["build", "format", "imports", "unused", "unit"], ["data"], ["browser"]];

/** The first of a group beside all the others. */
async function runGroup([first, ...others]) {
  const rest = async () => {
    const results = [];
    for (const name of others) results.push(await STEPS[name]());
    return results;
  };
  const [one, more] = await Promise.all([first ? STEPS[first]() : { passed: 0, failed: 0 }, rest()]);
  return [one, ...more];
}

export async function run(args) {
  const at = args.indexOf("--only");
  const wanted = at < 0 ? Object.keys(STEPS) : args.slice(at + 1);
  const unknown = wanted.find((name) => !Object.hasOwn(STEPS, name));
  if (unknown) throw new Trouble(`There is no step ${unknown}. The steps are: ${Object.keys(STEPS).join(", ")}.`);
  await installSystem({ browser: true }, step);
  await installPackages();
  mkdirSync(FOLDER, { recursive: true });
  await clearLeftovers(FOLDER);
  endWhenTold();
  let passed = 0;
  let failed = 0;
  for (const group of ORDER)
    for (const result of await runGroup(group.filter((name) => wanted.includes(name)))) {
      passed += result.passed;
      failed += result.failed;
    }
  process.stdout.write(`${passed} passed, ${failed} failed\n`);
  return failed === 0 ? 0 : 1;
}
