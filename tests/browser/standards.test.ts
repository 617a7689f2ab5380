import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { choose, newPerson, type Person, pressAndAgree, signIn } from "../support/browser";
import { type Demo, openDemo } from "../support/demo";

/** What the office goes by, changed in the interface: a new scale, a free day, and what would be wrong with it. */
describe("the office's standards", () => {
  let demo: Demo;
  let lead: Person;

  beforeAll(async () => {
    demo = await openDemo("standards");
    lead = await newPerson(demo);
    await signIn(lead, "t.breen@merrow.example");
    await lead.page.goto("/office/standards");
  });
  afterAll(() => demo.close());

  const saved = () => lead.page.getByRole("status").filter({ hasText: "Saved." }).waitFor();

  it("begin as a copy of what is in force", async () => {
    const { page } = lead;
    await page.getByText("In this group is everybody").waitFor({ state: "hidden" });
    await page.getByText(/^Somebody is in this group when Citizenships includes one of/).waitFor();
    expect(await page.getByLabel("Title, English").isDisabled()).toBe(true);
    await page.getByRole("button", { name: "Change them" }).click();
    await page.getByRole("heading", { name: /draft of version/ }).waitFor();
    expect(await page.getByLabel("Title, English").isDisabled()).toBe(false);
  });

  it("draw a new scale while it is typed, and take a change back", async () => {
    const { page } = lead;
    await page.getByRole("button", { name: "+ Add a scale" }).click();
    await page.getByLabel("Short name (for rules)").fill("to30");
    await page.getByLabel("Title, English").fill("30 to 0, pass 18");
    await page.getByLabel("Title, French").fill("30 à 0, réussite à 18");
    await page.getByLabel("Best mark that can be awarded").fill("thirty");
    await page.getByText("The curve is drawn as soon as").waitFor();
    await page.getByLabel("Best mark that can be awarded").fill("30");
    await page.getByLabel("Lowest mark that passes").fill("18");
    await page.getByRole("img", { name: "30 to 0, pass 18, drawn against our scale" }).waitFor();
    expect(await page.getByRole("row").filter({ hasText: /^24/ }).innerText()).toMatch(/24\s+2\.5/u);
    await page.getByRole("button", { name: "Working days" }).click();
    await page.getByRole("button", { name: "2031", exact: true }).waitFor({ state: "hidden" });
    await page.getByRole("button", { name: "2028", exact: true }).click();
    await page.getByRole("button", { name: "29 Feb 2028, working day" }).click();
    await page.getByRole("button", { name: "29 Feb 2028, free" }).waitFor();
    await page.getByRole("button", { name: "Undo" }).click();
    await page.getByRole("button", { name: "29 Feb 2028, working day" }).waitFor();
    await page.getByRole("button", { name: "Redo" }).click();
    await page.getByRole("button", { name: "29 Feb 2028, free" }).waitFor();
    await saved();
  });

  it("take a list of what is accepted in from a table, with what it cannot read said line by line", async () => {
    const { page } = lead;
    await page.getByRole("button", { name: "Masters that open doctoral study" }).click();
    await page.getByLabel("Take the list from a CSV file").setInputFiles({
      name: "masters.csv",
      mimeType: "text/csv",
      buffer: Buffer.from("country;title;level\nPT;mestrado;7\nPortugal;mestrado;7\nSR;MSc Coastal;7\n"),
    });
    await page.getByText("2 entries taken from the file.").waitFor();
    await page.getByText("Line 3: the country has to be a code of two letters").waitFor();
    await page.getByRole("button", { name: "Add an entry" }).click();
    await page.getByLabel("Level of entry 3").fill("7");
    // Its institution is offered as the register has it, from the country of the entry, with typing errors forgiven.
    const institution = page.getByLabel("Institution of entry 2");
    await institution.fill("halden snd");
    await page.getByTitle("University of Halden Sound").click();
    expect(await institution.inputValue()).toBe("University of Halden Sound");
    await saved();
    await page.getByRole("button", { name: "Undo" }).waitFor();
  });

  it("hold a number against what a paper's numbers look like, before anybody's real one is", async () => {
    const { page } = lead;
    await page.getByRole("button", { name: "birth certificate with a photograph" }).click();
    await page.getByLabel("Try a number").fill("19-123456");
    await page.getByText("It would be taken.").waitFor();
    await page.getByLabel("Try a number").fill("A9-123456");
    await page.getByText("It would be questioned.").waitFor();
    await page.getByLabel("What its number looks like, one a line").fill("000000\nA0-000000");
    await page.getByText("It would be taken.").waitFor();
    await saved();
    const applicant = await newPerson(demo);
    await signIn(applicant, "nilufar.rahmonqulova@people.example");
    const number = new URL(applicant.page.url()).pathname.split("/")[2];
    await applicant.page.goto(`/my/${number}/citizenship`);
    await choose(applicant.page, "Identity paper", "passport");
    const box = applicant.page.getByLabel("Its number");
    await box.fill("12");
    await box.blur();
    await applicant.page.getByText(/the number of this paper has/).waitFor();
    await box.fill("AB1234567");
    await box.blur();
    await applicant.page.getByText(/the number of this paper has/).waitFor({ state: "hidden" });
  });

  it("say what would be wrong, and refuse to come into force with it", async () => {
    const { page } = lead;
    await page.getByRole("button", { name: "HET, Harbour English Test" }).click();
    await page.getByRole("button", { name: "Remove HET, Harbour English Test" }).click();
    await page
      .getByText("was taken away, but a rulebook, a programme, a round or an applicant’s answer still names it")
      .waitFor();
    await page.getByRole("link", { name: "Changes and effect" }).click();
    await page.getByText("Something has to be corrected first:").waitFor();
    expect(await page.getByRole("button", { name: "Put it in force" }).count()).toBe(0);
    await page.getByRole("link", { name: "Standards" }).first().click();
    await page.getByRole("heading", { name: /draft of version/ }).waitFor();
    await page.getByRole("button", { name: "+ Add a test" }).waitFor();
    expect(await page.getByRole("button", { name: "HET, Harbour English Test" }).count()).toBe(0);
    await page.getByRole("button", { name: "+ Add a campus" }).click();
    await page.getByLabel("Place on the map, from the left").fill("40");
    await page.getByText("has a text that is missing in English").waitFor();
    await pressAndAgree(page, "Throw the draft away");
    await page.getByRole("button", { name: "Change them" }).waitFor();
  });

  it("come into force with their effect looked at before", async () => {
    const { page } = lead;
    await page.getByRole("button", { name: "Change them" }).click();
    await page.getByRole("heading", { name: /draft of version/ }).waitFor();
    await page.getByRole("button", { name: "Name, clock and targets" }).click();
    await page.getByLabel("For an applicant to answer an offer").fill("14");
    await saved();
    await page.getByRole("link", { name: "Changes and effect" }).click();
    await page.getByRole("row", { name: /days to answer an offer/ }).waitFor();
    await page.getByRole("button", { name: "Work it out" }).click();
    await page.getByText(/^Of \d+ files none would change\.$/u).waitFor();
    await page.getByRole("button", { name: "Put it in force" }).click();
    await page.getByText("Say in a few words what this version is about.").waitFor();
    await page.getByLabel("What this version is about (for colleagues)").fill("Two weeks for an offer");
    await page.getByRole("button", { name: "Put it in force" }).click();
    await page.getByRole("row", { name: /Two weeks for an offer/ }).waitFor();
    await page.getByRole("link", { name: "What it changed" }).click();
    await page.getByRole("row", { name: /days to answer an offer/ }).waitFor();
    expect(lead.complaints).toEqual([]);
  });
});
