import type { Page } from "playwright-core";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { choose, newPerson, type Person, pickDate, signIn } from "../support/browser";
import { type Demo, openDemo } from "../support/demo";

const DAY = 86_400_000;
const dayFrom = (days: number): string =>
  new Date(Date.now() + days * DAY)
    .toLocaleDateString("en-GB", { day: "numeric", month: "short", year: "numeric", timeZone: "UTC" })
    .replace("Sept", "Sep");

/**
 * Two weeks for teachers, in two streams ranked by preference, with a fee that is less for some, months of employment, a letter that may
 * not be old, and a second round if places are left: what no programme of the demo resembles, in one version and without an override.
 */
describe("a summer course for teachers", () => {
  let demo: Demo;
  let lead: Person;
  let page: Page;

  beforeAll(async () => {
    demo = await openDemo("summer_course");
    lead = await newPerson(demo);
    page = lead.page;
    await signIn(lead, "t.breen@merrow.example");
  });
  afterAll(() => demo.close());

  const fill = (label: string, text: string) => page.getByLabel(label, { exact: true }).fill(text);
  const titled = async (what: string, en: string, fr: string, key?: string) => {
    await fill(`${what}, English`, en);
    await fill(`${what}, French`, fr);
    if (key) await fill("Short name (for rules)", key);
  };
  const add = (what: string) => page.getByRole("button", { name: `+ Add ${what}` }).click();
  const field = async (en: string, fr: string, key: string, kind?: string) => {
    await add("a field");
    await titled("Label", en, fr, key);
    if (kind) await choose(page, "Kind", kind);
  };
  /** One of the selects of a condition, the last of several on the page. */
  const pick = async (label: string, option: string) => {
    const input = page.getByLabel(label, { exact: true }).last();
    await input.click();
    if (await input.isEditable()) await input.fill(option);
    await page
      .locator(".ant-select-dropdown:not(.ant-select-dropdown-hidden) .ant-select-item-option", { hasText: option })
      .first()
      .click();
  };
  const saved = () => page.getByText("Saved.", { exact: true }).waitFor();

  it("is a programme of two weeks with two streams in order of preference", async () => {
    await page.goto("/office/programmes/new");
    await fill("Code", "SCT");
    await titled("Title", "Tides for Teachers", "Les marées en classe");
    await titled("Description", "Two weeks on the shore.", "Deux semaines sur l’estran.");
    await fill("Length", "2");
    await choose(page, "counted in", "weeks");
    await choose(page, "Procedure", "Preparatory year");
    await choose(page, "Level", "certificate");
    await choose(page, "Campuses, the preset one first", "Port Merrow");
    await page.keyboard.press("Escape");
    for (const [i, en, fr] of [
      [0, "Shore and life", "Estran et vie"],
      [1, "Tide and physics", "Marée et physique"],
    ] as const) {
      await page.getByRole("button", { name: "Add a track" }).click();
      await page.getByLabel("English", { exact: true }).nth(i).fill(en);
      await page.getByLabel("French", { exact: true }).nth(i).fill(fr);
    }
    await page.getByLabel("Applicants name the tracks that they would take").check();
    await page.getByRole("button", { name: "Save the programme" }).click();
    await page.waitForURL("**/office/programmes/SCT");
  });

  it("has 48 places, a round, and a second one that opens only if places are left", async () => {
    await pickDate(page, "Studies begin on", dayFrom(200));
    await fill("Places in all", "48");
    await page.getByRole("button", { name: "Add the start" }).click();
    await page.getByRole("heading", { name: /^Start on/ }).waitFor();
    for (const [key, opens, closes] of [
      ["1", -2, 30],
      ["2", 40, 70],
    ] as const) {
      const form = page.locator("details.plan-more", { hasText: "Add a round" });
      if (!(await form.evaluate((d) => d.hasAttribute("open")))) await form.locator("summary").click();
      await form.getByLabel("Round", { exact: true }).fill(key);
      for (const [label, day] of [
        ["Opens (Europe/Dublin)", `${dayFrom(opens)}, 09:00`],
        ["Closes, home group", `${dayFrom(closes)}, 18:00`],
      ] as const) {
        await form.getByLabel(label).fill(day);
        await form.getByLabel(label).press("Enter");
      }
      await form.getByLabel("one closing for all groups").check();
      if (key === "2") await form.getByLabel("opens only if places are left then").check();
      await form.getByRole("button", { name: "Add the round" }).click();
      await page.getByRole("heading", { name: new RegExp(`Round ${key} `) }).waitFor();
    }
  });

  it("asks for employment, a fresh letter, a head of school and a fee that is less for some", async () => {
    await page.goto("/office/rulebooks");
    await page
      .getByRole("row", { name: /Tides for Teachers/ })
      .getByRole("button", { name: "Begin a draft" })
      .click();
    for (const part of ["Person, contact, citizenship", "Declaration"]) {
      await page.getByRole("combobox", { name: "Put a shared part in" }).click();
      await page.getByTitle(part, { exact: true }).click();
    }
    await add("a section");
    await titled("Title", "Employment", "Emploi", "jobs");
    await choose(page, "What is done with its answers", "work and practice");
    await page.getByLabel("a list of entries").check();
    await field("School", "École", "employer");
    await field("From", "Du", "start", "date");
    await field("Until", "Au", "end", "date");
    await page.getByLabel("must be answered").uncheck();
    await add("a section");
    await titled("Title", "Letter of your school", "Lettre de votre école", "letter");
    await field("Its date", "Sa date", "written", "date");
    await field("Does your school lie on an island?", "Votre école est-elle sur une île ?", "island", "yes or no");
    await add("a section");
    await titled("Title", "Head of school", "Direction de l’école", "heads");
    await choose(page, "What is done with its answers", "referees");
    await page.getByLabel("a list of entries").check();

    await add("a requirement");
    await titled("Title", "School and employment", "École et emploi");
    await choose(page, "What it is", "sections to fill in");
    for (const section of ["Employment", "Letter of your school", "Head of school"])
      await choose(page, "Sections that answer it", section);
    await page.keyboard.press("Escape");
    await add("a requirement");
    await titled("Title", "The letter itself", "La lettre elle-même", "paper");
    await page.getByRole("button", { name: "Add a check" }).click();
    await titled("In words", "not older than three months at the closing", "de moins de trois mois à la clôture");
    await pick("Fact", "Its date");
    await pick("Compared with", "closing");
    await page.getByLabel("Months after it, or before it if negative").fill("-3");
    await add("a requirement");
    await titled("Title", "Word of the head of school", "Avis de la direction");
    await choose(page, "What it is", "references");

    await add("a fee");
    await titled("Title", "Course fee", "Frais de stage", "course");
    await fill("Amount, home group", "120");
    await fill("Amount, alliance group", "120");
    await fill("Amount, overseas group", "120");
    for (const [n, en, fr, fact, amount] of [
      [1, "Schools on islands", "Écoles des îles", "Does your school lie on an island?", "60"],
      [2, "Under 30 at the start", "Moins de 30 ans au début", "Date of birth", "90"],
    ] as const) {
      await page.getByRole("button", { name: "Add a reduction" }).click();
      await titled(`Reduction ${n}`, en, fr);
      await fill(`Reduction ${n}, home group`, amount);
      await fill(`Reduction ${n}, alliance group`, amount);
      await fill(`Reduction ${n}, overseas group`, amount);
      await pick("Fact", fact);
    }
    await pick("Comparison", "is after");
    await pick("Compared with", "start of studies");
    await page.getByLabel("Months after it, or before it if negative").last().fill("-360");
    await add("a requirement");
    await titled("Title", "Course fee", "Frais de stage");
    await choose(page, "What it is", "a fee");
    await choose(page, "Fee item", "Course fee");

    await add("a computed value");
    await titled("Title", "months at a school", "mois dans une école", "months");
    await choose(page, "What is worked out", "months over a list");
    await choose(page, "Months count until", "closing");
    await add("an entry rule");
    await titled("In words", "Two years at a school", "Deux ans dans une école");
    await pick("Fact", "months at a school");
    await page.getByLabel("Value", { exact: true }).fill("24");
    await page.getByText("Months at a school is at least 24.").waitFor();
    await add("an entry rule");
    await titled("In words", "The letter was accepted", "La lettre a été acceptée");
    await pick("Fact", "The letter itself");
    await page.getByText("The letter itself is accepted.").waitFor();
    await page.getByText("Nothing keeps it from being published.").waitFor();
    await saved();
  });

  it("is published in its first version, and says to everybody what it is and what it costs", async () => {
    await page.getByRole("link", { name: "Changes and publishing" }).click();
    await page.getByRole("button", { name: "Publish it" }).click();
    await page.getByRole("heading", { name: /version 1, published/ }).waitFor();
    const visitor = await newPerson(demo);
    await visitor.page.goto("/programmes/SCT");
    const text = await visitor.page.locator("main").innerText();
    expect(text).toContain("2 weeks");
    expect(text).toMatch(/opens .* if places are left/u);
    expect(text).toContain("Schools on islands: 60.00 EUR if “Does your school lie on an island?” is yes");
    expect(text).toContain(
      "Under 30 at the start: 90.00 EUR if “Date of birth” is after 30 years before start of studies",
    );
    await visitor.context.close();
  });

  it("is applied to with both streams, the preferred one first", async () => {
    const teacher = await newPerson(demo);
    await signIn(teacher, "nilufar.rahmonqulova@people.example");
    await teacher.page.goto("/programmes/SCT");
    await teacher.page
      .getByRole("link", { name: /^Apply/ })
      .first()
      .click();
    await teacher.page.locator("form.begin button[type=submit]").click();
    await teacher.page.waitForURL(/\/my\/\d\d-\d{5}$/);
    await teacher.page.goto(`${teacher.page.url()}/choices`);
    const picks = teacher.page.locator(".choice-pick:has(.ranked)");
    const order = () => picks.locator(".ordered .grow").allInnerTexts();
    const [first] = await order();
    await picks.locator(".ant-select").click();
    await teacher.page.locator(".ant-select-item-option").first().click();
    await expect.poll(async () => (await order()).length).toBe(2);
    const [, second = ""] = await order();
    await teacher.page.getByRole("status").filter({ hasText: /\S/ }).first().waitFor();
    // The sentence of the first change may still stand there: the second is kept once its own answer has come.
    const kept = teacher.page.waitForResponse((r) => r.request().method() === "POST");
    await picks
      .getByRole("button", { name: /one place up$/ })
      .nth(1)
      .click();
    await expect.poll(order).toEqual([second, first]);
    await kept;
    await teacher.page.reload();
    expect(await order()).toEqual([second, first]);
    await teacher.context.close();
  });
});
