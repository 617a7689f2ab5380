import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import pg from "pg";
import sharp from "sharp";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { SENDING_PART_BYTES } from "../../src/core/evidence/limits";
import { newPerson, type Person, signIn } from "../support/browser";
import { type Demo, openDemo } from "../support/demo";

/** A document that is sent over a line that breaks. */
describe("a document over a bad line", () => {
  let demo: Demo;
  let pool: pg.Pool;
  let applicant: Person;
  let picture: Buffer;
  const folder = mkdtempSync(path.join(tmpdir(), "unvex-sendings-"));
  let title = "";
  /** What was sent of files, request by request, and from which byte on. */
  const sent: { readonly method: string; readonly from: number }[] = [];
  const field = () => applicant.page.locator(`input[aria-label="${title}"]`);
  /** As files on the disk, which are the same file when they are chosen again. */
  const choose = (name: string) => field().setInputFiles(path.join(folder, name));
  const patches = () => sent.filter((s) => s.method === "PATCH");
  const parts = () => Math.ceil(picture.length / SENDING_PART_BYTES);

  beforeAll(async () => {
    demo = await openDemo("sendings");
    pool = new pg.Pool({ connectionString: demo.databaseUrl, max: 1 });
    const { rows } = await pool.query<{ email: string; number: string }>(
      `select p.email, a.number from application a join person p on p.id = a.person_id where exists (select 1 from choice c where c.application_id = a.id and c.submitted_at is null)
         and not exists (select 1 from choice c where c.application_id = a.id and c.submitted_at is not null)
         and not exists (select 1 from evidence e where e.application_id = a.id and e.requirement = 'passport') order by a.number limit 1`,
    );
    if (!rows[0]) throw new Error("the demo has no draft without a passport");
    const noise = { type: "gaussian", mean: 128, sigma: 40 } as const;
    picture = await sharp({ create: { width: 1300, height: 900, channels: 3, background: "#fff", noise } })
      .png()
      .toBuffer();
    for (const name of ["scan.png", "back.png"]) writeFileSync(path.join(folder, name), picture);
    expect(picture.length).toBeGreaterThan(4 * SENDING_PART_BYTES);
    applicant = await newPerson(demo);
    const { page } = applicant;
    await signIn(applicant, rows[0].email);
    await page.goto(`/my/${rows[0].number}/documents`);
    title = "Passport or identity card";
    page.on("request", (request) => {
      if (new URL(request.url()).pathname.startsWith("/api/sendings"))
        sent.push({ method: request.method(), from: Number(request.headers()["upload-offset"]) });
    });
  });
  afterAll(async () => {
    await pool.end();
    rmSync(folder, { recursive: true });
    await demo.close();
  });

  it("goes on by itself where it stopped, once the line is back", async () => {
    const { page, context } = applicant;
    let broken = false;
    await page.route("**/api/sendings/*", async (route) => {
      if (!broken && route.request().method() === "PATCH" && patches().length === 3) {
        broken = true;
        await context.setOffline(true);
        await route.abort("connectionreset");
      } else await route.continue();
    });
    await choose("scan.png");
    await page.getByText("The line is broken. What got through stays, and it goes on by itself.").waitFor();
    await context.setOffline(false);
    await page.getByRole("link", { name: "scan.png" }).waitFor();
    // What had got through was not sent again: only the part that the broken line swallowed came more than once.
    const swallowed = new Set(
      patches()
        .map((p) => p.from)
        .filter((from, i, all) => all.indexOf(from) !== i),
    );
    expect(swallowed.size).toBe(1);
    expect(new Set(patches().map((p) => p.from)).size).toBe(parts());
    expect(sent.filter((s) => s.method === "POST").length).toBe(1);
    expect(sent.filter((s) => s.method === "HEAD").length).toBeGreaterThan(0);
    await page.unroute("**/api/sendings/*");
    expect((await pool.query("select 1 from sending")).rows).toEqual([]);
  });

  it("goes on after the page was left, when the same file is chosen again", async () => {
    const { page } = applicant;
    sent.length = 0;
    await page.route("**/api/sendings/*", async (route) => {
      if (route.request().method() === "PATCH" && patches().length > 3) return; // nothing comes back any more
      await route.continue();
    });
    await choose("back.png");
    await expect
      .poll(async () => (await pool.query<{ arrived: number }>("select arrived from sending")).rows[0]?.arrived)
      .toBe(3 * SENDING_PART_BYTES);
    await page.reload();
    await page.unroute("**/api/sendings/*");
    sent.length = 0;
    await choose("back.png");
    await page.getByRole("link", { name: "back.png" }).waitFor();
    expect(sent.map((s) => s.method).filter((m) => m !== "PATCH")).toEqual(["HEAD"]);
    expect(patches().map((p) => p.from / SENDING_PART_BYTES)).toEqual(
      Array.from({ length: parts() - 3 }, (_, i) => i + 3),
    );
  });
});
