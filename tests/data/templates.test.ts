import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { startApplication } from "../../src/acts/application/start-application";
import { draftRulebook, editRulebook, publishDraft } from "../../src/acts/rulebook/rulebooks";
import { storeTemplate } from "../../src/acts/rulebook/templates";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { schoolReportForm } from "../../src/demo/documents";
import { myApplication } from "../../src/views/application/my-application";
import { documentBytes } from "../../src/views/evidence/document";
import { rulebookPage } from "../../src/views/rulebook/rulebooks";
import { template } from "../../src/views/rulebook/template";
import { readView } from "../../src/views/view/view";
import { makePerson, must, openWorld, VISITOR, type World } from "../support/world";

/** Forms that the office offers for download, such as one for a school to fill in. */
describe("forms to download", () => {
  let world: World;
  let rounds: Readonly<Record<string, string>>;
  let lead: Actor;
  beforeAll(async () => {
    world = await openWorld("templates");
    ({ rounds } = await loadCatalogue(world.runtime, "2026-11-25"));
    lead = await makePerson(world, "Lead", ["lead officer"]);
  });
  afterAll(() => world.close());

  const store = (name: string, bytes: Buffer, marks: string[] = []) =>
    runAct(world.runtime, storeTemplate, lead, { name, bytes, mediaType: "application/pdf", marks });

  it("stand beside the document that they belong to, byte for byte, for everybody", async () => {
    const applicant = await makePerson(world, "Applicant");
    const roundId = rounds["FYC rolling"] ?? "";
    const { number } = await must(world, startApplication, applicant, { roundId });
    const data = await readView(world.runtime, myApplication, applicant, { number });
    const offered = data?.documents.find((d) => d.requirement === "report")?.templates ?? [];
    expect(offered.map((t) => t.name)).toEqual(["School report form.pdf"]);
    const found = await readView(world.runtime, template, VISITOR, { sha256: offered[0]?.sha256 ?? "" });
    if (!found) throw new Error("the form is not there");
    const chunks: Buffer[] = [];
    for await (const chunk of documentBytes(world.runtime.pool, found)) chunks.push(chunk);
    expect(Buffer.concat(chunks).equals(await schoolReportForm())).toBe(true);
  });

  it("are kept once, and lose disguises from their names", async () => {
    const bytes = Buffer.concat([await schoolReportForm(), Buffer.from("\n% another")]);
    const first = await store("..\\forms\\doctor\u202efdp.pdf", bytes);
    expect(first).toMatchObject({ ok: true, value: { name: "doctorfdp.pdf" } });
    const count = async () => (await world.runtime.pool.query("select 1 from template")).rows.length;
    const before = await count();
    await store("again.pdf", bytes);
    expect(await count()).toBe(before);
  });

  it("run nothing", async () =>
    expect(await store("form.pdf", await schoolReportForm(), ["active_content"])).toMatchObject({
      ok: false,
      reason: "document-refused",
    }));

  it("that are not kept here keep a rulebook from being published, and it says which", async () => {
    const { rows } = await world.runtime.pool.query<{ id: string; intake: string }>(
      `select b.id, b.intake_id as intake from rulebook b join intake i on i.id = b.intake_id join programme p on p.id = i.programme_id
       where p.code = 'FYC' and b.status = 'published'`,
    );
    const { rulebookId } = await must(world, draftRulebook, lead, {
      intakeId: rows[0]?.intake ?? "",
      from: rows[0]?.id ?? null,
    });
    const page = await readView(world.runtime, rulebookPage, lead, { rulebookId });
    if (!page) throw new Error("no draft");
    const body = {
      ...page.body,
      requirements: page.body.requirements.map((r) =>
        r.key === "report" ? { ...r, templates: [{ sha256: "a".repeat(64), name: "Elsewhere.pdf" }] } : r,
      ),
    };
    const { edit } = await must(world, editRulebook, lead, { rulebookId, edit: page.edit, body });
    expect(await runAct(world.runtime, publishDraft, lead, { rulebookId, edit })).toMatchObject({
      ok: false,
      reason: "invalid-input",
      details: { fields: ["missing-template: report, Elsewhere.pdf"] },
    });
  });
});
