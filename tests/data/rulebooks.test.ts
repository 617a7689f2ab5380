import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { reassessFiles } from "../../src/acts/assessment/reassess";
import { askPreview } from "../../src/acts/rulebook/previews";
import {
  draftRulebook,
  dropRulebook,
  editRulebook,
  moveToRulebook,
  publishDraft,
  publishRulebook,
} from "../../src/acts/rulebook/rulebooks";
import type { Actor } from "../../src/core/rights/actor";
import type { RulebookBody } from "../../src/core/rulebook/rulebook";
import { loadCatalogue } from "../../src/demo/catalogue";
import { IN_PLACE } from "../../src/formats/workshop/in-place";
import { runJob } from "../../src/jobs/handlers";
import { verifyAll } from "../../src/verify";
import { rulebookPage } from "../../src/views/rulebook/rulebooks";
import { readView } from "../../src/views/view/view";
import { filledFile, lookAt, submittedFile, type TestFile } from "../support/files";
import { makePerson, must, NO_REGISTRY, openWorld, reasonOf, SYSTEM, type World } from "../support/world";

/** A rulebook drafted, previewed and published, with files that stand on the version before. */
describe("rulebooks", () => {
  let world: World;
  let intakeId = "";
  let officer: Actor;
  let lead: Actor;
  let second: Actor;
  let draft: { applicationId: string };
  let sent: TestFile;
  /** As the catalogue published it. */
  let mes: RulebookBody;
  const copy = (): RulebookBody => JSON.parse(JSON.stringify(mes)) as RulebookBody;

  /** Stricter: 2.0 instead of 2.5, one more document, and a fee for everybody. */
  const stricter = (): RulebookBody => {
    const body = copy();
    return {
      ...body,
      requirements: [
        ...body.requirements,
        {
          key: "cv",
          kind: "document",
          title: { en: "Curriculum vitae", fr: "Curriculum vitæ" },
          scope: "file",
          neededBy: "submission",
          proof: "copy",
          checks: [],
          shows: [],
        },
      ],
      entryRules: body.entryRules.map((r) =>
        r.key === "grade"
          ? { ...r, rule: { op: "fact", fact: "measure.grade", is: "atMost" as const, value: "1.5" } }
          : r,
      ),
      fees: body.fees.map((f) => ({ ...f, amounts: f.amounts.map((a) => ({ ...a, minor: 7000 })) })),
    };
  };

  beforeAll(async () => {
    world = await openWorld("rulebooks");
    const { roundId } = await loadCatalogue(world.runtime, "2026-11-25");
    [officer, lead, second] = await Promise.all([
      makePerson(world, "Officer", ["officer"]),
      makePerson(world, "Lead", ["lead officer"]),
      makePerson(world, "Second Lead", ["lead officer"]),
    ]);
    draft = await filledFile(world, roundId);
    sent = await submittedFile(world, roundId, "Sender");
    const { rows: published } = await world.runtime.pool.query<{ body: RulebookBody }>(
      "select b.body from rulebook b join round r on r.intake_id = b.intake_id where r.id = $1",
      [roundId],
    );
    [{ body: mes }] = published as [{ body: RulebookBody }]; // the catalogue has one
    const { rows } = await world.runtime.pool.query<{ id: string }>("select intake_id as id from round where id = $1", [
      roundId,
    ]);
    intakeId = rows[0]?.id ?? "";
  });
  afterAll(() => world.close());

  const published = async () =>
    (
      await world.runtime.pool.query<{ id: string; version: number }>(
        "select id, version from rulebook where intake_id = $1 and status = 'published'",
        [intakeId],
      )
    ).rows[0];
  const begin = async (from: "published" | "nothing" = "published") => {
    const source = from === "published" ? ((await published())?.id ?? null) : null;
    return (await must(world, draftRulebook, officer, { intakeId, from: source })).rulebookId;
  };

  it("have one draft at a time, from nothing or as a copy", async () => {
    const rulebookId = await begin("nothing");
    expect(await reasonOf(runAct(world.runtime, draftRulebook, lead, { intakeId, from: null }))).toBe("already-done");
    const page = await readView(world.runtime, rulebookPage, officer, { rulebookId });
    expect(page?.problems.map((p) => p.code)).toEqual(["nothing-asked"]);
    await must(world, dropRulebook, officer, { rulebookId });
    const copied = await begin();
    expect((await readView(world.runtime, rulebookPage, officer, { rulebookId: copied }))?.differences).toEqual([]);
    await must(world, dropRulebook, officer, { rulebookId: copied });
  });

  it("tell the second of two writers, whose text is not written over the first's", async () => {
    const rulebookId = await begin();
    expect(await must(world, editRulebook, officer, { rulebookId, edit: 1, body: stricter() })).toEqual({ edit: 2 });
    expect(await reasonOf(runAct(world.runtime, editRulebook, lead, { rulebookId, edit: 1, body: copy() }))).toBe(
      "changed-meanwhile",
    );
    const page = await readView(world.runtime, rulebookPage, officer, { rulebookId });
    expect(page?.differences.map((d) => `${d.change} ${d.area} ${d.key}`)).toEqual([
      "added requirement cv",
      "changed entry rule grade",
      "changed fee handling",
    ]);
    expect(await reasonOf(runAct(world.runtime, publishDraft, officer, { rulebookId, edit: 2 }))).toBe("not-yours");
    expect(await reasonOf(runAct(world.runtime, publishDraft, lead, { rulebookId, edit: 1 }))).toBe(
      "changed-meanwhile",
    );
  });

  it("show before publishing what would change for whom", async () => {
    const { rows } = await world.runtime.pool.query<{ id: string }>("select id from rulebook where status = 'draft'");
    const rulebookId = rows[0]?.id ?? "";
    const { previewId } = await must(world, askPreview, officer, { rulebookId });
    const mail = { send: async () => ({ result: "sent" as const }) };
    await runJob({ runtime: world.runtime, mail, registry: NO_REGISTRY, workshop: IN_PLACE, baseUrl: "" }, "preview", {
      previewId,
    });
    const page = await readView(world.runtime, rulebookPage, officer, { rulebookId });
    expect(page?.preview).toMatchObject({ total: 2, done: 2, stale: false, next: null });
    expect(page?.preview?.counts).toEqual({
      ...{ choices: 2, files: 2, submitted: 1, drafts: 1 },
      ...{ group: 0, eligibility: 2, finding: 2, missing: 2, due: 2, nextBy: page?.preview?.counts.nextBy },
    });
    const effects = page?.preview?.effects ?? [];
    expect(effects.map((e) => [e.submitted, e.eligibility, e.findings, e.missing, e.due])).toEqual(
      expect.arrayContaining([
        [
          true,
          { before: "eligible", after: "not eligible" },
          [{ key: "grade", before: "met", after: "not met" }],
          { added: ["fee", "cv"], gone: [] },
          { before: 0, after: 7000, currency: "EUR" },
        ],
        [
          false,
          { before: "eligible", after: "not eligible" },
          [{ key: "grade", before: "met", after: "not met" }],
          { added: ["cv"], gone: [] },
          { before: 6000, after: 7000, currency: "EUR" },
        ],
      ]),
    );
    // Nothing has changed yet.
    expect((await lookAt(world, sent.applicationId)).result.choices[0]?.eligibility).toBe("eligible");
  });

  it("list what would change a hundred at a time", async () => {
    const { rows } = await world.runtime.pool.query<{ id: string; rulebook: string; effect: object }>(
      `select v.id, v.rulebook_id as rulebook, e.effect from preview v join preview_effect e on e.preview_id = v.id
       where v.rulebook_id is not null limit 1`,
    );
    const [known] = rows;
    await world.runtime.pool.query(
      `insert into preview_effect (preview_id, number, choice_id, effect) select $1, n, c, $2::jsonb || jsonb_build_object('number', n, 'choiceId', c)
       from (select '28-' || lpad(x::text, 5, '0') as n, gen_random_uuid() as c from generate_series(1, 150) x) more`,
      [known?.id, JSON.stringify(known?.effect)],
    );
    const rulebookId = known?.rulebook ?? "";
    const preview = async (after: string | null) =>
      (await readView(world.runtime, rulebookPage, officer, { rulebookId, after }))?.preview;
    const first = await preview(null);
    const second = await preview(first?.next ?? null);
    expect([first?.effects.length, second?.effects.length, second?.next]).toEqual([100, 52, null]);
    expect(first?.counts).toMatchObject({ choices: 152, files: 152 });
    const numbers = [...(first?.effects ?? []), ...(second?.effects ?? [])].map((e) => e.number);
    expect(numbers).toEqual([...new Set(numbers)].sort());
    expect((await preview("spoilt"))?.effects[0]?.number).toBe(numbers[0]);
  });

  it("when published move the drafts with a notice, and leave what was submitted where it stands", async () => {
    const { rows } = await world.runtime.pool.query<{ id: string }>("select id from rulebook where status = 'draft'");
    const rulebookId = rows[0]?.id ?? "";
    expect(await must(world, publishDraft, lead, { rulebookId, edit: 2, note: "Stricter." })).toEqual({ told: 1 });
    expect(await reasonOf(runAct(world.runtime, publishDraft, second, { rulebookId, edit: 2 }))).toBe("already-done");
    expect(await published()).toEqual({ id: rulebookId, version: 2 });
    const [moved, kept] = [await lookAt(world, draft.applicationId), await lookAt(world, sent.applicationId)];
    expect(moved.loaded.facts.choices[0]?.rulebookId).toBe(rulebookId);
    expect(kept.loaded.facts.choices[0]?.rulebookId).not.toBe(rulebookId);
    expect(kept.result.choices[0]?.eligibility).toBe("eligible");
    const mails = await world.runtime.pool.query<{ values: { changesEn: string } }>(
      "select values from message where template = 'rulebook-changed'",
    );
    expect(mails.rows.map((m) => m.values.changesEn)).toEqual([
      "+ Curriculum vitae\n· Grade 2.5 or better on our scale\n· Handling fee",
    ]);
    await must(world, reassessFiles, SYSTEM, { applicationIds: [draft.applicationId] });
    expect((await lookAt(world, draft.applicationId)).result.fees[0]?.amount.minor).toBe(7000);
    expect((await verifyAll(world.runtime.pool)).differing).toEqual([]);
  });

  it("take a submitted file over only by a lead officer, with a reason", async () => {
    const input = { applicationId: sent.applicationId, choiceId: sent.choiceId, reason: "They asked for it." };
    expect(await reasonOf(runAct(world.runtime, moveToRulebook, officer, input))).toBe("not-yours");
    await must(world, moveToRulebook, lead, input);
    expect((await lookAt(world, sent.applicationId)).result.choices[0]?.eligibility).toBe("not eligible");
    expect(await reasonOf(runAct(world.runtime, moveToRulebook, lead, input))).toBe("already-done");
    expect((await verifyAll(world.runtime.pool)).differing).toEqual([]);
  });

  it("that mean something else by a section of the same name cannot share a form", async () => {
    const other = await world.runtime.pool.query<{ id: string }>(
      "select i.id from intake i join programme p on p.id = i.programme_id where p.code = 'MTE'",
    );
    const body = copy();
    const clash = {
      ...body,
      sections: body.sections.map((s) => (s.key === "english" ? { ...s, repeats: { min: 1, max: 2 } } : s)),
    };
    const outcome = await runAct(world.runtime, publishRulebook, SYSTEM, {
      intakeId: other.rows[0]?.id ?? "",
      body: clash,
    });
    expect(outcome).toMatchObject({
      ok: false,
      details: { fields: expect.arrayContaining(["section-repeats: english, MES"]) },
    });
  });
});
