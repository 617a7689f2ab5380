import type { Route } from "playwright-core";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { choose, newPerson, type Person, signIn, untilSaved } from "../support/browser";
import { type Demo, openDemo } from "../support/demo";

const TABLE = [
  "Module\tECTS\tMark",
  "Tidal archaeology\t7,5\t14",
  "Ropes and rigging\tmany\t16",
  "Harbour law\t5\t15",
].join("\n");

/** Courses that are pasted from a spreadsheet: looked at first, taken in together, and taken out again together. */
describe("a table pasted into a list", () => {
  let demo: Demo;
  let applicant: Person;

  beforeAll(async () => {
    demo = await openDemo("paste");
    applicant = await newPerson(demo);
    await signIn(applicant, "mateus.quintelafaria@people.example");
    const number = new URL(applicant.page.url()).pathname.split("/")[2];
    await applicant.page.goto(`/my/${number}/courses`);
  });
  afterAll(() => demo.close());

  const lines = () => applicant.page.locator(".entry-grid-row").count();

  it("says what it cannot read before anything is taken in", async () => {
    const { page } = applicant;
    await page.getByRole("button", { name: "Paste from a spreadsheet, or read a CSV file" }).click();
    await page.getByLabel("Paste the lines here, as you copied them").fill("Tidal archaeology");
    await page.getByText("This is no table yet").waitFor();
    await page.getByLabel("Paste the lines here, as you copied them").fill(TABLE);
    await page.getByText("Lines that can be taken in: 3.").waitFor();
    await page.getByText("Line 3, Credits: “many” is left out.").waitFor();
    await choose(page, "Status", "everywhere: Completed");
    await choose(page, "Subject area", "everywhere: Social sciences and humanities");
    const sample = page.getByRole("table").filter({ hasText: "The first lines as they would stand" });
    expect(await sample.getByRole("row", { name: /Harbour law/ }).innerText()).toContain(
      "Social sciences and humanities",
    );
  });

  it("is taken in whole, saved, and can be taken out again", async () => {
    const { page } = applicant;
    const count = await lines();
    await page.getByRole("button", { name: "Take them in (3)" }).click();
    await page.getByText("Lines taken in: 3.").waitFor();
    expect(await lines()).toBe(count + 3);
    await untilSaved(page);
    await page.reload();
    await page.locator(".entry-grid-row").first().waitFor();
    expect(await lines()).toBe(count + 3);
    expect(await page.getByLabel(`Credits, line ${count + 1}`).inputValue()).toBe("7.5");
    await page.getByRole("button", { name: "Paste from a spreadsheet, or read a CSV file" }).click();
    await page.getByLabel("Or choose a CSV file").setInputFiles({
      name: "more.csv",
      mimeType: "text/csv",
      buffer: Buffer.from("Course,Credits\nSails,3\n"),
    });
    // They are taken out again while they are still on their way to be saved.
    const slowly = async (route: Route) => {
      await new Promise((resolve) => setTimeout(resolve, 1500));
      await route.continue();
    };
    await page.route("**/api/answers", slowly, { times: 1 });
    await page.getByRole("button", { name: "Take them in (1)" }).click();
    await page.getByRole("button", { name: "Take them out again" }).click();
    await untilSaved(page);
    expect(await lines()).toBe(count + 3);
    expect(applicant.complaints).toEqual([]);
  });

  it("asks once what “Passed” means for all lines, takes one value for a column that is missing, and fills the grid down", async () => {
    const { page } = applicant;
    await page.reload();
    const count = await lines();
    await page.getByRole("button", { name: "Paste from a spreadsheet, or read a CSV file" }).click();
    await page
      .getByLabel("Paste the lines here, as you copied them")
      .fill(
        "Course\tState\tResult in\tGrade\nTides\tPassed\t07/2018\t14\nOars\tPassed\t31.02.2018\t99\nSalt\tPassed\t03/04/2019\t15\n",
      );
    await page.getByText("There is no such day in the calendar").waitFor();
    await choose(page, "“Passed” in Status (3) means", "Completed");
    await choose(page, "“03/04/2019” in Result in (1) means", "3 Apr 2019");
    await choose(page, "Credits", "the same for all lines …");
    await page.getByLabel("Credits, the same for all lines").fill("7.5");
    await page.getByRole("button", { name: "Take them in (3)" }).click();
    await untilSaved(page);
    // The grade of a course is held against the scale of its degree.
    await page.locator(".doubt", { hasText: "The scale runs from 0 to 20" }).waitFor();
    const row = (no: number) => ["Status", "Credits"].map((name) => page.getByLabel(`${name}, line ${count + no}`));
    expect(await row(2)[1]?.inputValue()).toBe("7.5");
    expect(await page.locator(".entry-grid-row").nth(count).innerText()).toContain("Completed");
    await page.getByLabel(`Credits, line ${count + 3}`, { exact: true }).fill("");
    await page.getByRole("button", { name: /^Credits: fill what is empty/ }).click();
    expect(await page.getByLabel(`Credits, line ${count + 3}`, { exact: true }).inputValue()).toBe("7.5");
    await page.getByRole("button", { name: /^Credits: empty the filled cells again/ }).click();
    expect(await page.getByLabel(`Credits, line ${count + 3}`, { exact: true }).inputValue()).toBe("");
    await page.getByRole("button", { name: /^Credits: fill what is empty/ }).click();
    await untilSaved(page);
    expect(applicant.complaints).toEqual([]);
  });

  it("may be results in ELMO: what the file leaves open is said line by line, and a hostile one is not opened", async () => {
    const { page } = applicant;
    await page.reload();
    await page.getByRole("button", { name: "Paste from a spreadsheet, or read a CSV file" }).click();
    const choice = page.getByLabel("student results as an ELMO file");
    await choice.setInputFiles("tests/fixtures/elmo/elmo-b-minimal.xml");
    await page.getByText("Results of Lakeside Sample College, Hillview Sample University.").waitFor();
    await page.getByText(/Add what still runs, what came later/).waitFor();
    await page.getByText("Introduction to Law: the file does not say whether it was passed.").waitFor();
    await page.getByText("Lines that can be taken in: 4.").waitFor();
    await choice.setInputFiles("tests/fixtures/elmo/elmo-a-unsigned.xml");
    const inside = page.getByRole("region", { name: "Documents inside the file" });
    await inside.getByText("Transcript of records", { exact: true }).waitFor();
    await inside.getByRole("button", { name: "Supply it" }).click();
    await inside.getByText(/Supplied as Transcript of records/).waitFor();
    await choice.setInputFiles({
      name: "results.xml",
      mimeType: "text/xml",
      buffer: Buffer.from('<!DOCTYPE elmo [<!ENTITY x SYSTEM "file:///etc/hostname">]><elmo>&x;</elmo>'),
    });
    await page.getByText("so we do not open it").waitFor();
    await page.getByText("Lines that can be taken in: 4.").waitFor({ state: "hidden" });
    const number = new URL(page.url()).pathname.split("/")[2];
    await page.goto(`/my/${number}/documents`);
    await page.getByRole("link", { name: "Transcript of records.pdf" }).waitFor();
  });

  it("give a whole degree to the page of degrees, which is looked through and can be taken out again", async () => {
    const { page } = applicant;
    const number = new URL(page.url()).pathname.split("/")[2];
    await page.goto(`/my/${number}/education`);
    await page.waitForLoadState("networkidle");
    const titles = () =>
      page.getByLabel("Title of the degree").evaluateAll((all) => all.map((e) => (e as HTMLInputElement).value));
    const before = await titles();
    await page.getByRole("button", { name: "Take a degree over from student results" }).click();
    const choice = page.getByLabel("Student results as an ELMO file");
    await choice.setInputFiles("tests/fixtures/elmo/elmo-b-minimal.xml");
    await page.getByText("This file names courses only.").waitFor();
    await choice.setInputFiles("tests/fixtures/elmo/elmo-a-unsigned.xml");
    await page
      .getByRole("listitem")
      .filter({ hasText: "Bachelor in Data Studies Hillview Sample University · Bachelor or equal (ISCED 6) · Still" })
      .getByRole("button", { name: "Take it over" })
      .click();
    await page.getByText("Taken over. Look through it").waitFor();
    await untilSaved(page);
    expect((await titles()).sort()).toEqual([...before, "Bachelor in Data Studies"].sort());
    await page.getByRole("button", { name: "Take it out again" }).click();
    await untilSaved(page);
    await page.reload();
    expect(await titles()).toEqual(before);
    expect(applicant.complaints).toEqual([]);
  });
});
