import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { noteReading, noteSignIn } from "../../src/acts/people/access";
import { openAccount } from "../../src/acts/people/accounts";
import { clearAway } from "../../src/acts/people/clear-away";
import { type AccessSubject, ONE_READING_MS } from "../../src/core/record/access";
import type { Actor } from "../../src/core/rights/actor";
import { openPool } from "../../src/db/connection";
import { VIEWS } from "../../src/views";
import { access, accessTable } from "../../src/views/people/access";
import { readingsOf, readView, type View } from "../../src/views/view/view";
import { DAY, makePerson, must, openWorld, SYSTEM, VISITOR, type World } from "../support/world";

describe("the access record", () => {
  let world: World;
  let administrator: Actor;
  let officer: Extract<Actor, { kind: "person" }>;

  beforeAll(async () => {
    world = await openWorld("access");
    administrator = await makePerson(world, "Marit Castagnier", ["administrator"]);
    officer = await makePerson(world, "Rose Okonjo", ["officer"]);
  });
  afterAll(() => world.close());

  const show = async (asked: { subject?: AccessSubject; find?: string; before?: number } = {}) =>
    (await readView(world.runtime, access, administrator, asked))?.rows.map((r) => [r.name, r.kind, r.file]) ?? [];
  const read = (file: string, about = "") =>
    must(world, noteReading, officer, { readings: [{ kind: "file opened", file, about }] });

  it("has one line for what is read again within minutes", async () => {
    await read("UV-1");
    world.later(ONE_READING_MS - 1);
    await read("UV-1");
    await read("UV-2");
    expect(await show()).toEqual([
      ["Rose Okonjo", "file opened", "UV-2"],
      ["Rose Okonjo", "file opened", "UV-1"],
    ]);
    world.later(1);
    await read("UV-1");
    expect(await show()).toHaveLength(3);
  });

  it("names whose account was tried, and keeps no address that is nobody's", async () => {
    const note = (email: string) =>
      must(world, noteSignIn, SYSTEM, { email, kind: "sign-in failed", network: "192.0.2.7" });
    await note("rose.okonjo@people.example");
    await note("my secret password@typed.example");
    expect((await show({ subject: "signing in" })).map(([name]) => name)).toEqual([null, "Rose Okonjo"]);
    const { rows } = await world.runtime.pool.query("select * from access_record where kind = 'sign-in failed'");
    expect(JSON.stringify(rows)).not.toContain("secret");
  });

  it("is looked through by subject, by a part of a name, and by the number of a file", async () => {
    expect(await show({ find: "uv-2" })).toEqual([["Rose Okonjo", "file opened", "UV-2"]]);
    expect(await show({ find: "OKON", subject: "signing in" })).toEqual([["Rose Okonjo", "sign-in failed", null]]);
    expect(await show({ find: "%" })).toEqual([]);
    expect(await show({ find: "uv-2\0" })).toHaveLength(1);
    expect(await show({ subject: "rights" })).toEqual([]);
  });

  it("is paged, and whole as a table, which is a reading itself", async () => {
    for (let i = 0; i < 120; i += 1) await read(`UV-9${i}`);
    const first = await readView(world.runtime, access, administrator, { subject: "reading" });
    expect([first?.rows.length, first?.next]).toEqual([100, first?.rows.at(-1)?.id]);
    const second = await show({ subject: "reading", before: first?.next ?? 0 });
    expect(second).toHaveLength(23);
    const whole = await readView(world.runtime, accessTable, administrator, { subject: "reading" });
    expect(whole).toHaveLength(123);
    expect(readingsOf(accessTable, administrator, {}, whole)).toEqual([
      { kind: "list downloaded", file: null, about: "access record, 123" },
    ]);
  });

  it("notes nothing of applicants who read what is their own", () => {
    const applicant: Actor = { kind: "person", id: officer.id, name: "", grants: [] };
    const row = { sha256: "", name: "", mediaType: "", size: 0, file: "UV-1", requirement: "passport" };
    const input = { uploadId: officer.id };
    expect(readingsOf(VIEWS.document, applicant, input, row)).toEqual([]);
    expect(readingsOf(VIEWS.document, officer, input, row)).toEqual([
      { kind: "document opened", file: "UV-1", about: "passport" },
    ]);
    expect(readingsOf(VIEWS.document, officer, input, null)).toEqual([]);
  });

  it("knows every view that opens one file, a document or a list to the office", () => {
    const declared = Object.entries(VIEWS)
      .filter(([, view]) => (view as View<never, unknown>).readings !== undefined)
      .map(([name]) => name)
      .sort();
    expect(declared).toEqual([
      "accessTable",
      "confided",
      "document",
      "file",
      "linkCopy",
      "money",
      "peek",
      "postTable",
      "readyCopies",
      "turnContacts",
    ]);
  });

  it("is changed by nobody, and its lines go only after a year", async () => {
    const pool = openPool(world.ownerUrl, 1);
    await expect(pool.query("truncate access_record")).rejects.toThrow("append-only");
    await pool.query("insert into access_record (at, kind) values ('2020-01-01', 'signed in')");
    await expect(pool.query("delete from access_record where at > now() - interval '300 days'")).rejects.toThrow(
      "kept for a year",
    );
    await pool.end();
    expect((await must(world, clearAway, SYSTEM, {})).access).toBe(1);
  });

  it("is cleared away beside people who never confirmed their address, and nobody else", async () => {
    const open = (email: string) =>
      must(world, openAccount, SYSTEM, { name: "Nobody", email, locale: "en", consentVersion: "1" });
    const left = async () =>
      (await world.runtime.pool.query<{ email: string }>("select email from person where name = 'Nobody'")).rows.map(
        (r) => r.email,
      );
    await open("first@people.example");
    world.later(29 * DAY);
    await open("second@people.example");
    expect((await must(world, clearAway, SYSTEM, {})).people).toBe(0);
    world.later(DAY);
    expect((await must(world, clearAway, SYSTEM, {})).people).toBe(1);
    expect(await left()).toEqual(["second@people.example"]);
    await open("first@people.example");
    expect(await left()).toEqual(["second@people.example", "first@people.example"]);
    expect(await readView(world.runtime, access, VISITOR, {})).toBeNull();
  });
});
