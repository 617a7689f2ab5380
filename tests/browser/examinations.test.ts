import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { openPool } from "../../src/db/connection";
import { choose, newPerson, type Person, signIn, untilSaved } from "../support/browser";
import { type Demo, openDemo } from "../support/demo";

/** Leaving examinations: marks that a registry gives, marks of another system, and the studies before. */
describe("leaving examinations", () => {
  let demo: Demo;
  let applicant: Person;
  let own = "";
  const go = (section: string) => applicant.page.goto(`${own}/${section}`);

  beforeAll(async () => {
    demo = await openDemo("examinations");
    applicant = await newPerson(demo);
    await signIn(applicant, "piet.vanderzeemertens@people.example");
    await applicant.page.goto("/my");
    own = (await applicant.page.locator(".mine a").first().getAttribute("href")) ?? "";
  });
  afterAll(() => demo.close());

  it("of another system ask for it first, for the mark as printed, and doubt a mark that is the same", async () => {
    const { page } = applicant;
    await go("sittings");
    await choose(page, "Examining board", "Another board");
    await page.getByLabel("Education system of").waitFor();
    await choose(page, "Education system of", "Portugal");
    await page.getByLabel("Name of the certificate").fill("Diploma do ensino secundário");
    await choose(page, "Statement of equivalence", "I have asked for it");
    await page.getByLabel("It is promised for").fill("2026-12-20");
    await page.getByLabel("It is promised for").press("Tab");
    await untilSaved(page);
    await go("subjects");
    await page.getByLabel("As printed, line 1").fill("17");
    await page.getByLabel("Mark in per cent, line 1").fill("17");
    await page.getByLabel("Mark in per cent, line 1").press("Tab");
    await page.getByText("This is the same number as on the result sheet.").waitFor();
    await page.getByLabel("Mark in per cent, line 1").fill("84");
    await page.getByLabel("Mark in per cent, line 1").press("Tab");
    await page.getByText("This is the same number as on the result sheet.").waitFor({ state: "detached" });
    await untilSaved(page);
    await go("documents");
    await page.getByRole("heading", { name: "Statement of equivalence" }).waitFor();
    expect(applicant.complaints).toEqual([]);
  });

  it("whose marks the registry gives leave nothing to fill in, and need no paper", async () => {
    const { page } = applicant;
    await go("subjects");
    await page.getByRole("button", { name: "Remove, line 1" }).click();
    await untilSaved(page);
    await go("sittings");
    await choose(page, "Examining board", "Northern Examinations Council");
    await page.getByLabel("Candidate number").fill("NEC-77");
    await page.getByLabel("Candidate number").press("Tab");
    await page.getByLabel("Your marks of this sitting").waitFor();
    await choose(page, "Your marks of this sitting", "Get them from the registry");
    await untilSaved(page);
    await go("subjects");
    await page.getByText("There is nothing to fill in here.").waitFor();
    expect(await page.locator(".entry-grid-row").count()).toBe(0);
    await go("documents");
    await page.getByRole("heading", { name: "Passport or identity card" }).waitFor();
    expect(await page.getByRole("heading", { name: "Examination results" }).count()).toBe(0);
    expect(await page.getByRole("heading", { name: "Statement of equivalence" }).count()).toBe(0);
  });

  it("stand beside lists that may stay empty, which somebody says with a tick", async () => {
    const { page } = applicant;
    await go("college");
    const none = page.getByRole("checkbox", { name: /There is none/ });
    expect(await none.isChecked()).toBe(true);
    await page.waitForLoadState("networkidle"); // the page answers to presses from then on
    await none.uncheck();
    await page.getByText(/^Saved at/).waitFor();
    await page.reload();
    const whole = page.getByRole("link", { name: "College courses during school (complete)" });
    await none.waitFor();
    expect(await whole.count()).toBe(0);
    expect(await none.isChecked()).toBe(false);
    await page.waitForLoadState("networkidle");
    await none.check();
    await page.getByText(/^Saved at/).waitFor();
    await page.reload();
    await whole.waitFor();
  });

  it("are set up in the rulebook, which says which lines the registry gives", async () => {
    const lead = await newPerson(demo);
    const { page } = lead;
    await signIn(lead, "t.breen@merrow.example");
    await page.goto("/office/rulebooks");
    await page
      .getByRole("row", { name: /Harbour and Tidal/ })
      .getByRole("link")
      .first()
      .click();
    await page.getByRole("button", { name: "Subjects and marks", exact: true }).click();
    await page.getByRole("group", { name: "Lines that a registry gives" }).getByText("Leaving examinations").waitFor();
    const overflow = "document.documentElement.scrollWidth - document.documentElement.clientWidth";
    expect(await page.evaluate(overflow)).toBeLessThanOrEqual(0);
    expect(lead.complaints).toEqual([]);
  });

  it("and the studies before them are read in the file: where somebody studied last, and what to look into", async () => {
    const officer = await newPerson(demo);
    const { page } = officer;
    await signIn(officer, "r.okonjo@merrow.example");
    const pool = openPool(demo.databaseUrl, 1);
    const { rows } = await pool.query<{ number: string }>(
      "select a.number from application a join answer w on w.application_id = a.id where w.section = 'unfinished' and w.field = 'credits'",
    );
    await pool.end();
    await page.goto(`/office/files/${rows[0]?.number}?show=form`);
    await page.getByText("“BSc Naval Architecture”, University of Halden Sound: left with credits").waitFor();
    await page.getByText(/Last place of study: /).waitFor();
    expect(officer.complaints).toEqual([]);
  });
});
