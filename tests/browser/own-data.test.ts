import { unzipSync } from "fflate";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { newPerson, pressAndAgree, readMail, signIn } from "../support/browser";
import { type Demo, openDemo } from "../support/demo";

const APPLICANT = "nilufar.rahmonqulova@people.example";

/** What is kept of an applicant: taken home by them, and erased on their wish by an administrator. */
describe("what is kept of an applicant", () => {
  let demo: Demo;
  beforeAll(async () => {
    demo = await openDemo("own_data");
  });
  afterAll(() => demo.close());

  it("comes as an archive, and goes on their wish, with the account", async () => {
    const applicant = await newPerson(demo, { width: 390, height: 844 });
    await signIn(applicant, APPLICANT);
    await applicant.page.goto("/account");
    const link = applicant.page.getByRole("link", { name: "Download all of it" });
    const archive = await applicant.page.request.get((await link.getAttribute("href")) ?? "");
    const files = unzipSync(new Uint8Array(await archive.body()));
    const all = JSON.parse(new TextDecoder().decode(files["all.json"]));
    expect(all.about.person).toMatchObject([{ email: APPLICANT }]);
    expect(all.about.answers.length).toBeGreaterThan(0);

    await pressAndAgree(applicant.page, "Ask for erasure");
    await applicant.page.getByText("goes: it was never submitted").waitFor();
    await applicant.page.getByRole("button", { name: "Take it back" }).click();
    await applicant.page.getByRole("button", { name: "Ask for erasure" }).waitFor();
    await pressAndAgree(applicant.page, "Ask for erasure");
    await applicant.page.getByRole("button", { name: "Take it back" }).waitFor();

    const admin = await newPerson(demo);
    await signIn(admin, "m.castagnier@merrow.example");
    await admin.page.goto("/office/erasures");
    const row = admin.page.getByRole("row").filter({ hasText: APPLICANT });
    await row.getByText("name, address and account go as well").waitFor();
    await row.getByRole("button", { name: /^Erase what goes of/ }).click();
    await admin.page.getByRole("dialog").getByRole("button", { name: "Erase what goes" }).click();
    await admin.page.getByRole("cell", { name: "erased", exact: true }).waitFor();
    expect(admin.complaints).toEqual([]);

    await readMail(admin, APPLICANT, "What was kept of you is erased");
    await applicant.page.goto("/account");
    await applicant.page.waitForURL(/\/sign-in/);
    await applicant.page.getByLabel("E-mail").fill(APPLICANT);
    await applicant.page.getByLabel("Password", { exact: true }).fill("tide-and-harbour");
    await applicant.page.getByRole("button", { name: "Sign in" }).click();
    await applicant.page.getByText("do not belong together").waitFor();
    expect(applicant.complaints).toEqual([]);
  });
});
