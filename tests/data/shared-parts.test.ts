import { afterAll, beforeAll, beforeEach, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { draftRulebook, dropRulebook, editRulebook, publishDraft } from "../../src/acts/rulebook/rulebooks";
import { dropPart, savePart, shareElement } from "../../src/acts/rulebook/shared-parts";
import type { Actor } from "../../src/core/rights/actor";
import type { RulebookBody } from "../../src/core/rulebook/rulebook";
import { loadCatalogue } from "../../src/demo/catalogue";
import { rulebookPage } from "../../src/views/rulebook/rulebooks";
import { sharedParts } from "../../src/views/rulebook/shared-parts";
import { readView } from "../../src/views/view/view";
import { makePerson, must, openWorld, type World } from "../support/world";

let world: World;
let officer: Actor;
let lead: Actor;
let mes: { intakeId: string; publishedId: string };
let rulebookId = "";

const partOf = async (key: string) => (await readView(world.runtime, sharedParts, officer, { key }))?.[0] ?? null;
const draftNow = async () => {
  const page = await readView(world.runtime, rulebookPage, officer, { rulebookId });
  if (!page) throw new Error("no draft");
  return page;
};

beforeAll(async () => {
  world = await openWorld("shared_parts");
  await loadCatalogue(world.runtime, "2026-11-25");
  officer = await makePerson(world, "Officer", ["officer"]);
  lead = await makePerson(world, "Lead", ["lead officer"]);
  const { rows } = await world.runtime.pool.query<{ id: string; intake: string }>(
    `select b.id, b.intake_id as intake from rulebook b join intake i on i.id = b.intake_id join programme p on p.id = i.programme_id
     where p.code = 'MES' and b.status = 'published'`,
  );
  mes = { intakeId: rows[0]?.intake ?? "", publishedId: rows[0]?.id ?? "" };
});
afterAll(() => world.close());
beforeEach(async () => {
  if (rulebookId) await runAct(world.runtime, dropRulebook, officer, { rulebookId });
  ({ rulebookId } = await must(world, draftRulebook, officer, { intakeId: mes.intakeId, from: mes.publishedId }));
});

/** The part of the person with its first section called otherwise. */
async function renamePerson(title: string) {
  const part = await partOf("person");
  if (!part) throw new Error("no part");
  const { key, edit } = part;
  const sections = part.body.sections.map((s, i) => (i === 0 ? { ...s, title: { en: title, fr: title } } : s));
  return must(world, savePart, officer, { key, title: part.title, body: { ...part.body, sections }, edit });
}

describe("parts that rulebooks share", () => {
  it("show where they are used", async () => {
    const uses = (await partOf("person"))?.uses ?? [];
    expect(uses.filter((u) => u.status === "published")).toHaveLength(7);
    expect(uses.every((u) => u.current)).toBe(true);
  });

  it("change in every draft at once; what is published keeps its copy until its next version", async () => {
    const { edit } = await draftNow();
    expect((await renamePerson("Who you are")).drafts).toBe(1);
    const now = await draftNow();
    expect([now.body.sections[0]?.title.en, now.edit]).toEqual(["Who you are", edit + 1]);
    const uses = (await partOf("person"))?.uses ?? [];
    expect(uses.map((u) => `${u.status} ${u.current}`).sort()).toEqual([
      "draft true",
      ...Array.from({ length: 7 }, () => "published false"),
    ]);
    const late = await runAct(world.runtime, editRulebook, officer, { rulebookId, edit, body: now.body });
    expect(late).toMatchObject({ ok: false, reason: "changed-meanwhile" });
  });

  it("come into a new draft as they are now, and are published with it", async () => {
    await renamePerson("About you");
    await must(world, dropRulebook, officer, { rulebookId });
    ({ rulebookId } = await must(world, draftRulebook, officer, { intakeId: mes.intakeId, from: mes.publishedId }));
    const { edit, body } = await draftNow();
    expect(body.sections[0]?.title.en).toBe("About you");
    await must(world, publishDraft, lead, { rulebookId, edit });
    await renamePerson("Later words");
    expect((await draftNow()).body.sections[0]?.title.en).toBe("About you");
    mes = { ...mes, publishedId: rulebookId };
  });

  it("of two who write one at once the second is told", async () => {
    const part = await partOf("declaration");
    if (!part) throw new Error("no part");
    const { key, title, body, edit } = part;
    await must(world, savePart, officer, { key, title, body, edit });
    const second = await runAct(world.runtime, savePart, lead, { key, title, body, edit });
    expect(second).toMatchObject({ ok: false, reason: "changed-meanwhile" });
  });

  it("are made of what stands in a draft, as a part of its own or as a piece of one", async () => {
    const { edit } = await draftNow();
    const alone = await must(world, shareElement, officer, {
      rulebookId,
      edit,
      area: "fees",
      key: "handling",
      into: null,
    });
    expect(alone.body.fees.map((f) => f.part)).toEqual(["handling"]);
    const joined = await must(world, shareElement, officer, {
      rulebookId,
      edit: alone.edit,
      area: "sections",
      key: "referees",
      into: "handling",
    });
    expect(joined.body.sections.find((s) => s.key === "referees")?.part).toBe("handling");
    const part = await partOf("handling");
    expect([part?.body.fees.length, part?.body.sections.length, part?.uses.length]).toEqual([1, 1, 1]);
    const again = { rulebookId, edit: joined.edit, area: "fees", key: "handling", into: null } as const;
    expect(await runAct(world.runtime, shareElement, officer, again)).toMatchObject({
      ok: false,
      reason: "already-done",
    });
  });

  it("are not made of something without words in both languages", async () => {
    const page = await draftNow();
    const body: RulebookBody = {
      ...page.body,
      fees: page.body.fees.map((f) => ({ ...f, key: "wordless", title: { en: "Fee", fr: "" } })),
    };
    const { edit } = await must(world, editRulebook, officer, { rulebookId, edit: page.edit, body });
    const shared = { rulebookId, edit, area: "fees", key: "wordless", into: null } as const;
    expect(await runAct(world.runtime, shareElement, officer, shared)).toMatchObject({
      ok: false,
      reason: "invalid-input",
    });
  });

  it("leave the copies as they are when they are given up", async () => {
    const before = (await draftNow()).body;
    await must(world, dropPart, officer, { key: "english" });
    expect((await draftNow()).body).toEqual(before);
    expect(await partOf("english")).toBeNull();
  });
});
