import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { followMail, newPerson, type Person, signIn } from "../support/browser";
import { type Demo, openDemo } from "../support/demo";

/** What is promised and signed with an application, and a form that is short enough for one page. */
describe("signing", () => {
  let demo: Demo;
  let applicant: Person;
  beforeAll(async () => {
    demo = await openDemo("signing");
    applicant = await newPerson(demo, { width: 390, height: 844 });
  });
  afterAll(() => demo.close());

  const fileOf = async (person: Person, name: string): Promise<string> => {
    await person.page.goto(`/office?find=${encodeURIComponent(name)}`);
    return (await person.page.getByRole("link", { name }).first().getAttribute("href")) ?? "";
  };

  it("a guardian signs by a link, and what was signed becomes the document of the file", async () => {
    const { page } = applicant;
    await signIn(applicant, "linus.odubhthaigh@people.example");
    const number = (await page.url().match(/\/my\/([\d-]+)/u)?.[1]) ?? "";
    await page.goto(`/my/${number}/documents`);
    const consent = page.getByRole("region", { name: "Guardian’s consent" });
    await consent.getByRole("button", { name: "Send the link to sign" }).click();
    await page.getByRole("dialog").getByRole("button", { name: "Send the link to sign" }).click();
    await consent.getByText(/^Asked on .* Not signed yet\.$/).waitFor();

    const guardian = await newPerson(demo, { width: 390, height: 844 });
    await followMail(guardian, "ada.linus.odubhthaigh@people.example", /^Please sign for Linus/);
    await guardian.page.getByText(/^I am responsible for the applicant\./).waitFor();
    await guardian.page.getByRole("button", { name: "Sign", exact: true }).click();
    await guardian.page
      .getByRole("alert")
      .getByText(/^Tick the box and type your full name/)
      .waitFor();
    await guardian.page.getByRole("checkbox").check();
    await guardian.page.getByLabel("Your full name, as signature").fill("Ada Ó Dubhthaigh");
    await guardian.page.getByRole("button", { name: "Sign", exact: true }).click();
    await guardian.page.getByText(/^You have signed\./).waitFor();

    await page.reload();
    await consent.getByText("Signed by the link.").waitFor();
    await consent.getByRole("link", { name: "Guardian’s consent.pdf" }).waitFor();
    const lead = await newPerson(demo);
    await signIn(lead, "t.breen@merrow.example");
    await lead.page.goto(await fileOf(lead, "Linus Ó Dubhthaigh"));
    await lead.page.getByText("Guardian’s consent").first().click();
    await lead.page.getByText(/^Signed as “Ada Ó Dubhthaigh” by the link/).waitFor();
    expect([...applicant.complaints, ...guardian.complaints, ...lead.complaints]).toEqual([]);
  });

  it("a short form stands on one page, with one line in the list of parts", async () => {
    const person = await newPerson(demo, { width: 390, height: 844 });
    await signIn(person, "roisin.macgiollabhride@people.example");
    const { page } = person;
    await page
      .getByRole("link", { name: /Boat Conservation/ })
      .first()
      .click();
    const parts = page.getByRole("navigation", { name: "Sections" });
    await parts.getByRole("link", { name: /^Your answers/ }).click();
    await page.getByRole("heading", { name: "Your answers" }).waitFor();
    const headings = await page.locator(".section-form h2").allTextContents();
    expect(headings.length).toBeGreaterThan(4);
    expect(await parts.getByRole("link").count()).toBeLessThan(7);
    expect(person.complaints).toEqual([]);
  });

  it("the order of several choices is promised, and whoever may not choose a programme reads why", async () => {
    const person = await newPerson(demo, { width: 390, height: 844 });
    const { page } = person;
    const choose = async (code: string) => {
      await page.goto(`/programmes/${code}`);
      await page
        .getByRole("link", { name: /^Apply/ })
        .first()
        .click();
      await page.locator("form.begin").getByRole("button").click();
      await page.waitForURL(/\/my\//u);
      return /\/my\/([\d-]+)/u.exec(page.url())?.[1] ?? "";
    };
    await signIn(person, "freya.lindqvistaho@people.example");
    await page.goto(`/my/${await choose("MTE")}/choices`);
    await page.getByRole("button", { name: "I promise this" }).click();
    await page.getByRole("dialog").getByRole("button", { name: "I promise this" }).click();
    await page.getByText(/^Promised on .*, for this order\./).waitFor();

    const doctoral = await choose("PCS");
    await page.goto(`/my/${doctoral}/education`);
    // Her bachelor was carried over from the other application.
    await page.getByLabel(/^That is all/).check();
    await page.getByText(/^Saved at/).waitFor();
    await page.goto(`/my/${doctoral}`);
    await page.getByText(/^What you chose is not open to you/).waitFor();
    await page.getByText("A completed master, or one expected before the start").waitFor();
    expect(await page.getByRole("button", { name: "Submit" }).count()).toBe(0);
    expect(person.complaints).toEqual([]);
  });
});
