import { readFile } from "node:fs/promises";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { newPerson, type Person, signIn } from "../support/browser";
import { type Demo, openDemo } from "../support/demo";

/** What people write, held against each other, and what they say, in figures. */
describe("statements and figures", () => {
  let demo: Demo;
  let lead: Person;
  /** How somebody else's statement begins. */
  let theirs = "";

  beforeAll(async () => {
    demo = await openDemo("statements");
    lead = await newPerson(demo);
    await signIn(lead, "t.breen@merrow.example");
  });
  afterAll(() => demo.close());

  it("two that are alike are found in the turns, read side by side and judged, and the word stands in both files", async () => {
    const { page } = lead;
    await page.goto("/office");
    await expect
      .poll(async () => {
        await page.goto("/office?alike=1");
        return page.getByRole("link", { name: "Yuki Tanemura" }).count();
      })
      .toBe(1);
    await page.getByRole("link", { name: "Yuki Tanemura" }).click();
    await page.getByText(/of \d+ words stand in the statement of .* Hendrika Ravales Koorndijk/).waitFor();
    await page.getByRole("link", { name: "Read them side by side" }).click();
    await page.getByText("The other statement was sent first.").waitFor();
    const [own, other] = ["This statement", "The other statement"].map((name) => page.getByRole("region", { name }));
    const passages = async (side = own) => ((await side?.locator("mark").allInnerTexts()) ?? []).sort();
    expect((await passages()).length).toBeGreaterThan(1);
    expect(await passages(other)).toEqual(await passages());
    theirs = (await other?.locator("p").first().innerText()) ?? "";
    await expect.poll(() => page.getByRole("button", { name: "Copied", exact: true }).isDisabled()).toBe(true);
    await page.getByLabel(/What you see in it/).fill("Two passages, eleven days later.");
    await page.getByRole("button", { name: "Copied", exact: true }).click();
    await page.getByRole("button", { name: "Take back" }).waitFor();
    await other?.getByRole("link", { name: /Hendrika/ }).click();
    await page.getByText(/copied, said Tadhg Breen on .*: Two passages, eleven days later\./).waitFor();
    await page.goto("/office?alike=1");
    await page.getByText("0 files").waitFor();
  });

  it("a writer is warned of words that somebody else handed in, until they are the writer's own", async () => {
    const sentences = theirs
      .split(/(?<=\.)\s/u)
      .slice(0, 3)
      .join(" ");
    const writer = await newPerson(demo);
    await signIn(writer, "mateus.quintelafaria@people.example");
    const { page } = writer;
    await page.goto("/my");
    await page
      .getByRole("link", { name: /Maritime Heritage/ })
      .first()
      .click();
    await page
      .getByRole("link", { name: /Your statement/ })
      .first()
      .click();
    const box = page.getByRole("textbox", { name: "Statement" });
    await box.fill(`Nobody else wrote this. ${sentences}`);
    await box.blur();
    await page.getByText(/\d+ words of this stand word for word in a statement that somebody else handed in/).waitFor();
    await box.fill("Nobody else wrote this, and I say what I saw on the slipway in my own words.");
    await box.blur();
    await page.getByText(/stand word for word/).waitFor({ state: "detached" });
    await page.getByText(/In your own words: statements are held against each other/).waitFor();
  });

  it("figures are read start by start and taken away as CSV", async () => {
    const { page } = lead;
    await page.goto("/office/figures");
    await page.getByRole("heading", { name: /Applicant group/ }).waitFor();
    const residence = page
      .locator("section")
      .filter({ has: page.getByRole("heading", { name: /Country in which you live/ }) });
    await residence.getByText("As a table").click();
    const irish = await residence
      .getByRole("row", { name: /Ireland/ })
      .getByRole("cell")
      .innerText();
    expect(irish).toMatch(/^the files [1-9]\d*$/);
    const drawn = await residence.locator("canvas").evaluate((canvas) => {
      const { width, height } = canvas as HTMLCanvasElement;
      const pixels = (canvas as HTMLCanvasElement).getContext("2d")?.getImageData(0, 0, width, height).data ?? [];
      return pixels.some((value) => value > 0);
    });
    expect(drawn).toBe(true);
    await residence
      .getByRole("row", { name: /Ireland/ })
      .getByRole("link", { name: "the files" })
      .click();
    await page.getByRole("link", { name: "Country in which you live Ireland, take this away" }).waitFor();
    expect(irish).toBe(`the files ${await page.locator(".turn-list ol li").count()}`);
    await page.goBack();
    const [download] = await Promise.all([
      page.waitForEvent("download"),
      page.getByRole("link", { name: "As CSV" }).click(),
    ]);
    const csv = await readFile((await download.path()) ?? "", "utf8");
    expect(csv).toContain("section,question,answer,people");
    expect(csv).toMatch(/Country in which you live,Ireland,\d+/);
  });
});
