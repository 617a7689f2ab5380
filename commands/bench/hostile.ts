import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import { setTimeout } from "node:timers/promises";
import { startApplication } from "../../src/acts/application/start-application";
import { orderOwnCopy } from "../../src/acts/copies/copies";
import type { Actor } from "../../src/core/rights/actor";
import { act, fillForm } from "../../src/demo/applicant";
import { someone } from "../../src/demo/people";
import { copiesOfFile } from "../../src/views/copies/copies";
import { readView } from "../../src/views/view/view";
import * as hostile from "../../tests/support/hostile";
import { launchWeb, launchWorker, stopAll, untilWell } from "../processes.mjs";
import type { KillBench } from "./kill";
import { median, report } from "./measure";

const AT_ONCE = 20;
const PAGES = 60;
const LOOK_MS = 200;

/** The memory of a process and of all that it started, in megabytes. */
function memoryOf(pid: number): number {
  let megabytes = 0;
  const parents = new Map<number, number>();
  const own = new Map<number, number>();
  for (const name of readdirSync("/proc").filter((entry) => /^\d+$/u.test(entry)))
    try {
      const stat = readFileSync(`/proc/${name}/stat`, "utf8")
        .replace(/^.*\) /u, "")
        .split(" ");
      parents.set(Number(name), Number(stat[1]));
      own.set(Number(name), (Number(readFileSync(`/proc/${name}/statm`, "utf8").split(" ")[1]) * 4096) / 1e6);
    } catch {
      // it ended meanwhile
    }
  const isOurs = (of: number | undefined): boolean =>
    of !== undefined && of > 1 && (of === pid || isOurs(parents.get(of)));
  for (const [process, size] of own) if (isOurs(process)) megabytes += size;
  return Math.round(megabytes);
}

/** How long the pages of others take: a programme's, for a visitor. */
async function visits(url: string, pages: number): Promise<readonly number[]> {
  const times: number[] = [];
  for (let i = 0; i < pages; i += 1) {
    const began = performance.now();
    const response = await fetch(`${url}/programmes/MES`);
    await response.text();
    if (!response.ok) throw new Error(`a visitor was answered ${response.status}`);
    times.push(performance.now() - began);
  }
  return times;
}

interface Sender {
  readonly cookie: string;
  readonly actor: Actor;
  readonly applicationId: string;
  readonly number: string;
}

/** Sends a file and has the application printed with it. @returns what sending it was answered */
async function send(
  { url, runtime }: KillBench,
  sender: Sender | undefined,
  name: string,
  bytes: Uint8Array,
): Promise<number> {
  if (!sender) throw new Error("nobody sends");
  const headers = { cookie: sender.cookie, origin: url };
  const form = new FormData();
  form.set("file", new Blob([new Uint8Array(bytes)]), name);
  const place = { applicationId: sender.applicationId, requirement: "motivation", scope: "file", entry: "" };
  const sent = await fetch(`${url}/api/uploads?${new URLSearchParams(place)}`, { method: "POST", headers, body: form });
  const { number } = sender;
  const { orderId } = await act(runtime, orderOwnCopy, sender.actor, { number, documents: true, locale: "en" });
  const isMade = async () =>
    (await readView(runtime, copiesOfFile, sender.actor, { number }))?.every((c) => c.state !== "being made");
  while (!(await isMade())) await setTimeout(LOOK_MS);
  await (await fetch(`${url}/api/copies/${orderId}`, { headers })).arrayBuffer();
  return sent.status;
}

/**
 * Twenty hostile files at once, sent and printed by several people, while a visitor reads pages: they may take at most twice as long as
 * without, nothing dies, and memory comes back.
 */
export async function benchHostile(bench: KillBench): Promise<void> {
  const { pool, runtime, roundId, url, applicant } = bench;
  const log = path.join(process.env.UNVEX_BENCH_FOLDER ?? "", "log-of-processes");
  const files = [
    ["doubling.pdf", hostile.doublingPages()],
    ["circle.pdf", hostile.circularPages()],
    ["twice.pdf", hostile.deflatedTwice()],
    ["swollen.png", await hostile.swollenTexts()],
    ["points.png", hostile.manyPoints(7700)],
    ["program.pdf", hostile.programInArray()],
  ] as const;
  const senders: Sender[] = [];
  for (const name of ["Mallory", "Mallow", "Mallard", "Mallet"]) {
    const who = someone(name, "Vale");
    const { actor, cookie } = await applicant(who);
    const { applicationId, number } = await act(runtime, startApplication, actor, { roundId });
    await fillForm(runtime, actor, applicationId, who);
    senders.push({ cookie, actor, applicationId, number });
  }
  const processes = [launchWeb({}, Number(new URL(url).port), "127.0.0.1", log), launchWorker({}, log)];
  const memory = () => processes.map((p) => memoryOf(p.pid ?? 0));
  try {
    if (!(await untilWell(url, processes[0]))) throw new Error("the web server did not start");
    // As after any morning: everybody has sent a letter and printed it.
    const letter = readFileSync(path.join("tests", "fixtures", "files", "good.pdf"));
    await Promise.all(senders.map((sender) => send(bench, sender, "letter.pdf", letter)));
    await visits(url, 20);
    const [quiet, before] = [await visits(url, PAGES), memory()];
    const sending = Promise.all(
      Array.from({ length: AT_ONCE }, (_, i) => {
        const [name, bytes] = files[i % files.length] ?? files[0];
        return send(bench, senders[i % senders.length], name, bytes);
      }),
    );
    let on = true;
    const done = sending.finally(() => {
      on = false;
    });
    const during: number[] = [];
    while (on || during.length < PAGES) during.push(...(await visits(url, 5)));
    const answers = await done;
    // What was taken meanwhile is given back once nobody asks for it.
    let after = memory();
    for (let i = 0; i < 60 && (after[0] ?? 0) > (before[0] ?? 0) * 1.5; i += 1) {
      await setTimeout(1000);
      after = memory();
    }
    const alive = processes.every((p) => p.exitCode === null && p.signalCode === null);
    const [floor, busy] = [median(quiet), median(during)];
    report(
      "a page while twenty hostile files are taken in",
      `${busy.toFixed(0)} ms (without ${floor.toFixed(0)})`,
      busy / floor,
      "at most 2",
      busy <= floor * 2,
    );
    const refused = answers.filter((status) => status >= 400 && status < 500).length;
    process.stdout.write(
      `${alive ? "  " : "! "}${"processes alive, files refused".padEnd(46)} ${alive ? "all" : "not all"}, ${refused} of ${AT_ONCE} refused, ${answers.filter((s) => s >= 500).length} not looked at\n`,
    );
    const backAgain = after.every((size, i) => size <= (before[i] ?? 0) * 1.5);
    process.stdout.write(
      `${backAgain ? "  " : "! "}${"memory of web and worker, MB".padEnd(46)} ${after.join(", ")} (before ${before.join(", ")})\n`,
    );
    const { rows } = await pool.query<{ n: number }>(
      "select count(*)::int as n from upload u join application a on a.id = u.application_id where a.number = any($1)",
      [senders.map((s) => s.number)],
    );
    process.stdout.write(`  ${"files that were taken".padEnd(46)} ${rows[0]?.n ?? 0}\n`);
  } finally {
    await stopAll(processes);
  }
}
