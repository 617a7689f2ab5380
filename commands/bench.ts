import { startApplication } from "../src/acts/start-application";
import { makeAuth } from "../src/auth/better-auth";
import type { Actor } from "../src/core/rights/actor";
import { database, openPool } from "../src/db/connection";
import { migrateDatabase } from "../src/db/migrate";
import { openQueue, startQueue } from "../src/db/queue";
import { act, fillForm } from "../src/demo/applicant";
import { loadCatalogue } from "../src/demo/catalogue";
import { DEMO_PASSWORD, DEMO_STAFF, makeStaffMember } from "../src/demo/demo";
import { someone } from "../src/demo/people";
import { readSettings } from "../src/settings";
import { benchAct } from "./bench/act";
import { benchAssess } from "./bench/assess";
import { benchDocument } from "./bench/document";
import { benchList, fill } from "./bench/list";
import { benchPage } from "./bench/page";
import { launchWeb, stopAll, untilWell } from "./processes.mjs";

/** Measures against floors in the same run, the subjects named on the command line or all. */
const SUBJECTS = ["assess", "act", "document", "list", "page"] as const;
const named = process.argv.slice(2);
const wants = (...subjects: readonly (typeof SUBJECTS)[number][]) =>
  named.length === 0 || subjects.some((s) => named.includes(s));

const settings = readSettings(process.env);
if (wants("assess")) await benchAssess();
await migrateDatabase(settings.databaseUrl);
const pool = openPool(settings.databaseUrl, 4);
const boss = openQueue(settings.databaseUrl);
await startQueue(boss);
const runtime = { pool, boss, now: () => new Date() };
const auth = makeAuth(database(pool), settings);

const { roundId } = await loadCatalogue(runtime, new Date().toISOString().slice(0, 10));
if (wants("act")) {
  const { rows } = await pool.query<{ id: string }>(
    "insert into person (name, email, created_at) values ('Bench', 'bench@people.example', now()) returning id",
  );
  const applicant: Actor = { kind: "person", id: rows[0]?.id ?? "", name: "Bench", grants: [] };
  const { applicationId } = await act(runtime, startApplication, applicant, { roundId });
  await fillForm(runtime, applicant, applicationId, someone("Bench", "Mark"));
  await benchAct(pool, runtime, applicant, applicationId);
}
if (wants("document")) await benchDocument(pool);
if (wants("list", "page")) {
  const staff = DEMO_STAFF.find((s) => s.role === "officer");
  if (!staff) throw new Error("the demo has no officer");
  const officer = await makeStaffMember({ runtime, auth }, staff);
  await fill(pool);
  if (wants("list")) await benchList(pool, officer);
  if (wants("page")) {
    const port = Number(new URL(settings.url).port);
    const web = launchWeb({}, port, "127.0.0.1", process.env.UNVEX_BENCH_LOG ?? null);
    try {
      if (!(await untilWell(settings.url, web))) throw new Error("the web server did not start");
      const signedIn = await auth.api.signInEmail({
        body: { email: staff.email, password: DEMO_PASSWORD },
        asResponse: true,
      });
      const cookie = signedIn.headers
        .getSetCookie()
        .map((c) => c.split(";")[0])
        .join("; ");
      await benchPage(pool, settings.url, cookie);
    } finally {
      await stopAll([web]);
    }
  }
}
await boss.stop({ graceful: false });
await pool.end();
