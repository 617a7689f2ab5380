import { parseArgs } from "node:util";
import { startApplication } from "../src/acts/application/start-application";
import { makeAuth } from "../src/auth/better-auth";
import { database, openPool } from "../src/db/connection";
import { prepareDatabase } from "../src/db/prepare";
import { openQueue } from "../src/db/queue";
import { act, fillForm } from "../src/demo/applicant";
import { loadCatalogue } from "../src/demo/catalogue";
import { DEMO_PASSWORD, DEMO_STAFF, makeApplicant, makeStaffMember } from "../src/demo/demo";
import { someone } from "../src/demo/people";
import type { Profile } from "../src/demo/profile";
import { readSettings } from "../src/settings";
import { benchAct } from "./bench/act";
import { benchAssess } from "./bench/assess";
import { benchDocument } from "./bench/document";
import { benchBigPage, benchBigSave, makeForm, THOUSAND } from "./bench/form";
import { benchHostile } from "./bench/hostile";
import { benchKill } from "./bench/kill";
import { benchList, fill } from "./bench/list";
import { benchMailAway } from "./bench/mail-away";
import { benchPage } from "./bench/page";
import { benchPreview } from "./bench/preview";
import { benchReassess } from "./bench/reassess";
import { benchSavers } from "./bench/savers";
import { launchWeb, stopAll, untilWell } from "./processes.mjs";

/** Measures against floors in the same run, the subjects named on the command line or all. */
const SUBJECTS = [
  "assess",
  "act",
  "form",
  "document",
  "preview",
  "reassess",
  "list",
  "page",
  "kill",
  "hostile",
  "savers",
] as const;
/** So many files stand in the lists, unless `--files` says another number. */
const MANY = 100_000;
const { values, positionals: named } = parseArgs({ allowPositionals: true, options: { files: { type: "string" } } });
const files = Number(values.files ?? MANY);
const wants = (...subjects: readonly (typeof SUBJECTS)[number][]) =>
  named.length === 0 || subjects.some((s) => named.includes(s));

const settings = readSettings(process.env);
if (wants("assess")) await benchAssess();
const ownerUrl = process.env.UNVEX_OWNER_URL ?? "";
await prepareDatabase(ownerUrl, settings.databaseUrl);
// The owner alone may make the tables that copies are made by, and count the rows of all.
const pool = openPool(ownerUrl, 4);
const boss = openQueue(settings.databaseUrl);
await boss.start();
const runtime = { pool, boss, now: () => new Date() };
const auth = makeAuth(database(pool), settings);

const anchor = new Date().toISOString().slice(0, 10);
const { roundId, start } = await loadCatalogue(runtime, anchor);

async function cookieOf(email: string): Promise<string> {
  const signedIn = await auth.api.signInEmail({ body: { email, password: DEMO_PASSWORD }, asResponse: true });
  return signedIn.headers
    .getSetCookie()
    .map((c) => c.split(";")[0])
    .join("; ");
}

/** Serves the built application while something of it is measured. */
async function served(work: (url: string) => Promise<void>): Promise<void> {
  const web = launchWeb({}, Number(new URL(settings.url).port), "127.0.0.1", process.env.UNVEX_BENCH_LOG ?? null);
  try {
    if (!(await untilWell(settings.url, web))) throw new Error("the web server did not start");
    await work(settings.url);
  } finally {
    await stopAll([web]);
  }
}

if (wants("act", "form")) {
  const who = someone("Bench", "Mark");
  const applicant = await makeApplicant({ runtime, auth }, who);
  const usual = await act(runtime, startApplication, applicant, { roundId });
  await fillForm(runtime, applicant, usual.applicationId, who);
  if (wants("act")) await benchAct(pool, runtime, applicant, usual.applicationId);
  if (wants("form")) {
    const office = { runtime, anchor, start };
    const big = await makeForm(office, applicant, { code: "BIG", procedure: "preparatory", sections: THOUSAND });
    const small = await makeForm(office, applicant, { code: "SMALL", procedure: "doctoral", sections: 1 });
    await benchBigSave(runtime, applicant, big, usual);
    const cookie = await cookieOf(who.email);
    await served((url) => benchBigPage(url, cookie, big, small));
  }
}
if (wants("preview")) await benchPreview(pool, runtime, roundId);
if (wants("reassess")) await benchReassess(pool, runtime, roundId);
if (wants("document")) await benchDocument(pool);
if (wants("list", "page")) {
  const staff = DEMO_STAFF.find((s) => s.role === "officer");
  if (!staff) throw new Error("the demo has no officer");
  const officer = await makeStaffMember({ runtime, auth }, staff);
  await fill(pool, files);
  if (wants("list")) await benchList(pool, officer, files);
  if (wants("page")) {
    const cookie = await cookieOf(staff.email);
    await served((url) => benchPage(pool, url, cookie));
  }
}
if (wants("kill", "hostile", "savers")) {
  const applicant = async (who: Profile) => {
    const actor = await makeApplicant({ runtime, auth }, who);
    return { actor, cookie: await cookieOf(who.email) };
  };
  const staff = DEMO_STAFF.find((s) => s.role === "officer");
  if (!staff) throw new Error("the demo has no officer");
  const officer = await makeStaffMember({ runtime, auth }, { ...staff, email: `second.${staff.email}` });
  const { url, secret } = settings;
  const work = { pool, runtime, officer, roundId, url, secret, applicant };
  if (wants("savers")) await benchSavers(work);
  if (wants("hostile")) await benchHostile(work);
  if (wants("kill")) {
    await benchKill(work);
    await benchMailAway(work);
  }
}
await boss.stop({ graceful: false });
await pool.end();
