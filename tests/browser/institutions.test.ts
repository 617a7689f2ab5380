import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { choose, newPerson, openRequirement, type Person, pressAndAgree, signIn, untilSaved } from "../support/browser";
import { type Demo, openDemo } from "../support/demo";

/** A school that is looked up, one that is in no list, and what the office makes of it. */
describe("institutions", () => {
  let demo: Demo;
  let applicant: Person;
  let officer: Person;

  beforeAll(async () => {
    demo = await openDemo("institutions");
    [applicant, officer] = await Promise.all([newPerson(demo, { width: 390, height: 844 }), newPerson(demo)]);
    await signIn(applicant, "mateus.quintelafaria@people.example");
    await signIn(officer, "r.okonjo@merrow.example");
  });
  afterAll(() => demo.close());

  const entry = () => applicant.page.getByRole("group", { name: "Entry 2" });

  it("are found while they are typed, errors forgiven, and what is certain about them is filled in", async () => {
    const { page } = applicant;
    const number = new URL(page.url()).pathname.split("/")[2];
    await page.goto(`/my/${number}/education`);
    await page.getByRole("button", { name: "Add a degree" }).click();
    const name = page.getByLabel("Institution").last();
    await name.fill("skarvoy maritme");
    await page.locator(".institution-hit", { hasText: "Skarvøy Maritime University" }).click();
    expect(await name.inputValue()).toBe("Skarvøy Maritime University");
    await untilSaved(page);
    await page.reload();
    await page.getByText("Entry 2").waitFor();
    expect(await page.getByLabel("Institution").last().inputValue()).toBe("Skarvøy Maritime University");
    expect(await entry().innerText()).toContain("Norway");
    expect(await page.getByLabel("Credits of one full-time year there").last().inputValue()).toBe("60");
  });

  it("may be written as they are where the list does not know them", async () => {
    const { page } = applicant;
    const name = page.getByLabel("Institution").last();
    await name.fill("Escola do Cais Velho");
    await page.getByText("Not in our list. Write the name as it is; we add it.").waitFor();
    await name.press("Tab");
    await untilSaved(page);
    expect(applicant.complaints).toEqual([]);
  });

  it("are said by an officer to be one of the register, or another again", async () => {
    const { page } = officer;
    await page.goto("/office/institutions");
    const row = page.getByRole("row", { name: /Escola do Cais Velho/ });
    await row.waitFor();
    await choose(page, "What “Escola do Cais Velho” is in the register", "Instituto do Mar de Paraty, Brazil");
    await row.getByRole("button", { name: "It is this one" }).click();
    await row.waitFor({ state: "detached" });
    await page.getByLabel("Find by any name").fill("mar paraty");
    await page.getByRole("button", { name: "Find" }).click();
    await page.getByRole("link", { name: "Instituto do Mar de Paraty" }).click();
    await page.getByText("wrote “Escola do Cais Velho”").waitFor();
    // Opened by its address the page is the server's, and what the browser makes of it has to be the same.
    await page.reload();
    await pressAndAgree(page, "It is another");
    await page.getByText("Written by applicants").waitFor({ state: "detached" });
    await page.goto("/office/institutions");
    await page
      .getByRole("row", { name: /Escola do Cais Velho/ })
      .getByRole("link", { name: "Add it" })
      .click();
    await page.getByRole("button", { name: "Save the institution" }).click();
    await page.getByRole("heading", { name: "Escola do Cais Velho" }).waitFor();
    await page.getByText("Mateus Quintela Faria").waitFor();
    expect(officer.complaints).toEqual([]);
  });

  it("are taken in from a table that is looked at first", async () => {
    const { page } = officer;
    await page.goto("/office/institutions");
    await page.getByText("Take a register in from CSV").click();
    const lines = [
      "name,country,kind,scales",
      "Escola da Foz,PT,school,",
      "University of Halden Sound,SR,university,to20",
      "Nowhere,Portugal,school,",
      "Escola do Farol,PT,school,to99",
    ];
    await page.getByLabel("A CSV file of institutions").setInputFiles({
      name: "register.csv",
      mimeType: "text/csv",
      buffer: Buffer.from(lines.join("\n")),
    });
    await page.getByText("3 institutions read: 2 new, 1 in the register already.").waitFor();
    await page.getByText("Line 4 is left out: look at its country.").waitFor();
    await page.getByRole("button", { name: "Take 3 in" }).click();
    await page.getByText(/^1 added, 1 changed/).waitFor();
    await page.getByText("Escola do Farol: it names a grade scale that the standards do not have").waitFor();
    await page.getByRole("link", { name: "Escola da Foz" }).waitFor();
    expect(officer.complaints).toEqual([]);
  });

  it("that grade on one scale are corrected in all files that count on another", async () => {
    const { page } = officer;
    await page.goto("/office/institutions");
    await page.getByText("Take a register in from CSV").click();
    await page.getByLabel("A CSV file of institutions").setInputFiles({
      name: "scales.csv",
      mimeType: "text/csv",
      buffer: Buffer.from("name,country,kind,scales\nSkarvøy Maritime University,NO,university,to10"),
    });
    await page.getByRole("button", { name: "Take 1 in" }).click();
    await page.getByText(/1 changed/).waitFor();
    await page.goto("/office/institutions?words=Skarv");
    await page.getByRole("link", { name: "Skarvøy Maritime University" }).click();
    const others = page
      .locator("section")
      .filter({ has: page.getByRole("heading", { name: /Counted on another scale/ }) });
    const file = (await others.getByRole("link").first().getAttribute("href")) ?? "";
    await others.getByRole("button", { name: /^Confirm “.*” in this file$/ }).click();
    await others.getByText("Confirmed in one file.").waitFor();
    await others.getByText("None of its submitted degrees.").waitFor();
    await page.goto(file);
    await openRequirement(page, "Degree certificate");
    await page.getByText(/The scale on which the institution grades, as the register has it\./).waitFor();
    expect(officer.complaints).toEqual([]);
  });
});
