import { afterAll, beforeAll, beforeEach, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { changeRole } from "../../src/acts/people/accounts";
import { letBackIn } from "../../src/acts/people/second-factor";
import { type AccountContext, signIn, usePasswordLink } from "../../src/auth/accounts";
import {
  answerCode,
  beginFactor,
  confirmFactor,
  recoveryCodesLeft,
  removeFactor,
  renewRecoveryCodes,
} from "../../src/auth/second-factor";
import type { Actor } from "../../src/core/rights/actor";
import { staff } from "../../src/views/people/staff";
import { readView } from "../../src/views/view/view";
import { codeFor, codeOf } from "../support/codes";
import { accountsAt, invitedOfficer, mailedToken } from "../support/staff";
import { makePerson, must, openWorld, reasonOf, type World } from "../support/world";

const PASSWORD = "seven quiet lanterns";
const URL = "http://127.0.0.1:1";

describe("the second factor", () => {
  let world: World;
  let accounts: AccountContext;
  let administrator: Actor;
  let no = 0;
  let email = "";
  let personId = "";

  beforeAll(async () => {
    world = await openWorld("second_factor");
    accounts = accountsAt(world, URL);
    administrator = await makePerson(world, "Administrator", ["administrator"]);
  });
  afterAll(() => world.close());
  beforeEach(async () => {
    no += 1;
    ({ email, personId } = await invitedOfficer(world, accounts, `officer${no}@office.example`, PASSWORD));
  });

  const setPassword = async (password: string) =>
    usePasswordLink(accounts, await mailedToken(world, email), "set password", { password });
  const lines = async () =>
    (
      await world.runtime.pool.query<{ kind: string }>(
        "select kind from access_record where person_id = $1 order by id",
        [personId],
      )
    ).rows.map((r) => r.kind);

  /** The cookies of a browser after an answer. */
  const withCookies = (answer: Headers): Headers => {
    const kept = answer
      .getSetCookie()
      .map((cookie) => cookie.split(";", 1)[0] ?? "")
      .filter((cookie) => !cookie.endsWith("="));
    return new Headers({ origin: URL, cookie: kept.join("; ") });
  };
  const typePassword = async (password = PASSWORD): Promise<Headers> =>
    withCookies(
      (
        await accounts.auth.api.signInEmail({
          body: { email, password },
          headers: new Headers({ origin: URL }),
          returnHeaders: true,
        })
      ).headers,
    );
  const owner = (headers: Headers) => ({ email, headers, network: "10.0.0.7", device: null });
  const sessions = async () =>
    (
      await world.runtime.pool.query(
        "select 1 from auth_session s join person p on p.account_id = s.user_id where p.id = $1",
        [personId],
      )
    ).rowCount;

  /** Sets a factor up and comes back with what the device and its owner keep. */
  const setUp = async () => {
    const headers = await typePassword();
    const made = await beginFactor(accounts, owner(headers), PASSWORD);
    if (typeof made === "string") throw new Error(made);
    expect(await confirmFactor(accounts, owner(headers), codeFor(made.address))).toBe("on");
    return made;
  };
  const answer = async (kind: "device" | "recovery", code: string, headers: Headers) =>
    (await answerCode(accounts, kind, code, { headers, network: null })).answer;

  it("is a code by time as the standard has it", () => {
    const secret = "GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ"; // RFC 6238, appendix B
    expect([59, 1_111_111_109, 20_000_000_000].map((s) => codeOf(secret, s * 1000))).toEqual([
      "287082",
      "081804",
      "353130",
    ]);
  });

  it("is set up with the password and a first code, and ends what was signed in without it", async () => {
    await typePassword();
    const headers = await typePassword();
    expect(await beginFactor(accounts, owner(headers), "not the password")).toBe("wrong");
    const made = await beginFactor(accounts, owner(headers), PASSWORD);
    if (typeof made === "string") throw new Error(made);
    expect(made.recoveryCodes).toHaveLength(10);
    expect(await signIn(accounts, email, PASSWORD, { network: null, device: null }, headers)).toBe("signed in");
    expect(await confirmFactor(accounts, owner(headers), "000000")).toBe("wrong");
    expect(await confirmFactor(accounts, owner(headers), codeFor(made.address))).toBe("on");
    expect(await sessions()).toBe(1);
    expect(await lines()).toEqual(["signed in", "second factor set"]);
  });

  it("is asked for after the password: without it nobody is in", async () => {
    const { address } = await setUp();
    const before = await sessions();
    const headers = new Headers({ origin: URL });
    expect(await signIn(accounts, email, PASSWORD, { network: null, device: null }, headers)).toBe("code");
    const pending = await typePassword();
    expect(await accounts.auth.api.getSession({ headers: pending })).toBeNull();
    expect(await sessions()).toBe(before);
    expect(await answer("device", "000000", pending)).toBe("wrong");
    expect(await answer("device", codeFor(address, 1), pending)).toBe("signed in");
    expect(await sessions()).toBe((before ?? 0) + 1);
    expect((await lines()).slice(-2)).toEqual(["code failed", "signed in"]);
  });

  it("takes a code once, whoever saw it typed", async () => {
    const { address } = await setUp();
    const [first, second] = [await typePassword(), await typePassword()];
    const before = (await sessions()) ?? 0;
    const code = codeFor(address, 1);
    expect([await answer("device", code, first), await answer("device", code, second)]).toEqual(["signed in", "over"]);
    expect(await sessions()).toBe(before + 1);
  });

  it("gives five tries a password, and ten an hour", async () => {
    const { address } = await setUp();
    const tries = async () => {
      const pending = await typePassword();
      const answers = [];
      for (let i = 0; i < 6; i += 1) answers.push(await answer("device", "000000", pending));
      return answers;
    };
    expect(await tries()).toEqual([...Array<string>(5).fill("wrong"), "over"]);
    expect((await tries()).slice(0, 5)).toEqual(Array<string>(5).fill("wrong"));
    expect(await answer("device", codeFor(address, 1), await typePassword())).toBe("locked");
  });

  it("has recovery codes that work once each, and new ones end them", async () => {
    const { recoveryCodes } = await setUp();
    const [first = "", second = ""] = recoveryCodes;
    expect(await answer("recovery", first, await typePassword())).toBe("signed in");
    expect(await answer("recovery", first, await typePassword())).toBe("wrong");
    const { rows } = await world.runtime.pool.query<{ id: string }>("select id from auth_user where email = $1", [
      email,
    ]);
    expect(await recoveryCodesLeft(accounts, rows[0]?.id ?? "")).toBe(9);
    const session = await enterBy(second);
    expect(await renewRecoveryCodes(accounts, owner(session), "not the password")).toBe("wrong");
    const renewed = await renewRecoveryCodes(accounts, owner(session), PASSWORD);
    expect(renewed).toHaveLength(10);
    expect(await answer("recovery", recoveryCodes[2] ?? "", await typePassword())).toBe("wrong");
    expect(await answer("recovery", renewed[0] ?? "", await typePassword())).toBe("signed in");
  });

  /** A browser that is signed in by a recovery code. */
  const enterBy = async (code: string): Promise<Headers> => {
    const pending = await typePassword();
    const { headers } = await accounts.auth.api.verifyBackupCode({
      body: { code },
      headers: pending,
      returnHeaders: true,
    });
    return withCookies(headers);
  };

  it("can be given up with the password", async () => {
    const { recoveryCodes } = await setUp();
    const session = await enterBy(recoveryCodes[0] ?? "");
    expect(await removeFactor(accounts, owner(session), "not the password")).toBe("wrong");
    expect(await removeFactor(accounts, owner(session), PASSWORD)).toBe("off");
    const headers = new Headers({ origin: URL });
    expect(await signIn(accounts, email, PASSWORD, { network: null, device: null }, headers)).toBe("signed in");
  });

  it("is ended by an administrator for somebody who lost it, with password and sessions, and on record", async () => {
    await setUp();
    const see = async () =>
      (await readView(world.runtime, staff, administrator, {}))?.people.find((p) => p.id === personId);
    expect(await see()).toMatchObject({ hasPassword: true, hasSecondFactor: true });
    const ended = await mailedToken(world, email);
    world.later(1000);
    await must(world, letBackIn, administrator, { personId });
    expect(await see()).toMatchObject({ hasPassword: false, hasSecondFactor: false });
    expect(await sessions()).toBe(0);
    const headers = new Headers({ origin: URL });
    const enter = (password: string) => signIn(accounts, email, password, { network: null, device: null }, headers);
    expect(await enter(PASSWORD)).toBe("wrong");
    expect(await mailedToken(world, email)).not.toBe(ended);
    expect(await setPassword("eight loud lanterns")).toEqual({ email });
    expect(await enter("eight loud lanterns")).toBe("signed in");
    const { rows } = await world.runtime.pool.query(
      "select kind, person_id from access_record where concerns_id = $1 order by id",
      [personId],
    );
    expect(rows).toEqual([
      { kind: "invited", person_id: null },
      { kind: "let back in", person_id: (administrator as { id: string }).id },
    ]);
  });

  it("is not ended by whoever it protects, nor for somebody outside the office", async () => {
    const self: Actor = { kind: "person", id: personId, name: "", grants: [{ role: "administrator", scope: "*" }] };
    expect(await reasonOf(runAct(world.runtime, letBackIn, self, { personId }))).toBe("needs-second-person");
    await must(world, changeRole, administrator, { personId, role: "officer", held: false });
    expect(await reasonOf(runAct(world.runtime, letBackIn, administrator, { personId }))).toBe("not-found");
  });
});
