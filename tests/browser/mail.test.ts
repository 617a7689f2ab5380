import path from "node:path";
import pg from "pg";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { expectAccessible } from "../support/accessible";
import { newPerson, type Person, signIn, take } from "../support/browser";
import { type Demo, openDemo } from "../support/demo";

const PHONE = { width: 390, height: 844 };
const APPLICANT = "lotte.kerremans@people.example";
const PDF = path.join(process.cwd(), "tests/fixtures/files/good.pdf");

/** Documents that go with messages, answers by mail, mail that nobody can place by itself, and mail that comes back. */
describe("mail and messages", () => {
  let demo: Demo;
  let pool: pg.Pool;
  let officer: Person;
  let applicant: Person;
  let number = "";

  beforeAll(async () => {
    demo = await openDemo("mail");
    pool = new pg.Pool({ connectionString: demo.databaseUrl, max: 1 });
    const { rows } = await pool.query<{ number: string }>(
      "select a.number from application a join person p on p.id = a.person_id where p.email = $1",
      [APPLICANT],
    );
    number = rows[0]?.number ?? "";
    [officer, applicant] = [await newPerson(demo), await newPerson(demo, PHONE)];
    await signIn(officer, "t.breen@merrow.example");
    await signIn(applicant, APPLICANT);
  });
  afterAll(async () => {
    await pool.end();
    await demo.close();
  });

  it("keeps a document with the message that is being written, and sends both", async () => {
    const { page } = applicant;
    await page.goto(`/my/${number}/conversation`);
    await page.getByLabel("Your message").fill("My new passport, and a question.");
    await page.locator("input[type=file]").setInputFiles(PDF);
    await page.getByRole("link", { name: "good.pdf" }).waitFor();
    await page.locator("input[type=file]").setInputFiles(path.join(process.cwd(), "tests/fixtures/files/letter.docx"));
    await page.getByText(/^letter\.docx: /).waitFor();
    // Who leaves and comes back finds what they wrote and chose.
    await page.goto("/my");
    await page.goto(`/my/${number}/conversation`);
    await page.getByRole("link", { name: "good.pdf" }).waitFor();
    await expect.poll(() => page.getByLabel("Your message").inputValue()).toBe("My new passport, and a question.");
    await expectAccessible(page);
    expect(await page.evaluate("document.documentElement.scrollWidth")).toBe(PHONE.width);
    await page.getByRole("button", { name: "Send it" }).click();
    await page.getByText("Your message is with the office.").waitFor();
    await page.getByRole("list", { name: "Documents with this message" }).getByText("good.pdf").waitFor();
    await expect.poll(() => page.getByRole("button", { name: "Remove: good.pdf" }).count()).toBe(0);
  });

  it("puts the document where it belongs, and asks for something because of the message, which answers it", async () => {
    const { page } = officer;
    await page.goto(`/office/files/${number}?show=messages`);
    await page.getByText("My new passport, and a question.").waitFor();
    await take(page, "Put good.pdf to a requirement", "Passport or identity card");
    await page.getByText("stands at a requirement").waitFor();
    await expectAccessible(page);
    await page.getByRole("link", { name: "Ask for something because of this" }).click();
    await page.getByText("They wrote:").waitFor();
    await take(page, "Add", "A question");
    await page.getByLabel("Question: A question").fill("Which of the two is valid longer?");
    await page.getByRole("button", { name: /^Send/ }).click();
    await expect.poll(() => page.getByText("They wrote:").count()).toBe(0);
    await page.goto(`/office/files/${number}?show=messages`);
    await page.getByRole("link", { name: "Messages", exact: true }).waitFor();
    expect(await page.getByText("to answer", { exact: true }).count()).toBe(0);
  });

  it("takes an answer by mail into the conversation", async () => {
    const { page } = applicant;
    await page.goto(`/stand-in/tray?to=${APPLICANT}`);
    const mail = page.locator("article.mail").first();
    await mail.getByText("Answer it").click();
    await mail.getByLabel("Text").fill("The second one.\n\n> Which of the two is valid longer?");
    await mail.getByLabel("Documents").setInputFiles(PDF);
    await mail.getByRole("button", { name: "Send" }).click();
    await page.getByText("It is on its way to the office.").waitFor();
    await expect
      .poll(async () => {
        await officer.page.goto(`/office/files/${number}?show=messages`);
        return officer.page.getByText("The second one.").count();
      })
      .toBeGreaterThan(0);
    await officer.page.getByText("The whole mail, from").first().click();
    await officer.page.getByText("> Which of the two is valid longer?").waitFor();
    await page.goto(`/my/${number}/conversation`);
    await page.getByText(", by mail").waitFor();
  });

  it("has mail that nobody can place by itself wait for somebody who does", async () => {
    const { page } = officer;
    await page.goto("/office/mail-in");
    const stray = page.locator(".mail-in > li").filter({ hasText: "My son has applied" });
    await stray.waitFor();
    await expectAccessible(page);
    await stray.getByRole("textbox", { name: "File" }).fill("27-99999");
    await stray.getByRole("button", { name: /^With the file/ }).click();
    await stray.getByText("There is no file with this number").waitFor();
    await stray.getByRole("textbox", { name: "File" }).fill(number.replace("-", " "));
    await stray.getByRole("button", { name: /^With the file/ }).click();
    await expect.poll(() => stray.count()).toBe(0);
    await page.goto(`/office/files/${number}?show=messages`);
    await page.getByText("mother.of.an.applicant@people.example").waitFor();
  });

  it("says when a mail came back, and sends it to the right address", async () => {
    await pool.query("update person set email = 'lotte@late.bounce.example' where email = $1", [APPLICANT]);
    const { page } = officer;
    await page.goto(`/office/files/${number}?show=messages`);
    await page.getByLabel(/^Your (answer|message)/).fill("Thank you.");
    await page.getByRole("button", { name: /^Send/ }).click();
    await expect
      .poll(
        async () => {
          await page.goto(`/office/files/${number}?show=messages`);
          return page.getByText("came back: nobody is known there").count();
        },
        { timeout: 120_000, interval: 2000 },
      )
      .toBe(1);
    await expectAccessible(page);
    await page.getByRole("button", { name: "Correct the address" }).click();
    await page.getByLabel("Right address").fill("lotte at new.example");
    await page.getByRole("button", { name: "Correct it" }).click();
    await page.getByText("This is no address of a mailbox.").waitFor();
    await page.getByLabel("Right address").fill("Lotte@new.example");
    await page.getByLabel("How you know that it is theirs").fill("Called the number in the form.");
    await page.getByRole("button", { name: "Correct it" }).click();
    await page.getByText("They sign in with Lotte@new.example now").waitFor();
    await page.getByText("Mails go to").waitFor();
    await page.getByText("corrected lotte@late.bounce.example to lotte@new.example").waitFor();
  });
});
