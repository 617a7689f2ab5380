import { readFile } from "node:fs/promises";
import sharp from "sharp";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { choose, newPerson, type Person, signIn } from "../support/browser";
import { type Demo, openDemo } from "../support/demo";

/** What an office does around the files: drafts, lists, mails, and a choice that belongs elsewhere. */
describe("intake work", () => {
  let demo: Demo;
  let lead: Person;
  const fileOf = async (name: string): Promise<string> => {
    const { page } = lead;
    await page.goto(`/office?find=${encodeURIComponent(name)}`);
    return (await page.getByRole("link", { name }).first().getAttribute("href")) ?? "";
  };

  beforeAll(async () => {
    demo = await openDemo("intake");
    lead = await newPerson(demo);
    await signIn(lead, "t.breen@merrow.example");
  });
  afterAll(() => demo.close());

  it("a draft shows where it stopped, and its applicant is told what is missing", async () => {
    const { page } = lead;
    await page.goto("/office/drafts?programme=MMH");
    const row = page.getByRole("row", { name: /Mateus Quintela Faria/ });
    await row.getByText("Declaration").waitFor();
    await row.getByRole("checkbox").check();
    await page.getByLabel(/^A word of your own/).fill("We are here until six.");
    await page.getByRole("button", { name: "Write to one person" }).click();
    await page.getByText("We wrote to one person.").waitFor();
    await row.getByRole("checkbox").check();
    await page.getByRole("button", { name: "Write to one person" }).click();
    await page.getByText(/was written to less than twelve hours ago/).waitFor();
    const file = (await row.getByRole("link").getAttribute("href")) ?? "";
    await page.goto(`${file}?show=messages`);
    await page.locator("summary", { hasText: /what is still missing|ce qui manque encore/ }).click();
    await page.getByText(/We are here until six\./).waitFor();
  });

  it("a mail is read as it was sent, and sent again", async () => {
    const { page } = lead;
    const file = await fileOf("Ilse Maarteen-Quist");
    await page.goto(`${file}?show=messages`);
    const mail = page.getByRole("listitem").filter({ hasText: "We have your application" });
    await mail.locator("summary").click();
    await mail.getByRole("button", { name: "Send it again" }).click();
    await page.getByText(/is on its way once more\.$/).waitFor();
    await expect.poll(() => mail.count()).toBe(2);
  });

  it("the list is taken into a spreadsheet, and answers and documents into one PDF", async () => {
    const { page } = lead;
    await page.goto("/office?mend=1");
    await page.getByRole("link", { name: "Gaps can still be filled, take this away" }).waitFor();
    const shown = await page.locator(".turn-list ol > li").count();
    const saved = async (press: () => Promise<void>) => {
      const [download] = await Promise.all([page.waitForEvent("download"), press()]);
      return readFile(await download.path());
    };
    const table = String(await saved(() => page.getByRole("link", { name: "Whole list as CSV" }).click()));
    const lines = table.split("\r\n");
    expect(lines[0]).toBe(
      "\uFEFFnumber,name,e-mail,telephone,telephone works,programmes,stage,turn,next step,by,officer",
    );
    expect(lines.length - 1).toBe(shown);
    await page.goto(`${await fileOf("Ilse Maarteen-Quist")}?show=form`);
    const form = await saved(() => page.getByRole("button", { name: "All answers as PDF" }).click());
    const whole = await saved(() => page.getByRole("button", { name: "Answers and documents in one PDF" }).click());
    expect([form, whole].map((bytes) => bytes.subarray(0, 5).toString())).toEqual(["%PDF-", "%PDF-"]);
    expect(whole.length).toBeGreaterThan(form.length);
    // Whoever comes back finds them.
    await page.reload();
    const again = await saved(() =>
      page
        .getByRole("link", { name: /^The last one/ })
        .last()
        .click(),
    );
    expect(again.equals(whole)).toBe(true);
  });

  it("a choice is looked at elsewhere, and put there", async () => {
    const { page } = lead;
    const file = await fileOf("Ilse Maarteen-Quist");
    await page.goto(`${file}?show=choices`);
    await page.getByRole("button", { name: "Where else would this stand?" }).click();
    const place = page.getByRole("listitem").filter({ hasText: "MTE MSc Tidal Energy Systems · Study track" });
    await place.getByText("60 ECTS in engineering").waitFor();
    await place.getByRole("button", { name: "Put it on MTE" }).click();
    await place.getByLabel("Why", { exact: true }).fill("The topic is turbines.");
    await place.getByRole("button", { name: "Put it there" }).click();
    await page.getByRole("heading", { name: /^1\. MTE MSc Tidal Energy Systems/ }).waitFor();
    await page.getByText("Study track, two years").waitFor();
  });

  it("several people are moved to another campus together, each with a mail", async () => {
    const { page } = lead;
    await page.goto("/office/programmes/MTE");
    await page.getByRole("link", { name: "Who is on which campus" }).click();
    const rows = page.getByRole("row").filter({ has: page.getByRole("link") });
    await rows.first().waitFor();
    const before = await rows.count();
    await page.getByLabel("Mark all that are shown").check();
    await choose(page, "To", "Inish Vell");
    await page.getByLabel("Why", { exact: true }).fill("The basin at Merrow is drained.");
    await page.getByRole("button", { name: /^Move (one person|\d+ people)$/ }).click();
    await page.getByText(/^(one person|\d+ people) moved to /).waitFor();
    expect(await rows.filter({ hasText: "Inish Vell" }).count()).toBe(before);
  });

  it("words that found nothing become words by which a programme is found", async () => {
    const { page } = lead;
    const visitor = await newPerson(demo);
    await visitor.page.goto("/?q=scientific+diving");
    await visitor.page.getByText("No programme", { exact: false }).first().waitFor();
    // Whoever goes on looking at nothing tells the office once more: they leave.
    await visitor.page.goto("/sign-in");
    await page.goto("/office/programmes");
    const row = page.getByRole("row", { name: /^scientific diving/ });
    await choose(page, "Programme for scientific diving", "MES Estuary Science");
    await row.getByRole("button", { name: "Add the words to it" }).click();
    await expect.poll(() => row.count()).toBe(0);
    await visitor.page.goto("/?q=scientific+diving");
    await visitor.page.getByRole("heading", { name: /Estuary Science/ }).waitFor();
    expect([...lead.complaints, ...visitor.complaints]).toEqual([]);
  });

  it("an applicant chooses the part of a picture that is sent", async () => {
    const applicant = await newPerson(demo, { width: 390, height: 844 });
    const { page } = applicant;
    await signIn(applicant, "piet.vanderzeemertens@people.example");
    const [, number = ""] = (await fileOf("Piet van der Zee-Mertens")).match(/files\/(.*)$/u) ?? [];
    await page.goto(`/my/${number}/documents`);
    const portrait = page.getByRole("region", { name: "A portrait for your sea card" });
    const photo = await sharp({ create: { width: 1600, height: 1200, channels: 3, background: "#6f8fa0" } })
      .jpeg()
      .toBuffer();
    const input = portrait.locator("input[type=file]");
    await input.setInputFiles({ name: "me.pdf", mimeType: "application/pdf", buffer: Buffer.from("%PDF-1.4") });
    await portrait.getByRole("alert").waitFor();
    await input.setInputFiles({ name: "me.jpg", mimeType: "image/jpeg", buffer: photo });
    await portrait.getByRole("slider").focus();
    await page.keyboard.press("ArrowRight");
    await portrait.getByRole("button", { name: "Use this part" }).click();
    const link = portrait.getByRole("link", { name: "me.jpg" });
    const bytes = await (await page.request.get((await link.getAttribute("href")) ?? "")).body();
    expect(await sharp(bytes).metadata()).toMatchObject({ width: 480, height: 600, format: "jpeg" });
    expect(applicant.complaints.filter((c) => !c.includes("422") && !c.includes("415"))).toEqual([]);
  });
});
