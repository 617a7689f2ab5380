import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { expectAccessible } from "../support/accessible";
import { newPerson, type Person, signIn } from "../support/browser";
import { type Demo, openDemo } from "../support/demo";

/** The pages of what was sent: found, held beside others, and sorted to where they belong. */
describe("the pages of a document", () => {
  let demo: Demo;
  let officer: Person;

  const requirement = (title: string) => officer.page.locator(".requirements button", { hasText: title }).first();

  beforeAll(async () => {
    demo = await openDemo("pages");
    officer = await newPerson(demo);
    await signIn(officer, "t.breen@merrow.example");
    await officer.page.goto("/office?turn=office&reason=check");
    await officer.page.getByRole("link", { name: "Joaquín Berenguer Sol" }).click();
    await requirement("Degree certificate").click();
    await officer.page.getByRole("navigation", { name: "Pages" }).waitFor();
  });
  afterAll(() => demo.close());

  it("stand small beside the one that is shown, and lead to it", async () => {
    const { page } = officer;
    await page.getByRole("button", { name: "Page 2", exact: true }).click();
    await page.getByRole("region", { name: "Degree certificate, page 2" }).getByText("Academic record").waitFor();
    await expectAccessible(page);
  });

  it("are found by words that stand on them, marked there, and said to be nowhere where they are not", async () => {
    const { page } = officer;
    await page.keyboard.press("b");
    const find = page.getByLabel("Find in the document");
    await find.fill("CRÉDITS");
    await page.getByText("on 1 page, ↵ next").waitFor();
    await find.press("Enter");
    await page.locator(".textLayer mark", { hasText: "Credits" }).waitFor();
    await find.fill("no such words");
    await page.getByText("nowhere").waitFor();
    await find.fill("");
  });

  it("are turned together with those of another document beside them", async () => {
    const { page } = officer;
    await page.locator("h1").click();
    await page.keyboard.press("v");
    await page.locator(".beside").getByText("passport.pdf").first().waitFor();
    expect(await page.locator(".viewer").count()).toBe(2);
    await expectAccessible(page);
    await page.keyboard.press("v");
    await expect.poll(() => page.locator(".viewer").count()).toBe(1);
  });

  it("are cut into parts and filed where they belong, by dragging or from the list", async () => {
    const { page } = officer;
    await page.keyboard.press("p");
    expect(await page.getByRole("button", { name: "File it there" }).isDisabled()).toBe(true);
    await page.getByRole("button", { name: "Cut before page 2" }).click();
    const from = await page.locator(".part .grip").nth(1).boundingBox();
    const to = await page.locator(".targets li", { hasText: "Transcript of records" }).boundingBox();
    if (!from || !to) throw new Error("nothing to drag");
    await page.mouse.move(from.x + 5, from.y + 5);
    await page.mouse.down();
    await page.mouse.move(from.x + 40, from.y + 20, { steps: 4 });
    await page.mouse.move(to.x + 20, to.y + 10, { steps: 8 });
    await page.locator(".targets li[data-over=true]", { hasText: "Transcript of records" }).waitFor();
    await page.mouse.up();
    await page.locator(".part").nth(1).getByText("Transcript of records").waitFor();
    await expectAccessible(page);
    await page.getByRole("button", { name: "File these 2 parts" }).click();
    await requirement("Degree certificate").getByText("1 page").waitFor();
    await requirement("Transcript of records").getByText("2 pages").waitFor();
  });

  it("are put together again as long as nobody has judged a part", async () => {
    const { page } = officer;
    await page.getByRole("button", { name: "Put it together again" }).click();
    await requirement("Degree certificate").getByText("2 pages").waitFor();
  });

  it("of several documents are laid in order, turned and made one, which can be taken apart again", async () => {
    const { page } = officer;
    await page.locator("h1").click();
    await page.keyboard.press("Shift+P");
    const laid = page.getByRole("list", { name: "The new document" });
    await expect.poll(() => laid.getByRole("listitem").count()).toBe(2);
    await page.locator(".join-source summary", { hasText: "Motivation" }).click();
    await page.getByRole("button", { name: /^Add page 1 of motivation/u }).click();
    await expect.poll(() => laid.getByRole("listitem").count()).toBe(3);
    await page.getByRole("button", { name: /^Take page 1 of certificate/u }).click();
    await page.getByText("is not in it, and stays in what was sent").waitFor();
    const grip = page.getByRole("button", { name: /^Move page 1 of motivation/u });
    await grip.focus();
    await page.keyboard.press("Space");
    const said = () => page.locator("[id^=DndLiveRegion]").first().textContent();
    await expect.poll(said).toMatch(/^page 1 of motivation\.pdf (?:taken up|at place 2 of 2)$/u);
    await page.keyboard.press("ArrowLeft");
    await expect.poll(said).toBe("page 1 of motivation.pdf at place 1 of 2");
    await page.keyboard.press("Space");
    await expect
      .poll(() => laid.getByRole("listitem").first().getByRole("button").first().getAttribute("aria-label"))
      .toMatch(/motivation/u);
    await page.getByRole("button", { name: /^Turn page 1 of motivation/u }).click();
    await expectAccessible(page);
    await page.getByRole("button", { name: "Put these 2 pages together" }).click();
    await page.getByText("Put together from pages of").waitFor();
    await requirement("Degree certificate").getByText("2 pages").waitFor();
    await page.getByRole("button", { name: "Take it apart again" }).click();
    await page.getByText("Put together from pages of").waitFor({ state: "detached" });
    expect(officer.complaints).toEqual([]);
  });
});
