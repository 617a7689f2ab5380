import pg from "pg";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { verifyAll } from "../../src/verify";
import { newPerson, type Person, signIn } from "../support/browser";
import { type Demo, openDemo } from "../support/demo";

/** So often both go over the same files; more for a long run by hand. */
const ROUNDS = Number(process.env.UNVEX_ROUNDS ?? 2);
const FILES = 5;
const OFFICERS = ["t.breen@merrow.example", "r.okonjo@merrow.example"] as const;
/** A round of both over one file, on a machine that does other things. */
const SLOW_MS = 60_000;

/** Two officers work on the same files at the same moments: no act is lost, nobody is written to twice, and nothing is left unsettled. */
describe("two officers in the same files", () => {
  let demo: Demo;
  let pool: pg.Pool;
  let officers: readonly Person[] = [];
  /** What each was told, in order. */
  const told: string[][] = [[], []];

  beforeAll(async () => {
    demo = await openDemo("together");
    pool = new pg.Pool({ connectionString: demo.databaseUrl, max: 2 });
    officers = await Promise.all(OFFICERS.map(() => newPerson(demo)));
    for (const [i, officer] of officers.entries()) await signIn(officer, OFFICERS[i] ?? "");
  });
  afterAll(async () => {
    await pool.end();
    await demo.close();
  });

  const count = async (sql: string, ...values: readonly unknown[]): Promise<number> =>
    (await pool.query<{ count: number }>(sql, [...values])).rows[0]?.count ?? 0;
  const eventsOf = (email: string, acts: readonly string[]) =>
    count(
      "select count(*)::int from event e join person p on e.actor = 'person:' || p.id where p.email = $1 and e.act = any($2) and e.at > $3",
      email,
      acts,
      began,
    );
  let began = new Date(0);

  /** Accepts what the cursor is on and asks something beside what is next, each with what the page says of it. */
  async function work(who: number, number: string, round: number): Promise<void> {
    const { page } = officers[who] as Person;
    const said = async (act: () => Promise<void>) => {
      const before = await page.locator(".claims .said").allInnerTexts();
      await act();
      await expect.poll(() => page.locator(".claims .said").allInnerTexts(), { timeout: SLOW_MS }).not.toEqual(before);
      told[who]?.push((await page.locator(".claims .said").first().innerText()).trim());
    };
    await page.goto(`/office/files/${number}`);
    await page.locator(".claims h2").first().waitFor();
    if ((await page.getByRole("button", { name: /^Accept/ }).count()) > 0) await said(() => page.keyboard.press("y"));
    await page.keyboard.press("q");
    if (
      !(await page
        .locator(".return-form textarea")
        .waitFor({ timeout: 5000 })
        .then(
          () => true,
          () => false,
        ))
    )
      return;
    await page.locator(".return-form textarea").fill(`Question ${round} of officer ${who} about ${number}`);
    await said(() => page.keyboard.press("Control+Enter"));
  }

  it("lose no act and write to nobody twice", { timeout: ROUNDS * FILES * 2 * SLOW_MS }, async () => {
    const { rows } = await pool.query<{ number: string; now: Date }>(
      "select number, now() from file_standing where turn = 'office' and reason = 'check' order by number limit $1",
      [FILES],
    );
    began = new Date(Date.now() - 1000);
    for (let round = 0; round < ROUNDS; round += 1)
      for (const { number } of rows) await Promise.all([work(0, number, round), work(1, number, round)]);
    for (const [who, email] of OFFICERS.entries()) {
      const all = told[who] ?? [];
      const done = (pattern: RegExp) => all.filter((text) => pattern.test(text)).length;
      expect([who, all.length > 0]).toEqual([who, true]);
      expect([email, done(/: accepted/u)], all.join("\n")).toEqual([email, await eventsOf(email, ["accept-evidence"])]);
      expect([email, done(/^Asked\./u)], all.join("\n")).toEqual([email, await eventsOf(email, ["ask-applicant"])]);
    }
    // Each question stands once, in the words in which it was asked, and has one mail.
    const asked = "select count(*)::int from ask where text like 'Question % of officer %'";
    expect(await count(asked)).toBe(
      await count(`select count(distinct text)::int as count from ask where text like 'Question %'`),
    );
    expect(
      await count(
        "select count(*)::int from (select values->>'letter' from message where template = 'asked' and queued_at > $1 group by 1 having count(*) > 1) twice",
        began,
      ),
    ).toBe(0);
    expect(
      await count(
        "select count(*)::int from (select evidence.id from evidence where judgement = 'accepted') e join evidence x using (id) where x.judged_by_id is null and x.judged_at > $1",
        began,
      ),
    ).toBe(0);
    expect((await verifyAll(pool)).differing).toEqual([]);
  });
});
