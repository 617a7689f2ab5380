import { readFile } from "node:fs/promises";
import { PDFDocument } from "@cantoo/pdf-lib";
import { unzipSync } from "fflate";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { choose, newPerson, type Person, readMail, signIn } from "../support/browser";
import { type Demo, openDemo } from "../support/demo";

/** Calls, letters, what the office does itself, and copies for others. */
describe("what leaves the office and comes back", () => {
  let demo: Demo;
  let lead: Person;
  let applicant: Person;
  let file = "";

  beforeAll(async () => {
    demo = await openDemo("office_post");
    [lead, applicant] = await Promise.all([newPerson(demo), newPerson(demo)]);
    await signIn(lead, "t.breen@merrow.example");
    await signIn(applicant, "yuki.tanemura@people.example");
    await lead.page.goto("/office?find=Yuki");
    file = (await lead.page.getByRole("link", { name: "Yuki Tanemura" }).first().getAttribute("href")) ?? "";
  });
  afterAll(() => demo.close());

  it("a letter that came back is told to the applicant, whose word then stands in the list of addresses", async () => {
    const { page } = lead;
    await page.goto(`${file}?show=contact`);
    const letters = page.getByRole("listitem").filter({ hasText: "letters go here" });
    await letters.getByRole("button", { name: "A letter came back" }).click();
    await letters.getByLabel(/Why it came back/).fill("Unknown at this address");
    await letters.getByRole("button", { name: "Note it" }).click();
    await letters.getByText(/a letter came back on/).waitFor();
    await page.getByRole("listitem").filter({ hasText: "Unknown at this address" }).getByText("Tadhg Breen").waitFor();
    await page.goto("/office/post?kind=fails");
    await page
      .getByRole("row", { name: /Yuki Tanemura/ })
      .getByText("Where letters go")
      .waitFor();
    const mail = await readMail(applicant, "yuki.tanemura@people.example", /we could not reach you/);
    expect(mail).toContain("Address for letters");
    await applicant.page.goto(file.replace("/office/files", "/my"));
    const place = applicant.page.getByRole("listitem").filter({ hasText: "A letter to this address came back" });
    await expect.poll(() => place.getByRole("link", { name: "It has changed" }).getAttribute("href")).toBe("#correct");
    await place.getByRole("button", { name: "This is right" }).click();
    await applicant.page.getByText(/You said on .* that this is right/).waitFor();
    await page.goto("/office/post?kind=holds");
    await page
      .getByRole("row", { name: /Yuki Tanemura/ })
      .getByText(/^confirmed on/)
      .waitFor();
  });

  it("a call is noted with what came of it", async () => {
    const { page } = lead;
    await page.goto(`${file}?show=contact`);
    const phone = page.getByRole("listitem").filter({ hasText: "In an emergency" }).first();
    await phone.getByRole("button", { name: "Note a call" }).click();
    await choose(page, "What came of the call", "the number does not work");
    await phone.getByRole("button", { name: "Note it" }).click();
    await phone.getByText(/found not to work on/).waitFor();
  });

  it("a question about the form is noted with the call, collected, and leads to the help texts of its section", async () => {
    const { page } = lead;
    const phone = page.getByRole("listitem").filter({ hasText: "In an emergency" }).first();
    await phone.getByRole("button", { name: "Note a call" }).click();
    await choose(page, "A question about the form", "In an emergency");
    await page.getByLabel("The question in a few words, without names: it is collected").fill("May it be a neighbour?");
    await phone.getByRole("button", { name: "Note it" }).click();
    // The form is put away once the note is kept.
    await phone.getByRole("button", { name: "Note it" }).waitFor({ state: "detached" });
    await page.goto("/office/rulebooks");
    const line = page.getByRole("row").filter({ hasText: "May it be a neighbour?" });
    await line.getByRole("link", { name: "In an emergency" }).click();
    await page.waitForURL(/section=emergency/u);
    expect(await page.getByLabel("Title, English").inputValue()).toBe("In an emergency");
  });

  it("addresses that nobody has confirmed are asked about together", async () => {
    const { page } = lead;
    await page.goto("/office/post?kind=not+confirmed");
    await page.getByLabel("Mark Owen Tarrick").check();
    await page.getByLabel("Mark Deirdre Considine").check();
    await page.getByRole("button", { name: "Ask 2 people whether it is right" }).click();
    await page.getByText("We asked 2 people by mail.").waitFor();
    await page
      .getByRole("row", { name: /Owen Tarrick/ })
      .getByText(/not confirmed, asked on/)
      .waitFor();
  });

  it("a document that came by post is put in beside its requirement", async () => {
    const { page } = lead;
    await page.goto(file);
    await page.getByRole("button", { name: /File of the curriculum vitae/ }).click();
    const pdf = await PDFDocument.create();
    pdf.addPage().drawText("By post");
    const sent = { name: "by-post.pdf", mimeType: "application/pdf", buffer: Buffer.from(await pdf.save()) };
    await page.getByLabel("Put in what came by post or mail").setInputFiles(sent);
    await page.getByRole("button", { name: "by-post.pdf" }).waitFor();
    await page.goto(`${file}?show=history`);
    await page.getByText(/put in what came by post or mail/).waitFor();
  });

  it("what the office does itself is said with a word, and taken back", async () => {
    const { page } = lead;
    await page.goto("/office?find=Noor");
    await page.getByRole("link", { name: "Noor Haddadin" }).first().click();
    const line = page.getByRole("button", { name: /Papers for the visa/ });
    await line.click();
    await page.getByRole("button", { name: "It is done" }).click();
    await page.getByText(/Say in a few words what was done/).waitFor();
    await page.getByLabel("What was done").fill("Letter sent to the embassy by courier");
    await page.getByRole("button", { name: "It is done" }).click();
    await line.getByText("done").waitFor();
    await page.getByRole("button", { name: "It was not done" }).click();
    await line.getByText("to do").waitFor();
  });

  it("copies of marked files are made while the page shows how far they are, and come as one archive", async () => {
    const { page } = lead;
    await page.goto("/office");
    const boxes = page.locator(".turn-list ol input[type=checkbox]");
    await boxes.nth(0).check();
    await boxes.nth(1).check();
    await page.getByRole("button", { name: "Copies", exact: true }).click();
    await page.getByRole("radio", { name: /those who assess/ }).check();
    await page.getByRole("button", { name: "Make them" }).click();
    await page.waitForURL("**/office/copies");
    await page.getByText("2 applications").waitFor();
    const link = page.getByRole("link", { name: /Download all 2/ });
    await link.waitFor({ timeout: 60_000 });
    const [download] = await Promise.all([page.waitForEvent("download"), link.click()]);
    const files = unzipSync(new Uint8Array(await readFile(await download.path())));
    expect(Object.keys(files)).toHaveLength(2);
    for (const [name, bytes] of Object.entries(files)) {
      expect(name).toMatch(/^27-\d{5} .+\.pdf$/u);
      expect(new TextDecoder().decode(bytes.subarray(0, 5))).toBe("%PDF-");
    }
  });
});
