import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import type pg from "pg";
import type PgBoss from "pg-boss";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { type Runtime, runAct } from "../../src/acts/act/act";
import { giveReference } from "../../src/acts/references/answer-reference";
import { requestReference } from "../../src/acts/references/request-reference";
import { publishRulebook } from "../../src/acts/rulebook/rulebooks";
import { openPool } from "../../src/db/connection";
import { openQueue } from "../../src/db/queue";
import { act, fillForm, supply } from "../../src/demo/applicant";
import { planProgramme } from "../../src/demo/catalogue";
import * as documents from "../../src/demo/documents";
import { someone } from "../../src/demo/people";
import { verifyAll } from "../../src/verify";
import { identityOf } from "../../src/views/people/identity";
import {
  followMail,
  goToApply,
  newPerson,
  openRequirement,
  type Person,
  pressAndAgree,
  readMail,
  signIn,
  untilSaved,
} from "../support/browser";
import { type Demo, openDemo } from "../support/demo";
import { secondRulebook } from "../support/second-rulebook";

const SYSTEM = { kind: "system" } as const;

/** A programme that no line of code knows, held beside the demo's in one file; the two are submitted at different times. */
describe("a second rulebook, published as data", () => {
  const email = "bo.lindahl@people.example";
  const who = someone("Bo", "Lindahl", {
    email,
    citizenships: ["SE"],
    residence: "SE",
    country: "SE",
    town: "Lysekil",
  });
  const folder = mkdtempSync(path.join(tmpdir(), "unvex-second-"));
  let demo: Demo;
  let applicant: Person;
  let office: Person;
  let lead: Person;
  let pool: pg.Pool;
  let boss: PgBoss;
  let runtime: Runtime;
  let number = "";
  let applicationId = "";

  beforeAll(async () => {
    demo = await openDemo("second_rulebook");
    [applicant, office, lead] = await Promise.all([newPerson(demo), newPerson(demo), newPerson(demo)]);
    pool = openPool(demo.databaseUrl, 3);
    boss = openQueue(demo.databaseUrl);
    await boss.start();
    runtime = { pool, boss, now: () => new Date() };
    const { rows } = await pool.query<{ key: string; title: { en: string; fr: string }; starts: string }>(
      "select c.key, c.title, i.starts_on::text as starts from cycle c join intake i on i.cycle_id = c.id limit 1",
    );
    const [cycle] = rows;
    if (!cycle) throw new Error("no cycle");
    const today = new Date().toISOString().slice(0, 10);
    const rounds = await planProgramme(
      runtime,
      {
        procedure: "taught",
        programme: {
          code: "UWA",
          title: { en: "Underwater Archaeology", fr: "Archéologie subaquatique" },
          award: "MA",
          level: "master",
          fields: ["022"],
          languages: ["en"],
          length: 40,
          lengthUnit: "weeks",
          ects: 90,
          campuses: ["vell"],
          modes: ["full time"],
          tracks: [],
          tracksRanked: false,
          description: { en: "Wrecks.", fr: "Épaves." },
          prerequisites: null,
          contact: null,
          partner: null,
          keywords: [],
          sponsorsVisa: true,
          onePage: false,
          showsTimes: false,
        },
        places: 9,
        rounds: [{ key: "1", opens: -1, closes: { home: 30, overseas: 30 }, promiseDays: 20 }],
        rulebook: secondRulebook,
      },
      today,
      cycle.starts,
    );
    const roundId = rounds["1"] ?? "";
    const { rows: planned } = await pool.query<{ id: string }>("select intake_id as id from round where id = $1", [
      roundId,
    ]);
    const intakeId = planned[0]?.id ?? "";
    const broken = {
      ...secondRulebook,
      entryRules: [
        {
          key: "x",
          title: { en: "x", fr: "x" },
          rule: { op: "fact", fact: "answers.diving.depth", is: "known" as const },
          curable: null,
        },
      ],
    };
    expect(await runAct(runtime, publishRulebook, SYSTEM, { intakeId: intakeId, body: broken })).toMatchObject({
      ok: false,
      details: { fields: ["unknown-fact: x: answers.diving.depth"] },
    });
    const published = await runAct(runtime, publishRulebook, SYSTEM, {
      intakeId: intakeId,
      body: secondRulebook,
    });
    if (!published.ok) throw new Error(published.reason);
    const now = new Date();
    writeFileSync(path.join(folder, "medical.pdf"), await documents.motivation(who, now));
    writeFileSync(path.join(folder, "supplement.pdf"), await documents.certificate(who, now));
  });
  afterAll(async () => {
    await boss.stop({ graceful: false });
    await pool.end();
    await demo.close();
    rmSync(folder, { recursive: true, force: true });
  });

  it("begins with the demo's programme, which is filled and submitted first", async () => {
    const { page } = applicant;
    await page.goto("/sign-up");
    await page.getByLabel("Your name").fill("Bo L.");
    await page.getByLabel("E-mail").fill(email);
    await page.getByLabel(/I agree that my data/).check();
    await page.getByRole("button", { name: "Open an account" }).click();
    await followMail(applicant, email, "Confirm your address");
    await page.getByLabel("Password", { exact: true }).fill("seven quiet lanterns");
    await page.getByRole("button", { name: "Open my account" }).click();
    await page.waitForURL((to) => !to.pathname.startsWith("/link"));
    await goToApply(page, "MSc Estuary Science");
    await page.getByRole("button", { name: "Begin the application" }).click();
    await page.waitForURL(/\/my\/\d\d-\d{5}$/);
    number = page.url().split("/").at(-1) ?? "";
    const { rows } = await pool.query<{ id: string; account: string }>(
      "select a.id, p.account_id as account from application a join person p on p.id = a.person_id where a.number = $1",
      [number],
    );
    applicationId = rows[0]?.id ?? "";
    const actor = (await identityOf(pool, rows[0]?.account ?? "", new Date()))?.actor ?? SYSTEM;
    const ids = await fillForm(runtime, actor, applicationId, who);
    const now = new Date();
    await supply(runtime, actor, applicationId, "passport", "", "passport.pdf", await documents.passport(who, now));
    await supply(
      runtime,
      actor,
      applicationId,
      "certificate",
      ids.degree,
      "certificate.pdf",
      await documents.certificate(who, now),
    );
    await supply(
      runtime,
      actor,
      applicationId,
      "transcript",
      ids.degree,
      "transcript.pdf",
      await documents.transcript(who, now),
    );
    await supply(runtime, actor, applicationId, "motivation", "", "letter.pdf", await documents.motivation(who, now));
    await supply(runtime, actor, applicationId, "english", "", "het.pdf", await documents.englishProof(who, now));
    await act(runtime, requestReference, actor, { applicationId, referee: ids.referee });
    await page.goto(`/my/${number}`);
    await pressAndAgree(page, "Submit");
    await page.getByText("We check your documents.").waitFor();
  });

  it("adds the second programme, whose own section appears, and may add a referee but change nothing", async () => {
    const { page } = applicant;
    await goToApply(page, "MA Underwater Archaeology");
    await page.getByRole("button", { name: "Add it to my application" }).click();
    await page.waitForURL(`**/my/${number}`);
    await page.getByRole("heading", { name: /Submit · MA Underwater Archaeology/ }).waitFor();
    await page.getByRole("link", { name: /^Work under water · UWA/ }).click();
    await page.getByRole("radio", { name: "Yes" }).check();
    await page.getByLabel("Weeks at sea in a year").fill("6");
    await page.getByLabel("Why under water").fill("Because the ship is there.");
    await page.getByLabel("Why under water").press("Tab");
    await untilSaved(page);
    await page.goto(`/my/${number}/referees`);
    await page.getByText("You can read it and add to it.").waitFor();
    expect(await page.getByLabel("Name", { exact: true }).first().isDisabled()).toBe(true);
    await page.getByRole("button", { name: "Add a referee" }).click();
    await page.getByLabel("Name", { exact: true }).nth(1).fill("Captain Sunniva Hagen");
    await page.getByLabel("E-mail at the institution").nth(1).fill("s.hagen@survey-ship.example");
    await page.getByLabel("Institution", { exact: true }).nth(1).fill("Survey ship Terna");
    await page.getByLabel("Role", { exact: true }).nth(1).click();
    await page
      .locator(".ant-select-dropdown:not(.ant-select-dropdown-hidden) .ant-select-item-option", {
        hasText: "Worked with me",
      })
      .click();
    await untilSaved(page);
  });

  it("is submitted later, its fee and its supplements still to come", async () => {
    const { page } = applicant;
    const { rows } = await pool.query<{ account: string }>(
      "select account_id as account from person where email = $1",
      [email],
    );
    const actor = (await identityOf(pool, rows[0]?.account ?? "", new Date()))?.actor ?? SYSTEM;
    const entries = await pool.query<{ entry: string }>(
      "select entry from answer where application_id = $1 and section = 'referees' and field = 'email' and value = '\"s.hagen@survey-ship.example\"'",
      [applicationId],
    );
    const second = entries.rows[0]?.entry ?? "";
    await act(runtime, requestReference, actor, { applicationId, referee: second });
    await page.goto(`/my/${number}/documents`);
    await page.locator('input[aria-label="Fit-to-dive certificate"]').setInputFiles(path.join(folder, "medical.pdf"));
    await page.getByRole("link", { name: "medical.pdf" }).waitFor();
    await page.goto(`/my/${number}`);
    // With two choices their order says something, and that is promised first.
    await page.getByRole("link", { name: /^Before you submit/ }).click();
    await pressAndAgree(page, "I promise this");
    await page.getByText(/^Promised on /).waitFor();
    await page.goto(`/my/${number}`);
    await pressAndAgree(page, "Submit");
    await page.getByRole("heading", { name: /Submit · / }).waitFor({ state: "detached" });
    const submitted = await pool.query<{ at: Date }>(
      "select submitted_at as at from choice where application_id = $1 order by rank",
      [applicationId],
    );
    expect(submitted.rows[0]?.at.getTime()).toBeLessThan(submitted.rows[1]?.at.getTime() ?? 0);
  });

  it("goes through the office: evidence once for the file, rules for each choice", async () => {
    const { page } = office;
    await signIn(office, "r.okonjo@merrow.example");
    await page.goto(`/office/files/${number}`);
    for (const title of [
      "Passport or identity card",
      "Degree certificate",
      "Transcript of records",
      "Letter of motivation",
      "Proof of English",
      "Fit-to-dive certificate",
    ]) {
      await openRequirement(page, title);
      await page.keyboard.press("y");
      await page.getByText(new RegExp(`^${title}( · .+)?: accepted\\.`, "u")).waitFor();
    }
    for (const request of (
      await pool.query<{ id: string }>("select id from reference_request where application_id = $1", [applicationId])
    ).rows)
      await act(
        runtime,
        giveReference,
        { kind: "link", requestId: request.id },
        { answers: { known: "Long", rating: "good", text: "A reference that is long enough." } },
      );
    await applicant.page.goto(`/my/${number}/documents`);
    await applicant.page
      .locator('input[aria-label="Diploma supplement"]')
      .setInputFiles(path.join(folder, "supplement.pdf"));
    await applicant.page.getByRole("link", { name: "supplement.pdf" }).waitFor();
    await applicant.page.goto(`/my/${number}/fee`);
    await applicant.page.getByRole("button", { name: "Pay 12.50 EUR by card" }).click();
    await applicant.page.getByRole("button", { name: "The card is good", exact: true }).click();
    await applicant.page.getByText("Paid", { exact: true }).waitFor();
    await page.goto(`/office/files/${number}`);
    await acceptEverything(page);
    await confirmEverything(page);
    await page.keyboard.press("d");
    await page.getByRole("heading", { name: "Decision · UWA Underwater Archaeology" }).waitFor();
    await page.locator("summary").filter({ hasText: "Two of four strengths" }).click();
    await page.getByText("at least 2 of these").waitFor();
  });

  it("is decided choice by choice, and the second one is accepted", async () => {
    const { page } = office;
    await page.goto(`/office/files/${number}`);
    await page.keyboard.press("d");
    const prepare = page.getByRole("button", { name: "Prepare offer", exact: true });
    for (let open = 2; open > 0; open -= 1) {
      await expect.poll(() => prepare.count()).toBe(open);
      await page
        .getByLabel(/^Note, for the office alone/)
        .first()
        .fill("Not to wait.");
      await prepare.first().click();
    }
    await expect.poll(() => prepare.count()).toBe(0);
    await signIn(lead, "t.breen@merrow.example");
    await lead.page.goto(`/office/files/${number}`);
    await lead.page.getByRole("button", { name: /Decision/ }).click();
    for (let open = 2; open > 0; open -= 1) {
      await pressAndAgree(lead.page, "Release");
      await expect.poll(() => lead.page.getByRole("button", { name: "Release", exact: true }).count()).toBe(open - 1);
    }
    await readMail(applicant, email, /we have decided/);
    await applicant.page.goto(`/my/${number}`);
    await applicant.page.getByText("We offer you a place in MA Underwater Archaeology").waitFor();
    const decision = applicant.page.locator(".decision").filter({ hasText: "Underwater Archaeology" });
    await decision.getByRole("button", { name: "Accept the offer" }).click();
    await applicant.page.getByRole("dialog").last().getByRole("button", { name: "Accept the offer" }).click();
    await decision.getByText(/You accepted on/).waitFor();
    expect((await verifyAll(pool)).differing).toEqual([]);
    expect([...applicant.complaints, ...office.complaints, ...lead.complaints]).toEqual([]);
  });
});

/** Accepts whatever is to check, wherever it stands in the list. */
async function acceptEverything(page: Person["page"]): Promise<void> {
  const open = page.locator(".requirements button", { hasText: "to check" });
  for (let left = await open.count(); left > 0; left = await open.count()) {
    await open.first().click();
    await page.getByRole("button", { name: /^Accept(?!,)/ }).waitFor();
    await page.keyboard.press("y");
    await expect.poll(() => open.count(), { timeout: 10_000 }).toBeLessThan(left);
  }
}

async function confirmEverything(page: Person["page"]): Promise<void> {
  const all = page.locator(".requirements button");
  for (let i = 0; i < (await all.count()); i += 1) {
    await all.nth(i).click();
    await page.locator('.requirements button[aria-current="true"]').and(all.nth(i)).waitFor();
    const confirm = page.getByRole("button", { name: /Confirm \d+ as claimed/ });
    if ((await confirm.count()) === 0) continue;
    await page.keyboard.press("c");
    // The cursor goes on to what is to be confirmed next, where there is anything.
    await expect
      .poll(async () => (await confirm.count()) === 0 || (await all.nth(i).getAttribute("aria-current")) === null)
      .toBe(true);
  }
}
