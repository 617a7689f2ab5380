import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { expectAccessible } from "../support/accessible";
import { newPerson, type Person, readMail, signIn, take } from "../support/browser";
import { type Demo, openDemo } from "../support/demo";

const PHONE = { width: 390, height: 844 };
const APPLICANT = "fintan.weatherbynash@people.example";

/** Applicant and office write to each other about an application: both pages, the turn between them, and the mail. */
describe("the conversation on a file", () => {
  let demo: Demo;
  let lead: Person;
  let applicant: Person;
  let file = "";

  beforeAll(async () => {
    demo = await openDemo("conversation");
    [lead, applicant] = [await newPerson(demo), await newPerson(demo, PHONE)];
    await signIn(lead, "t.breen@merrow.example");
    await signIn(applicant, APPLICANT);
  });
  afterAll(() => demo.close());

  it("is a step of the office, answered with a text that is filled in for the file", async () => {
    const { page } = lead;
    await page.goto("/office?turn=office&reason=answer+message");
    const link = page.getByRole("link", { name: "Fintan Weatherby-Nash" });
    file = (await link.getAttribute("href")) ?? "";
    await link.click();
    await page.getByRole("link", { name: "Read and answer" }).click();
    await page.getByText("Do both of my degrees count").waitFor();
    await page.getByText("they read English").waitFor();
    await take(page, "Add a text of the office", "Both degrees count");
    await expect.poll(() => page.getByLabel(/^Your answer/).inputValue()).toMatch(/^Dear Fintan Weatherby-Nash,/u);
    await expectAccessible(page);
    await page.getByLabel(/^The question in general/).fill("Do two degrees count?");
    await page.getByRole("button", { name: /^Send the answer/ }).click();
    await page.getByText("Not read yet").waitFor();
    await expect.poll(() => page.getByRole("link", { name: "Read and answer" }).count()).toBe(0);
  });

  it("reaches the applicant on the page and by mail, and is marked as read", async () => {
    const { page } = applicant;
    const number = file.split("/").at(-1) ?? "";
    await page.goto(`/my/${number}`);
    await page.getByRole("link", { name: "Write to the office · one new message" }).click();
    await page.getByText("Both of your degrees count.").waitFor();
    await page.getByText("new", { exact: true }).waitFor();
    await expectAccessible(page);
    expect(await page.evaluate("document.documentElement.scrollWidth")).toBe(PHONE.width);
    expect(await readMail(applicant, APPLICANT, `No. ${number}: a message from the office`)).toContain(
      "Each is carried over",
    );
    await page.reload();
    await expect.poll(() => page.getByText("new", { exact: true }).count()).toBe(0);
    await lead.page.reload();
    await lead.page.getByText(/^Read on /).waitFor();
  });

  it("keeps what is being written, is written about the page one comes from, and is with the office again", async () => {
    const { page } = applicant;
    const number = file.split("/").at(-1) ?? "";
    await page.goto(`/my/${number}/education`);
    await page.getByRole("link", { name: "Ask us about this page" }).click();
    await page.waitForURL(/about=education/u);
    await page.getByRole("button", { name: "Send it" }).click();
    await page.getByText("Write something first.").waitFor();
    await page.getByLabel("Your message").fill("Thank you! <b>One more</b> question.");
    await page.reload();
    await expect.poll(() => page.getByLabel("Your message").inputValue()).toBe("Thank you! <b>One more</b> question.");
    await page.getByRole("button", { name: "Send it" }).click();
    await page.getByText("Your message is with the office.").waitFor();
    await page.getByText("Thank you! <b>One more</b> question.").waitFor();
    expect(await page.locator(".conversation b").count()).toBe(0);
    await lead.page.goto(`${file}?show=messages`);
    await lead.page.getByRole("link", { name: "Messages (1)" }).waitFor();
    await lead.page.getByRole("button", { name: "It needs no answer" }).click();
    await lead.page.getByRole("link", { name: "Messages", exact: true }).waitFor();
  });

  it("stops what has a field in braces, and takes a message back", async () => {
    const { page } = lead;
    await page.goto(`${file}?show=messages`);
    const box = page.getByLabel(/^Your message/);
    await box.fill("Until {by}, please.");
    await page.getByText("{by} is not filled in").waitFor();
    expect(await page.getByRole("button", { name: /^Send it/ }).isDisabled()).toBe(true);
    await box.fill("Never mind.");
    await page.getByRole("button", { name: /^Send it/ }).click();
    await page.getByRole("button", { name: "Take it back" }).click();
    await expect.poll(() => box.inputValue()).toBe("Never mind.");
    await expect.poll(() => page.locator(".conversation ol").getByText("Never mind.").count()).toBe(0);
  });

  it("has texts that a lead officer writes, and that name no field that there is not", async () => {
    const { page } = lead;
    await page.goto("/office/texts");
    await page.getByRole("button", { name: "Write a new text" }).click();
    await page.getByLabel("Name of the text, for us").fill("Closed at Christmas");
    await page.getByLabel("English").fill("Dear {nmae}, we are closed until 4 January.");
    await page.getByLabel("French").fill("Bonjour {name}, nous sommes fermés jusqu’au 4 janvier.");
    await page.getByText("There is no field {nmae}.").waitFor();
    await page.getByLabel("English").fill("Dear {name}, we are closed until 4 January.");
    await page.getByRole("button", { name: "Save it" }).click();
    await page.getByRole("heading", { name: "Closed at Christmas" }).waitFor();
    await expectAccessible(page);
  });

  it("sends mails in the words of the office, which are read with a real file first and can be taken back", async () => {
    const { page } = lead;
    const number = file.split("/").at(-1) ?? "";
    await page.goto("/office/texts/mails");
    await expectAccessible(page);
    await page.getByRole("link", { name: /: a message from the office$/ }).click();
    await page.getByLabel("Read it as the mail of file").fill(number);
    await page.getByRole("button", { name: "Show" }).click();
    await page.getByText(`Values of ${number}`).waitFor();
    await page.getByText("Both of your degrees count.").first().waitFor();
    await page.getByLabel("Text, English").fill("{text}\n\nSee {lnk}.");
    await page.getByText("This mail has no field {lnk}.").waitFor();
    await page.getByLabel("Text, English").fill("{text}");
    await page.getByText("Leave {link} somewhere in the text").waitFor();
    await page.getByLabel("Text, English").fill("{text}\n\nIt's all there: {link}");
    await page.getByLabel("Subject, English").fill("{number}: we have written to you");
    await expectAccessible(page);
    await page.getByRole("button", { name: "Send it in these words from now on" }).click();
    await page.getByRole("heading", { name: "Versions" }).waitFor();
    await page.goto(`${file}?show=messages`);
    await page.getByLabel(/^Your message/).fill("In other words.");
    await page.getByRole("button", { name: /^Send it/ }).click();
    await expect
      .poll(() => readMail(applicant, APPLICANT, `${number}: we have written to you`).catch(() => ""), {
        timeout: 60_000,
      })
      .toContain("It’s all there: http");
    // What went before keeps its words.
    await page.goto("/office/texts/mails/written");
    await page.getByRole("button", { name: "Back to the words that came with Unvex" }).click();
    await page.getByText("went back to the words that came with Unvex").waitFor();
    await page.goto(`${file}?show=messages`);
    await page.getByText(`${number}: we have written to you`).waitFor();
  });
});
