import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { someone } from "../../src/demo/people";
import { zoneLines } from "../../src/demo/zone-lines";
import { choose, newPerson, openRequirement, type Person, signIn } from "../support/browser";
import { type Demo, openDemo } from "../support/demo";

/** What an officer does with evidence beside its claims, and a lead officer with the findings. */
describe("evidence and findings", () => {
  let demo: Demo;
  let officer: Person;
  let file = "";

  beforeAll(async () => {
    demo = await openDemo("evidence");
    officer = await newPerson(demo);
    await signIn(officer, "r.okonjo@merrow.example");
    await officer.page.goto("/office?find=Zielinska");
    await officer.page.getByRole("link", { name: "Katarzyna Zielinska" }).click();
    await officer.page.locator(".claims h2").waitFor();
    file = new URL(officer.page.url()).pathname;
  });
  afterAll(() => demo.close());

  it("another file of the same person is found, and what is said of it stands on both", async () => {
    const { page } = officer;
    const doubles = page.getByRole("complementary", { name: "Other files of this person" });
    await doubles.getByText("the same name, born on the same day, the same travel document").waitFor();
    await doubles.getByRole("button", { name: "The same", exact: true }).click();
    await doubles.getByText(/^The same person: /).waitFor();
    await doubles.getByRole("link", { name: "Katarzyna Zielińska" }).click();
    await page.waitForURL((url) => url.pathname !== file);
    await doubles.getByText(/^The same person: /).waitFor();
    await page.goto(file);
  });

  it("a lead officer brings both accounts together, sees them in each other, and takes them apart", async () => {
    const lead = await newPerson(demo);
    const { page } = lead;
    await signIn(lead, "t.breen@merrow.example");
    await page.goto(file);
    const doubles = page.getByRole("complementary", { name: "Other files of this person" });
    await doubles.getByRole("button", { name: "Bring both into one account" }).click();
    await doubles.getByText(/will be in the account of .*both addresses are told/).waitFor();
    await doubles.getByLabel("How you know that it is one person").fill("She wrote so herself.");
    await doubles.getByRole("button", { name: "Bring them together" }).click();
    await doubles.getByText(/In the same account: /).waitFor();
    await doubles.getByText(/came from the account of .*She wrote so herself\. Tadhg Breen/).waitFor();
    await doubles.getByRole("button", { name: "Take the accounts apart" }).click();
    await doubles.getByLabel("Why they are two people, or two accounts").fill("They are cousins.");
    await doubles.getByRole("button", { name: "Take them apart" }).click();
    await doubles.getByText(/In the same account: /).waitFor({ state: "detached" });
    expect(lead.complaints).toEqual([]);
    await lead.context.close();
  });

  it("the machine-readable lines are checked and held against the claims", async () => {
    const { page } = officer;
    await openRequirement(page, "Passport");
    await page.getByText("Check the machine-readable lines").click();
    const lines = zoneLines(
      someone("Katarzyna", "Zielinska", {
        citizenships: ["PL"],
        birthDate: "2002-12-01",
        passportNumber: "EK7741902",
      }),
    );
    const box = page.getByLabel("As they stand at the foot of the page");
    await box.fill(`${lines[0]}\n${lines[1].replace("021201", "021202")}`);
    await page.getByText("The check digit of the date of birth, the whole second line does not fit.").waitFor();
    await box.fill(lines.join("\n"));
    await page.getByText("All check digits fit.").waitFor();
    await page.getByRole("button", { name: /^Confirm \d that fit/ }).click();
    await page.getByText(/values confirmed\./).waitFor();
    const born = page.locator(".claimed > div .value-list li", { hasText: "Date of birth" });
    await expect.poll(() => born.getAttribute("data-state")).toBe("confirmed");
  });

  it("a transcript is confirmed in a grid with the keyboard", async () => {
    const { page } = officer;
    await openRequirement(page, "Transcript");
    const cell = (row: number, column: number) => page.locator(`[data-cell="${row}-${column}"]`);
    await cell(0, 0).click();
    await page.keyboard.press("v");
    await expect.poll(() => cell(0, 1).getAttribute("data-state")).toBe("confirmed");
    // The cursor is on the next line: its course goes into another subject area with one key.
    await expect
      .poll(() => page.locator(".value-grid tr[aria-current]").innerText())
      .toContain("Statistics for field data");
    await page.keyboard.press("3");
    await expect.poll(() => cell(1, 2).innerText()).toBe("Engineering");
    expect(await cell(1, 2).getAttribute("title")).toBe("claimed: Mathematics and statistics");
    await cell(2, 4).click();
    await page.keyboard.press("Enter");
    await page.getByLabel("Grade", { exact: true }).fill("17");
    await page.keyboard.press("Enter");
    await expect.poll(() => cell(2, 4).innerText()).toBe("17");
    await page.keyboard.press("ArrowDown");
    await expect.poll(() => page.evaluate("document.activeElement.dataset.cell")).toBe("3-4");
    await page.getByText("credits, 7.5 confirmed").waitFor();
    expect(officer.complaints).toEqual([]);
  });

  it("a course that stands in the transcript alone is added to the grid, and taken out again", async () => {
    const { page } = officer;
    const lines = page.locator(".value-grid tbody tr");
    const before = await lines.count();
    await page.getByRole("button", { name: "Add a line that stands in the document" }).click();
    await page.getByLabel("Course of the new line").fill("Dredging");
    await page.getByLabel("Credits of the new line").fill("5");
    await choose(page, "Subject area of the new line", "Engineering");
    await page.getByRole("button", { name: "Add and confirm it" }).click();
    const added = lines.filter({ hasText: "Dredging" });
    await added.getByText("added").waitFor();
    expect(await lines.count()).toBe(before + 1);
    // What was left empty is filled in the grid.
    await added.locator("td").nth(3).click();
    await page.keyboard.press("Enter");
    await page.locator(".ant-select-item-option", { hasText: "Completed" }).last().click();
    await expect.poll(() => added.innerText()).toContain("Completed");
    await page.locator(".area-totals div").filter({ hasText: "Engineering" }).getByText("confirmed").waitFor();
    await added.getByRole("button", { name: "take it out" }).click();
    await expect.poll(() => lines.count()).toBe(before);
    expect(officer.complaints).toEqual([]);
  });

  it("a registry of examinations is asked, and its answer stands beside the claims by itself", async () => {
    const { page } = officer;
    await page.goto("/office?find=Awa");
    await page.getByRole("link", { name: "Awa N’Diaye-Sarr" }).click();
    await page.locator(".claims h2").waitFor();
    await openRequirement(page, "Examination results");
    const registry = page.getByRole("region", { name: "Registry of examinations" });
    await registry.getByRole("button", { name: "Ask the registry" }).click();
    await registry.getByText("Found under N'DIAYE SARR AWA").waitFor();
    await registry.getByRole("listitem").filter({ hasText: "Chemistry" }).getByText("claimed 76").waitFor();
    await registry.getByRole("listitem").filter({ hasText: "Geography" }).getByText("not there").waitFor();
    expect(officer.complaints).toEqual([]);
  });

  it("a claimed exemption is ruled on with a reason, kept among the rulings, and may be taken back", async () => {
    const { page } = officer;
    await page.goto("/office?find=Naledi");
    await page.getByRole("link", { name: "Naledi Mokgatlhe-Reeve" }).click();
    const cases = page.getByRole("region", { name: "Rulings" });
    await cases.getByText("Nobody has ruled on it yet.").waitFor();
    const english = page.locator("details.finding", { hasText: "English at C1" });
    await english.locator("summary").getByText("exemption from the proof of English: not known").waitFor();
    await cases.getByRole("button", { name: "Accept it" }).click();
    await cases.getByLabel("Why").fill("The school’s letter names seven years in English.");
    await cases.getByRole("button", { name: "Rule: accepted" }).click();
    await cases.getByText("Runa Okonjo").waitFor();
    await expect.poll(() => english.getAttribute("data-finding")).toBe("met");
    await page.goto("/office/rulings?words=serowe");
    await page.getByRole("row", { name: /seven years in English/ }).waitFor();
    await page.goBack();
    await page.locator(".claims h2").waitFor();
    await page.keyboard.press("d");
    await cases.getByRole("button", { name: "Take the ruling back" }).click();
    await cases.getByText("Nobody has ruled on it yet.").waitFor();
    expect(officer.complaints).toEqual([]);
  });

  it("what was ruled on a like case is offered, and taken over with a press", async () => {
    const { page } = officer;
    await page.goto("/office?find=Tanemura");
    await page.getByRole("link", { name: "Yuki Tanemura" }).click();
    await page.locator(".claims h2").waitFor();
    await openRequirement(page, "Degree certificate");
    await page.getByText(/^Came on .*: in time\.$/).waitFor();
    const cases = page.getByRole("region", { name: "Rulings" });
    await cases.getByText("The same case:").waitFor();
    await cases.getByRole("button", { name: "Rule the same" }).click();
    await cases.getByRole("button", { name: "Take the ruling back" }).waitFor();
    await cases.getByText("Two years with a thesis of 30 credits").waitFor();
    expect(officer.complaints).toEqual([]);
  });

  it("each of two degrees has the courses of its own beside its transcript", async () => {
    const { page } = officer;
    await page.goto("/office?find=Okwuosa");
    await page.getByRole("link", { name: "Ifeanyi Okwuosa" }).click();
    await page.locator(".claims h2").waitFor();
    const transcripts = page.locator(".requirements button", { hasText: "Transcript" });
    await transcripts.filter({ hasText: "MSc Offshore Structures" }).click();
    const lines = page.locator(".value-grid tbody tr");
    await expect.poll(() => lines.count()).toBe(5);
    await transcripts.filter({ hasText: "BSc Coastal Science" }).click();
    await expect.poll(() => lines.count()).toBe(23);
  });

  it("what is still to come is listed over all files", async () => {
    const { page } = officer;
    await page.goto("/office/awaited");
    await page.getByRole("row", { name: /Keel Language Examination/ }).waitFor();
    await page.getByRole("link", { name: /^Degrees still running/ }).click();
    await page
      .getByRole("row", { name: /Deirdre Considine/ })
      .getByRole("link")
      .click();
    await page.getByRole("heading", { name: "Deirdre Considine" }).waitFor();
    expect(officer.complaints).toEqual([]);
  });

  it("a document that needs a certified copy is accepted as one, and what is still to come is said", async () => {
    const { page } = officer;
    await page.goto("/office?find=Tanemura");
    await page.getByRole("link", { name: "Yuki Tanemura" }).click();
    await openRequirement(page, "Degree certificate");
    await page.getByText("Still to come: the original, needed by enrolment.").waitFor();
    await page.getByRole("button", { name: /^Accept as a certified copy/ }).click();
    await page.getByText(/^Degree certificate · .+: accepted as a certified copy\./u).waitFor();
    await openRequirement(page, "Degree certificate");
    await page.getByRole("button", { name: "Original seen" }).click();
    await page.getByText(/^Degree certificate · .+: accepted as the original\./u).waitFor();
    expect(officer.complaints).toEqual([]);
    await page.goto(file);
  });

  it("any answer is corrected with a reason, and what was said before stays to be read", async () => {
    const { page } = officer;
    await page.goto(`${file}?show=form`);
    const line = page.locator(".value-list li", { hasText: "Town" });
    const correct = async (town: string, reason: string) => {
      await page.getByRole("button", { name: "Correct Town" }).click();
      await page.getByLabel("Town: what it is").fill(town);
      await line.getByRole("button", { name: "Correct", exact: true }).click();
      await line.getByText("Say why: where it stands, or who told you.").waitFor();
      await line.getByLabel("Reason").fill(reason);
      await line.getByRole("button", { name: "Correct", exact: true }).click();
      await line.getByText(reason).waitFor();
    };
    const claimed = (await line.locator("span").nth(1).innerText()).trim();
    await correct("Sligo", "By the letter that came back");
    await line.getByText("corrected").waitFor();
    await correct("Ennis", "By telephone");
    await line.getByText("One word before").click();
    await line.getByText("By the letter that came back").waitFor();
    expect(await line.locator("s").innerText()).toBe(claimed);

    // What nobody has answered is filled in the same way.
    const person = page.locator("section", { has: page.getByRole("heading", { name: "You", exact: true }) });
    await person.getByText(/^Not answered: /).click();
    await person.getByRole("button", { name: "Fill in The name you are called by" }).click();
    await person.getByLabel("The name you are called by, if it is another: what it is").fill("Kasia");
    await person.getByLabel("Reason").fill("By telephone");
    await person.getByRole("button", { name: "Correct", exact: true }).click();
    await page.getByText("Kasia").first().waitFor();
    expect(officer.complaints).toEqual([]);
    await page.goto(file);
  });

  it("other answers are tried out, and the file stays as it was", async () => {
    const { page } = officer;
    await page.goto(`${file}?show=what-if`);
    await page.getByLabel("Final grade, if you have it").first().fill("12");
    await page.getByText("MES: not eligible").waitFor();
    const grade = page.locator("details.finding", { hasText: "Grade 2.5" });
    await grade.getByText("was met").waitFor();
    await grade.locator("summary").click();
    await grade.getByText("1 + 3 × (20 − 12) ÷ (20 − 10) = 3.4").waitFor();
    await page.getByRole("button", { name: "Back to the file" }).click();
    await grade.getByText("as before").waitFor();
    await page.getByText("Nothing is supposed.").waitFor();
  });

  it("a list of the owner of a test is looked at, taken in, and confirms what is somebody's in the files", async () => {
    const { page } = officer;
    await page.goto("/office/results");
    await page
      .getByRole("row", { name: /Estelle Marchetti-Diop/ })
      .getByRole("button", { name: "Somebody else’s" })
      .click();
    await page.getByText("One result was said to be somebody else’s").click();
    await page
      .getByRole("row", { name: /Estelle Marchetti-Diop/ })
      .getByRole("button", { name: "It is theirs after all" })
      .waitFor();
    await page
      .getByRole("row", { name: /Yi-Ting Chen/ })
      .getByText("HET-31 9O4")
      .waitFor();
    await choose(page, "Test", "HET, Harbour English Test");
    const upload = (name: string, text: string) =>
      page.getByLabel("List, as CSV").setInputFiles({ name, mimeType: "text/csv", buffer: Buffer.from(text) });
    await upload("wrong.csv", "number,name,L\n1,Ada Vale,40");
    await page.getByText(/does not name these columns: date, Reading, Writing, Speaking/).waitFor();
    await upload(
      "later.csv",
      "number,name,date,L,R,W,S\nHET-31 9O4,Chen Yi-Ting,3.10.2026,41,43,38,40\nX,Ada Vale,2026-10-03,99,1,1,1",
    );
    await page.getByText("1 line is left out:").waitFor();
    await page.getByText("Line 2: a score lies outside the test’s range").waitFor();
    await page.getByRole("button", { name: "Take in 1 result" }).click();
    await page.getByText("1 taken in. The files they belong to are found in a moment.").waitFor();
    // The job finds the files: then the list says so, and nothing that was claimed stands in no list any more.
    await expect
      .poll(async () => {
        await page.goto("/office/results");
        const row = page.getByRole("row", { name: /later\.csv/ });
        return (await row.getByRole("cell").allInnerTexts()).slice(3);
      })
      .toEqual(["1", "1", "0", "0"]);
    expect(await page.getByRole("heading", { name: "Claimed, and in no list" }).count()).toBe(0);
    await page.goto("/office?find=Yi-Ting");
    await page.getByRole("link", { name: "Yi-Ting Chen" }).click();
    await openRequirement(page, "Proof of English");
    await page
      .getByText(/From the owner’s list: HET, Harbour English Test\. Runa Okonjo/)
      .first()
      .waitFor();
  });

  it("a case is ruled on before the submission where the applicant asks, who reads the answer", async () => {
    const applicant = await newPerson(demo);
    await signIn(applicant, "freya.lindqvistaho@people.example");
    await applicant.page.goto("/my");
    await applicant.page
      .getByRole("link", { name: /Estuary Science/ })
      .first()
      .click();
    await applicant.page.waitForURL(/\/my\/[\d-]+$/);
    const overview = applicant.page.url();
    await applicant.page.goto(`${overview}/english`);
    await choose(applicant.page, "How you prove your English", "By an exemption that we rule on");
    await choose(applicant.page, "Ground of the exemption", "All of secondary school taught in English");
    await choose(applicant.page, "In which country", "Botswana");
    await applicant.page.getByLabel("School or employer").fill("Serowe Senior Secondary School");
    await applicant.page.getByLabel("School or employer").blur();
    const ask = applicant.page.getByRole("button", { name: "Ask the office now" });
    await expect
      .poll(async () => {
        await applicant.page.goto(overview);
        return ask.count();
      })
      .toBe(1);
    await ask.click();
    await applicant.page.getByText(/^You asked on/).waitFor();
    await applicant.page.getByText(/^You submit, by/).waitFor();

    const { page } = officer;
    await page.goto("/office?find=Freya");
    await page.getByRole("link", { name: "Freya Lindqvist-Aho" }).click();
    await page.getByText("has to rule on a case: exemption from the proof of English.").waitFor();
    await openRequirement(page, "English");
    await page.getByRole("button", { name: "Refuse it" }).click();
    await page.getByLabel("Why", { exact: true }).fill("The school taught in English from the third year on.");
    await page.getByRole("button", { name: "Rule: refused" }).click();
    await page.getByRole("button", { name: "Take the ruling back" }).waitFor();
    await applicant.page.reload();
    await applicant.page.getByText(/^It does not count: the office has said so/).waitFor();
    expect(applicant.complaints).toEqual([]);
    await applicant.context.close();
  });

  it("a lead officer overrides a finding with a reason, and takes it back; both stay to be read", async () => {
    const lead = await newPerson(demo);
    const { page } = lead;
    await signIn(lead, "t.breen@merrow.example");
    await page.goto(file);
    await page.locator(".claims h2").waitFor();
    await page.keyboard.press("d");
    const credits = page.locator("details.finding").filter({ has: page.locator("summary", { hasText: "· 180 ECTS" }) });
    await credits.locator("summary").click();
    await credits.getByRole("button", { name: "Override: not met" }).click();
    await credits.getByLabel("Why", { exact: true }).fill("Ten of them were taken twice.");
    await credits.getByRole("button", { name: "Count it as not met" }).click();
    await credits.getByText("Counts as not met by decision of Tadhg Breen").waitFor();
    await credits.getByText("overridden").waitFor();
    // The applicant reads it as what it is, and no working that would contradict it.
    const applicant = await newPerson(demo);
    await signIn(applicant, "kasia.z@people.example");
    await applicant.page.goto(file.replace("/office/files/", "/my/"));
    const told = applicant.page.locator("details.finding", { hasText: "decided by the office" });
    await told.locator("summary").click();
    await told.getByText("The office has decided this for your application.").waitFor();
    await applicant.context.close();
    await credits.getByRole("button", { name: "Take the override back" }).click();
    await credits.getByLabel("Why it no longer holds").fill("They were other courses.");
    await credits.getByRole("button", { name: "Take it back" }).click();
    await credits.getByText("Was counted as not met by decision of Tadhg Breen").waitFor();
    expect(lead.complaints).toEqual([]);
    await lead.context.close();
  });

  it("the cursor goes on with the next step, and the list goes on with the next file", async () => {
    const person = await newPerson(demo);
    const { page } = person;
    await signIn(person, "r.okonjo@merrow.example");
    await page.goto("/office?turn=office&reason=confirm");
    const names = page.locator(".turn-list ol .name");
    await names.first().waitFor();
    const [first = "", second = ""] = await names.allInnerTexts();
    expect(first).toContain("Róisín");
    await page.getByRole("link", { name: first }).click();
    await page.locator(".claims h2", { hasText: "Proof of practice" }).waitFor();
    await page.keyboard.press("c");
    // All values are confirmed: what is left is the decision.
    await page.getByRole("heading", { name: /^Decision/ }).waitFor();
    await page.getByRole("button", { name: `Next in` }).waitFor();
    await page.keyboard.press("f");
    await page.getByRole("heading", { name: second, level: 1 }).waitFor();
    await page.getByText(/to come in the list|the last of the list/).waitFor();
    expect(person.complaints).toEqual([]);
    await person.context.close();
  });

  it("a file with two checks and one ask is cleared with five keys and no mouse", async () => {
    const person = await newPerson(demo);
    const { page } = person;
    await signIn(person, "r.okonjo@merrow.example");
    await page.goto("/office?turn=office&reason=check");
    const list = page.locator(".turn-list ol .name");
    await list.first().waitFor();
    const names = await list.allInnerTexts();
    const at = names.findIndex((name) => name.includes("Grace Holloway-Reyes"));
    await page.getByRole("link", { name: names[at] ?? "" }).click();
    const here = page.locator(".claims h2");
    await here.filter({ hasText: "Passport or identity card" }).waitFor();
    await page.keyboard.press("a");
    await page.getByText(/accepted, \d values? confirmed\.|accepted\./).waitFor();
    await here.filter({ hasText: "Degree certificate" }).waitFor();
    await page.keyboard.press("a");
    await page.getByText(/Degree certificate · .+: accepted, \d values confirmed\./).waitFor();
    await here.filter({ hasText: "Transcript of records" }).waitFor();
    await page.keyboard.press("q");
    await expect
      .poll(() => page.getByLabel("What we ask for").inputValue())
      .toBe("We still need from you: Transcript of records. Please send it by the day below.");
    await page.keyboard.press("Control+Enter");
    await page.getByText("Asked. The applicant is told in ten seconds.").waitFor();
    await page.keyboard.press("f");
    await page.getByRole("heading", { name: names[at + 1] ?? "", level: 1 }).waitFor();
    expect(person.complaints).toEqual([]);
    await person.context.close();
  });
});
