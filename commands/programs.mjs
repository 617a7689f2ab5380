/** The TypeScript programs that run beside the web server, each made into one file of JavaScript. */
import { spawnSync } from "node:child_process";
import { mkdirSync, renameSync } from "node:fs";
import path from "node:path";

/**
 * Makes `source` into the one file `to`, all but the packages that it uses. The file must be in the project's folder, where Node
 * finds the packages; one that is made twice at once is whole all the time.
 */
export async function makeProgram(source, to) {
  const { build } = await import("esbuild"); // a package: there only once it is installed
  mkdirSync(path.dirname(to), { recursive: true });
  const unfinished = `${to}.${process.pid}`;
  await build({
    entryPoints: [source],
    outfile: unfinished,
    bundle: true,
    packages: "external",
    platform: "node",
    format: "esm",
    target: "node20",
    jsx: "automatic",
    logLevel: "error",
  });
  renameSync(unfinished, to);
}

/** Makes the program `commands/<name>.ts`. @returns the arguments with which Node runs it */
export async function program(name, ...args) {
  const file = path.resolve(".unvex", "programs", `${name}.mjs`);
  await makeProgram(`commands/${name}.ts`, file);
  return [file, ...args];
}

/** Makes the program `commands/<name>.ts` and runs it to its end. */
export async function runProgram(name, args, options) {
  return spawnSync(process.execPath, await program(name, ...args), options);
}
