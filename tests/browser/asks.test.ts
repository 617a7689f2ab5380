import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { expectAccessible } from "../support/accessible";
import { newPerson, type Person, pickDate, readMail, signIn } from "../support/browser";
import { type Demo, openDemo } from "../support/demo";

const PHONE = { width: 390, height: 844 };
const APPLICANT = "lotte.kerremans@people.example";

/** Several things asked for in one mail, answered one by one, on both sides. */
describe("what is asked of an applicant", () => {
  let demo: Demo;
  let officer: Person;
  let applicant: Person;
  let file = "";

  beforeAll(async () => {
    demo = await openDemo("asks");
    [officer, applicant] = [await newPerson(demo), await newPerson(demo, PHONE)];
    await signIn(officer, "t.breen@merrow.example");
    await signIn(applicant, APPLICANT);
  });
  afterAll(() => demo.close());

  it("comes back as a step of the office where it was answered in words, and is read", async () => {
    const { page } = officer;
    await page.goto("/office?turn=office&reason=read+answer");
    const link = page.getByRole("link", { name: "Lotte Kerremans" });
    file = (await link.getAttribute("href")) ?? "";
    await link.click();
    await page.getByRole("link", { name: "Read the answer" }).click();
    await page.getByText("Tidal Ecology was held in Ghent").waitFor();
    await page.getByRole("button", { name: "I have read it" }).click();
    await page.getByText("answered, and read").waitFor();
    await page.getByText("name a referee and send the request").first().waitFor();
  });

  it("is drafted from what the file lacks, read as they will read it, and taken back within ten seconds", async () => {
    const { page } = officer;
    await page.goto(file);
    await page.locator(".requirements").waitFor();
    const pressed = async () => {
      await page.keyboard.press("Shift+Q");
      return page.url();
    };
    // Each press that counts opens the page anew.
    await expect.poll(pressed, { interval: 3000, timeout: 60_000 }).toContain("show=asks");
    const list = page.getByRole("form", { name: "Ask for several things" });
    // What is asked for already is offered, and not taken.
    expect(await list.getByRole("checkbox", { name: /Academic reference/ }).isChecked()).toBe(false);
    expect(await list.getByRole("button", { name: /^Send/ }).isDisabled()).toBe(true);
    await page.getByLabel("Add").click();
    await page.locator(".ant-select-item-option", { hasText: /^A question$/ }).click();
    await page.getByLabel(/^Question:/).fill("When do you graduate?");
    await page.getByLabel("Add").click();
    await page.locator(".ant-select-item-option", { hasText: "Again, or more of: Letter of motivation" }).click();
    await page.getByLabel(/^Words for Letter of motivation/).fill("Please sign it.");
    await page.getByLabel("A text of the office for “Letter of motivation”").click();
    await page.locator(".ant-select-item-option", { hasText: "A sworn translation, please" }).click();
    const mail = page.getByRole("region", { name: "The mail" });
    await mail.getByText("– Letter of motivation: Please sign it. Please send a translation").waitFor();
    await page.getByLabel(/^Words for Letter of motivation/).fill("By {by}: please sign it.");
    await page.getByText("First fill in what stands in braces.").waitFor();
    await page.getByLabel(/^Words for Letter of motivation/).fill("Please sign it.");
    await mail.getByText("– Letter of motivation: Please sign it.").waitFor();
    await expectAccessible(page);
    await page.getByRole("button", { name: /^Send these 2/ }).click();
    await page.getByRole("button", { name: "Take it back" }).click();
    await expect.poll(() => page.getByText("Please sign it.").count()).toBe(0);
  });

  it("goes out in one mail, and opens sections that are to be corrected with it", async () => {
    const { page } = officer;
    await page.goto(`${file}?show=asks`);
    await page.getByLabel("Add").click();
    await page.locator(".ant-select-item-option", { hasText: /^A question$/ }).click();
    await page.getByLabel(/^Question:/).fill("When do you graduate? <b>Exactly</b>");
    await page.getByLabel("Sections to open for correction").click();
    await page.locator(".ant-select-dropdown:visible .ant-select-item-option").first().click();
    await page.keyboard.press("Escape");
    await page.getByText("First say what is to be corrected.").waitFor();
    await page.getByLabel("What is to be corrected in them").fill("Your second given name.");
    await page.getByRole("button", { name: /^Send these 2/ }).click();
    await page.getByText("When do you graduate?").first().waitFor();
    await expect
      .poll(() => readMail(applicant, APPLICANT, `No. ${file.split("/").at(-1)}: we ask you for something`), {
        timeout: 60_000,
      })
      .toMatch(/– When do you graduate\? <b>Exactly<\/b>\s+– To correct in your application \(.+\): Your second/u);
  });

  it("is one list for the applicant, who answers it one by one and keeps what was typed", async () => {
    const { page } = applicant;
    const number = file.split("/").at(-1) ?? "";
    await page.goto(`/my/${number}`);
    const question = page.getByRole("listitem").filter({ hasText: "When do you graduate?" });
    await question.getByText("<b>Exactly</b>").waitFor();
    await question.getByLabel("Your answer").fill("On 30 June");
    await page.reload();
    expect(await question.getByLabel("Your answer").inputValue()).toBe("On 30 June");
    await expectAccessible(page);
    expect(await page.evaluate("document.documentElement.scrollWidth")).toBe(PHONE.width);
    await question.getByLabel("Your answer").fill("On 30 June 2027.");
    await question.getByRole("button", { name: "Send the answer" }).click();
    await page.getByText(/^You answered on .+: On 30 June 2027\.$/).waitFor();
    // What only a document or a request can answer leads to where it is given.
    await page.locator(".asks").getByRole("link", { name: "Academic reference" }).click();
    await page.waitForURL(/\/referees/);
  });

  it("can be given more time, or settled, item by item", async () => {
    const { page } = officer;
    await page.goto(`${file}?show=asks`);
    const asked = page.getByRole("region", { name: "Asked so far" });
    const reference = asked.getByRole("listitem").filter({ hasText: "Academic reference" });
    await reference.getByRole("button", { name: "More time" }).click();
    await pickDate(page, "New day", "20 Jan 2027");
    await reference.getByRole("button", { name: "Give time until then" }).click();
    await asked.getByText(/20 Jan 2027/).waitFor();
    await reference.getByRole("button", { name: "Settle" }).click();
    await reference.getByText("answered or settled").waitFor();
    expect(officer.complaints).toEqual([]);
    expect(applicant.complaints).toEqual([]);
  });
});
