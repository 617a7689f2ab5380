import path from "node:path";
import { setTimeout as pause } from "node:timers/promises";
import type pg from "pg";
import type { z } from "zod";
import { type Act, type Runtime, runAct } from "../../src/acts/act/act";
import { startApplication } from "../../src/acts/application/start-application";
import { submitApplication } from "../../src/acts/application/submit-application";
import { acceptEvidence } from "../../src/acts/evidence/judge-evidence";
import { startPayment } from "../../src/acts/payments/payments";
import { requestReference } from "../../src/acts/references/request-reference";
import type { Actor } from "../../src/core/rights/actor";
import { act, fillForm, supply } from "../../src/demo/applicant";
import * as documents from "../../src/demo/documents";
import { someone } from "../../src/demo/people";
import type { Profile } from "../../src/demo/profile";
import { sign } from "../../src/outside/card";
import { verifyAll } from "../../src/verify";
import { startCluster } from "../cluster.mjs";
import { launchWeb, launchWorker, untilWell } from "../processes.mjs";
import { supervise, watchCluster } from "../supervise.mjs";

/** How often each process is killed. */
const KILLS = Number(process.env.UNVEX_BENCH_KILLS ?? 20);
const SAVERS = 8;
const KINDS = ["the web server", "the worker", "the database"] as const;

export interface KillBench {
  readonly pool: pg.Pool;
  readonly runtime: Runtime;
  readonly officer: Actor;
  readonly roundId: string;
  readonly url: string;
  readonly secret: string;
  /** Makes an applicant and signs them in; the cookie is theirs. */
  readonly applicant: (who: Profile) => Promise<{ readonly actor: Actor; readonly cookie: string }>;
}

/** What was answered, and what must therefore be there. */
interface Count {
  answered: number;
  lost: string[];
}

const count = (): Count => ({ answered: 0, lost: [] });

/** A request that may find nobody: null where no answer came, or none that promises anything. */
async function ask(url: string, init: RequestInit): Promise<unknown> {
  try {
    const response = await fetch(url, { ...init, method: "POST", signal: AbortSignal.timeout(20_000) });
    return response.ok ? await response.json() : null;
  } catch {
    return null;
  }
}

interface Saved {
  readonly results: readonly { readonly state: string; readonly version: number; readonly value?: unknown }[];
}

/** Somebody who changes one answer again and again; what was called saved, or a later change of theirs, must stand there. */
export class Saver {
  readonly #sent = new Set<string>();
  #last = "";
  #seen = 1;
  #no = 0;
  constructor(
    readonly url: string,
    readonly cookie: string,
    readonly applicationId: string,
    readonly saved: Count,
  ) {}

  async once(): Promise<void> {
    this.#no += 1;
    const value = `${this.#no} Quay Street`;
    this.#sent.add(value);
    const change = { scope: "file", section: "contact", entry: "", field: "street", value, seen: this.#seen };
    const answer = (await ask(`${this.url}/api/answers`, {
      headers: { cookie: this.cookie, origin: this.url, "content-type": "application/json" },
      body: JSON.stringify({ applicationId: this.applicationId, changes: [change] }),
    })) as Saved | null; // our own address answers so
    const [result] = answer?.results ?? [];
    if (!result) return void (await pause(50));
    this.#seen = result.version;
    if (result.state !== "saved") return this.#holds(String(result.value));
    this.saved.answered += 1;
    this.#last = value;
    this.#sent.clear();
  }

  /** Compares what stands there with what was answered, and with what was sent since and may have arrived. */
  #holds(value: string): void {
    if (value !== this.#last && !this.#sent.has(value))
      this.saved.lost.push(`${this.#last} was called saved, ${value} stands`);
  }

  async check(pool: pg.Pool): Promise<void> {
    const { rows } = await pool.query<{ value: string }>(
      "select value #>> '{}' as value from answer where application_id = $1 and field = 'street'",
      [this.applicationId],
    );
    if (this.#last !== "") this.#holds(rows[0]?.value ?? "nothing");
  }
}

interface Case {
  readonly actor: Actor;
  readonly cookie: string;
  readonly applicationId: string;
  readonly referee: string;
  readonly choiceId: string;
  readonly chargeId: string;
  readonly who: Profile;
}

const NAMES = "abcdefghijklmnopqrstuvwxyz";
export const named = (n: number): string => `${NAMES[Math.floor(n / 26) % 26]}${NAMES[n % 26]}`;

/** An application ready to be paid and submitted, but for the letter, which is sent while things die. */
async function makeCase({ pool, runtime, roundId, applicant }: KillBench, n: number): Promise<Case> {
  const who = someone(`Case${named(n)}`, "Vale");
  const { actor, cookie } = await applicant(who);
  const { applicationId } = await act(runtime, startApplication, actor, { roundId });
  const { referee, degree } = await fillForm(runtime, actor, applicationId, who);
  const all = [
    ["passport", "", documents.passport],
    ["certificate", degree, documents.certificate],
    ["transcript", degree, documents.transcript],
    ["english", "", documents.englishProof],
    ["motivation", "", documents.motivation],
  ] as const;
  for (const [requirement, entry, make] of all)
    await supply(runtime, actor, applicationId, requirement, entry, `${requirement}.pdf`, await make(who, new Date()));
  const one = async (table: "choice" | "charge") =>
    (await pool.query<{ id: string }>(`select id from ${table} where application_id = $1`, [applicationId])).rows[0]
      ?.id ?? "";
  return { actor, cookie, applicationId, referee, who, choiceId: await one("choice"), chargeId: await one("charge") };
}

/** Each step that was answered, by what must stand in the database because of it, once. */
const STANDS = {
  reference: "select count(*)::int as n from reference_request where application_id = $1 and state = 'asked'",
  asked: "select count(*)::int as n from message where application_id = $1 and template = 'reference-asked'",
  uploaded: "select count(*)::int as n from upload where application_id = $1 and name = 'second.pdf'",
  paid: "select count(*)::int as n from payment p join charge c on c.id = p.charge_id where c.application_id = $1 and p.state = 'booked'",
  submitted: "select count(*)::int as n from submission where application_id = $1",
  told: "select count(*)::int as n from message where application_id = $1 and template = 'submitted'",
  judged:
    "select count(*)::int as n from evidence where application_id = $1 and requirement = 'passport' and judgement = 'accepted'",
} as const;
type Step = keyof typeof STANDS;

/** One application's way while processes die under it. @returns the steps that were answered */
async function go(bench: KillBench, file: Case): Promise<readonly Step[]> {
  const { runtime, officer, url, secret } = bench;
  const { actor, applicationId, referee, choiceId, chargeId, cookie, who } = file;
  const steps: Step[] = [];
  const done = async <S extends z.ZodType, V>(what: Act<S, V>, by: Actor, input: z.input<S>): Promise<V | null> => {
    const outcome = await runAct(runtime, what, by, input).catch(() => null);
    return outcome?.ok ? outcome.value : null;
  };
  if (await done(requestReference, actor, { applicationId, referee })) steps.push("reference", "asked");
  const form = new FormData();
  form.set("file", new Blob([new Uint8Array(await documents.motivation(who, new Date(0)))]), "second.pdf");
  const place = new URLSearchParams({ applicationId, requirement: "motivation", scope: "file", entry: "" });
  const sent = await ask(`${url}/api/uploads?${place}`, { headers: { cookie, origin: url }, body: form });
  if (sent) steps.push("uploaded");
  const payment = chargeId ? await done(startPayment, actor, { applicationId, chargeId }) : null;
  if (payment) {
    const body = JSON.stringify({ paymentId: payment.paymentId, providerKey: payment.paymentId, result: "booked" });
    const answer = { headers: { "x-signature": sign(secret, body) }, body };
    // The card service tells it twice.
    const told = await Promise.all([1, 2].map(() => ask(`${url}/api/card-answer`, answer)));
    if (told.some(Boolean)) steps.push("paid");
  }
  if (await done(submitApplication, actor, { applicationId, choiceIds: [choiceId] })) steps.push("submitted", "told");
  const judged = await done(acceptEvidence, officer, {
    applicationId,
    requirement: "passport",
    scope: "file",
    entry: "",
  });
  if (judged) steps.push("judged");
  return steps;
}

async function lostOf(
  { pool }: KillBench,
  { applicationId }: Case,
  steps: readonly Step[],
): Promise<readonly string[]> {
  const lost: string[] = [];
  for (const [step, statement] of Object.entries(STANDS)) {
    const { rows } = await pool.query<{ n: number }>(statement, [applicationId]);
    const n = rows[0]?.n ?? 0;
    if (n > 1) lost.push(`${step} ${n} times`);
    if (n === 0 && steps.includes(step as Step)) lost.push(`${step} was answered and is not there`);
  }
  return lost;
}

/** Waits until everything works again. */
async function untilBack(bench: KillBench, well: () => Promise<boolean>): Promise<void> {
  for (;;) {
    const there = await bench.pool.query("select 1").then(
      () => true,
      () => false,
    );
    if (there && (await well())) return;
    await pause(100);
  }
}

/**
 * Kills the web server, the worker and the database in turn, while people save, send, pay, submit and judge, and compares what was answered
 * with what is there afterwards.
 */
export async function benchKill(bench: KillBench): Promise<void> {
  const { pool, url } = bench;
  const folder = process.env.UNVEX_BENCH_FOLDER ?? "";
  const cluster = await startCluster(folder);
  const log = path.join(folder, "log-of-processes");
  const port = Number(new URL(url).port);
  const quiet = () => undefined;
  const rounds = KILLS * KINDS.length;
  process.stdout.write(`  making ${rounds} applications and ${SAVERS} savers\n`);
  const cases: Case[] = [];
  for (let n = 0; n < rounds; n += 1) cases.push(await makeCase(bench, n));
  const saved = count();
  const savers: Saver[] = [];
  for (let n = 0; n < SAVERS; n += 1) {
    const who = someone(`Saver${named(n)}`, "Vale");
    const { actor, cookie } = await bench.applicant(who);
    const { applicationId } = await act(bench.runtime, startApplication, actor, { roundId: bench.roundId });
    await fillForm(bench.runtime, actor, applicationId, who);
    savers.push(new Saver(url, cookie, applicationId, saved));
  }
  const supervisor = supervise(
    { web: () => launchWeb({}, port, "127.0.0.1", log), worker: () => launchWorker({}, log) },
    { say: quiet, notes: path.join(folder, "processes"), firstPause: 200, wellAfter: 1000 },
  );
  const unwatch = watchCluster(cluster, quiet, 200);
  const well = async () => {
    const web = supervisor.child("web");
    return web !== undefined && supervisor.child("worker") !== undefined && untilWell(url, web, 1);
  };
  const kills = {
    "the web server": () => supervisor.child("web")?.kill("SIGKILL"),
    "the worker": () => supervisor.child("worker")?.kill("SIGKILL"),
    "the database": () => process.kill(cluster.pid() ?? 0, "SIGKILL"),
  } as const;
  const steps = count();
  let differing = 0;
  try {
    await untilBack(bench, well);
    for (const [n, file] of cases.entries()) {
      const kind = KINDS[n % KINDS.length] ?? KINDS[0];
      let on = true;
      const saving = savers.map(async (saver) => {
        while (on) await saver.once();
      });
      const going = go(bench, file);
      await pause(Math.floor(Math.random() * 900));
      kills[kind]();
      const answered = await going;
      await untilBack(bench, well);
      on = false;
      await Promise.all(saving);
      steps.answered += answered.length;
      steps.lost.push(...(await lostOf(bench, file, answered)).map((l) => `${l} (${kind}, ${n})`));
      for (const saver of savers) await saver.check(pool);
      differing += (await verifyAll(pool)).differing.length;
    }
  } finally {
    unwatch();
    await supervisor.stop();
  }
  for (const [what, { answered, lost }] of Object.entries({ "saves answered": saved, "other acts answered": steps })) {
    const holds = lost.length === 0 && answered > rounds;
    process.stdout.write(`${holds ? "  " : "! "}${what.padEnd(46)} ${answered}, ${lost.length} lost or doubled\n`);
    for (const line of lost.slice(0, 20)) process.stdout.write(`    ${line}\n`);
  }
  process.stdout.write(
    `${differing === 0 ? "  " : "! "}${`${KILLS} kills of each process`.padEnd(46)} ${differing} rows differ when assessed again\n`,
  );
}
