import { readFileSync } from "node:fs";
import path from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { startApplication } from "../../src/acts/application/start-application";
import { saveAnswers } from "../../src/acts/form/save-answers";
import { claimMessage, LEASE_MS, reportMessage } from "../../src/acts/mail/messages";
import type { Actor } from "../../src/core/rights/actor";
import { requireAdmitted } from "../../src/db/admitted";
import { inTransaction, openPool } from "../../src/db/connection";
import { CHUNK_BYTES, readContent, storeContent } from "../../src/db/content";
import { prepareDatabase } from "../../src/db/prepare";
import { enqueue, openQueue } from "../../src/db/queue";
import { person } from "../../src/db/schema";
import { fillForm } from "../../src/demo/applicant";
import { loadCatalogue } from "../../src/demo/catalogue";
import { someone } from "../../src/demo/people";
import { IN_PLACE } from "../../src/formats/workshop/in-place";
import { runJob } from "../../src/jobs/handlers";
import { type OutgoingMail, trayMail } from "../../src/outside/mail";
import { verifyAll } from "../../src/verify";
import { DAY, makePerson, must, NO_REGISTRY, openWorld, SYSTEM, type World } from "../support/world";

describe("the database guards itself", () => {
  let world: World;
  let owner: Actor;
  let applicationId = "";
  beforeAll(async () => {
    world = await openWorld("guards");
    const { roundId } = await loadCatalogue(world.runtime, "2026-11-25");
    owner = await makePerson(world, "Owner");
    ({ applicationId } = await must(world, startApplication, owner, { roundId }));
  });
  afterAll(() => world.close());
  const query = (sql: string, values: unknown[] = []) => world.runtime.pool.query(sql, values);

  /** Refused by a guard, and before it by the rights of the application's user. */
  const [GUARDED, NO_RIGHT] = ["23001", "42501"];
  it.each([
    ["update event set act = 'x'", NO_RIGHT],
    ["delete from event", NO_RIGHT],
    ["truncate event cascade", NO_RIGHT],
    ["update office_reference set version = 9", NO_RIGHT],
    ["update rulebook set body = '{}'", GUARDED],
    ["update access_record set kind = 'signed in'", NO_RIGHT],
  ])("%s is refused, also to the owner", async (sql, code) => {
    await expect(query(sql)).rejects.toMatchObject({ code });
    const asOwner = openPool(world.ownerUrl, 1);
    await expect(asOwner.query(sql)).rejects.toMatchObject({ code: GUARDED });
    await asOwner.end();
  });

  it.each([
    "alter table event disable trigger all",
    "drop trigger event_is_append_only on event",
    "create or replace function refuse_change() returns trigger language plpgsql as 'begin return new; end'",
    "drop table message",
    "set session_replication_role = replica",
    "create table public.mine (a int)",
    "grant update on event to current_user",
  ])("the application's user cannot %s", async (sql) => {
    const { pool } = world.runtime;
    if (sql.startsWith("grant")) {
      // A warning is all that the server says; nothing was granted.
      await pool.query(sql);
      await expect(query("update event set act = 'x'")).rejects.toMatchObject({ code: NO_RIGHT });
    } else await expect(pool.query(sql)).rejects.toMatchObject({ code: NO_RIGHT });
  });

  it("the queue notes when its schedules ran, and its version stays the owner's", async () => {
    const set = (what: string) => world.runtime.pool.query(`update pgboss.version set ${what}`);
    for (const when of ["cron_on", "maintained_on", "monitored_on"])
      expect((await set(`${when} = now()`)).rowCount).toBe(1);
    await expect(set("version = version + 1")).rejects.toMatchObject({ code: "42501" });
  });

  it("fires what is scheduled, as the user that the application works as", async () => {
    const soon = { cronMonitorIntervalSeconds: 1, cronWorkerIntervalSeconds: 1 };
    const boss = openQueue(world.url, { schedule: true, supervise: true, ...soon });
    const heard: string[] = [];
    boss.on("error", (error) => heard.push(error.message));
    await boss.start();
    await boss.schedule("sweep-messages", "* * * * *");
    const fired = () =>
      world.runtime.pool.query<{ n: number }>(
        "select count(*)::int as n from pgboss.job where name in ('sweep-messages', '__pgboss__send-it')",
      );
    const before = (await fired()).rows[0]?.n ?? 0;
    await expect
      .poll(async () => ((await fired()).rows[0]?.n ?? 0) > before, { timeout: 150_000, interval: 1000 })
      .toBe(true);
    expect(heard).toEqual([]);
    await boss.unschedule("sweep-messages");
    await boss.stop({ graceful: false });
  }, 180_000);

  it("the application does not start as the owner of its tables, nor where there are none", async () => {
    const [owner, app] = [openPool(world.ownerUrl, 1), openPool(world.url, 1)];
    await expect(requireAdmitted(owner)).rejects.toThrow("could switch their guards off");
    await requireAdmitted(app);
    await expect(prepareDatabase(world.ownerUrl, world.ownerUrl)).rejects.toThrow("owns nothing");
    const elsewhere = openPool(world.ownerUrl.replace(/[^/]+$/u, "postgres"), 1);
    await expect(requireAdmitted(elsewhere)).rejects.toThrow("The database is empty");
    await Promise.all([owner, app, elsewhere].map((pool) => pool.end()));
  });

  it("a decision cannot be released by the person who prepared it, even past the act", async () => {
    const { rows } = await query(
      "select (select id from choice limit 1) as choice, (select id from person limit 1) as person",
    );
    await expect(
      query(
        "insert into decision (choice_id, kind, conditions, prepared_by_id, prepared_at, released_by_id) values ($1, 'offer', '[]', $2, now(), $2)",
        [rows[0].choice, rows[0].person],
      ),
    ).rejects.toMatchObject({ constraint: "decision_second_person" });
  });

  it("a job exists if, and only if, its transaction commits", async () => {
    const count = async () =>
      (await query("select count(*)::int as n from pgboss.job where name = 'reassess-aged'")).rows[0].n as number;
    const before = await count();
    await inTransaction(world.runtime.pool, ({ client }) => enqueue(world.runtime.boss, client, "reassess-aged", {}));
    await inTransaction(world.runtime.pool, async ({ client }) => {
      await enqueue(world.runtime.boss, client, "reassess-aged", {});
      throw new Error("changed my mind");
    }).catch(() => undefined);
    expect(await count()).toBe(before + 1);
  });

  it("a document comes back byte for byte, and the same content is kept once", async () => {
    const bytes = Buffer.alloc(CHUNK_BYTES * 2 + 17, 7);
    bytes.write("the end", bytes.length - 7);
    const hash = await inTransaction(world.runtime.pool, ({ client }) =>
      storeContent(client, bytes, "application/pdf"),
    );
    expect(
      await inTransaction(world.runtime.pool, ({ client }) => storeContent(client, bytes, "application/pdf")),
    ).toBe(hash);
    const chunks: Buffer[] = [];
    for await (const chunk of readContent(world.runtime.pool, hash)) chunks.push(chunk);
    expect(Buffer.concat(chunks).equals(bytes)).toBe(true);
    expect((await query("select count(*)::int as n from content_chunk where sha256 = $1", [hash])).rows[0].n).toBe(3);
  });

  it("answers that no longer apply are kept aside, not lost, and come back", async () => {
    await fillForm(world.runtime, owner, applicationId, someone("Ada", "Lind"));
    const tests = async () =>
      (
        await query(
          "select count(*) filter (where dormant)::int as asleep, count(*)::int as kept from answer where section = 'tests'",
        )
      ).rows[0] as { asleep: number; kept: number };
    const before = await tests();
    const way = async (value: string, seen: number) =>
      must(world, saveAnswers, owner, {
        applicationId,
        changes: [{ scope: "file", section: "english", entry: "", field: "way", value, seen }],
      });
    await way("taught", 1);
    expect(await tests()).toEqual({ asleep: before.kept, kept: before.kept });
    await way("test", 2);
    expect(await tests()).toEqual({ asleep: 0, kept: before.kept });
  });

  it("every version of an answer stays, and a removed entry leaves its history", async () => {
    const { rows } = await query("select entry from answer where section = 'referees' and entry <> '' limit 1");
    await must(world, saveAnswers, owner, {
      applicationId,
      removed: [{ scope: "file", section: "referees", entry: rows[0].entry }],
    });
    const history = await query(
      "select version, value from answer_version where section = 'referees' and entry = $1 and field = 'name' order by version",
      [rows[0].entry],
    );
    expect(history.rows).toEqual([
      { version: 1, value: "Dr Orla Finnegan" },
      { version: 2, value: null },
    ]);
  });

  it("time that passes changes what it has to, by the job and in the list, and verify agrees", async () => {
    world.later(60 * DAY);
    const jobs = {
      runtime: world.runtime,
      mail: trayMail(async () => undefined),
      registry: NO_REGISTRY,
      workshop: IN_PLACE,
      baseUrl: "http://127.0.0.1:1",
    };
    await runJob(jobs, "reassess-aged", {});
    expect((await query("select stage, turn, reason from file_standing")).rows).toEqual([
      { stage: "closed", turn: "nobody", reason: "lapsed" },
    ]);
    expect((await query("select act from event order by id desc limit 1")).rows).toEqual([{ act: "time-passed" }]);
    expect((await verifyAll(world.runtime.pool)).differing).toEqual([]);
  });

  it("verify finds a row that was tampered with", async () => {
    await query("update file_standing set turn = 'office'");
    expect((await verifyAll(world.runtime.pool)).differing).toMatchObject([
      { field: "turn", stored: "office", computed: "nobody" },
    ]);
    await query("update file_standing set turn = 'nobody'");
  });

  it("a mail is sent once, by whoever claims it; a failure is tried again, a refused address is not", async () => {
    const { rows } = await query(
      "insert into message (to_address, template, locale, values, state, due_at, queued_at) select 'a@b.example', 'withdrawn', 'en', '{\"number\":\"1\",\"link\":\"/secret\"}', 'queued', $1, $1 from generate_series(1, 3) returning id",
      [world.runtime.now()],
    );
    const ids = rows.map((r: { id: string }) => r.id);
    const sent: OutgoingMail[] = [];
    const good = {
      runtime: world.runtime,
      registry: NO_REGISTRY,
      workshop: IN_PLACE,
      baseUrl: "http://127.0.0.1:1",
      mail: {
        send: async (mail: OutgoingMail) => {
          sent.push(mail);
          return { result: "sent" as const };
        },
      },
    };
    await Promise.all([1, 2, 3, 4].map(() => runJob(good, "send-message", { messageId: ids[0] })));
    expect(sent).toHaveLength(1);
    await runJob(
      { ...good, mail: { send: async () => ({ result: "failed" as const, failure: "busy" }) } },
      "send-message",
      { messageId: ids[1] },
    );
    await runJob(
      { ...good, mail: { send: async () => ({ result: "refused" as const, failure: "no such mailbox" }) } },
      "send-message",
      { messageId: ids[2] },
    );
    const states = (await query("select id, state, values from message where id = any($1)", [ids])).rows as {
      id: string;
      state: string;
      values: object;
    }[];
    expect(ids.map((id: string) => states.find((s) => s.id === id)?.state)).toEqual(["sent", "queued", "failed"]);
    expect(states.find((s) => s.id === ids[0])?.values).toEqual({ number: "1" });
  });

  it("a mail whose sender was killed is sent by the sweep", async () => {
    const { rows } = await query(
      "insert into message (to_address, template, locale, values, state, due_at, queued_at) values ('c@d.example', 'withdrawn', 'en', '{\"number\":\"1\"}', 'queued', $1, $1) returning id",
      [world.runtime.now()],
    );
    await must(world, claimMessage, SYSTEM, { messageId: rows[0].id });
    world.later(LEASE_MS);
    const sent: string[] = [];
    await runJob(
      {
        runtime: world.runtime,
        registry: NO_REGISTRY,
        workshop: IN_PLACE,
        baseUrl: "",
        mail: {
          send: async (mail) => {
            sent.push(mail.to);
            return { result: "sent" };
          },
        },
      },
      "sweep-messages",
      {},
    );
    expect(sent).toContain("c@d.example");
    expect(
      await must(world, reportMessage, SYSTEM, { messageId: rows[0].id, attempt: 1, result: "failed" }),
    ).toBeNull();
  });

  it("a failed statement says its code and constraint, never the values", async () => {
    const failing = inTransaction(world.runtime.pool, async ({ db }) => {
      await db
        .insert(person)
        .values({ name: "Secret Name", email: "secret@people.example", createdAt: world.runtime.now() });
      await db
        .insert(person)
        .values({ name: "Secret Name", email: "secret@people.example", createdAt: world.runtime.now() });
    });
    const error = await failing.catch((e: unknown) => e);
    expect(error).toMatchObject({ code: "23505", constraint: "person_email_unique" });
    expect(`${String(error)} ${JSON.stringify(error)}`).not.toMatch(/secret/iu);
  });

  it("logs and errors of the settings name the setting and say what to do", async () => {
    const { readSettings } = await import("../../src/settings");
    expect(() => readSettings({ UNVEX_URL: "nonsense", UNVEX_SECRET: "short" })).toThrow(
      /DATABASE_URL must be[\s\S]*UNVEX_URL must be[\s\S]*UNVEX_SECRET must be/u,
    );
  });

  it("a card is taken for good, and a second factor may be left out, in the demo or where the operator says so", async () => {
    const { readSettings } = await import("../../src/settings");
    const own = { DATABASE_URL: "postgres://u@h:1/d", UNVEX_URL: "https://u.example", UNVEX_SECRET: "s".repeat(40) };
    const told = (more: Readonly<Record<string, string>>) => {
      const { card, secondFactor } = readSettings({ ...own, ...more });
      return [card, secondFactor];
    };
    expect(told({})).toEqual(["none", "required"]);
    expect(told({ UNVEX_DEMO: "1" })).toEqual(["stand-in", "offered"]);
    expect(told({ UNVEX_CARD: "stand-in", UNVEX_SECOND_FACTOR: "offered" })).toEqual(["stand-in", "offered"]);
  });

  it("ships no download address in the lock file", () => {
    expect(readFileSync(path.join(process.cwd(), "package-lock.json"), "utf8")).not.toMatch(/"resolved": "https?:/u);
  });
});
