/** Reads the command and leads it to its file. Plain JavaScript without packages: it runs before anything is installed. */
import { FULL, isFull } from "./disk.mjs";
import { Trouble } from "./trouble.mjs";

const COMMANDS = {
  demo: [
    "start with demo data: installs what is missing, then prints the address and the sign-ins (--fresh starts over)",
    () => import("./demo.mjs"),
  ],
  test: [
    "run every check (--only STEP for one of: format, types, imports, unused, unit, data, build, browser)",
    () => import("./test.mjs"),
  ],
  start: [
    "start for real use; settings come from the environment, see docs/operators.md (--web or --worker for one process)",
    () => import("./start.mjs"),
  ],
  administrator: [
    "make the first administrator: ./unvex administrator NAME E-MAIL",
    () => import("./administrator.mjs"),
  ],
  verify: ["recompute every stored assessment and report rows that differ", () => import("./verify.mjs")],
  bench: ["measure speed as ratios", () => import("./bench.mjs")],
};

const LEAST_NODE = [20, 9];

function checkNode() {
  const [major = 0, minor = 0] = process.versions.node.split(".").map(Number);
  if (major < LEAST_NODE[0] || (major === LEAST_NODE[0] && minor < LEAST_NODE[1]))
    throw new Trouble(
      `Unvex needs Node.js ${LEAST_NODE.join(".")} or newer; this is ${process.versions.node}. Install a newer one and start again.`,
    );
}

const [name = "", ...args] = process.argv.slice(2);
try {
  checkNode();
  const command = Object.hasOwn(COMMANDS, name) ? COMMANDS[name] : undefined;
  if (!command) {
    process.stdout.write(
      `Use: ./unvex COMMAND\n\n${Object.entries(COMMANDS)
        .map(([key, [what]]) => `  ${key.padEnd(14)} ${what}`)
        .join("\n")}\n`,
    );
    process.exitCode = name === "" || name === "help" || name === "--help" ? 0 : 2;
  } else process.exitCode = await (await command[1]()).run(args);
} catch (error) {
  if (!(error instanceof Trouble) && !isFull(error)) throw error;
  process.stderr.write(`${isFull(error) ? FULL : error.message}\n`);
  process.exitCode = 1;
}
