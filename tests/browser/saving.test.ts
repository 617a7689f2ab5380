import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { newPerson, type Person, signIn, untilSaved } from "../support/browser";
import { type Demo, openDemo } from "../support/demo";

/** Nothing that somebody types is dropped in silence: it is saved, or it stands there with what is wrong with it. */
describe("what is typed into the form", () => {
  let demo: Demo;
  let applicant: Person;
  let own = "";
  const EMAIL = "nilufar.rahmonqulova@people.example";

  beforeAll(async () => {
    demo = await openDemo("saving");
    applicant = await newPerson(demo);
    await signIn(applicant, EMAIL);
    await applicant.page.goto("/my");
    own = (await applicant.page.locator(".mine a").first().getAttribute("href")) ?? "";
  });
  afterAll(() => demo.close());

  it.each([
    ["05.06.2003", "5 Jun 2003"],
    ["12/25/2003", "25 Dec 2003"],
    ["July 9 2003", "9 Jul 2003"],
    ["1er août 2003", "1 Aug 2003"],
  ])("a day typed as %s is shown as %s, and stays after a reload", async (typed, shown) => {
    const { page } = applicant;
    await page.goto(`${own}/person`);
    const box = page.getByLabel("Date of birth");
    await box.fill(typed);
    await box.press("Tab");
    await untilSaved(page);
    expect(await box.inputValue()).toBe(shown);
    await page.reload();
    await expect.poll(() => box.inputValue()).toBe(shown);
  });

  it("a day that can be two is asked about beside the box, and kept until it is answered", async () => {
    const { page } = applicant;
    const box = page.getByLabel("Date of birth");
    await box.fill("05/06/2003");
    await box.press("Tab");
    await page.getByText("This can be read in two ways: 5 Jun 2003 / 6 May 2003.", { exact: false }).waitFor();
    await untilSaved(page);
    await page.reload();
    await expect.poll(() => box.inputValue()).toBe("05/06/2003");
    await page.getByRole("button", { name: "6 May 2003" }).click();
    await untilSaved(page);
    expect(await box.inputValue()).toBe("6 May 2003");
    expect(await page.getByText("two ways", { exact: false }).count()).toBe(0);
  });

  it("what is no day says so beside the box, also after a reload", async () => {
    const { page } = applicant;
    const box = page.getByLabel("Date of birth");
    await box.fill("the day before yesterday");
    await box.press("Tab");
    const said = page.getByText("This is no day that can be read.", { exact: false });
    await said.waitFor();
    await untilSaved(page);
    await page.reload();
    await said.waitFor();
    expect(await box.inputValue()).toBe("the day before yesterday");
    await box.fill("9 Jul 2003");
    await box.press("Tab");
    await untilSaved(page);
    expect(await said.count()).toBe(0);
  });

  it("one thing that is not understood keeps nothing else from being saved, and stays to be read", async () => {
    const { page } = applicant;
    await page.goto(`${own}/contact`);
    // The request as a whole is refused for one of its changes, as a front server does that finds a word it does not like.
    await page.route("**/api/answers", (route) =>
      route.request().postData()?.includes("<forbidden>")
        ? route.fulfill({ status: 400, json: { reason: "invalid-input" } })
        : route.continue(),
    );
    await page.getByLabel("Street").first().fill("<forbidden> Lane");
    await page.getByLabel("Town").first().fill("Khujand");
    await page.getByLabel("Town").first().press("Tab");
    const note = page.getByRole("alert").filter({ hasText: "What you typed is not saved" });
    await note.waitFor();
    expect(await note.innerText()).toContain("<forbidden> Lane");
    await page.reload();
    await expect.poll(() => page.getByLabel("Town").first().inputValue()).toBe("Khujand");
    await note.waitFor();
    await note.getByRole("button", { name: "Let it go" }).click();
    await note.waitFor({ state: "detached" });
    await page.unroute("**/api/answers");
    await page.reload();
    expect(await note.count()).toBe(0);
  });

  it("what is typed into a part that was closed meanwhile stays readable, and can be let go", async () => {
    const { page } = applicant;
    await page.goto(`${own}/contact`);
    const before = await page.getByLabel("Town").first().inputValue();
    const other = await newPerson(demo);
    await signIn(other, EMAIL);
    await other.page.goto(own);
    await other.page.getByRole("button", { name: /Withdraw/u }).click();
    await other.page
      .getByRole("dialog")
      .getByRole("button", { name: /Withdraw/u })
      .click();
    await other.page.getByText("Closed", { exact: false }).first().waitFor();
    await other.context.close();
    await page.getByLabel("Town").first().fill("Dushanbe");
    await page.getByLabel("Town").first().press("Tab");
    const note = page.getByRole("alert").filter({ hasText: "can no longer be changed" });
    await note.waitFor();
    expect([await note.innerText(), await page.getByLabel("Town").first().inputValue()]).toEqual([
      expect.stringContaining("Dushanbe"),
      before,
    ]);
    await note.getByRole("button", { name: "Let it go" }).click();
    await note.waitFor({ state: "detached" });
  });

  it("an answer that opens another part shows it at once, and the way leads from part to part to the review", async () => {
    const { page, complaints } = applicant;
    complaints.length = 0; // what was refused above is said there
    await page.goto("/programmes/PCS");
    await page
      .getByRole("link", { name: /^Apply/ })
      .first()
      .click();
    await page.getByRole("button", { name: /^Begin/ }).click();
    await page.waitForURL(/\/my\/[\d-]+/);
    const begun = new URL(page.url()).pathname.split("/").slice(0, 3).join("/");
    await page.goto(`${begun}/funding`);
    const family = page.locator(".section-nav a", { hasText: "Family" });
    expect(await family.count()).toBe(0);
    await page.getByLabel("Yes").first().check();
    await family.waitFor();
    await page.getByRole("link", { name: "Next: Family" }).click();
    await page.waitForURL(`**${begun}/family`);
    await page.goto(`${begun}/funding`);
    await page.getByLabel("No", { exact: true }).first().check();
    await family.waitFor({ state: "detached" });
    expect(await page.getByRole("link", { name: "Next: Family" }).count()).toBe(0);

    await page.goto(`${begun}/choices`);
    const visited: string[] = [];
    while (!page.url().endsWith("/review") && visited.length < 40) {
      visited.push(new URL(page.url()).pathname);
      await page.locator(".page-foot .press").click();
      await page.waitForURL((url) => url.pathname !== visited.at(-1));
    }
    expect(visited).toContain(`${begun}/documents`);
    expect(new URL(page.url()).pathname).toBe(`${begun}/review`);
    expect(complaints).toEqual([]);
  });
});
