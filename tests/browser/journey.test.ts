import { copyFileSync, mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import * as documents from "../../src/demo/documents";
import { someone } from "../../src/demo/people";
import {
  choose,
  followMail,
  goToApply,
  newPerson,
  openRequirement,
  type Person,
  pickDate,
  pressAndAgree,
  readMail,
  signIn,
  untilSaved,
} from "../support/browser";
import { type Demo, openDemo } from "../support/demo";

/** The whole way of one file through the hands of four people, in a real browser. */
describe("from sign-up to an accepted offer", () => {
  const email = "maren.vestergaard@people.example";
  const referee = "prof.aldous@vestby-university.example";
  const who = someone("Maren Elisabeth", "Vestergård-Łęcka", { email });
  const folder = mkdtempSync(path.join(tmpdir(), "unvex-journey-"));
  const file = (name: string) => path.join(folder, name);
  let demo: Demo;
  let applicant: Person;
  let office: Person;
  let number = "";

  beforeAll(async () => {
    demo = await openDemo("journey");
    applicant = await newPerson(demo);
    office = await newPerson(demo);
    const now = new Date();
    writeFileSync(file("passport.pdf"), await documents.passport(who, now));
    writeFileSync(file("certificate.pdf"), await documents.certificate(who, now));
    writeFileSync(file("transcript.pdf"), await documents.transcript(who, now));
    writeFileSync(file("letter.pdf"), await documents.motivation(who, now));
    writeFileSync(file("het.pdf"), await documents.englishProof(who, now));
    copyFileSync(path.join("tests", "fixtures", "files", "page.png"), file("scan.png"));
    writeFileSync(file("program.pdf"), Buffer.from("MZ this is a program with the name of a document"));
  });
  afterAll(async () => {
    await demo.close();
    rmSync(folder, { recursive: true, force: true });
  });

  it("opens an account with a confirmed address, and comes back to what it was for", async () => {
    const { page } = applicant;
    await goToApply(page, "MSc Estuary Science");
    await page.waitForURL(/\/sign-in\?to=/);
    await page.getByRole("main").getByRole("link", { name: "Open an account" }).click();
    await page.getByLabel("Your name").waitFor();
    await page.getByLabel("Your name").fill("Maren Elisabeth");
    await page.getByLabel("E-mail").fill(email);
    await page.getByRole("button", { name: "Open an account" }).click();
    await page.getByText("Without your agreement we may not keep").waitFor();
    expect(await page.getByLabel("E-mail").inputValue()).toBe(email);
    await page.getByLabel(/I agree that my data/).check();
    await page.getByRole("button", { name: "Open an account" }).click();
    await page.getByText("Look into your mailbox.").waitFor();
    await followMail(applicant, email, "Confirm your address");
    const link = page.url();
    expect(await page.getByLabel("Your name").inputValue()).toBe("Maren Elisabeth");
    for (const [password, problem] of [
      ["short", "The password needs at least 12 characters."],
      ["password1234", "This password is guessed soon."],
      ["maren is my name", "The password must not contain your name"],
    ] as const) {
      await page.getByLabel("Password", { exact: true }).fill(password);
      await page.getByRole("button", { name: "Open my account" }).click();
      await page.getByText(problem).waitFor();
    }
    await page.getByLabel("Password", { exact: true }).fill("seven quiet lanterns");
    await page.getByRole("button", { name: "Open my account" }).click();
    await page.getByRole("heading", { name: "Apply for MSc Estuary Science" }).waitFor();
    await page.goto(link);
    await page.getByText("This link has ended: it was used before").waitFor();
    await page.goto("/my");
    await page.getByText("You have not begun an application.").waitFor();
  });

  it("finds the programme with its deadline on both clocks and begins", async () => {
    const { page } = applicant;
    await page.goto("/");
    await page.getByLabel("Subject, title or code").fill("estuery");
    await page.getByText(/^One programme of \d+/).waitFor();
    await page.getByText("Times are the office’s, Europe/Dublin.").waitFor();
    await page
      .getByText(/where you are \(America\/Paramaribo\)/)
      .first()
      .waitFor();
    await page.getByLabel("Your citizenship").selectOption("SR");
    await page.getByLabel("Where you live").selectOption("SR");
    await page.getByText("You are in the overseas group: its deadlines and fees are shown.").waitFor();
    expect(await page.getByRole("article").innerText()).toMatch(/fee 60.00 EUR/u);
    await goToApply(page, "MSc Estuary Science");
    await page.getByRole("button", { name: "Begin the application" }).click();
    await page.waitForURL(/\/my\/\d\d-\d{5}$/);
    number = page.url().split("/").at(-1) ?? "";
    await page.getByText("You fill in").waitFor();
  });

  it("fills the person, contact and citizenship, saved field by field", async () => {
    const { page } = applicant;
    await page.goto(`/my/${number}/person`);
    await page.getByLabel("Given names").fill("Maren Elisabeth");
    await page.getByLabel("Family name, or your one name").fill("Vestergård-Łęcka");
    await pickDate(page, "Date of birth", "14 Mar 2003");
    await page.getByLabel("Place of birth").fill("Skagen");
    await page.getByLabel("Place of birth").press("Tab");
    await untilSaved(page);
    await page.reload();
    expect(await page.getByLabel("Family name, or your one name").inputValue()).toBe("Vestergård-Łęcka");
    await page.goto(`/my/${number}/contact`);
    await page.getByLabel("Street and number").fill("3 Lighthouse Row");
    await page.getByLabel("Town").fill("Paramaribo");
    await choose(page, /Country of this address/, "Suriname");
    await untilSaved(page);
    await page.goto(`/my/${number}/citizenship`);
    await choose(page, /Citizenships/, "Suriname");
    await page.keyboard.press("Escape");
    await choose(page, /Country in which you live/, "Suriname");
    await choose(page, "Identity paper", "passport");
    await page.getByLabel("Its number").fill("SR990124");
    await pickDate(page, "It is valid until", "9 Aug 2031");
    await untilSaved(page);
    await page.goto(`/my/${number}`);
    await page.getByText("You are in the overseas group.").waitFor();
  });

  it("does not let two windows overwrite each other", async () => {
    const { page, context } = applicant;
    const other = await context.newPage();
    await page.goto(`/my/${number}/contact`);
    await other.goto(`/my/${number}/contact`);
    await other.getByLabel("Town").fill("Nieuw Nickerie");
    await other.getByLabel("Town").press("Tab");
    await untilSaved(other);
    await page.getByLabel("Town").fill("Albina");
    await page.getByLabel("Town").press("Tab");
    await page.getByText("This was changed in another window.").waitFor();
    await page.getByRole("button", { name: "Take the other" }).click();
    expect(await page.getByLabel("Town").inputValue()).toBe("Nieuw Nickerie");
    await other.close();
  });

  it("keeps what is typed while the line is down, and sends it when it is back", async () => {
    const { page, context } = applicant;
    await page.goto(`/my/${number}/contact`);
    await context.setOffline(true);
    await page.getByLabel("Street and number").fill("5 Lighthouse Row");
    await page.getByLabel("Street and number").press("Tab");
    await page.getByText("Not sent yet: no connection.").waitFor();
    await context.setOffline(false);
    await untilSaved(page);
    await page.reload();
    expect(await page.getByLabel("Street and number").inputValue()).toBe("5 Lighthouse Row");
    applicant.complaints.length = 0; // the browser itself complains about the line that was cut
  });

  it("enters the degree and its courses", async () => {
    const { page } = applicant;
    await page.goto(`/my/${number}/education`);
    await page.getByLabel("Institution").fill("University of Halden Sound");
    await page.keyboard.press("Tab"); // or the suggestions lie over the next field
    await choose(page, "Country", "Suriname");
    await choose(page, "Level", "Bachelor");
    await page.getByLabel("Title of the degree").fill("BSc Coastal Science");
    await choose(page, "Status", "Completed");
    await untilSaved(page);
    await pickDate(page, "Began on", "1 Sep 2022");
    await pickDate(page, "Awarded on", "15 Jul 2025");
    await choose(page, "Language of teaching", "Dutch");
    await page.getByLabel("Credits of one full-time year there").fill("60");
    await choose(page, "Grade scale", "20 to 0");
    await page.getByLabel(/Final grade/).fill("15.5");
    await page.getByLabel(/Final grade/).press("Tab");
    await page.getByLabel(/That is all/).check();
    await untilSaved(page);
    await page.goto(`/my/${number}/courses`);
    const rows = [
      ["Estuarine chemistry", "60", "Natural sciences"],
      ["Mathematics and methods", "60", "Mathematics"],
      ["Field courses and thesis", "60", "Natural sciences"],
    ] as const;
    for (const [i, [title, credits, area]] of rows.entries()) {
      if (i > 0) await page.getByRole("button", { name: "Add a course" }).click();
      await page.getByLabel(`Course, line ${i + 1}`, { exact: true }).fill(title);
      await page.getByLabel(`Credits, line ${i + 1}`).fill(credits);
      await choose(page, `Subject area, line ${i + 1}`, area);
      await choose(page, `Status, line ${i + 1}`, "Completed");
      await page.getByLabel(`Grade, line ${i + 1}`).fill("15.5");
      await page.getByLabel(`Grade, line ${i + 1}`).press("Tab");
    }
    await page.getByLabel(/That is all/).check();
    await untilSaved(page);
  });

  it("proves English by a test", async () => {
    const { page } = applicant;
    await page.goto(`/my/${number}/english`);
    await choose(page, "How you prove your English", "By a test result");
    await choose(page, "How good is your English, as you see it?", "C1");
    await choose(page, "Test", "HET");
    await choose(page, "Result", "I have the result");
    await untilSaved(page);
    const day = new Date(Date.now() - 60 * 86_400_000);
    await pickDate(page, "Day of the test", day.toISOString().slice(0, 10));
    for (const [part, score] of [
      ["Listening", "41"],
      ["Reading", "43"],
      ["Writing", "58"],
      ["Speaking", "40"],
    ] as const)
      await page.getByLabel(new RegExp(part)).fill(score);
    await page.getByLabel(/Speaking/).press("Tab");
    await page.getByText(/^These parts do not fit the test\. Writing: 0 to \d+\.$/).waitFor();
    await page.getByLabel(/Writing/).fill("38");
    await page.getByLabel(/Writing/).press("Tab");
    await page.getByLabel(/That is all/).check();
    await untilSaved(page);
  });

  it("names a referee and sends the request", async () => {
    const { page } = applicant;
    await page.goto(`/my/${number}/referees`);
    await page.getByLabel("Name", { exact: true }).fill("Prof. Hester Aldous");
    await page.getByLabel("E-mail at the institution").fill("hester.aldous@gmx.net");
    await page.getByLabel("E-mail at the institution").press("Tab");
    await page.getByText("Anybody can open a mailbox at gmx.net.").waitFor();
    await page.getByLabel("E-mail at the institution").fill(referee);
    await page.getByLabel("Institution", { exact: true }).fill("Vestby University");
    await choose(page, "Role", "Taught or supervised me");
    await page.getByLabel(/That is all/).check();
    // As soon as name, address and role are saved the request can be sent.
    await pressAndAgree(page, "Send the request");
    await page.getByText(/Asked on/).waitFor();
  });

  it("supplies documents; a program in a document's clothes is refused with a sentence", async () => {
    const { page } = applicant;
    await page.goto(`/my/${number}/documents`);
    await page.locator('input[aria-label="Passport or identity card"]').setInputFiles(file("program.pdf"));
    await page.getByText("This file is not what its name says.").waitFor();
    const letter = page.getByRole("region", { name: "Letter of motivation" });
    await letter.getByText("PDF only. At most 2 pages.").waitFor();
    await page
      .getByText(/^We read it in English or French\./u)
      .first()
      .waitFor();
    await page.locator('input[aria-label="Letter of motivation"]').setInputFiles(file("scan.png"));
    await letter.getByText("Only a PDF is taken here.").waitFor();
    for (const [title, name] of [
      ["Passport or identity card", "passport.pdf"],
      ["Degree certificate", "certificate.pdf"],
      ["Transcript of records", "transcript.pdf"],
      ["Letter of motivation", "letter.pdf"],
      ["Proof of English", "het.pdf"],
    ] as const) {
      await page.locator(`input[aria-label="${title}"]`).setInputFiles(file(name));
      await page.getByRole("link", { name }).waitFor();
    }
    applicant.complaints.length = 0; // the refused file is an answer 415, which the browser reports by itself
  });

  it("cannot submit before the fee is paid; a declined card, then one whose answer comes twice", async () => {
    const { page } = applicant;
    await page.goto(`/my/${number}/declaration`);
    await page.getByLabel(/Everything that I have written/).check();
    await page.getByLabel(/The institute may keep/).check();
    await page.getByLabel("Your full name, as signature").fill("Maren Elisabeth Vestergård-Łęcka");
    await page.getByLabel("Your full name, as signature").press("Tab");
    await untilSaved(page);
    await page.goto(`/my/${number}`);
    expect(await page.getByTestId("missing").getByRole("listitem").allInnerTexts()).toEqual([
      "Handling fee: not paid yet",
    ]);
    expect(await page.getByRole("button", { name: "Submit", exact: true }).count()).toBe(0);
    await page.getByRole("link", { name: "Handling fee: not paid yet" }).click();
    await page.getByRole("button", { name: "Pay 60.00 EUR by card" }).click();
    await page.getByRole("button", { name: "The card is declined" }).click();
    await page.getByText("The card was declined.").waitFor();
    await page.getByRole("button", { name: "Pay 60.00 EUR by card" }).click();
    await page.getByRole("button", { name: "The card is good, and the answer comes twice" }).click();
    await page.getByText("Paid", { exact: true }).waitFor();
    await page.goto(`/my/${number}`);
    await pressAndAgree(page, "Submit");
    await page.getByText("We check your documents. You need to do nothing.").waitFor();
    await readMail(applicant, email, new RegExp(`We have your application No. ${number}`));
    await page.goto(`/my/${number}/person`);
    await page.getByText("This part was submitted and is closed.").waitFor();
  });

  it("is found by the officer, opened by the keyboard and read beside its claims", async () => {
    const { page } = office;
    await signIn(office, "r.okonjo@merrow.example");
    await page.getByRole("heading", { name: "Ours" }).waitFor();
    await page.keyboard.press("/");
    await page.keyboard.type("Vestergard");
    await page.keyboard.press("Enter");
    await page.getByRole("heading", { name: "Found: Vestergard" }).waitFor();
    await page.locator("search input:not(:focus)").waitFor();
    await page.keyboard.press("Enter");
    await page.waitForURL(new RegExp(`/office/files/${number}`));
    await page.locator(".viewer-page canvas").waitFor();
    await page.getByText("SR990124").waitFor();
    await page.getByText("Holds: valid at least three months after the start").waitFor();
    await page.keyboard.press("y");
    await page.getByText("Passport or identity card: accepted.").waitFor();
  });

  it("sends the transcript back with a reason, a note and a date", async () => {
    const { page } = office;
    await openRequirement(page, "Transcript of records");
    await page.keyboard.press("x");
    await page.getByLabel("Note to the applicant").fill("The last page is missing.");
    await page.getByRole("button", { name: "Send it back" }).click();
    await page.getByText(/^Transcript of records · .+: sent back\./u).waitFor();
    for (const title of ["Degree certificate", "Letter of motivation", "Proof of English"]) {
      await openRequirement(page, title);
      await page.keyboard.press("y");
      await page.getByText(new RegExp(`^${title}( · .+)?: accepted\\.`, "u")).waitFor();
    }
  });

  it("is asked about the referee, who answers by telephone: the ask is settled and holds nothing up", async () => {
    const { page } = office;
    await openRequirement(page, "Academic reference");
    await page.keyboard.press("q");
    await page.getByLabel("What we ask for").fill("Is the referee still at the university?");
    await page.getByRole("button", { name: "Send the question" }).click();
    const asked = page.getByRole("region", { name: "Asked of the applicant" });
    await asked.getByText("Is the referee still at the university?").waitFor();
    await asked.getByRole("button", { name: "Settle" }).click();
    await page.getByText("Settled. Nothing more is asked here.").waitFor();
    await asked.waitFor({ state: "detached" });
  });

  it("is told by mail, sees what is asked, and uploads again", async () => {
    const { page } = applicant;
    await followMail(applicant, email, /please send again: Transcript of records/);
    await page.getByText("The last page is missing.").waitFor();
    const step = page.locator('.milestones [aria-current="step"]');
    expect(await step.innerText()).toMatch(/^Everything is here\s+as soon as we have received/u);
    await page.goto(`/my/${number}/documents`);
    await page.getByText("Pages are missing.").waitFor();
    await page.locator('input[aria-label="Transcript of records"]').setInputFiles(file("transcript.pdf"));
    await page.getByRole("region", { name: "Transcript of records" }).getByText("with us, to be checked").waitFor();
  });

  it("gets its reference from somebody without an account, once", async () => {
    const person = await newPerson(demo);
    await followMail(person, referee, /A reference for/);
    const { page } = person;
    await page.getByText("applies for Estuary Science").waitFor();
    expect(await page.content()).not.toContain("SR990124");
    const link = page.url();
    await page.getByRole("button", { name: "Begin" }).click();
    await page.getByLabel(/How do you know/).fill("Taught her for two years");
    await page.getByRole("button", { name: "Give the reference" }).click();
    await page.getByText("Write a few words").waitFor();
    await page
      .getByLabel("Your words about the applicant")
      .fill("Careful, honest and quick: I recommend her without reserve.");
    await page.getByRole("button", { name: "Give the reference" }).click();
    await page.getByText("Thank you. The reference is with us").waitFor();
    await page.goto(link);
    await page.getByText("Thank you. The reference is with us").waitFor();
    expect(await page.getByRole("button", { name: "Give the reference" }).count()).toBe(0);
    expect(person.complaints).toEqual([]);
    await person.context.close();
  });

  it("has its values confirmed, its grade converted with the numbers, and an offer prepared", async () => {
    const { page } = office;
    await page.goto(`/office/files/${number}`);
    for (const title of ["Transcript of records", "Academic reference"]) {
      await openRequirement(page, title);
      await page.keyboard.press("y");
      await page.getByText(new RegExp(`^${title}( · .+)?: accepted\\.`, "u")).waitFor();
    }
    await openRequirement(page, "Degree certificate");
    // The cursor goes from one to the next by itself, and at last to the decision.
    for (const title of ["Degree certificate", "Transcript of records", "Proof of English"]) {
      await page.locator(".claims h2", { hasText: title }).first().waitFor();
      await page.getByRole("button", { name: /^Confirm \d+ as claimed/ }).waitFor();
      await page.keyboard.press("c");
    }
    await page.getByRole("heading", { name: /^Decision/ }).waitFor();
    await page.getByText("eligible, on confirmed values").waitFor();
    await page.locator("summary").filter({ hasText: "Grade 2.5 or better" }).click();
    await page.getByText("1 + 3 × (20 − 15.5) ÷ (20 − 10) = 2.35").waitFor();
    await page.getByText("cut to 2.3, compared as 2.3").waitFor();
    await page.getByLabel(/^Note, for the office alone/).fill("Not to wait.");
    await page.getByRole("button", { name: "Prepare offer", exact: true }).click();
    await page.getByText(/A lead officer of \w+ releases it\./).waitFor();
  });

  it("is released by a second person, accepted, and its history names everybody", async () => {
    const lead = await newPerson(demo);
    await signIn(lead, "t.breen@merrow.example");
    await lead.page.goto(`/office/files/${number}`);
    await lead.page.getByRole("button", { name: /Decision/ }).click();
    await pressAndAgree(lead.page, "Release");
    await lead.page.getByText(/Released by Tadhg Breen/).waitFor();
    const { page } = applicant;
    await followMail(applicant, email, /we have decided/);
    await page.getByText("We offer you a place in MSc Estuary Science").waitFor();
    expect(await page.locator('.milestones [aria-current="step"]').innerText()).toMatch(
      /^Your answer to an offer\s+by /u,
    );
    await pressAndAgree(page, "Accept the offer");
    await page.getByText(/You accepted on/).waitFor();
    await page.getByText(/You show the original: Degree certificate/).waitFor();
    await lead.page.goto(`/office/files/${number}?show=history`);
    await lead.page.getByText(/^Since the submission on .* of our own/).waitFor();
    const history = await lead.page.locator(".office-history").innerText();
    for (const line of [
      "Runa Okonjo",
      "Tadhg Breen",
      "Prof. Hester Aldous",
      "Maren Elisabeth",
      "released the decision",
      "gave the reference",
      "sent back",
    ])
      expect(history).toContain(line);
    expect([...applicant.complaints, ...office.complaints, ...lead.complaints]).toEqual([]);
  });
});
