import type { Page } from "playwright-core";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { followMail, newPerson, type Person, readMail, signIn } from "../support/browser";
import { codeOf } from "../support/codes";
import { type Demo, openDemo } from "../support/demo";

const OFFICER = "r.okonjo@merrow.example";
const ADMINISTRATOR = "m.castagnier@merrow.example";
const HALF_MINUTE = 30_000;

/** Signing in where staff need a second factor: set up, used, lost, and got back by an administrator. */
describe("a second factor", () => {
  let demo: Demo;
  let officer: Person;
  let secret = "";
  let recovery: readonly string[] = [];

  beforeAll(async () => {
    demo = await openDemo("second_factor", { UNVEX_SECOND_FACTOR: "required" });
    officer = await newPerson(demo);
  });
  afterAll(() => demo.close());

  /** From the page that asks for a factor to the recovery codes. */
  async function setUp(page: Page, password = "tide-and-harbour") {
    await page.getByRole("heading", { name: "A second factor" }).waitFor();
    await page.getByLabel("Your password").fill(password);
    await page.getByRole("button", { name: "Begin" }).click();
    const key = await page.locator(".key-to-type").innerText();
    await page.getByLabel("The six digits").fill(codeOf(key, Date.now()));
    await page.getByRole("button", { name: "Turn it on" }).click();
    await page.getByRole("heading", { name: "Keep these recovery codes" }).waitFor();
    return { key, codes: await page.locator(".recovery-codes code").allInnerTexts() };
  }
  const answer = async (page: Page, label: string, code: string) => {
    await page.getByLabel(label).fill(code);
    await page.getByRole("button", { name: "Sign in" }).click();
  };

  it("is owed before anything of the office is seen, and what was wanted comes afterwards", async () => {
    const { page } = officer;
    await page.goto("/office/drafts");
    await page.getByLabel("E-mail").fill(OFFICER);
    await page.getByLabel("Password", { exact: true }).fill("tide-and-harbour");
    await page.getByRole("button", { name: "Sign in" }).click();
    await page.waitForURL(/second-factor/);
    expect((await page.request.get("/api/turns")).status()).toBe(404);
    await page.getByLabel("Your password").fill("not my password");
    await page.getByRole("button", { name: "Begin" }).click();
    await page.getByText("This is not your password.").waitFor();
    const made = await setUp(page);
    [secret, recovery] = [made.key, made.codes];
    expect(recovery).toHaveLength(10);
    await page.getByRole("link", { name: "I have kept them" }).click();
    await page.waitForURL(/\/office\/drafts$/);
    await page.getByRole("heading", { name: /Drafts/ }).waitFor();
    expect(officer.complaints).toEqual([]);
  });

  it("is asked for on another device; one code is not taken twice", async () => {
    const [first, second] = [await newPerson(demo), await newPerson(demo)];
    for (const { page } of [first, second]) {
      await page.goto("/sign-in");
      await page.getByLabel("E-mail").fill(OFFICER);
      await page.getByLabel("Password", { exact: true }).fill("tide-and-harbour");
      await page.getByRole("button", { name: "Sign in" }).click();
      await page.waitForURL(/\/sign-in\/code/);
    }
    await first.page.goto("/office");
    await first.page.waitForURL(/\/sign-in\?to/);
    await first.page.goto("/sign-in/code");
    await answer(first.page, "The six digits", "000000");
    await first.page.getByText("This is not the code of this half minute").waitFor();
    const code = codeOf(secret, Date.now() + HALF_MINUTE); // the first one was used to set it up
    await answer(first.page, "The six digits", code);
    await first.page.waitForURL(/\/office$/);
    await answer(second.page, "The six digits", code);
    await second.page.getByText("The time for the code is over, or it was used before").waitFor();
    for (const { context } of [first, second]) await context.close();
  });

  it("lost is replaced by a recovery code, which works once", async () => {
    const person = await newPerson(demo);
    const { page } = person;
    const enter = async (code: string) => {
      await page.goto("/sign-in");
      await page.getByLabel("E-mail").fill(OFFICER);
      await page.getByLabel("Password", { exact: true }).fill("tide-and-harbour");
      await page.getByRole("button", { name: "Sign in" }).click();
      await page.getByRole("link", { name: /use a recovery code/ }).click();
      await answer(page, "One of your recovery codes", code);
    };
    await enter(recovery[0] ?? "");
    await page.waitForURL(/\/office$/);
    await page.goto("/account/second-factor");
    await page.getByText("9 recovery codes are left.").waitFor();
    await person.context.clearCookies();
    await enter(recovery[0] ?? "");
    await page.getByText("This is none of the recovery codes that are left").waitFor();
    await person.context.close();
  });

  it("lost with its recovery codes is ended by an administrator, who finds all of it on record", async () => {
    const admin = await newPerson(demo);
    await signIn(admin, ADMINISTRATOR);
    await setUp(admin.page);
    await admin.page.getByRole("link", { name: "I have kept them" }).click();
    await admin.page.goto("/office/people");
    await admin.page.getByRole("button", { name: "Let Runa Okonjo back in" }).click();
    const dialog = admin.page.getByRole("dialog");
    await dialog.getByRole("button", { name: "Let back in" }).click();
    const row = admin.page.getByRole("row").filter({ hasText: OFFICER });
    await row.getByText("invited, no password yet").or(row.getByText("–")).first().waitFor();

    await officer.page.goto("/office");
    await officer.page.waitForURL(/\/sign-in/);
    await readMail(officer, OFFICER, "Your way back into the admissions office");
    await followMail(officer, OFFICER, "Your way back into the admissions office");
    await officer.page.getByLabel("New password").fill("eight loud lanterns");
    await officer.page.getByRole("button", { name: "Set the password" }).click();
    await officer.page.getByText("Your new password is set").waitFor();
    await signIn(officer, OFFICER, "eight loud lanterns");
    await setUp(officer.page, "eight loud lanterns");
    await officer.page.getByRole("link", { name: "I have kept them" }).click();
    await officer.page.waitForURL(/\/office$/);

    await admin.page.goto("/office/access");
    await admin.page.getByText("let Runa Okonjo back in").waitFor();
    await admin.page.getByLabel("Person or file").fill("okonjo");
    await admin.page.getByRole("button", { name: "Find" }).click();
    await admin.page.waitForURL(/find=okonjo/);
    for (const line of ["set up a second factor", "used a recovery code", "a wrong code was typed", "let Runa Okonjo"])
      expect(await admin.page.getByRole("cell", { name: line }).count()).toBeGreaterThan(0);
    expect(admin.complaints).toEqual([]);
  });
});

/** Passkeys, with the device that Chromium makes up. */
describe("a passkey", () => {
  let demo: Demo;
  let owner: Person;

  beforeAll(async () => {
    demo = await openDemo("passkeys_seen", {}, "localhost");
    owner = await newPerson(demo);
    const devtools = await owner.context.newCDPSession(owner.page);
    await devtools.send("WebAuthn.enable");
    await devtools.send("WebAuthn.addVirtualAuthenticator", {
      options: {
        protocol: "ctap2",
        transport: "internal",
        hasResidentKey: true,
        hasUserVerification: true,
        isUserVerified: true,
        automaticPresenceSimulation: true,
      },
    });
  });
  afterAll(() => demo.close());

  it("is added with the password, signs in without it, and is removed", async () => {
    const { page } = owner;
    await signIn(owner, OFFICER);
    await page.goto("/account");
    await page.getByRole("button", { name: "Add a passkey" }).click();
    await page.getByLabel("What this passkey is called here").fill("Desk in the office");
    await page.getByLabel("Your password").fill("not my password");
    await page.getByRole("button", { name: "Add a passkey" }).click();
    await page.getByText("This is not your password.").waitFor();
    await page.getByLabel("Your password").fill("tide-and-harbour");
    await page.getByRole("button", { name: "Add a passkey" }).click();
    await page.getByRole("listitem").filter({ hasText: "Desk in the office" }).waitFor();
    await readMail(owner, OFFICER, "A passkey was added to your account");

    // The same device is not taken twice.
    await page.goto("/account");
    await page.getByRole("button", { name: "Add a passkey" }).click();
    await page.getByLabel("Your password").fill("tide-and-harbour");
    await page.getByRole("button", { name: "Add a passkey" }).click();
    await page.getByText("This device has a passkey for your account already.").waitFor();

    await page.getByRole("button", { name: "Sign out everywhere" }).click();
    await page.waitForURL(/\/sign-in/);
    await page.goto("/sign-in?to=/office/drafts");
    await page.getByRole("button", { name: "Sign in with a passkey" }).click();
    await page.waitForURL((url) => url.pathname === "/office/drafts");

    await page.goto("/account");
    await page.getByRole("button", { name: "Remove the passkey Desk in the office" }).click();
    await page.getByRole("dialog").getByRole("button", { name: "Remove" }).click();
    await page.getByRole("listitem").filter({ hasText: "Desk in the office" }).waitFor({ state: "detached" });
    await page.getByRole("button", { name: "Sign out everywhere" }).click();
    await page.waitForURL(/\/sign-in/);
    await page.getByRole("button", { name: "Sign in with a passkey" }).click();
    await page.getByText("This passkey opens no account here").waitFor();
    expect(owner.complaints).toEqual([]);
  });

  it("leaves alone who comes by the machine's number: signing in and saving work there, too", async () => {
    const url = demo.url.replace("localhost", "127.0.0.1");
    const other = await newPerson({ browser: demo.browser, url });
    await signIn(other, "nilufar.rahmonqulova@people.example");
    const saved = await other.page.evaluate(async () => {
      const answer = await fetch("/api/answers", { method: "POST", body: "{}" });
      return answer.status;
    });
    expect(saved).toBe(422); // understood, and found to say nothing
    expect(other.page.url().startsWith(url)).toBe(true);
    await other.context.close();
  });
});
