import { afterAll, beforeAll, beforeEach, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { changeRole, makeStaff } from "../../src/acts/people/accounts";
import { clearAway } from "../../src/acts/people/clear-away";
import {
  type AccountContext,
  askForLink,
  signIn,
  signOutEverywhere,
  signUp,
  signUpProblems,
  usePasswordLink,
} from "../../src/auth/accounts";
import { makeAuth } from "../../src/auth/better-auth";
import { deviceWord, knownDevice } from "../../src/auth/devices";
import { database, openPool } from "../../src/db/connection";
import { DAY, must, openWorld, SYSTEM, type World } from "../support/world";

const MINUTE = 60_000;
const PASSWORD = "seven quiet lanterns";
const headers = new Headers({ origin: "http://127.0.0.1:1" });

const SETTINGS = { url: "http://127.0.0.1:1", secret: "a secret of at least thirty-two characters" };

describe("accounts", () => {
  let world: World;
  let accounts: AccountContext;
  let no = 0;
  let email = "";

  beforeAll(async () => {
    world = await openWorld("accounts");
    accounts = {
      runtime: world.runtime,
      auth: makeAuth(database(world.runtime.pool), SETTINGS),
    };
  });
  afterAll(() => world.close());
  beforeEach(() => {
    no += 1;
    email = `person${no}@people.example`;
    world.later(DAY);
  });

  const open = () => signUp(accounts, { name: "Somebody", email, consent: true, locale: "fr" });
  const enter = (password = PASSWORD, network: string | null = null, address = email, device: string | null = null) =>
    signIn(accounts, address, password, { network, device }, headers);
  const mails = async (to = email) =>
    (
      await world.runtime.pool.query<{ template: string; locale: string; values: { link: string } }>(
        "select template, locale, values from message where to_address = $1 order by queued_at, id",
        [to],
      )
    ).rows;
  const token = async (to = email) => (await mails(to)).at(-1)?.values.link.replace("/link/", "") ?? "";
  const used = async (
    link: string,
    purpose: "confirm address" | "set password",
    chosen: { password: string; name?: string },
  ) => ((await usePasswordLink(accounts, link, purpose, chosen)) === "ended" ? "ended" : "done");
  const confirm = (link: string, name?: string) => used(link, "confirm address", { password: PASSWORD, name });
  const setPassword = (link: string, password: string) => used(link, "set password", { password });
  const confirmed = async () => {
    await open();
    expect(await confirm(await token())).toBe("done");
    world.later(MINUTE);
  };

  it("can be used once the address is confirmed, not before", async () => {
    await open();
    expect(await enter()).toBe("wrong");
    expect(await confirm(await token())).toBe("done");
    expect(await enter()).toBe("signed in");
  });

  it("are opened by who reads the mail: nobody else has a password to them, or a word in their name", async () => {
    await open();
    const { rowCount } = await world.runtime.pool.query("select 1 from auth_user where email = $1", [email]);
    expect(rowCount).toBe(0);
    expect(await confirm(await token(), "The Owner Themselves")).toBe("done");
    const { rows } = await world.runtime.pool.query("select name from person where email = $1", [email]);
    expect(rows).toEqual([{ name: "The Owner Themselves" }]);
  });

  it("that were never confirmed are asked for again with a new link, which replaces the first", async () => {
    await open();
    const first = await token();
    world.later(MINUTE);
    await open();
    expect((await mails()).map((m) => m.template)).toEqual(["confirm-address", "confirm-address"]);
    expect([await confirm(first), await confirm(await token())]).toEqual(["ended", "done"]);
  });

  it("have no more mails than anybody can want, whoever asks for them", async () => {
    for (let i = 0; i < 9; i += 1) {
      world.later(MINUTE);
      await open();
      await askForLink(accounts, email, "set password");
    }
    expect(await mails()).toHaveLength(5);
    world.later(60 * MINUTE);
    await askForLink(accounts, email, "set password");
    expect(await mails()).toHaveLength(6);
  });

  it("cause so many mails from one network as a house can want, and from others none the less", async () => {
    const ask = (n: number, network: string | null) =>
      signUp(accounts, { name: "Somebody", email: `n${n}.${email}`, consent: true, locale: "en", network });
    for (let n = 0; n < 32; n += 1) await ask(n, "192.0.2.1");
    const of = async (n: number) => (await mails(`n${n}.${email}`)).length;
    expect([await of(0), await of(29), await of(30), await of(31)]).toEqual([1, 1, 0, 0]);
    await ask(40, "192.0.2.2");
    await ask(41, null);
    expect([await of(40), await of(41)]).toEqual([1, 1]);
    world.later(15 * MINUTE);
    await ask(42, "192.0.2.1");
    expect(await of(42)).toBe(1);
  });

  it("keep the consent with its version, and write in the chosen language", async () => {
    await open();
    expect(await mails()).toMatchObject([{ template: "confirm-address", locale: "fr" }]);
    const { rows } = await world.runtime.pool.query(
      "select c.text_version from consent c join person p on p.id = c.person_id where p.email = $1",
      [email],
    );
    expect(rows).toEqual([{ text_version: "2026-09-01" }]);
  });

  it("are hashed with argon2id", async () => {
    await confirmed();
    const { rows } = await world.runtime.pool.query<{ password: string }>(
      "select a.password from auth_account a join auth_user u on u.id = a.user_id where u.email = $1",
      [email],
    );
    expect(rows[0]?.password).toMatch(/^\$argon2id\$/u);
  });

  it("do not tell whether an address is known: a second sign-up answers alike and tells the owner", async () => {
    await confirmed();
    world.later(1);
    await expect(open()).resolves.toBeUndefined();
    expect((await mails()).map((m) => m.template)).toEqual(["confirm-address", "already-has-account"]);
    await expect(askForLink(accounts, "nobody@people.example", "set password")).resolves.toBeUndefined();
    expect(await mails("nobody@people.example")).toEqual([]);
    expect(await enter(PASSWORD, null, "nobody@people.example")).toBe(await enter("a wrong password"));
  });

  it.each([
    ["just before a day", DAY - 1, "done"],
    ["after a day", DAY, "ended"],
  ])("confirming links end: %s it is %s", async (_, wait, outcome) => {
    await open();
    world.later(wait);
    expect(await confirm(await token())).toBe(outcome);
  });

  it("links work once, for their purpose only, and a newer one replaces an older", async () => {
    await open();
    const first = await token();
    world.later(MINUTE);
    await askForLink(accounts, email, "confirm address");
    const second = await token();
    expect(await setPassword(second, "another long password")).toBe("ended");
    expect([await confirm(first), await confirm(second), await confirm(second)]).toEqual(["ended", "done", "ended"]);
  });

  it.each([
    ["just before an hour", 60 * MINUTE - 1, "done"],
    ["after an hour", 60 * MINUTE, "ended"],
  ])("reset links end: %s it is %s", async (_, wait, outcome) => {
    await confirmed();
    await askForLink(accounts, email, "set password");
    world.later(wait);
    expect(await setPassword(await token(), "another long password")).toBe(outcome);
  });

  it("a new password ends every session, and the old one is refused", async () => {
    await confirmed();
    await enter();
    await askForLink(accounts, email, "set password");
    await setPassword(await token(), "another long password");
    const sessions = async () =>
      (
        await world.runtime.pool.query(
          "select 1 from auth_session s join auth_user u on u.id = s.user_id where u.email = $1",
          [email],
        )
      ).rowCount;
    expect(await sessions()).toBe(0);
    expect([await enter(), await enter("another long password")]).toEqual(["wrong", "signed in"]);
    expect(await sessions()).toBe(1);
    const { rows } = await world.runtime.pool.query<{ id: string }>("select id from auth_user where email = $1", [
      email,
    ]);
    await signOutEverywhere(accounts, rows[0]?.id ?? "");
    expect(await sessions()).toBe(0);
  });

  it("take ten wrong guesses in a quarter of an hour; then the right one is refused, too, until it has passed", async () => {
    await confirmed();
    for (let guess = 0; guess < 10; guess += 1) expect(await enter("wrong password no")).toBe("wrong");
    expect([await enter("wrong password no"), await enter()]).toEqual(["locked", "locked"]);
    world.later(15 * MINUTE);
    expect(await enter()).toBe("signed in");
  });

  it("count a guess by the account however its address is written, and do not count one that is none", async () => {
    await confirmed();
    const written = [`  ${email}`, email.toUpperCase(), `${" ".repeat(310)}${email}`, `${email}\t`];
    for (let guess = 0; guess < 10; guess += 1)
      expect(await enter("wrong password no", null, written[guess % written.length])).toBe("wrong");
    expect(await enter("wrong password no")).toBe("locked");
    expect(await enter("wrong password no", null, `${"x".repeat(400)}@people.example`)).toBe("wrong");
  });

  it("let somebody in on a device that was in before, however often a stranger guesses elsewhere", async () => {
    await confirmed();
    for (let guess = 0; guess < 11; guess += 1) await enter("wrong password no");
    expect(await enter()).toBe("locked");
    const secret = SETTINGS.secret;
    const device = knownDevice(secret, deviceWord(secret, email), email);
    expect(await enter(PASSWORD, null, email, device)).toBe("signed in");
    for (let guess = 0; guess < 10; guess += 1) await enter("wrong password no", null, email, device);
    expect(await enter(PASSWORD, null, email, device)).toBe("locked");
  });

  it("know a device by a word that is of one account, and that nobody else can write", () => {
    const word = deviceWord("secret", "a@people.example");
    expect(knownDevice("secret", word, "a@people.example")).not.toBeNull();
    for (const [secret, said, address] of [
      ["secret", word, "b@people.example"],
      ["another", word, "a@people.example"],
      ["secret", `${word.split(".")[0]}.`, "a@people.example"],
      ["secret", ".", "a@people.example"],
      ["secret", undefined, "a@people.example"],
    ] as const)
      expect(knownDevice(secret, said, address)).toBeNull();
  });

  it("count guesses from one network address over all accounts, and right ones not at all", async () => {
    await confirmed();
    const network = `198.51.100.${no}`;
    for (let guess = 0; guess < 12; guess += 1) expect(await enter(PASSWORD, network)).toBe("signed in");
    for (let guess = 0; guess < 50; guess += 1)
      expect(await enter("wrong", network, `other${guess}@people.example`)).toBe("wrong");
    expect([await enter(PASSWORD, network), await enter(PASSWORD, "203.0.113.9")]).toEqual(["locked", "signed in"]);
  });

  it("count nothing while the records are away, and do not say that a password is wrong", async () => {
    await confirmed();
    const nowhere = openPool("postgres://nobody@127.0.0.1:1/nothing", 1);
    const cut = { ...accounts, auth: makeAuth(database(nowhere), SETTINGS) };
    for (let guess = 0; guess < 10; guess += 1)
      await expect(signIn(cut, email, PASSWORD, { network: null, device: null }, headers)).rejects.toThrow();
    await nowhere.end();
    world.later(MINUTE);
    for (let guess = 0; guess < 9; guess += 1) expect(await enter("wrong password no")).toBe("wrong");
    expect(await enter()).toBe("signed in");
  });

  it("do not say so either when nothing can be reached at all", async () => {
    const nowhere = openPool("postgres://nobody@127.0.0.1:1/nothing", 1);
    const cut = { auth: makeAuth(database(nowhere), SETTINGS), runtime: { ...world.runtime, pool: nowhere } };
    await expect(signIn(cut, email, PASSWORD, { network: null, device: null }, headers)).rejects.toThrow();
    await nowhere.end();
  });

  it("forget guesses whose time is over", async () => {
    await confirmed();
    const guesses = async () => (await world.runtime.pool.query("select 1 from password_guess")).rowCount;
    await must(world, clearAway, SYSTEM, {});
    expect(await guesses()).toBe(0);
    await enter("wrong password no");
    world.later(15 * MINUTE - 1);
    await must(world, clearAway, SYSTEM, {});
    expect(await guesses()).toBe(1);
    world.later(1);
    await must(world, clearAway, SYSTEM, {});
    expect(await guesses()).toBe(0);
  });

  it("count guesses that come at the same moment", async () => {
    await confirmed();
    const outcomes = await Promise.all(Array.from({ length: 16 }, () => enter("wrong password no")));
    expect(outcomes.filter((o) => o === "wrong")).toHaveLength(10);
  });

  it.each([
    [{ email: "not an address", consent: false }, ["badEmail", "noConsent"]],
    [{ name: "  " }, ["badName"]],
    [{}, []],
  ])("with %j have the problems %j", (change, problems) => {
    expect(
      signUpProblems({
        name: "Somebody",
        email: "s@people.example",
        consent: true,
        locale: "en",
        ...change,
      }),
    ).toEqual(problems);
  });

  /** What a crash between the package's write and ours leaves behind. */
  const cutShort = async (withCredential: boolean) => {
    const { internalAdapter, password } = await accounts.auth.$context;
    const user = await internalAdapter.createUser(
      { email, name: "Somebody", emailVerified: false },
      { method: "email-password" },
    );
    if (withCredential)
      await internalAdapter.linkAccount({
        userId: user.id,
        providerId: "credential",
        accountId: user.id,
        password: await password.hash("a password that is lost"),
      });
  };

  it.each([
    ["before its password was written", false],
    ["before the person was written", true],
  ])("whose making was cut short %s are made whole by signing up again", async (_, withCredential) => {
    await cutShort(withCredential);
    await open();
    expect((await mails()).map((m) => m.template)).toEqual(["confirm-address"]);
    await confirm(await token());
    expect([await enter("a password that is lost"), await enter()]).toEqual(["wrong", "signed in"]);
  });

  it("of invited staff are not taken by signing up with their address, and survive a link that was cut short", async () => {
    await must(world, makeStaff, SYSTEM, { name: "Staff", email, role: "officer" });
    world.later(1);
    await open();
    const { rowCount } = await world.runtime.pool.query("select 1 from auth_user where email = $1", [email]);
    expect([rowCount, (await mails()).map((m) => m.template)]).toEqual([0, ["staff-invited", "already-has-account"]]);
    await cutShort(true);
    world.later(MINUTE);
    await askForLink(accounts, email, "set password");
    expect(await setPassword(await token(), "another long password")).toBe("done");
    expect(await enter("another long password")).toBe("signed in");
  });

  it("of staff are made by an administrator, and the last administrator stays", async () => {
    const { personId } = await must(world, makeStaff, SYSTEM, { name: "Staff", email, role: "administrator" });
    expect(await setPassword(await token(), "another long password")).toBe("done");
    expect(await enter("another long password")).toBe("signed in");
    expect(
      await runAct(world.runtime, changeRole, SYSTEM, { personId, role: "administrator", held: false }),
    ).toMatchObject({ ok: false, reason: "locked" });
    expect(await runAct(world.runtime, makeStaff, SYSTEM, { name: "Again", email, role: "officer" })).toMatchObject({
      reason: "already-done",
    });
  });
});
