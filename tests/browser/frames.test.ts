import pg from "pg";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { newPerson, type Person, signIn } from "../support/browser";
import { type Demo, openDemo } from "../support/demo";

/** What goes wrong or takes long stays in its own part of the page: the frame around it can be used at once. */
describe("errors and slow pages", () => {
  let demo: Demo;
  let office: Person;
  let database: pg.Client;
  let number = "";
  const NAME = "Kwabena Osei-Tutu";

  beforeAll(async () => {
    demo = await openDemo("frames");
    database = new pg.Client({ connectionString: demo.databaseUrl });
    await database.connect();
    office = await newPerson(demo);
    await signIn(office, "r.okonjo@merrow.example");
    const { rows } = await database.query("select application_id as id, number from file_standing where name = $1", [
      NAME,
    ]);
    number = rows[0].number;
    // Nothing that people can do makes such a round: it stands for a defect of ours that one file alone has.
    await database.query(
      `with odd as (insert into round (intake_id, key, opens_at, closings, promise_days)
         select intake_id, 'odd', opens_at, '5', 1 from round where id = (select round_id from choice where application_id = $1 limit 1) returning id)
       update choice set round_id = odd.id from odd where application_id = $1`,
      [rows[0].id],
    );
  });
  afterAll(async () => {
    await database.end();
    await demo.close();
  });

  it("a file that cannot be shown leaves the head and the list usable, and its number leads to the log", async () => {
    const { page } = office;
    await page.goto(`/office/files/${number}`);
    const alert = page.getByRole("alert").filter({ hasText: "Something went wrong on our side" });
    await alert.waitFor();
    const id = /number ([0-9a-f]{16})/u.exec(await alert.innerText())?.[1] ?? "";
    await expect.poll(() => demo.log()).toContain(`"digest":"${id}"`);
    const line =
      demo
        .log()
        .split("\n")
        .find((l) => l.startsWith("{") && l.includes(id)) ?? "{}";
    const note = JSON.parse(line);
    expect(note).toMatchObject({ msg: "defect", digest: id, error: { name: "TypeError" } });
    expect(note.error.stack.length).toBeGreaterThan(0);
    expect(line).not.toContain("Kwabena");
    await page.getByRole("button", { name: /^Turns/ }).click();
    await page.getByRole("link", { name: /^Drafts/ }).click();
    await page.getByRole("heading", { name: "Drafts" }).waitFor();
    await page.goBack();
    await page.getByRole("link", { name: "To the turns" }).click();
    await page.locator(".turn-list li").first().waitFor();
  });

  it("the small view of such a file says so, and the list goes on", async () => {
    const { page } = office;
    await page.goto("/office");
    const line = page.locator(".turn-list li").filter({ hasText: NAME });
    await line.locator(".deed").click();
    await page
      .locator(".peek")
      .getByText(/could not be looked into \([0-9a-f]{16}\)/u)
      .waitFor();
    await page.keyboard.press("j");
    await page.locator(".peek").getByRole("heading", { name: "What is here" }).waitFor();
    expect(await page.locator(".turn-list ~ [aria-live]").innerText()).toMatch(/line \d+ of \d+$/u);
  });

  it("a press that gets no answer leaves the page and what was typed, and counts when it is pressed again", async () => {
    const person = await newPerson(demo);
    const { page } = person;
    await signIn(person, "t.breen@merrow.example");
    await page.getByRole("link", { name: "Ilse Maarteen-Quist" }).click();
    await page.getByRole("link", { name: "Choices", exact: true }).click();
    await page.getByRole("button", { name: "Where else would this stand?" }).click();
    await page.getByRole("button", { name: "Put it on MTE" }).first().click();
    await page.getByLabel("Why", { exact: true }).fill("The embassy was closed.");
    await page.route("**/office/files/**", (route) =>
      route.request().method() === "POST" ? route.abort() : route.continue(),
    );
    await page.getByRole("button", { name: "Put it there" }).click();
    await page.getByText("Our records cannot be reached at the moment. Nothing was done").waitFor();
    expect(await page.getByLabel("Why", { exact: true }).inputValue()).toBe("The embassy was closed.");
    await page.unroute("**/office/files/**");
    await page.getByRole("button", { name: "Put it there" }).click();
    await page.getByLabel("Why", { exact: true }).waitFor({ state: "detached" });
    await page.getByText("Our records cannot be reached at the moment").waitFor({ state: "detached" });
    await person.context.close();
  });

  it("a link is answered for before its address is looked up, so that the time tells nobody whether it is known", async () => {
    const { page, context } = await newPerson(demo);
    await page.goto("/lost-password");
    await database.query("begin");
    await database.query("lock table person, auth_user, mail_link, message in access exclusive mode");
    for (const email of ["r.okonjo@merrow.example", "nobody@elsewhere.example"]) {
      await page.goto("/lost-password");
      await page.getByLabel("E-mail").fill(email);
      await page.getByRole("button", { name: "Mail me a link" }).click();
      await page.getByText(/If the address is right/u).waitFor();
    }
    await database.query("rollback");
    const sent = () =>
      database.query(
        "select 1 from message where to_address = 'r.okonjo@merrow.example' and template like '%password%'",
      );
    await expect.poll(async () => (await sent()).rowCount).toBe(1);
    await context.close();
  });

  it("its applicant keeps the way to everything else", async () => {
    const applicant = await newPerson(demo);
    await signIn(applicant, "kwabena.oseitutu@people.example");
    await applicant.page.goto(`/my/${number}`);
    await applicant.page.getByRole("alert").getByText("What you typed is kept.", { exact: false }).waitFor();
    await applicant.page.getByRole("link", { name: "My applications" }).click();
    await applicant.page.getByRole("heading", { name: "My applications" }).waitFor();
    await applicant.context.close();
  });

  it("a slow page is said to be on its way at once, the frame can be used, and it comes", async () => {
    const { page } = office;
    await page.goto("/office/rulings");
    await page
      .getByRole("heading", { name: /Rulings/u })
      .first()
      .waitFor();
    await database.query("begin");
    await database.query("lock table file_standing in access exclusive mode");
    await page.getByRole("button", { name: /^Turns/ }).click();
    await page.getByRole("link", { name: /^Turns/ }).click();
    await page.getByRole("status").filter({ hasText: "Loading …" }).waitFor();
    expect(await page.getByRole("button", { name: /^Plan/ }).isVisible()).toBe(true);
    expect(
      await page
        .getByRole("heading", { name: /Rulings/u })
        .first()
        .isVisible(),
    ).toBe(true);
    await database.query("rollback");
    await page.locator(".turn-list li").first().waitFor();
  });
});
