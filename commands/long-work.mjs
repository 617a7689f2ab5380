/** Runs a program that takes a while, and shows that it goes on: the seconds so far and the last line that it wrote. */
import { spawn } from "node:child_process";

const WIDTH = 60;
/** Where nobody watches, a line now and then is enough. */
const QUIET_MS = 20_000;
const LOUD_MS = 500;

/**
 * @returns its exit code, and everything that it wrote; 127 when it could not be started
 */
export function longWork(title, program, args, env = process.env) {
  const watched = process.stdout.isTTY === true;
  const began = Date.now();
  let output = "";
  process.stdout.write(watched ? `· ${title}` : `· ${title}\n`);
  const show = () => {
    const seconds = Math.round((Date.now() - began) / 1000);
    const last =
      output
        .trimEnd()
        .split(/[\r\n]+/u)
        .findLast((line) => !line.startsWith("npm warn"))
        ?.trim()
        .slice(0, WIDTH) ?? "";
    process.stdout.write(watched ? `\r\u001b[K· ${title}  ${seconds} s  ${last}` : `  ${seconds} s  ${last}\n`);
  };
  const ticker = setInterval(show, watched ? LOUD_MS : QUIET_MS);
  return new Promise((resolve) => {
    const child = spawn(program, args, { env, stdio: ["ignore", "pipe", "pipe"] });
    const end = (status) => {
      clearInterval(ticker);
      if (watched) process.stdout.write(`\r\u001b[K· ${title}  ${Math.round((Date.now() - began) / 1000)} s\n`);
      resolve({ status, output });
    };
    for (const stream of [child.stdout, child.stderr]) stream.on("data", (data) => (output += data));
    child.once("error", (error) => {
      output += `${error.message}\n`;
      end(127);
    });
    child.once("close", (code) => end(code ?? 1));
  });
}

/** The last lines of what a program wrote, for a sentence about its failure. */
export const lastLines = (output, count) => output.trim().split("\n").slice(-count).join("\n");
