import { afterAll, beforeAll, describe, expect, it } from "vitest";
import {
  choose,
  goToApply,
  newPerson,
  openRequirement,
  type Person,
  pickDate,
  pressAndAgree,
  signIn,
  untilSaved,
} from "../support/browser";
import { type Demo, openDemo } from "../support/demo";

const DAY = 86_400_000;
const dayFrom = (days: number): string =>
  new Date(Date.now() + days * DAY)
    .toLocaleDateString("en-GB", { day: "numeric", month: "short", year: "numeric", timeZone: "UTC" })
    .replace("Sept", "Sep");

/** A programme of a kind that the demo does not have, from nothing to a submitted file, in the interface alone. */
describe("a rulebook made from nothing", () => {
  let demo: Demo;
  let lead: Person;
  let applicant: Person;
  let number = "";

  beforeAll(async () => {
    demo = await openDemo("rulebook");
    [lead, applicant] = await Promise.all([newPerson(demo), newPerson(demo)]);
    await signIn(lead, "t.breen@merrow.example");
  });
  afterAll(() => demo.close());

  it("begins with a programme, whose gaps are said field by field", async () => {
    const { page } = lead;
    await page.goto("/office/programmes");
    await page.getByRole("link", { name: "New programme" }).click();
    await page.getByLabel("Code").fill("svx");
    await page.getByRole("button", { name: "Save the programme" }).click();
    await page.getByText("Not saved: look at the marked fields.").waitFor();
    await page.getByText("Write the title in French.").waitFor();
    expect(await page.getByLabel("Code").inputValue()).toBe("SVX");
    // A summer school leads to no award.
    await page.getByLabel("Title, English").fill("Seaweed and Vessels");
    await page.getByLabel("Title, French").fill("Algues et navires");
    await page.getByLabel("Description, English").fill("Three weeks at sea.");
    await page.getByLabel("Description, French").fill("Trois semaines en mer.");
    await choose(page, "Procedure", "Preparatory year");
    await choose(page, "Level", "certificate");
    await page.getByLabel("Length").fill("3");
    await choose(page, "counted in", "weeks");
    await choose(page, "Campuses, the preset one first", "Inish Vell");
    await page.keyboard.press("Escape");
    await page.getByRole("button", { name: "Save the programme" }).click();
    await page.waitForURL("**/office/programmes/SVX");
  });

  it("gets a start and a round, on the office's clock", async () => {
    const { page } = lead;
    await page.goto("/office/programmes/SVX");
    await pickDate(page, "Studies begin on", dayFrom(200));
    await page.getByRole("button", { name: "Add the start" }).click();
    await page.getByRole("heading", { name: /^Start on/ }).waitFor();
    await page.getByText("Add a round").click();
    await page.getByLabel("Round", { exact: true }).fill("1");
    await pickDate(page, "Opens (Europe/Dublin)", `${dayFrom(-2)}, 09:00`);
    await pickDate(page, "Closes, home group", `${dayFrom(20)}, 18:00`);
    await page.getByRole("button", { name: "Add the round" }).click();
    await page.getByText("Say when it closes for the alliance group.").waitFor();
    const closing = await page.getByLabel("Closes, home group").inputValue();
    await page.getByLabel("one closing for all groups").check();
    expect(await page.getByLabel("Closes, for everybody").inputValue()).toBe(closing);
    await page.getByRole("button", { name: "Add the round" }).click();
    await page.getByRole("heading", { name: /Round 1 open · 0 drafts/ }).waitFor();
  });

  it("gets its form, its rules and its requirements, and says what still keeps it from being published", async () => {
    const { page } = lead;
    await page.goto("/office/rulebooks");
    const row = page.getByRole("row", { name: /Seaweed and Vessels/ });
    await row.getByRole("button", { name: "Begin a draft" }).click();
    await page.getByText("Nothing is asked for yet.").waitFor();
    await page.getByRole("button", { name: "+ Add a section" }).click();
    await page.getByLabel("Title, English").fill("Time at sea");
    await page.getByLabel("Title, French").fill("Temps en mer");
    await page.getByLabel("Short name (for rules)").fill("sea");
    await page.getByRole("button", { name: "+ Add a field" }).click();
    await page.getByLabel("Label, English").fill("Weeks at sea");
    await page.getByLabel("Label, French").fill("Semaines en mer");
    await page.getByLabel("Short name (for rules)").fill("weeks");
    await choose(page, "Kind", "whole number");
    await page.getByRole("button", { name: "+ Add a requirement" }).click();
    await page.getByLabel("Title, English").fill("Time at sea");
    await page.getByLabel("Title, French").fill("Temps en mer");
    await choose(page, "What it is", "sections to fill in");
    const answers = page.getByLabel("Sections that answer it", { exact: true });
    await answers.click();
    await answers.press("Enter");
    await page.locator(".ant-select-selection-item", { hasText: "Time at sea" }).waitFor();
    await answers.press("Escape");
    await page.getByText(/^Nobody declares anything before submitting/).waitFor();
    await page.getByRole("combobox", { name: "Put a shared part in" }).click();
    await page.getByTitle("Declaration", { exact: true }).click();
    await page.getByText(/^Nobody declares anything before submitting/).waitFor({ state: "detached" });
    await page.getByRole("button", { name: "+ Add an entry rule" }).click();
    await page
      .getByText(/has a text that is missing in French/)
      .first()
      .waitFor();
    await page.getByLabel("In words, English").fill("Four weeks at sea");
    await page.getByLabel("In words, French").fill("Quatre semaines en mer");
    await choose(page, "Fact", "Weeks at sea");
    await page.getByLabel("Value").fill("4");
    await page.getByText("Weeks at sea is at least 4.").waitFor();
    await page.getByText("Nothing keeps it from being published.").waitFor();
    await page.getByText("Saved.", { exact: true }).waitFor();
    // Taken back and done again, it stands as before.
    await page.getByRole("button", { name: "Undo" }).click();
    await page.getByText("Weeks at sea is at least 4.").waitFor({ state: "detached" });
    await page.getByRole("button", { name: "Redo" }).click();
    await page.getByText("Weeks at sea is at least 4.").waitFor();
    await page.getByText("Saved.", { exact: true }).waitFor();
    // What was done can be taken back after leaving the page, too.
    await page.reload();
    await page.getByRole("button", { name: "Four weeks at sea" }).click();
    await page.getByText("Weeks at sea is at least 4.").waitFor();
    await page.getByRole("button", { name: "Undo" }).click();
    await page.getByText("Weeks at sea is at least 4.").waitFor({ state: "detached" });
    await page.getByRole("button", { name: "Redo" }).click();
    await page.getByText("Weeks at sea is at least 4.").waitFor();
    await page.getByText("Saved.", { exact: true }).waitFor();
  });

  it("is published, after saying what that means", async () => {
    const { page } = lead;
    await page.getByRole("link", { name: "Changes and publishing" }).click();
    await page.getByText(/Version 1 of SVX counts from now on/).waitFor();
    await page.getByRole("button", { name: "Publish it" }).click();
    await page.getByRole("heading", { name: /version 1, published/ }).waitFor();
  });

  it("is found, checked, applied to and submitted by somebody who knows nothing of that", async () => {
    const { page } = applicant;
    await page.goto("/?q=seaweed");
    await page.getByRole("link", { name: "Seaweed and Vessels" }).click();
    await page.getByRole("link", { name: "Can I apply?" }).click();
    await page.getByText("More answers are needed before this can be said.").waitFor();
    await page.getByLabel("Weeks at sea").fill("3");
    await page.getByLabel("Weeks at sea").press("Tab");
    await page.getByText("By what you entered, an entry rule is not met.").waitFor();
    await page.getByText(/Four weeks at sea/).click();
    await page.getByText("Weeks at sea: 3; must be at least 4").waitFor();
    await page.getByLabel("Weeks at sea").fill("6");
    await page.getByLabel("Weeks at sea").press("Tab");
    await page.getByText("By what you entered, all entry rules are met.").waitFor();
    await page.getByRole("link", { name: "Apply, and take these answers along" }).click();
    await page.getByLabel("E-mail").fill("nilufar.rahmonqulova@people.example");
    await page.getByLabel("Password", { exact: true }).fill("tide-and-harbour");
    await page.getByRole("button", { name: "Sign in" }).click();
    await page.getByRole("button", { name: "Begin the application" }).click();
    await page.waitForURL(/\/my\/\d\d-\d{5}$/);
    number = page.url().split("/").at(-1) ?? "";
    await page
      .getByRole("link", { name: /^Time at sea/ })
      .first()
      .click();
    expect(await page.getByLabel("Weeks at sea").inputValue()).toBe("6");
    await page.getByLabel("Weeks at sea").fill("six");
    await page.getByLabel("Weeks at sea").press("Tab");
    await page.getByText("Write a number, for example 7.5.").waitFor();
    await page.getByLabel("Weeks at sea").fill("7");
    await page.getByLabel("Weeks at sea").press("Tab");
    await untilSaved(page);
    await page.goto(`/my/${number}/declaration`);
    await page.getByLabel(/Everything that I have written/).check();
    await page.getByLabel(/The institute may keep/).check();
    await page.getByLabel("Your full name, as signature").fill("Nilufar Rahmonqulova");
    await page.getByLabel("Your full name, as signature").press("Tab");
    await untilSaved(page);
    await page.goto(`/my/${number}`);
    await pressAndAgree(page, "Submit");
    await page
      .getByText(/submitted/i)
      .first()
      .waitFor();
  });

  it("stands in the office's file with its finding", async () => {
    const { page } = lead;
    await page.goto(`/office/files/${number}`);
    await page.getByText("Four weeks at sea").first().waitFor();
    expect(await page.locator(".finding").first().innerText()).toMatch(/Met · Four weeks at sea/u);
    await page.goto("/office/programmes/SVX");
    await page.getByRole("heading", { name: /Round 1 open · 0 drafts, 1 submitted/ }).waitFor();
  });

  it("is corrected where the office opens it again, and the office reads what changed", async () => {
    const { page } = lead;
    await page.goto(`/office/files/${number}?show=form`);
    await page.getByRole("button", { name: "Open sections for correction" }).click();
    await page.getByRole("checkbox", { name: "Time at sea" }).check();
    const open = page.getByRole("button", { name: "Open 1 section" });
    expect(await open.isDisabled()).toBe(true);
    await page.getByLabel(/What is to be corrected/).fill("Your log says five weeks.");
    await open.click();
    await page.getByRole("heading", { name: "Open for correction" }).waitFor();
    await applicant.page.goto(`/my/${number}`);
    await applicant.page.getByText("Your log says five weeks.").waitFor();
    await applicant.page.getByRole("main").getByRole("link", { name: "Time at sea" }).first().click();
    await applicant.page.getByLabel("Weeks at sea").fill("5");
    await applicant.page.getByLabel("Weeks at sea").press("Tab");
    await untilSaved(applicant.page);
    await applicant.page.goto(`/my/${number}`);
    await pressAndAgree(applicant.page, "Send the corrected parts");
    await applicant.page.getByText("Submission 2").waitFor();
    await page.reload();
    const row = page.getByRole("row", { name: /Weeks at sea/ });
    expect((await row.innerText()).split(/\s+/u).slice(-2)).toEqual(["7", "5"]);
    await page.getByRole("button", { name: "I have read what changed" }).click();
    await page.getByRole("heading", { name: "Corrected" }).waitFor({ state: "detached" });
  });

  it("is decided on the confirmed value, released by a second person, and accepted", async () => {
    const officer = await newPerson(demo);
    await signIn(officer, "r.okonjo@merrow.example");
    const { page } = officer;
    await page.goto(`/office/files/${number}`);
    await openRequirement(page, "Time at sea");
    await page.getByRole("button", { name: /Confirm 1 as claimed/ }).click();
    await page.getByText("1 value confirmed.").waitFor();
    await page.keyboard.press("d");
    await page.getByText("eligible, on confirmed values").waitFor();
    await page.getByLabel(/^Note, for the office alone/).fill("Not to wait.");
    await page.getByRole("button", { name: "Prepare offer", exact: true }).click();
    await page.getByText(/A lead officer of \w+ releases it\./).waitFor();
    await lead.page.goto(`/office/files/${number}`);
    await lead.page.getByRole("button", { name: /Decision/ }).click();
    await pressAndAgree(lead.page, "Release");
    await lead.page.getByText(/Released by Tadhg Breen/).waitFor();
    await applicant.page.goto(`/my/${number}`);
    await pressAndAgree(applicant.page, "Accept the offer");
    await applicant.page.getByText(/You accepted on/).waitFor();
    expect([...applicant.complaints, ...lead.complaints, ...officer.complaints]).toEqual([]);
  });

  it("shows every choice to the office, and gives one person more time", async () => {
    const { page } = applicant;
    await goToApply(page, "Coastal Systems");
    await page.getByRole("button", { name: /Begin the application|Add it to my application/ }).click();
    await page.waitForURL(/\/my\/\d\d-\d{5}$/);
    const drafted = page.url().split("/").at(-1) ?? "";
    await lead.page.goto(`/office/files/${drafted}?show=choices`);
    const choice = lead.page.locator("section", { hasText: "PCS" });
    await choice.getByRole("button", { name: "Give more time" }).click();
    await pickDate(lead.page, /^Closes/, `${dayFrom(90)}, 18:00`);
    await lead.page.getByLabel("Why", { exact: true }).fill("Ill in the last week.");
    await lead.page.getByRole("button", { name: "Give the time" }).click();
    await choice.getByText("Own closing").waitFor();
    await page.goto(`/my/${drafted}/choices`);
    await page.getByText(/an extension for you alone/).waitFor();
  });

  it("can be chosen in an order that the keyboard changes", async () => {
    const { page } = applicant;
    await goToApply(page, "MA Maritime Heritage");
    await page.getByRole("button", { name: "Add it to my application" }).click();
    await page.waitForURL(/\/my\/\d\d-\d{5}$/);
    await page.goto(`${page.url()}/choices`);
    const order = () => page.locator(".choice-head .code").allInnerTexts();
    const before = await order();
    expect(before.at(-1)).toBe("MMH");
    await page.getByRole("button", { name: "MA Maritime Heritage one place up" }).click();
    await page.getByText(/MA Maritime Heritage is now number/).waitFor();
    await expect.poll(order).toEqual([...before.slice(0, -2), "MMH", before.at(-2)]);
    await page.reload();
    expect(await order()).toEqual([...before.slice(0, -2), "MMH", before.at(-2)]);
  });

  it("has a newer version, to which the office moves somebody who has submitted", async () => {
    const { page } = lead;
    await page.goto("/office/rulebooks");
    await page.getByRole("row", { name: /GBC/ }).getByRole("button", { name: "Begin a draft" }).click();
    // One piece of a shared part is left out, and comes back; a fee gets a further reduction, which is taken back again.
    const outline = page.getByRole("navigation", { name: "Parts of the rulebook" });
    await outline.getByRole("button", { name: "Proof of the change of name" }).click();
    await page.getByRole("button", { name: "Leave this piece out" }).click();
    await outline.getByRole("button", { name: "Proof of the change of name" }).waitFor({ state: "detached" });
    await outline.getByRole("button", { name: /^Passport or identity card/ }).click();
    await page.getByText("Left out of it: Proof of the change of name.").waitFor();
    await page.getByRole("button", { name: "Take it back in" }).click();
    await outline.getByRole("button", { name: "Proof of the change of name" }).waitFor();
    await outline.getByRole("button", { name: "Application fee" }).last().click();
    await page.getByRole("button", { name: "Add a reduction" }).click();
    await page.getByLabel("Reduction 3, English").fill("Members of the yard");
    await page.getByText("“Application fee” has a text that is missing in French.").waitFor();
    await page.getByLabel("Reduction 3, French").fill("Membres du chantier");
    await page.getByRole("button", { name: "Remove reduction 3" }).click();
    await page.getByLabel("Reduction 3, French").waitFor({ state: "detached" });
    await page.getByText("Saved.", { exact: true }).waitFor();
    await page.getByRole("link", { name: "Changes and publishing" }).click();
    await page.getByRole("button", { name: "Publish it" }).click();
    await page.getByRole("heading", { name: /version 2, published/ }).waitFor();
    await page.goto("/office?find=Mac+Giolla");
    await page.getByRole("link", { name: "Róisín Mac Giolla Bhríde" }).click();
    await page.getByRole("link", { name: "Choices", exact: true }).click();
    await page.getByRole("button", { name: "Move to version 2" }).click();
    await page.getByLabel("Why it moves").fill("The newer one is what we go by.");
    await page.getByRole("button", { name: "Move it to version 2" }).click();
    await page.getByRole("link", { name: "version 2 of its rulebook" }).waitFor();
    await page.getByText(", the newest.").waitFor();
  });
});
