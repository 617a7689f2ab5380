import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { expectAccessible } from "../support/accessible";
import { choose, newPerson, type Person, signIn } from "../support/browser";
import { type Demo, openDemo } from "../support/demo";

/** The list of files as an officer works with it: narrowed, kept under a name, and worked through at once. */
describe("lists of files", () => {
  let demo: Demo;
  let lead: Person;
  let officer: Person;

  beforeAll(async () => {
    demo = await openDemo("lists");
    [lead, officer] = [await newPerson(demo), await newPerson(demo)];
    await signIn(lead, "t.breen@merrow.example");
    await signIn(officer, "p.hennessy@merrow.example");
  });
  afterAll(() => demo.close());

  const lines = (page: Person["page"]) => page.locator(".turn-list ol > li");
  const counted = async (page: Person["page"]) =>
    Number(/^(\d+) files?/u.exec((await page.locator(".turn-list header .quiet").first().textContent()) ?? "")?.[1]);

  it("is narrowed by what its files have, with a key, and its parts are taken away again", async () => {
    const { page } = lead;
    await page.goto("/office");
    await page.getByRole("heading", { name: "Ours" }).waitFor();
    const all = await counted(page);
    await page.keyboard.press("n");
    const value = page.getByRole("link", { name: /^MTE Tidal Energy Systems \d+$/ });
    const [, held] = /(\d+)$/u.exec((await value.textContent()) ?? "") ?? [];
    await expectAccessible(page);
    await value.click();
    await page.getByRole("link", { name: "MTE Tidal Energy Systems, take this away" }).waitFor();
    expect([await counted(page), await lines(page).count()]).toEqual([Number(held), Number(held)]);
    expect(Number(held)).toBeLessThan(all);
    await page.keyboard.press("n");
    await page.getByRole("link", { name: /^Degree certificate: to check \d+$/ }).click();
    await page.getByRole("link", { name: "Degree certificate: to check, take this away" }).waitFor();
    expect(await counted(page)).toBeLessThan(Number(held));
    await page.getByRole("link", { name: "Degree certificate: to check, take this away" }).click();
    await expect.poll(() => counted(page)).toBe(Number(held));
  });

  it("says on the page of clocks how long files wait for what, and leads to those that wait", async () => {
    const { page } = lead;
    await page.goto("/office");
    await page.getByRole("heading", { name: "Ours" }).waitFor();
    await page.keyboard.press("g");
    await page.keyboard.press("q");
    await page.getByRole("heading", { name: /^Clocks/ }).waitFor();
    await expectAccessible(page);
    const row = page.getByRole("row", { name: /^Evidence to check \d+/ });
    const [, held] = /check\s(\d+)/u.exec((await row.innerText()) ?? "") ?? [];
    const mine = page.getByRole("row", { name: /^MES MSc Estuary Science/ });
    expect(await mine.innerText()).toMatch(/\b7\b.*published/su);
    await row.getByRole("link", { name: "Evidence to check" }).click();
    await page.getByRole("heading", { name: "Evidence to check" }).waitFor();
    await expect.poll(() => counted(page)).toBe(Number(held));
    await page.goto("/programmes/MES");
    await page.getByText("Of 7 decisions so far, half took us at most").waitFor();
    await page.goto("/programmes/MTE");
    await page.getByRole("heading", { name: "When to apply" }).waitFor();
    expect(await page.getByText("decisions so far").count()).toBe(0);
  });

  it("is given by the office’s rules to whoever has fewest, and to who stands in while somebody is away", async () => {
    const { page } = lead;
    await page.goto("/office");
    await page.getByRole("heading", { name: "Ours" }).waitFor();
    await page.keyboard.press("g");
    await page.keyboard.press("j");
    await page.getByRole("heading", { name: /^Assigning/ }).waitFor();
    await expectAccessible(page);
    await page.getByRole("button", { name: "Rule 4: up" }).click();
    await page.getByRole("button", { name: "Rule 3: take away" }).click();
    await page.getByLabel("Rule 1: family names up to").fill("k");
    await page.getByRole("button", { name: "Add a rule" }).click();
    await page.getByRole("button", { name: "Save the rules" }).click();
    await page.getByText("Not saved: look at the marked fields.").waitFor();
    await page.getByRole("button", { name: "Rule 4: take away" }).click();
    await page.getByRole("button", { name: "Save the rules" }).click();
    await page.getByText("Saved.").waitFor();
    await page.reload();
    expect(await page.getByLabel("Rule 1: family names up to").inputValue()).toBe("K");
    expect(await page.getByRole("button", { name: /^Rule \d: take away$/ }).count()).toBe(3);
    await choose(page, "Who stands in", "Solveig Arrindell");
    await page.getByRole("button", { name: "Note it" }).click();
    await page.getByText("Give the first day.").waitFor();
    await page.goto("/office?turn=office&officer=nobody");
    await lines(page).first().waitFor();
    await page.keyboard.press("x");
    await page.keyboard.press("h");
    await choose(page, "Into whose hands", "By the office’s rules");
    await page.getByRole("button", { name: "See what would happen" }).click();
    await page.getByText(/^To (Runa Okonjo|Padraig Hennessy)\.$/).waitFor();
    await page.keyboard.press("Escape");
  });

  it("is kept under a name, for all officers, and taken away again", async () => {
    const { page } = lead;
    await page.goto("/office?turn=office&with=programme%3AMTE");
    await page.getByRole("button", { name: "Keep as a list of its own" }).click();
    await page.getByLabel("Name of this list").fill("Tidal, ours");
    await page.getByLabel("for all officers").check();
    await page.getByRole("button", { name: "Keep it" }).click();
    await page.getByRole("link", { name: /^Tidal, ours/ }).waitFor();
    await officer.page.goto("/office");
    await officer.page.getByRole("link", { name: /^Tidal, ours · Tadhg Breen/ }).click();
    await officer.page.getByRole("heading", { name: "Tidal, ours" }).waitFor();
    expect(await officer.page.getByRole("button", { name: /^Take the list/ }).count()).toBe(0);
    await page.getByRole("button", { name: "Take the list Tidal, ours away" }).click();
    await expect.poll(() => page.getByRole("link", { name: /^Tidal, ours/ }).count()).toBe(0);
  });

  it("is worked through at once: looked at first, done, and taken back", async () => {
    const { page } = lead;
    await page.goto("/office?turn=office&with=programme%3AMTE&officer=nobody");
    await lines(page).first().waitFor();
    const before = await lines(page).count();
    await page.keyboard.press("Shift+x");
    await page.getByText(`${before} marked`).waitFor();
    await page.keyboard.press("h");
    await choose(page, "Into whose hands", "Padraig Hennessy");
    await page.getByRole("button", { name: "See what would happen" }).click();
    await page.getByText(`It will be done in ${before} files.`).waitFor();
    await expectAccessible(page);
    await page.getByRole("button", { name: `Hand on in ${before} files` }).click();
    await page.getByText(`Hand on: done in ${before} files.`).waitFor();
    await expect.poll(() => lines(page).count()).toBe(0);
    await officer.page.goto("/office?turn=office&with=programme%3AMTE&mine=1");
    expect(await lines(officer.page).count()).toBe(before);
    expect(await officer.page.locator(".hands").first().textContent()).toBe("PH");
    await page.getByRole("button", { name: "Take it back" }).click();
    await expect.poll(() => lines(page).count()).toBe(before);
  });

  it("shows what others do without being loaded again, and the line under the cursor stays where it is", async () => {
    const list = "/office?turn=office&officer=nobody";
    const { page } = lead;
    await page.goto(list);
    await lines(page).nth(3).waitFor();
    for (let i = 0; i < 3; i += 1) await page.keyboard.press("j");
    const here = page.locator('.turn-list li[data-cursor="true"]');
    const stands = async () => [
      await here.locator(".name").textContent(),
      Math.round((await here.boundingBox())?.y ?? 0),
    ];
    const before = await stands();
    const names = await page.locator(".turn-list .name").allTextContents();
    expect(before[0]).toBe(names[3]);
    // Somebody else takes the first of them: it is not nobody's any more.
    await officer.page.goto(list);
    await lines(officer.page).first().waitFor();
    await officer.page.keyboard.press("t");
    await officer.page.getByText("1 file is in your hands.").waitFor();
    await page.getByText(`The list has changed: ${names[0]} went.`).waitFor();
    expect(await page.locator(".turn-list .name").allTextContents()).toEqual(names.slice(1));
    expect(await stands()).toEqual(before);
    await page.keyboard.press("k");
    expect((await stands())[0]).toBe(names[2]);
  });

  it("asks and reminds in many files, and says where it does not and why", async () => {
    const { page } = lead;
    await page.goto("/office?turn=applicant");
    await lines(page).first().waitFor();
    const all = await lines(page).count();
    await page.keyboard.press("Shift+x");
    await page.keyboard.press("e");
    await page.getByLabel("A word of your own, if you like").fill("The office closes at Christmas.");
    await page.getByRole("button", { name: "See what would happen" }).click();
    await page.getByText(/^It will be done in .*, and not in .*\.$/).waitFor();
    await page.getByText("Not: It is not submitted yet.").first().waitFor();
    await page.getByRole("button", { name: /^Remind in / }).click();
    const said = (await page.getByText(/^Remind: done in /).textContent()) ?? "";
    const done = Number(/done in (\d+)/u.exec(said)?.[1]);
    expect(done).toBeGreaterThan(1);
    expect(done).toBeLessThan(all);
  });

  it("begins the day with what came in, what is due, what is stuck and what is almost sent", async () => {
    const { page } = lead;
    await page.goto("/office");
    const today = page.locator(".day-lists").first();
    for (const name of ["Came in since yesterday", "Due this week", "Stuck with others"]) {
      const link = today.getByRole("link", { name: new RegExp(`^${name}`, "u") });
      const [, count] = /(\d+)$/u.exec((await link.textContent()) ?? "") ?? [];
      await link.click();
      await page.getByRole("heading", { name, exact: true }).waitFor();
      expect([name, await counted(page)]).toEqual([name, Number(count)]);
    }
    await today.getByRole("link", { name: /^Came in/ }).click();
    await page.getByRole("button", { name: "I have seen these" }).click();
    await page.getByRole("heading", { name: "Came in since my last look", exact: true }).waitFor();
    await expect.poll(() => counted(page)).toBe(0);
    await page.getByRole("button", { name: "Take my last look back" }).click();
    await page.getByRole("heading", { name: "Came in since yesterday", exact: true }).waitFor();
    await expect.poll(() => counted(page)).toBeGreaterThan(0);
    await today.getByRole("link", { name: /^Almost sent/ }).click();
    await page.getByRole("row", { name: /Sólveig Brynjarsdóttir/ }).waitFor();
  });

  it("is ordered otherwise, and keeps that in the address", async () => {
    const { page } = lead;
    await page.goto("/office?turn=office");
    const first = await lines(page).first().locator(".name").textContent();
    await page.getByLabel("Order of the list").click();
    await page.locator(".ant-select-item-option", { hasText: "latest arrival first" }).click();
    await page.waitForURL(/order=newest/u);
    await expect.poll(() => lines(page).first().locator(".name").textContent()).not.toBe(first);
  });

  it("finds by a referee with a typing error, and says how", async () => {
    const { page } = lead;
    await page.goto("/office?find=finegan");
    await page.getByText("Nothing is called exactly so. These are close to it.").waitFor();
    await page.getByText("referee: dr orla finnegan").first().waitFor();
  });

  it("is of what is noted for oneself, and of a mark; two who have a file open see each other", async () => {
    const { page } = lead;
    await page.goto("/office?day=me");
    const link = page.getByRole("link", { name: "Yuki Tanemura" });
    const file = (await link.getAttribute("href")) ?? "";
    await link.click();
    await page.getByText("Would you read both before I ask?").waitFor();
    await officer.page.goto(file);
    await officer.page.getByText("Tadhg Breen has this file open, too.").waitFor();
    await officer.page.keyboard.press("w");
    await officer.page.getByLabel("Note for the office; the applicant never sees it").fill("I have read them: ask.");
    await officer.page.getByRole("button", { name: /^Keep the note/ }).click();
    await officer.page.getByText("I have read them: ask.").waitFor();
    await officer.page.getByText("Tadhg Breen (read)").waitFor();
    await officer.page.getByRole("button", { name: "Mark it" }).click();
    await officer.page.getByLabel("Mark", { exact: true }).fill("lent words");
    await officer.page.getByRole("button", { name: "Put it on" }).click();
    await officer.page.getByRole("button", { name: "Take the mark lent words off" }).waitFor();
    await expectAccessible(officer.page);
    await page.goto("/office?day=me");
    await page.getByText(/^Nothing waits here/).waitFor();
    await page.goto("/office?turn=office");
    await expect
      .poll(async () => {
        await page.keyboard.press("n");
        return page.getByRole("link", { name: "lent words 1" }).count();
      })
      .toBe(1);
    await page.getByRole("link", { name: "lent words 1" }).click();
    await page.getByRole("link", { name: "Marked lent words, take this away" }).waitFor();
    expect(await lines(page).count()).toBe(1);
  });
});
