import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { tellMissing } from "../../src/acts/application/remind-drafts";
import { reassessFiles } from "../../src/acts/assessment/reassess";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { renderMail } from "../../src/text/words/render-mail";
import { type DraftKind, drafts } from "../../src/views/application/drafts";
import { readView } from "../../src/views/view/view";
import { begunFile, filledFile, lookAt, submittedFile } from "../support/files";
import { DAY, makePerson, must, openWorld, reasonOf, SYSTEM, type World } from "../support/world";

/** What was begun and not submitted, as the office sees it. */
describe("drafts", () => {
  let world: World;
  let officer: Actor;
  let elsewhere: Actor;
  let untouched: string;
  let filled: string;
  let sent: string;

  beforeAll(async () => {
    world = await openWorld("drafts");
    const { roundId } = await loadCatalogue(world.runtime, "2026-11-25");
    officer = await makePerson(world, "Officer", ["officer"]);
    elsewhere = await makePerson(world, "Elsewhere", ["officer"], "FYC");
    untouched = (await begunFile(world, roundId)).applicationId;
    filled = (await filledFile(world, roundId)).applicationId;
    sent = (await submittedFile(world, roundId, "Sent")).applicationId;
  });
  afterAll(() => world.close());

  const refused = (actor: Actor, input: { readonly applicationId: string }) =>
    reasonOf(runAct(world.runtime, tellMissing, actor, input));
  const page = (kind: DraftKind = "all", programme: string | null = null, actor = officer) =>
    readView(world.runtime, drafts, actor, { kind, programme });
  const listed = async (kind: DraftKind) => (await page(kind))?.rows.map((r) => r.id).toSorted();

  it("are listed with what is missing and the section that was filled in last", async () => {
    const rows = new Map((await page())?.rows.map((r) => [r.id, r]));
    expect([...rows.keys()].toSorted()).toEqual([untouched, filled].toSorted());
    const missing = (await lookAt(world, filled)).result.choices[0]?.missing.length;
    const { loaded } = await lookAt(world, filled);
    // All sections were filled in at one moment here: the last of the form counts.
    const [rulebook] = Object.values(loaded.rulebooks);
    const last = rulebook?.body.sections.findLast((s) => loaded.facts.answers.some((a) => a.section === s.key));
    expect(rows.get(filled)).toMatchObject({
      missing,
      toldAt: null,
      stoppedAt: last?.title.en,
      savedAt: world.runtime.now().toISOString(),
    });
    expect(rows.get(untouched)).toMatchObject({ stoppedAt: null, savedAt: null });
    expect((await page())?.stopped.map((s) => s.title)).toContain(null);
  });

  it("are those of one's own programmes, and of one that was asked for", async () => {
    expect((await page("all", null, elsewhere))?.rows).toEqual([]);
    expect((await page("all", "MES"))?.rows).toHaveLength(2);
    expect((await page("all", "FYC"))?.counts).toEqual({ all: 0, ready: 0, soon: 0, quiet: 0 });
  });

  it("are told what is missing in the words of the form, once, with a word of the officer's", async () => {
    await must(world, tellMissing, officer, { applicationId: filled, words: "The portal is slow on Sundays." });
    expect(await refused(officer, { applicationId: filled })).toBe("already-done");
    const { rows } = await world.runtime.pool.query<{ values: Record<string, string> }>(
      "select values from message where template = 'draft-missing' and application_id = $1",
      [filled],
    );
    const { subject, body } = renderMail("en", "draft-missing", rows[0]?.values ?? {}, "https://apply.example");
    expect(subject).toBe(`No. ${rows[0]?.values.number}: what is still missing`);
    const { result } = await lookAt(world, filled);
    for (const { requirement } of result.choices[0]?.missing ?? [])
      expect(body).toContain(result.requirements.find((r) => r.key === requirement)?.title.en);
    expect(body).toMatch(
      /Our office adds:\n\nThe portal is slow on Sundays\.\n\nIt can be submitted until 19 Dec 2026/u,
    );
    expect((await page())?.rows.find((r) => r.id === filled)?.toldAt).toBe(world.runtime.now().toISOString());
  });

  it("cannot be reminded once they are submitted", async () =>
    expect(await refused(officer, { applicationId: sent })).toBe("locked"));

  it("stand among those that close within a week, and among those that nobody touches", async () => {
    expect([await listed("soon"), await listed("quiet")]).toEqual([[], []]);
    world.later(15 * DAY);
    await must(world, reassessFiles, SYSTEM, { applicationIds: [untouched, filled] });
    expect(await listed("quiet")).toEqual([untouched, filled].toSorted());
    const closes = (await lookAt(world, untouched)).result.choices[0]?.closesAt ?? "";
    world.at(new Date(Date.parse(closes) - 6 * DAY).toISOString());
    expect(await listed("soon")).toContain(untouched);
  });

  it("need nothing but the submission when nothing is missing", async () => {
    expect(await listed("ready")).toEqual([]);
    await world.runtime.pool.query(
      "update file_standing set reason = 'submit', next_count = 0 where application_id = $1",
      [filled],
    );
    expect(await listed("ready")).toEqual([filled]);
    expect((await page("ready"))?.rows[0]?.missing).toBe(0);
  });
});
