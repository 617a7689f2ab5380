import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { eraseDrafts } from "../../src/acts/application/erase-drafts";
import { withdraw } from "../../src/acts/application/withdraw";
import { extendChoice } from "../../src/acts/catalogue/rounds";
import { loadReferenceSet } from "../../src/acts/standards/reference-set";
import type { Actor } from "../../src/core/rights/actor";
import { supply } from "../../src/demo/applicant";
import { loadCatalogue } from "../../src/demo/catalogue";
import * as documents from "../../src/demo/documents";
import { someone } from "../../src/demo/people";
import { referenceSet } from "../../src/demo/reference-set";
import { IN_PLACE } from "../../src/formats/workshop/in-place";
import { runJob } from "../../src/jobs/handlers";
import { renderMail } from "../../src/text/words/render-mail";
import { verifyAll } from "../../src/verify";
import { myApplication } from "../../src/views/application/my-application";
import { file as fileView } from "../../src/views/assessment/file";
import { readView } from "../../src/views/view/view";
import { lookAt, readyFile, submittedFile, type TestFile } from "../support/files";
import { DAY, makePerson, must, NO_REGISTRY, openWorld, SYSTEM, type World } from "../support/world";

const KEPT_DAYS = 180;

/** Drafts that were never submitted are erased by the office's rule. */
describe("drafts that nobody can submit any more", () => {
  let world: World;
  let draft: TestFile;
  let sent: TestFile;
  let given: TestFile;
  let lead: Actor;
  let over = 0;

  const daysAfter = (days: number) => world.at(new Date(over + days * DAY).toISOString());
  const count = async (table: string, id: string) =>
    (
      await world.runtime.pool.query<{ n: number }>(
        `select count(*)::int as n from ${table} where application_id = $1`,
        [id],
      )
    ).rows[0]?.n ?? -1;
  const contents = async (ids: readonly string[]) =>
    (
      await world.runtime.pool.query<{ sha256: string }>(
        "select distinct u.sha256 from upload u where u.application_id = any($1::uuid[])",
        [ids],
      )
    ).rows.map((r) => r.sha256);
  const kept = async (hashes: readonly string[]) =>
    (await world.runtime.pool.query("select 1 from content where sha256 = any($1::text[])", [hashes])).rowCount;
  const run = () => must(world, eraseDrafts, SYSTEM, {});
  const job = (name: "reassess-aged" | "erase-drafts") =>
    runJob(
      {
        runtime: world.runtime,
        mail: { send: async () => ({ result: "sent" }) },
        registry: NO_REGISTRY,
        workshop: IN_PLACE,
        baseUrl: "https://apply.example",
      },
      name,
      {},
    );

  beforeAll(async () => {
    world = await openWorld("erasure");
    const { rounds } = await loadCatalogue(world.runtime, "2026-11-25");
    const round = rounds["MES 1"] ?? "";
    lead = await makePerson(world, "Lead", ["lead officer"]);
    draft = await readyFile(world, round, "Leaver");
    sent = await submittedFile(world, round, "Sender");
    given = await readyFile(world, round, "Waiter");
    // The same letter in two files.
    const letter = await documents.motivation(someone("Both", "Maarteen-Quist"), world.runtime.now());
    for (const { applicant, applicationId } of [draft, given])
      await supply(world.runtime, applicant, applicationId, "motivation", "", "letter.pdf", letter);
    over = Date.parse((await lookAt(world, draft.applicationId)).result.choices[0]?.closesAt ?? "");
  });
  afterAll(() => world.close());

  it("are kept for ever where the office has no such rule", async () => {
    await must(world, loadReferenceSet, SYSTEM, { ...referenceSet, keepDraftsDays: null });
    daysAfter(5 * 365);
    expect(await run()).toEqual({ told: 0, erased: 0 });
    await must(world, loadReferenceSet, SYSTEM, referenceSet);
    daysAfter(-1);
    await must(world, extendChoice, lead, {
      applicationId: given.applicationId,
      choiceId: given.choiceId,
      until: new Date(over + 60 * DAY).toISOString(),
      reason: "In hospital.",
    });
  });

  it("are told of two weeks before, once, with the way to a copy", async () => {
    daysAfter(1);
    await job("reassess-aged");
    daysAfter(KEPT_DAYS - 20);
    expect(await run()).toEqual({ told: 0, erased: 0 });
    daysAfter(KEPT_DAYS - 13);
    expect(await run()).toEqual({ told: 1, erased: 0 });
    expect(await run()).toEqual({ told: 0, erased: 0 });
    const { rows } = await world.runtime.pool.query<{ id: string; values: Record<string, string> }>(
      "select application_id as id, values from message where template = 'draft-erased-soon'",
    );
    expect(rows.map((r) => r.id)).toEqual([draft.applicationId]);
    for (const locale of ["en", "fr"] as const) {
      const { body } = renderMail(locale, "draft-erased-soon", rows[0]?.values ?? {}, "https://apply.example");
      expect(body).toContain(`https://apply.example/my/${rows[0]?.values.number}/review`);
      expect(body).toContain(String(KEPT_DAYS));
    }
    // Told a day late, it still has its two weeks.
    daysAfter(KEPT_DAYS + 0.5);
    expect(await run()).toEqual({ told: 0, erased: 0 });
  });

  it("lose what was written and sent, and no more; what another file or a form holds too stays", async () => {
    const own = await contents([draft.applicationId]);
    const others = await contents([sent.applicationId, given.applicationId]);
    const onlyHere = own.filter((h) => !others.includes(h));
    expect([onlyHere.length > 1, onlyHere.length < own.length]).toEqual([true, true]);
    const [asTemplate = "", ...gone] = onlyHere;
    await world.runtime.pool.query(
      "insert into template (sha256, name, stored_at, stored_by) values ($1, 'form.pdf', now(), 'system')",
      [asTemplate],
    );
    daysAfter(KEPT_DAYS + 2);
    await job("erase-drafts");
    for (const table of ["answer", "answer_version", "upload", "evidence", "reference_request", "message"])
      expect([table, await count(table, draft.applicationId)]).toEqual([table, 0]);
    expect([await kept(gone), await kept([asTemplate]), await kept(others)]).toEqual([0, 1, others.length]);
    expect(await count("answer", sent.applicationId)).toBeGreaterThan(0);
    expect(await count("answer", given.applicationId)).toBeGreaterThan(0);
    expect(await run()).toEqual({ told: 0, erased: 0 });
  });

  it("leave a number, a history and an assessment that is true", async () => {
    const { number } = (await lookAt(world, draft.applicationId)).loaded.facts.application;
    const mine = await readView(world.runtime, myApplication, draft.applicant, { number });
    expect(mine?.events.at(-1)?.act).toBe("erase-draft");
    expect(mine?.assessment.file.stage).toBe("closed");
    const data = await readView(world.runtime, fileView, lead, { number });
    expect(data?.events.find((e) => e.act === "erase-draft")).toMatchObject({
      who: "system",
      about: { days: KEPT_DAYS },
    });
    expect((await verifyAll(world.runtime.pool)).differing).toEqual([]);
  });

  it("of somebody who was given more time, or who withdrew, count from then", async () => {
    daysAfter(KEPT_DAYS + 60 - 20);
    await job("reassess-aged");
    expect(await run()).toEqual({ told: 0, erased: 0 });
    daysAfter(KEPT_DAYS + 60 - 13);
    expect(await run()).toEqual({ told: 1, erased: 0 });
    world.later(DAY / 24);
    await expect(must(world, withdraw, given.applicant, { applicationId: given.applicationId })).resolves.toBeNull();
    // Withdrawn later than told: the count begins anew, and so does the notice.
    daysAfter(KEPT_DAYS + 60 + 30);
    expect(await run()).toEqual({ told: 0, erased: 0 });
    daysAfter(KEPT_DAYS + 60 + KEPT_DAYS - 20);
    expect(await run()).toEqual({ told: 1, erased: 0 });
  });
});
