import pg from "pg";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { newPerson, type Person, signIn } from "../support/browser";
import { type Demo, openDemo } from "../support/demo";

/** So many of the demo's files wait with papers to check. */
const FILES = 10;
const MOST_KEYS = 6;

/** A list of files is cleared by the keyboard alone: two checks and one ask in each, then the next. */
describe("clearing files", () => {
  let demo: Demo;
  let officer: Person;
  let pool: pg.Pool;

  beforeAll(async () => {
    demo = await openDemo("keystrokes");
    pool = new pg.Pool({ connectionString: demo.databaseUrl, max: 1 });
    officer = await newPerson(demo);
    await signIn(officer, "t.breen@merrow.example");
  });
  afterAll(async () => {
    await pool.end();
    await demo.close();
  });

  const made = async (number: string) => {
    const { rows } = await pool.query<{ accepted: number; asked: number }>(
      `select (select count(*)::int from evidence e where e.application_id = a.id and e.judgement = 'accepted') as accepted,
         (select count(*)::int from ask k where k.application_id = a.id) as asked from application a where a.number = $1`,
      [number],
    );
    return rows[0] ?? { accepted: 0, asked: 0 };
  };

  it(`takes at most ${MOST_KEYS} keys a file, and no mouse`, async () => {
    const { page } = officer;
    let keys = 0;
    const press = async (key: string) => {
      keys += 1;
      await page.keyboard.press(key);
    };
    const number = () => new URL(page.url()).pathname.split("/").at(-1) ?? "";
    const looksAt = () => page.locator(".claims h2").first().innerText();
    await page.goto("/office?turn=office&reason=check");
    await page.locator("main a[href^='/office/files/']").first().click();
    await page.locator(".claims h2").first().waitFor();
    for (let i = 0; i < FILES; i += 1) {
      const here = number();
      const before = await made(here);
      const stood: string[] = [];
      keys = 0;
      for (const accepted of [1, 2]) {
        const at = await looksAt();
        stood.push(at);
        await press("a");
        await expect
          .poll(looksAt, { message: `${here}: the cursor goes on after ${accepted} of ${stood}` })
          .not.toBe(at);
      }
      await press("q");
      await page.locator(".return-form :focus").first().waitFor();
      await press("Control+Enter");
      await page.locator(".return-form").waitFor({ state: "detached" });
      await press("f");
      await page.waitForURL((url) => url.pathname.startsWith("/office/files/") && !url.pathname.endsWith(here));
      await page.locator(".claims h2").first().waitFor();
      expect(await made(here), `${here}: ${stood}`).toEqual({ accepted: before.accepted + 2, asked: before.asked + 1 });
      expect(keys).toBeLessThanOrEqual(MOST_KEYS);
    }
  });
});
