import { afterAll, beforeAll, beforeEach, describe, expect, it } from "vitest";
import { letBackIn } from "../../src/acts/people/second-factor";
import type { AccountContext } from "../../src/auth/accounts";
import {
  beginPasskey,
  canHavePasskeys,
  keepPasskey,
  passkeysOf,
  removePasskey,
  signInByPasskey,
} from "../../src/auth/passkeys";
import type { Actor } from "../../src/core/rights/actor";
import { PasskeyDevice } from "../support/passkey-device";
import { accountsAt, invitedOfficer } from "../support/staff";
import { makePerson, must, openWorld, type World } from "../support/world";

const PASSWORD = "seven quiet lanterns";
const SITE = "https://apply.merrow.example";

describe("passkeys", () => {
  let world: World;
  let accounts: AccountContext;
  let administrator: Actor;
  let no = 0;
  let email = "";
  let personId = "";

  beforeAll(async () => {
    world = await openWorld("passkeys");
    accounts = accountsAt(world, SITE);
    administrator = await makePerson(world, "Administrator", ["administrator"]);
  });
  afterAll(() => world.close());
  beforeEach(() => nextOfficer());

  /** Another officer, whose passkeys it is about from now on. */
  const nextOfficer = async () => {
    no += 1;
    ({ email, personId } = await invitedOfficer(world, accounts, `officer${no}@office.example`, PASSWORD));
  };

  const rows = async <T extends object>(sql: string, value: string): Promise<T[]> =>
    (await world.runtime.pool.query<T>(sql, [value])).rows;
  const lines = async () =>
    (await rows<{ kind: string }>("select kind from access_record where person_id = $1 order by id", personId)).map(
      (r) => r.kind,
    );
  const mails = async () =>
    (
      await rows<{ template: string }>("select template from message where to_address = $1 order by queued_at", email)
    ).map((r) => r.template);

  /** The cookies of a browser after answers. */
  const withCookies = (...answers: Headers[]): Headers => {
    const kept = answers.flatMap((answer) => answer.getSetCookie().map((cookie) => cookie.split(";", 1)[0] ?? ""));
    return new Headers({ origin: SITE, cookie: kept.join("; ") });
  };
  const signedIn = async (): Promise<Headers> => {
    const body = { email, password: PASSWORD };
    const { headers } = await accounts.auth.api.signInEmail({ body, headers: new Headers(), returnHeaders: true });
    return headers;
  };
  const owner = (headers: Headers) => ({ email, headers, network: "10.0.0.7", device: null });

  /** A challenge for a new passkey, and the browser that it was given to. */
  const registration = async () => {
    const session = await signedIn();
    const headers = withCookies(session);
    const made = await accounts.auth.api.generatePasskeyRegistrationOptions({ headers, returnHeaders: true });
    return { challenge: made.response.challenge, headers: withCookies(session, made.headers) };
  };
  const challenge = async () => {
    const made = await accounts.auth.api.generatePasskeyAuthenticationOptions({
      headers: new Headers({ origin: SITE }),
      returnHeaders: true,
    });
    return { challenge: made.response.challenge, headers: withCookies(made.headers) };
  };
  const add = async (device: PasskeyDevice, name = "Blue key") => {
    const asked = await registration();
    return keepPasskey(accounts, owner(asked.headers), name, device.make(asked.challenge));
  };
  const enter = async (
    device: PasskeyDevice,
    asked: Awaited<ReturnType<typeof challenge>>,
    answer: unknown = device.sign(asked.challenge),
  ) => signInByPasskey(accounts, answer, { headers: asked.headers, network: null });

  it("work only where the address is a name and the line is secured", () => {
    const table = {
      "https://apply.merrow.example": true,
      "http://localhost:4600": true,
      "http://127.0.0.1:4600": false,
      "https://10.1.2.3": false,
      "https://[::1]:4600": false,
      "http://apply.merrow.example": false,
    };
    for (const [url, can] of Object.entries(table)) expect([url, canHavePasskeys(url)]).toEqual([url, can]);
  });

  it("are begun with the password", async () => {
    const headers = withCookies(await signedIn());
    expect(await beginPasskey(accounts, owner(headers), "not the password")).toBe("wrong");
    const begun = await beginPasskey(accounts, owner(headers), PASSWORD);
    expect(begun).toMatchObject({
      rp: { id: "apply.merrow.example" },
      user: { name: email },
      authenticatorSelection: { userVerification: "required", residentKey: "required" },
    });
  });

  it("are kept, told by mail and on record, sign in without the password, and are removed", async () => {
    const device = new PasskeyDevice(SITE);
    expect(await add(device)).toBe("kept");
    expect((await mails()).at(-1)).toBe("passkey-added");
    expect(await enter(device, await challenge())).toEqual({ email });
    const headers = withCookies(await signedIn());
    const [key] = await passkeysOf(accounts, headers);
    expect(key?.name).toBe("Blue key");
    await removePasskey(accounts, owner(headers), key?.id ?? "");
    expect(await passkeysOf(accounts, headers)).toEqual([]);
    expect(await enter(device, await challenge())).toBe("wrong");
    expect(await lines()).toEqual(["passkey added", "signed in", "passkey removed"]);
  });

  it("answer one challenge once, of the browser that was given it", async () => {
    const device = new PasskeyDevice(SITE);
    await add(device);
    const asked = await challenge();
    const answer = device.sign(asked.challenge);
    expect(await enter(device, await challenge(), answer)).toBe("wrong");
    expect(await enter(device, asked, answer)).toEqual({ email });
    expect(await enter(device, asked, answer)).toBe("wrong");
    expect(await enter(device, { ...asked, headers: new Headers({ origin: SITE }) }, answer)).toBe("wrong");
  });

  it("are nothing from another site, from another device under the same name, or without their owner", async () => {
    const device = new PasskeyDevice(SITE);
    expect(await add(device)).toBe("kept");
    const elsewhere = new PasskeyDevice("https://apply.merrow.invalid");
    expect(await add(elsewhere)).toBe("wrong");
    expect(await add(new PasskeyDevice(SITE, false))).toBe("wrong");
    const asked = await challenge();
    const forged = { ...new PasskeyDevice(SITE).sign(asked.challenge), id: device.id, rawId: device.id };
    expect(await enter(device, asked, forged)).toBe("wrong");
    for (const nonsense of [null, {}, { id: "x" }, { ...device.sign("x"), id: { $gt: "" } }])
      expect(await enter(device, await challenge(), nonsense)).toBe("wrong");
    // A challenge for a new key lets nobody in, nor the other way round.
    const other = await registration();
    expect(await enter(device, other)).toBe("wrong");
    expect(await lines()).toEqual(["passkey added"]);
  });

  it("of others are not removed, and an administrator who lets somebody back in ends all", async () => {
    const device = new PasskeyDevice(SITE);
    await add(device);
    const [key] = await rows<{ id: string }>("select id from auth_passkey where credential_id = $1", device.id);
    const mine = personId;
    await nextOfficer();
    await removePasskey(accounts, owner(withCookies(await signedIn())), key?.id ?? "");
    expect(await rows("select 1 from auth_passkey where id = $1", key?.id ?? "")).toHaveLength(1);
    await must(world, letBackIn, administrator, { personId: mine });
    expect(await rows("select 1 from auth_passkey where id = $1", key?.id ?? "")).toHaveLength(0);
  });
});
