import path from "node:path";
import pg from "pg";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { expectAccessible } from "../support/accessible";
import { newPerson, type Person, signIn } from "../support/browser";
import { type Demo, openDemo } from "../support/demo";

/** References that do not come by themselves: what a referee answers instead, and what the office does. */
describe("references that are waited for", () => {
  let demo: Demo;
  let pool: pg.Pool;
  let officer: Person;
  let referee: Person;

  /** A request that nobody has answered, and a link to it out of the mail stand-in. */
  let waiting: { readonly number: string; readonly link: string };

  beforeAll(async () => {
    demo = await openDemo("references");
    pool = new pg.Pool({ connectionString: demo.databaseUrl, max: 1 });
    const { rows } = await pool.query<{ number: string; body: string }>(
      `select s.number, t.body from reference_request r join file_standing s on s.application_id = r.application_id
         join message m on m.application_id = r.application_id and m.to_address = r.email and m.template = 'reference-asked' join tray_mail t on t.message_id = m.id
       where r.state = 'asked' and r.more_until is null and s.stage = 'submitted' order by s.number limit 1`,
    );
    const [row] = rows;
    if (!row) throw new Error("the demo waits for no reference");
    waiting = { number: row.number, link: /\/reference\/[\w-]+/u.exec(row.body)?.[0] ?? "" };
    officer = await newPerson(demo);
    await signIn(officer, "t.breen@merrow.example");
    referee = await newPerson(demo);
  });
  afterAll(async () => {
    await pool.end();
    await demo.close();
  });

  const list = (name: string) => officer.page.goto(`/office/references?list=${encodeURIComponent(name)}`);
  const line = (said: string) => officer.page.locator(".chased", { hasText: said });

  it("say by when they are wanted, and keep what is written when the page is left", async () => {
    const { page } = referee;
    await page.goto(waiting.link);
    await page.getByText(/^It is wanted by/u).waitFor();
    // One column, as every page of one sheet.
    expect(await page.evaluate("getComputedStyle(document.querySelector('.sheet')).columnCount")).toBe("auto");
    await expectAccessible(page);
    await page.getByRole("button", { name: "Begin" }).click();
    await page.getByLabel("How do you know the applicant, and for how long?").fill("As her teacher, two years");
    await page.getByLabel("very good").check();
    await page.getByText("Saved.", { exact: true }).waitFor();
    await page.reload();
    expect(await page.getByLabel("How do you know the applicant, and for how long?").inputValue()).toBe(
      "As her teacher, two years",
    );
    expect(await page.getByLabel("very good").isChecked()).toBe(true);
  });

  it("may be late by agreement: the referee asks for time, and the office gives it", async () => {
    const { page } = referee;
    await page.getByRole("button", { name: "I need more time" }).click();
    await page.getByLabel("Until").fill("3 March 2099");
    await page.getByLabel("A word about it (may stay empty)").fill("The field season has begun.");
    await page.getByRole("button", { name: "Ask for it" }).click();
    await page.getByText("You have asked for time until 3 Mar 2099.").waitFor();
    await list("more time");
    await line(waiting.number).getByText("Asks for time until 3 Mar 2099").first().waitFor();
    await expectAccessible(officer.page);
    await line(waiting.number).getByText("The field season has begun.").waitFor();
    await line(waiting.number).getByRole("button", { name: "More time" }).click();
    await line(waiting.number).getByRole("button", { name: "Give time until then" }).click();
    await line(waiting.number).waitFor({ state: "detached" });
    await list("waiting");
    await line(waiting.number).getByText("by 3 Mar 2099").waitFor();
    await line(waiting.number).getByText("begun to write").waitFor();
  });

  it("are sent again, and stand so in the file, where their address is corrected", async () => {
    const { page } = officer;
    await line(waiting.number).getByRole("button", { name: "Send again" }).click();
    await line(waiting.number)
      .getByText(/^Sent again to/u)
      .waitFor();
    await line(waiting.number)
      .getByText(/reminded once/u)
      .waitFor();
    await page.goto(`/office/files/${waiting.number}`);
    await page.locator(".requirements button", { hasText: "reference" }).first().click();
    await page.getByRole("button", { name: "Correct who it is" }).click();
    await page.getByLabel("Right address").fill("right.one@halden-sound.example");
    await page.getByLabel("How you know it").fill("The institute’s page has it.");
    await page.getByRole("button", { name: "Correct it and send" }).click();
    await page.getByText("The request goes to right.one@halden-sound.example.").waitFor();
    await referee.page.goto(waiting.link);
    await referee.page.getByRole("heading", { name: "This link has ended." }).waitFor();
  });

  it("whose time is over can still be offered: the referee asks the office for time", async () => {
    await pool.query(
      `with late as (update reference_request set due_at = now() - interval '40 days', ends_at = now() - interval '1 day' where state = 'asked'
         and id in (select r.id from reference_request r join file_standing s on s.application_id = r.application_id where s.number = $1) returning id)
       insert into reference_link (token_hash, request_id, at) select encode(sha256('late'), 'hex'), id, now() from late`,
      [waiting.number],
    );
    const { page } = referee;
    await page.goto("/reference/late");
    await page.getByText(/^The time of this link is over/u).waitFor();
    await expectAccessible(page);
    await page.getByLabel("Until").fill("5 May 2099");
    await page.getByRole("button", { name: "Ask for it" }).click();
    await page.getByText("You have asked for time until 5 May 2099.").waitFor();
  });

  it("that came on paper are put in with their day", async () => {
    const { page } = officer;
    await page.getByRole("button", { name: "Put in a letter that came" }).click();
    await page.getByLabel("It came on").fill("1 November 2026");
    await page.getByLabel("It came on").press("Tab");
    await page.locator(".request-work input[type=file]").setInputFiles(path.resolve("tests/fixtures/files/good.pdf"));
    await page.getByText(/^Put in by Tadhg Breen/u).waitFor();
    await page.getByText(/given on/u).waitFor();
    await list("given");
    await line("right.one@halden-sound.example").getByText("given", { exact: true }).waitFor();
  });

  it("that cannot be given are declined with a reason, which the office reads", async () => {
    await list("failed");
    await officer.page.getByText("Said no: has no time: “I retire in December.”").waitFor();
    await expectAccessible(officer.page);
    expect([...officer.complaints, ...referee.complaints]).toEqual([]);
  });
});
