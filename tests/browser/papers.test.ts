import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { expectAccessible } from "../support/accessible";
import { newPerson, type Person, pickDate, readMail, signIn } from "../support/browser";
import { type Demo, openDemo } from "../support/demo";

const PHONE = { width: 390, height: 844 };
const OWEN = "owen.tarrick@people.example";

/** What comes on paper: said to be on its way, noted as it comes, looked at, and sent back. */
describe("the post room", () => {
  let demo: Demo;
  let officer: Person;
  let applicant: Person;
  let number = "";

  beforeAll(async () => {
    demo = await openDemo("papers");
    [officer, applicant] = [await newPerson(demo), await newPerson(demo, PHONE)];
    await signIn(officer, "t.breen@merrow.example");
    await signIn(applicant, OWEN);
    await applicant.page.goto("/my");
    const href = await applicant.page.locator("main a[href^='/my/27-']").first().getAttribute("href");
    number = href?.split("/")[2] ?? "";
  });
  afterAll(() => demo.close());

  it("is told by an applicant what is on its way, and no more if it is not", async () => {
    const { page } = applicant;
    await page.goto(`/my/${number}/documents`);
    const way = page.locator("section", { hasText: "Degree certificate" }).locator(".paper-way");
    await way.getByText("It comes by another way").click();
    await pickDate(page, "When it should be here", "10 January 2027");
    await way.getByRole("button", { name: "Say so" }).click();
    await page.getByText("On its way by post, expected on 10 Jan 2027.").waitFor();
    await expectAccessible(page);
    expect(await page.evaluate("document.documentElement.scrollWidth")).toBe(PHONE.width);
    await page.getByRole("button", { name: "It does not come after all" }).click();
    await way.getByText("It comes by another way").click();
    await pickDate(page, "When it should be here", "2027-01-12");
    await way.getByRole("button", { name: "Say so" }).click();
    await page.getByText("expected on 12 Jan 2027").waitFor();
  });

  it("notes a paper by a name and Enter, what is expected first, and takes it back within ten seconds", async () => {
    const { page } = officer;
    await page.goto("/office/papers?list=expected");
    await page.getByRole("row", { name: /12 Jan 2027 Owen Tarrick/ }).waitFor();
    const note = async () => {
      await page.getByLabel("Whose it is").fill("tarrick");
      await page.locator(".ant-select-item-option", { hasText: "Owen Tarrick" }).waitFor();
      await page.keyboard.press("Enter");
      await page.locator("#paper-contents:focus").waitFor();
      await page.keyboard.press("Enter");
      await page.getByText("They are told in ten seconds.").waitFor();
    };
    await note();
    await page.getByRole("button", { name: "Take it back" }).click();
    await page.getByText("Taken back.").waitFor();
    await note();
    await page.goto("/office/papers");
    await page.getByRole("row", { name: /Owen Tarrick .*Degree certificate/ }).waitFor();
    await expectAccessible(page);
    expect(await readMail(applicant, OWEN, `No. ${number}: your paper has arrived`)).toContain("Degree certificate");
  });

  it("makes a step of the office of it, which is looked at in the file and goes back", async () => {
    const { page } = officer;
    await page.goto(`/office/files/${number}`);
    await page.getByText("has to look at the paper that came: degree certificate").waitFor();
    await page.getByRole("button", { name: "Looked at, it goes back" }).click();
    await page.getByText("to go back").waitFor();
    await page.goto("/office/papers?list=to+go+back");
    await page
      .getByRole("row", { name: /Owen Tarrick/ })
      .getByRole("button", { name: "It went back today" })
      .click();
    await expect.poll(() => page.getByRole("row", { name: /Owen Tarrick/ }).count()).toBe(0);
    await applicant.page.goto(`/my/${number}/documents`);
    await applicant.page.getByText(/^Arrived on .+ Sent back to you on /).waitFor();
  });

  it("keeps what has no name until somebody knows whose it is", async () => {
    const { page } = officer;
    await page.goto("/office/papers?list=whose");
    await page
      .getByRole("row", { name: /Portuguese/ })
      .getByRole("button", { name: "Say whose it is" })
      .click();
    await page.getByLabel("Whose it is", { exact: true }).fill("anselmo");
    await page.locator(".ant-select-item-option", { hasText: "Anselmo" }).waitFor();
    await page.keyboard.press("Enter");
    await page.getByLabel("What it is").waitFor();
    await expectAccessible(page);
    await page.getByRole("button", { name: /^It is theirs/ }).click();
    await page.getByText("Of every paper that came somebody knows whose it is.").waitFor();
    expect(officer.complaints).toEqual([]);
    expect(applicant.complaints).toEqual([]);
  });
});
