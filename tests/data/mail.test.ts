import { afterAll, beforeAll, beforeEach, describe, expect, it } from "vitest";
import {
  claimMessage,
  LEASE_MS,
  releaseStuckMessages,
  reportMessage,
  tryMailAgain,
} from "../../src/acts/mail/messages";
import { openPool } from "../../src/db/connection";
import { IN_PLACE } from "../../src/formats/workshop/in-place";
import { type JobContext, runJob } from "../../src/jobs/handlers";
import { type MailService, smtpMail } from "../../src/outside/mail";
import { waitingMail } from "../../src/views/mail/waiting-mail";
import { readView } from "../../src/views/view/view";
import { type SlowSmtp, slowSmtp } from "../support/slow-smtp";
import { makePerson, must, NO_REGISTRY, openWorld, SYSTEM, type World } from "../support/world";

/** A mail is sent by one sender at a time, however late it is and however slow the server that takes it. */
describe("mail", () => {
  let world: World;
  let smtp: SlowSmtp;
  const secondPool: ReturnType<typeof openPool>[] = [];

  beforeAll(async () => {
    world = await openWorld("mail");
    smtp = await slowSmtp();
  });
  afterAll(async () => {
    await smtp.close();
    await Promise.all(secondPool.map((pool) => pool.end()));
    await world.close();
  });
  beforeEach(() => world.runtime.pool.query("delete from message"));

  /** A worker process of its own: with its own connections, on the same database and clock. */
  function worker(mail: MailService): JobContext {
    const pool = openPool(world.url, 2);
    secondPool.push(pool);
    return {
      runtime: { ...world.runtime, pool },
      registry: NO_REGISTRY,
      workshop: IN_PLACE,
      baseUrl: "http://unvex.example",
      mail,
    };
  }
  const real = () => worker(smtpMail(smtp.url, "office@merrow.example"));

  /** A mail that should have gone an hour ago. */
  async function overdue(): Promise<string> {
    const due = new Date(world.runtime.now().getTime() - 3_600_000);
    const { rows } = await world.runtime.pool.query<{ id: string }>(
      `insert into message (to_address, template, locale, values, state, due_at, queued_at)
       values ('c@people.example', 'withdrawn', 'en', '{"number":"1"}', 'queued', $1, $1) returning id`,
      [due],
    );
    return rows[0]?.id ?? "";
  }
  const state = async (id: string) =>
    (await world.runtime.pool.query<{ state: string }>("select state from message where id = $1", [id])).rows[0]?.state;

  it("that is long overdue goes out once while a slow server takes it and another worker sweeps", async () => {
    const id = await overdue();
    const first = runJob(real(), "send-message", { messageId: id });
    await smtp.waiting();
    const other = real();
    await runJob(other, "sweep-messages", {});
    await runJob(other, "send-message", { messageId: id });
    expect(smtp.taken).toHaveLength(1);
    expect(await state(id)).toBe("sending");
    smtp.answer();
    await first;
    await runJob(other, "sweep-messages", {});
    expect([smtp.taken.length, await state(id)]).toEqual([1, "sent"]);
    expect(smtp.taken[0]).toMatch(new RegExp(`Message-ID: <${id}@unvex>`, "iu"));
  });

  it("belongs to its sender for the whole lease, counted from when it was claimed", async () => {
    const id = await overdue();
    await must(world, claimMessage, SYSTEM, { messageId: id });
    world.later(LEASE_MS - 1);
    expect(await must(world, releaseStuckMessages, SYSTEM, {})).toEqual({ count: 0 });
    world.later(1);
    expect(await must(world, releaseStuckMessages, SYSTEM, {})).toEqual({ count: 1 });
    expect(await state(id)).toBe("queued");
  });

  it("that a sender who was given up has sent after all is not sent again", async () => {
    const id = await overdue();
    await must(world, claimMessage, SYSTEM, { messageId: id });
    world.later(LEASE_MS);
    await must(world, releaseStuckMessages, SYSTEM, {});
    await must(world, reportMessage, SYSTEM, { messageId: id, attempt: 1, result: "sent" });
    expect(await state(id)).toBe("sent");
  });

  it("is not given up for what an earlier sender reports of it", async () => {
    const id = await overdue();
    await must(world, claimMessage, SYSTEM, { messageId: id });
    world.later(LEASE_MS);
    await must(world, releaseStuckMessages, SYSTEM, {});
    await must(world, claimMessage, SYSTEM, { messageId: id });
    await must(world, reportMessage, SYSTEM, { messageId: id, attempt: 1, result: "refused" });
    expect(await state(id)).toBe("sending");
    await must(world, reportMessage, SYSTEM, { messageId: id, attempt: 2, result: "failed" });
    expect(await state(id)).toBe("queued");
  });

  /** A worker whose mail server is away, or back. */
  const server = { away: true, sent: 0 };
  const unsteady = () =>
    worker({
      send: async () => {
        if (server.away) return { result: "failed", failure: "SMTP connection" };
        server.sent += 1;
        return { result: "sent" };
      },
    });
  const MINUTE = 60_000;
  /** Sweeps minute by minute, as the worker does. */
  const pass = async (jobs: JobContext, minutes: number) => {
    for (let minute = 0; minute < minutes; minute += 5) {
      world.later(5 * MINUTE);
      await runJob(jobs, "sweep-messages", {});
    }
  };

  it("goes out once the server is back, which was away for a day", async () => {
    server.away = true;
    server.sent = 0;
    const jobs = unsteady();
    const id = await overdue();
    await pass(jobs, 24 * 60);
    expect(await state(id)).toBe("queued");
    server.away = false;
    await pass(jobs, 65);
    expect([await state(id), server.sent]).toEqual(["sent", 1]);
  });

  it("is given up after three days, which says nothing of the address, and is tried again when somebody says so", async () => {
    server.away = true;
    server.sent = 0;
    const jobs = unsteady();
    const id = await overdue();
    await pass(jobs, 73 * 60);
    expect(await state(id)).toBe("failed");
    const administrator = await makePerson(world, "Administrator", ["administrator"]);
    const seen = async () => readView(world.runtime, waitingMail, administrator, {});
    expect(await seen()).toMatchObject([
      { id, to: "c@people.example", failure: "SMTP connection", nextAt: null, refused: false },
    ]);
    server.away = false;
    expect(await must(world, tryMailAgain, administrator, { messageId: null })).toEqual({ count: 1 });
    await runJob(jobs, "sweep-messages", {});
    expect([await state(id), server.sent, await seen()]).toEqual(["sent", 1, []]);
  });

  it("waits with the others while nothing goes out: a sweep does not knock at the server for each of them", async () => {
    server.away = true;
    let knocks = 0;
    const jobs = worker({
      send: async () => {
        knocks += 1;
        return { result: "failed", failure: "SMTP connection" };
      },
    });
    for (let i = 0; i < 10; i += 1) await overdue();
    await runJob(jobs, "sweep-messages", {});
    expect(knocks).toBe(3);
  });
});
