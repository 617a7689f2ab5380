import pg from "pg";
import type { Page } from "playwright-core";
import { afterAll, beforeAll, expect, it } from "vitest";
import { newPerson, signIn } from "../support/browser";
import { type Demo, openDemo } from "../support/demo";

let demo: Demo;
beforeAll(async () => {
  demo = await openDemo("every_step");
});
afterAll(() => demo.close());

/** One file of each programme for each step that its applicant owes, and one for all that others owe. */
const FILES = `select distinct on (p.code, owed) a.number, w.email, p.code, case when s.turn in ('applicant', 'payment') then s.reason else '' end as owed
  from file_standing s join application a on a.id = s.application_id join person w on w.id = a.person_id
    join choice c on c.application_id = a.id join intake i on i.id = c.intake_id join programme p on p.id = i.programme_id
  order by p.code, owed, a.number`;

/** What is at an address, and whether nothing is. What is looked for after a page's frame has been sent says so in its text alone. */
async function look(page: Page, place: string): Promise<{ dead: boolean; text: string }> {
  const response = await page.request.get(place);
  const text = await response.text();
  return { dead: !response.ok() || text.includes("NEXT_HTTP_ERROR_FALLBACK;404"), text };
}

it("every step of every applicant leads to a page that is there, whatever the rulebook calls its parts", async () => {
  const pool = new pg.Pool({ connectionString: demo.databaseUrl, max: 1 });
  const { rows } = await pool.query<{ number: string; email: string; code: string }>(FILES);
  const { rows: programmes } = await pool.query<{ code: string }>(
    "select distinct p.code from programme p join intake i on i.programme_id = p.id join choice c on c.intake_id = i.id order by p.code",
  );
  await pool.end();
  expect([...new Set(rows.map((r) => r.code))].sort()).toEqual(programmes.map((p) => p.code));
  const files = [...new Map(rows.map((r) => [r.number, r])).values()];
  const dead: string[] = [];
  let followed = 0;
  for (const { number, email } of files) {
    const person = await newPerson(demo);
    await signIn(person, email);
    const { page } = person;
    const seen = new Set([`/my/${number}`]);
    // What a page leads to is followed from there on: sections of the form, and what is missing in them.
    for (const place of seen) {
      const { dead: isGone, text } = await look(page, place);
      followed += 1;
      if (isGone) dead.push(`${email} ${place}`);
      const own = text.matchAll(new RegExp(`href="(/my/${number}/[^"#?]*)`, "gu"));
      for (const [, href] of own) if (href) seen.add(href.replaceAll("&amp;", "&"));
    }
    expect(await look(page, `/my/${number}/nowhere`)).toMatchObject({ dead: true });
    await person.page.context().close();
  }
  expect(dead).toEqual([]);
  expect(followed).toBeGreaterThan(files.length * 5);
});
