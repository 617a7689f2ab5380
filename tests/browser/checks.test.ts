import pg from "pg";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { expectAccessible } from "../support/accessible";
import { newPerson, type Person, signIn } from "../support/browser";
import { type Demo, openDemo } from "../support/demo";

/** A check run: one kind of evidence, file after file, by the keyboard alone, with two officers at it. */
describe("a check run", () => {
  let demo: Demo;
  let one: Person;
  let other: Person;

  beforeAll(async () => {
    demo = await openDemo("checks");
    [one, other] = [await newPerson(demo), await newPerson(demo)];
    await signIn(one, "r.okonjo@merrow.example");
    await signIn(other, "p.hennessy@merrow.example");
  });
  afterAll(() => demo.close());

  const who = async ({ page }: Person) => (await page.locator(".run-who a").textContent()) ?? "";
  const toGo = async ({ page }: Person) =>
    Number(/^(\d+) to go/u.exec((await page.locator(".run-head [role=status]").textContent()) ?? "")?.[1]);

  it("is begun from the kinds that wait, and shows the evidence with its acts", async () => {
    const { page } = one;
    await page.goto("/office");
    // The keys are heard once the page has come to life.
    await expect
      .poll(async () => {
        await page.keyboard.press("g");
        await page.keyboard.press("k");
        return page.url();
      })
      .toMatch(/\/office\/checks$/u);
    await page.getByRole("heading", { name: /^Check run/ }).waitFor();
    await expectAccessible(page);
    await page.getByRole("link", { name: "Passport or identity card" }).click();
    await page.locator(".run-who a").waitFor();
    await page
      .getByRole("button", { name: /^Accept/ })
      .first()
      .waitFor();
    await expectAccessible(page);
  });

  it("goes on by one key, takes the last one back by another, and leaves one for later", async () => {
    const { page } = one;
    const [first, before] = [await who(one), await toGo(one)];
    await page.keyboard.press("a");
    await expect.poll(() => who(one)).not.toBe(first);
    const second = await who(one);
    expect(await toGo(one)).toBe(before - 1);
    await page.keyboard.press("u");
    await expect.poll(() => who(one)).toBe(first);
    expect(await toGo(one)).toBe(before);
    await page.keyboard.press("a");
    await expect.poll(() => who(one)).toBe(second);
    await page.keyboard.press("s");
    await expect.poll(() => who(one)).not.toBe(second);
  });

  it("gives another officer another file", async () => {
    const here = await who(one);
    await other.page.goto("/office/checks/passport");
    await other.page.locator(".run-who a").waitFor();
    expect(await who(other)).not.toBe(here);
    await one.page.keyboard.press("a");
    await expect.poll(() => who(one)).not.toBe(here);
    expect(await who(one)).not.toBe(await who(other));
  });

  it("sends back without leaving the run", async () => {
    const { page } = other;
    const here = await who(other);
    await page.keyboard.press("x");
    await page.getByLabel("Note to the applicant").fill("The edge of the page is missing.");
    await page.keyboard.press("Control+Enter");
    await expect.poll(() => who(other)).not.toBe(here);
  });

  it("lets go of what was before whoever leaves by a link, and of nobody else's", async () => {
    const pool = new pg.Pool({ connectionString: demo.databaseUrl, max: 1 });
    const holders = async () =>
      (
        await pool.query<{ email: string }>(
          "select distinct p.email from check_claim c join person p on p.id = c.person_id where c.until > now() order by 1",
        )
      ).rows.map((r) => r.email);
    expect(await holders()).toEqual(["p.hennessy@merrow.example", "r.okonjo@merrow.example"]);
    await other.page.locator(".run-who a").click();
    await other.page.waitForURL(/\/office\/files\//u);
    await expect.poll(holders).toEqual(["r.okonjo@merrow.example"]);
    await pool.end();
  });

  it("ends with a word when nothing is left", async () => {
    const { page } = one;
    for (let i = 0; i < 30; i += 1) {
      await page.locator(".run-who a, .check-run > .empty:not([aria-busy])").first().waitFor();
      if ((await page.locator(".run-who a").count()) === 0) break;
      const here = await who(one);
      await page.keyboard.press("s");
      await expect
        .poll(async () => (await page.locator(".run-who a").count()) === 0 || (await who(one)) !== here)
        .toBe(true);
    }
    await page.getByText(/^That was all: \d+ files? checked/).waitFor();
    // What was left for later stays so when the run is begun anew, and is given again once it is taken up.
    await page.reload();
    await page.getByText(/^Nothing of this kind waits to be checked/).waitFor();
    await page.getByRole("button", { name: /^Take up the / }).click();
    await page.locator(".run-who a").waitFor();
    await page.goto("/office/checks/passport");
    await page.locator(".run-who a").waitFor();
    await page.goto("/office/checks/passport?institution=nobody");
    await page.getByText(/^Nothing of this kind waits to be checked/).waitFor();
    await page.getByRole("link", { name: "To the other kinds" }).click();
    await page.getByRole("heading", { name: /^Check run/ }).waitFor();
  });
});
