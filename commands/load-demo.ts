import { writeFileSync } from "node:fs";
import path from "node:path";
import { Temporal } from "temporal-polyfill";
import { makeAuth } from "../src/auth/better-auth";
import type { PlainDate } from "../src/core/ids";
import { database, openPool } from "../src/db/connection";
import { prepareDatabase } from "../src/db/prepare";
import { openQueue } from "../src/db/queue";
import { DEMO_PASSWORD, DEMO_STAFF, loadDemo } from "../src/demo/demo";
import { readSettings } from "../src/settings";

/** Loads the demo into an empty database, with the clock moved through the weeks before the anchor day. */
const settings = readSettings(process.env);
const anchor = (process.env.UNVEX_ANCHOR ?? Temporal.Now.plainDateISO("Europe/Dublin").toString()) as PlainDate; // an ISO date by its making

await prepareDatabase(process.env.UNVEX_OWNER_URL ?? "", settings.databaseUrl);
const pool = openPool(settings.databaseUrl, 6);
const boss = openQueue(settings.databaseUrl);
await boss.start();
let now = new Date();
const say = (done: number, of: number, what: string) =>
  process.stdout.write(`\r  ${String(done).padStart(3)} of ${of} files  ${what.padEnd(40)}`);
const made = await loadDemo(
  {
    runtime: { pool, boss, now: () => now },
    auth: makeAuth(database(pool), settings),
    baseUrl: settings.url,
    moveTo: (at) => (now = at),
    say,
  },
  anchor,
);
process.stdout.write(`\r${" ".repeat(70)}\r`);

const applicants = [
  ["applicant, just begun", "nilufar.rahmonqulova@people.example"],
  ["applicant, offer to answer", "sakura.minamotolee@people.example"],
  ["applicant, sent back, French", "elodie.marchetti@people.example"],
] as const;
const lines = [...DEMO_STAFF.map((m) => [m.role, m.email] as const), ...applicants].map(
  ([role, email]) => `  ${role.padEnd(30)} ${email}`,
);
const folder = process.env.UNVEX_FOLDER;
if (folder)
  writeFileSync(path.join(folder, "sign-ins"), `Sign in with the password  ${DEMO_PASSWORD}\n\n${lines.join("\n")}\n`);
process.stdout.write(`  ${made.length} files are there\n`);
await boss.stop({ graceful: false });
await pool.end();
