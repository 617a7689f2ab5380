import type { ChildProcess } from "node:child_process";
import { randomBytes } from "node:crypto";
import { mkdirSync, readFileSync, rmSync } from "node:fs";
import path from "node:path";
import type { Browser } from "playwright-core";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { freePort, removeCluster, startCluster } from "../../commands/cluster.mjs";
import { launchWeb, launchWorker, noteProcesses, stopAll, untilWell } from "../../commands/processes.mjs";
import { startApplication } from "../../src/acts/application/start-application";
import { requestReference } from "../../src/acts/references/request-reference";
import { signUp, usePasswordLink } from "../../src/auth/accounts";
import { makeAuth } from "../../src/auth/better-auth";
import { database, openPool } from "../../src/db/connection";
import { prepareDatabase } from "../../src/db/prepare";
import { openQueue } from "../../src/db/queue";
import { act, fillForm } from "../../src/demo/applicant";
import { loadCatalogue } from "../../src/demo/catalogue";
import { someone } from "../../src/demo/people";
import { verifyAll } from "../../src/verify";
import { identityOf } from "../../src/views/people/identity";
import { newPerson, openBrowser, type Person, pressAndAgree, untilSaved } from "../support/browser";
import { supplyAll } from "../support/files";

/** Kills everything in the middle of the work, and looks at what is left: all that the page called saved, and nothing by halves. */
describe("kill -9 in the middle", () => {
  const folder = path.join(process.cwd(), ".unvex", `crash-${process.pid}-${randomBytes(3).toString("hex")}`);
  const secret = randomBytes(32).toString("hex");
  let cluster: Awaited<ReturnType<typeof startCluster>>;
  let port = 0;
  let url = "";
  let web: ChildProcess;
  let worker: ChildProcess;
  let browser: Browser;
  let person: Person;
  let number = "";

  const env = () => ({
    DATABASE_URL: cluster.appUrl("crash"),
    UNVEX_URL: url,
    UNVEX_SECRET: secret,
    UNVEX_DEMO: "1",
    UNVEX_LOG: "error",
    UNVEX_DIST: process.env.UNVEX_DIST ?? ".next",
    NODE_ENV: "production",
  });
  const startWeb = async () => {
    web = launchWeb(env(), port, "127.0.0.1", path.join(folder, "log"));
    noteProcesses(path.join(folder, "processes"), [web, worker].filter(Boolean));
    expect(await untilWell(url, web)).toBe(true);
  };

  beforeAll(async () => {
    mkdirSync(folder, { recursive: true });
    cluster = await startCluster(path.join(folder, "postgres"));
    cluster.createDatabase("crash");
    port = await freePort();
    url = `http://127.0.0.1:${port}`;
    await prepareDatabase(cluster.url("crash"), cluster.appUrl("crash"));
    const pool = openPool(cluster.appUrl("crash"), 3);
    const boss = openQueue(cluster.appUrl("crash"));
    await boss.start();
    const runtime = { pool, boss, now: () => new Date() };
    const { roundId } = await loadCatalogue(runtime, new Date().toISOString().slice(0, 10));
    const accounts = { runtime, auth: makeAuth(database(pool), { url, secret }) };
    await signUp(accounts, {
      name: "Kit",
      email: "kit@people.example",
      consent: true,
      locale: "en",
    });
    const { rows } = await pool.query<{ link: string }>("select values->>'link' as link from message");
    await usePasswordLink(accounts, rows[0]?.link.replace("/link/", "") ?? "", "confirm address", {
      password: "seven quiet lanterns",
    });
    const account = await pool.query<{ id: string }>("select account_id as id from person");
    const actor = (await identityOf(pool, account.rows[0]?.id ?? "", new Date()))?.actor;
    if (!actor) throw new Error("no applicant");
    const begun = await act(runtime, startApplication, actor, { roundId });
    number = begun.number;
    const who = someone("Kit", "Marram", { citizenships: ["IE"], residence: "IE" });
    const filled = await fillForm(runtime, actor, begun.applicationId, who);
    await supplyAll({ runtime }, { applicant: actor, applicationId: begun.applicationId, who, filled });
    await act(runtime, requestReference, actor, { applicationId: begun.applicationId, referee: filled.referee });
    await boss.stop({ graceful: false });
    await pool.end();
    await startWeb();
    worker = launchWorker(env(), path.join(folder, "log"));
    browser = await openBrowser();
    person = await newPerson({ browser, url });
    await person.page.goto(`${url}/sign-in`);
    await person.page.getByLabel("E-mail").fill("kit@people.example");
    await person.page.getByLabel("Password", { exact: true }).fill("seven quiet lanterns");
    await person.page.getByRole("button", { name: "Sign in" }).click();
    await person.page.waitForURL(/\/my\//); // where something waits for them
  });
  afterAll(async () => {
    await browser?.close();
    await stopAll([web, worker].filter(Boolean));
    removeCluster(path.join(folder, "postgres"));
    rmSync(folder, { recursive: true, force: true });
  });

  const town = () => person.page.getByLabel("Town");
  const type = async (text: string) => {
    await town().fill(text);
    await town().press("Tab");
  };
  const whole = async () => {
    const pool = openPool(cluster.appUrl("crash"), 2);
    const halves = await pool.query(
      `select (select count(*) from upload u where not exists (select 1 from evidence e where e.upload_id = u.id)) as loose,
         (select count(*) from content c where c.size <> (select coalesce(sum(length(k.bytes)), 0) from content_chunk k where k.sha256 = c.sha256)) as torn,
         (select count(*) from answer a where not exists (select 1 from answer_version v where v.application_id = a.application_id and v.scope = a.scope and v.section = a.section and v.entry = a.entry and v.field = a.field and v.version = a.version)) as unversioned`,
    );
    const { differing } = await verifyAll(pool);
    await pool.end();
    return { ...halves.rows[0], differing };
  };
  const nothingByHalves = { loose: "0", torn: "0", unversioned: "0", differing: [] };

  it("the web server: what was called saved is there, what was not is sent after the restart", async () => {
    await person.page.goto(`${url}/my/${number}/contact`);
    await type("Before");
    await untilSaved(person.page);
    web.kill("SIGKILL");
    await type("During");
    await person.page.getByText("Not sent yet: no connection.").waitFor();
    await startWeb();
    await untilSaved(person.page);
    await person.page.reload();
    expect(await town().inputValue()).toBe("During");
    expect(await whole()).toEqual(nothingByHalves);
  });

  it("the web server while a document is on its way: the document is there whole, or not at all", async () => {
    const bytes = readFileSync(path.join(process.cwd(), "tests/fixtures/files/good.pdf"));
    const big = Buffer.concat([bytes.subarray(0, 9), Buffer.from(`%${"x".repeat(6_000_000)}\n`), bytes.subarray(9)]);
    const pool = openPool(cluster.appUrl("crash"), 1);
    const { rows } = await pool.query<{ id: string }>("select id from application");
    await pool.end();
    for (const wait of [20, 120, 300]) {
      const sending = person.context.request
        .post(`${url}/api/uploads`, {
          headers: { origin: url },
          params: { applicationId: rows[0]?.id ?? "", requirement: "motivation", scope: "file", entry: "" },
          multipart: {
            file: { name: "letter.pdf", mimeType: "application/pdf", buffer: wait === 300 ? bytes : big },
          },
        })
        .catch(() => null);
      await new Promise((resolve) => setTimeout(resolve, wait));
      web.kill("SIGKILL");
      await sending;
      await startWeb();
      expect(await whole()).toEqual(nothingByHalves);
    }
  });

  it("PostgreSQL: nothing that was called saved is gone, and work goes on after the restart", async () => {
    await person.page.goto(`${url}/my/${number}/contact`);
    await type("Saved for good");
    await untilSaved(person.page);
    const referees = await person.context.newPage();
    await referees.goto(`${url}/my/${number}/referees`);
    await referees.getByRole("button", { name: "Withdraw the request" }).waitFor();
    const postmaster = Number(
      readFileSync(path.join(folder, "postgres", "data", "postmaster.pid"), "utf8").split("\n")[0],
    );
    process.kill(postmaster, "SIGKILL");
    const visitor = await newPerson({ browser, url });
    await visitor.page.goto("/programmes/MES");
    await visitor.page.getByRole("heading", { name: "Our records cannot be reached at the moment" }).waitFor();
    await visitor.context.close();
    await pressAndAgree(referees, "Withdraw the request");
    await referees.getByText("Our records cannot be reached at the moment. Nothing was done").waitFor();
    await referees.close();
    await type("While the database is down");
    await person.page.getByText("Not sent yet: no connection.").waitFor();
    web.kill("SIGKILL");
    worker.kill("SIGKILL");
    cluster = await startCluster(path.join(folder, "postgres"));
    await startWeb();
    worker = launchWorker(env(), path.join(folder, "log"));
    await untilSaved(person.page);
    await person.page.reload();
    expect(await town().inputValue()).toBe("While the database is down");
    expect(await whole()).toEqual(nothingByHalves);
  });

  it("the web server while an application is being submitted: it is, with all that belongs to it, or it is not", async () => {
    const { page } = person;
    const submitted = async () => {
      const pool = openPool(cluster.appUrl("crash"), 1);
      const { rows } = await pool.query<Record<string, number>>(
        `select (select count(*)::int from choice where submitted_at is not null) as choices, (select count(*)::int from submission) as records,
           (select count(*)::int from event where act = 'submit-application') as events, (select count(*)::int from message where template = 'submitted') as mails`,
      );
      await pool.end();
      const counts = Object.values(rows[0] ?? {});
      expect(counts).toEqual(counts.map(() => counts[0]));
      return counts[0] ?? 0;
    };
    for (const wait of [0, 15, 60, 400]) {
      await page.goto(`${url}/my/${number}`);
      if ((await submitted()) > 0) break;
      await page.getByRole("button", { name: "Submit", exact: true }).first().click();
      await page.getByRole("dialog").getByRole("button", { name: "Submit", exact: true }).click();
      await new Promise((resolve) => setTimeout(resolve, wait));
      web.kill("SIGKILL");
      await startWeb();
      expect(await whole()).toEqual(nothingByHalves);
    }
    await page.goto(`${url}/my/${number}`);
    if ((await submitted()) === 0) await pressAndAgree(page, "Submit");
    await page.getByText("We check your documents. You need to do nothing.").waitFor();
    expect(await submitted()).toBe(1);
  });

  it("the worker: the mail that it was to send is sent by the next one", async () => {
    worker.kill("SIGKILL");
    await person.page.goto(`${url}/lost-password`);
    await person.page.getByLabel("E-mail").fill("kit@people.example");
    await person.page.getByRole("button", { name: "Mail me a link" }).click();
    await person.page.getByText("If the address is right").waitFor();
    worker = launchWorker(env(), path.join(folder, "log"));
    await expect
      .poll(
        async () => {
          await person.page.goto(`${url}/stand-in/tray?to=kit`);
          return person.page.getByRole("heading", { name: "Set a new password" }).count();
        },
        { timeout: 30_000 },
      )
      .toBe(1);
  });
});
