import { PDFDocument } from "@cantoo/pdf-lib";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { startApplication } from "../../src/acts/application/start-application";
import { keepLinkCopy, noteLink } from "../../src/acts/evidence/note-link";
import type { Actor } from "../../src/core/rights/actor";
import { sha256 } from "../../src/db/content";
import { loadCatalogue } from "../../src/demo/catalogue";
import { fillAny } from "../../src/demo/filling";
import { someone } from "../../src/demo/people";
import { file as fileView } from "../../src/views/assessment/file";
import { linkCopy } from "../../src/views/evidence/link-copy";
import { readView } from "../../src/views/view/view";
import { anybody, lookAt } from "../support/files";
import { DAY, makePerson, must, openWorld, reasonOf, type World } from "../support/world";

/** Links to own work, and whether they opened when somebody looked. */
describe("links of an application", () => {
  let world: World;
  let officer: Actor;
  let file = { applicationId: "", number: "" };
  let place = { scope: "file", section: "", entry: "", field: "" };
  let url = "";

  beforeAll(async () => {
    world = await openWorld("link_notes");
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    const { rounds } = await loadCatalogue(world.runtime, "2026-11-25");
    const applicant = await anybody(world, "Maker");
    file = await must(world, startApplication, applicant, { roundId: rounds["MMH 1"] ?? "" });
    await fillAny(world.runtime, applicant, file.applicationId, someone("Ana", "Vale"), {}, {});
    const { loaded } = await lookAt(world, file.applicationId);
    const links = loaded.facts.answers.find((a) => a.field === "links");
    if (!links || !Array.isArray(links.value)) throw new Error("the form has no links");
    const { scope, section, entry, field } = links;
    place = { scope, section, entry, field };
    url = String(links.value[0]);
  });
  afterAll(() => world.close());

  const makePdf = async (words: string): Promise<Buffer> => {
    const pdf = await PDFDocument.create();
    pdf.addPage().drawText(words);
    return Buffer.from(await pdf.save());
  };
  const note = (opens: boolean, change: object = {}) =>
    reasonOf(
      runAct(world.runtime, noteLink, officer, { applicationId: file.applicationId, ...place, url, opens, ...change }),
    );
  const notes = async () => (await readView(world.runtime, fileView, officer, { number: file.number }))?.linkNotes;

  it("are noted with the day and who looked; the last look counts", async () => {
    expect(await notes()).toEqual([]);
    expect(await note(false)).toBe("ok");
    world.later(DAY);
    expect(await note(true)).toBe("ok");
    expect(await notes()).toMatchObject([{ ...place, url, opens: true, by: "Runa Okonjo" }]);
    expect(Date.parse((await notes())?.[0]?.at ?? "")).toBe(world.runtime.now().getTime());
  });

  it("are kept as a copy with its day, which a later look takes nothing from, and a newer copy replaces", async () => {
    const [first, newer] = await Promise.all([1, 2].map((n) => makePdf(`Page ${n}`)));
    const keep = (bytes: Buffer | undefined, change: object = {}) =>
      reasonOf(
        runAct(world.runtime, keepLinkCopy, officer, {
          applicationId: file.applicationId,
          ...place,
          url,
          name: "page.pdf",
          bytes: bytes ?? Buffer.alloc(0),
          mediaType: "application/pdf" as const,
          marks: [],
          ...change,
        }),
      );
    const held = async (bytes: Buffer | undefined) => {
      const hash = sha256(bytes ?? Buffer.alloc(0));
      const shown = await readView(world.runtime, linkCopy, officer, { sha256: hash });
      const { rowCount } = await world.runtime.pool.query("select 1 from content where sha256 = $1", [hash]);
      expect(shown !== null).toBe(rowCount === 1);
      return shown?.name ?? null;
    };
    expect(await keep(first)).toBe("ok");
    const at = world.runtime.now().toISOString();
    expect(await held(first)).toBe("page.pdf");
    world.later(DAY);
    expect(await note(false)).toBe("ok");
    const [seen] = (await notes()) ?? [];
    expect([seen?.opens, seen?.copy?.sha256, new Date(seen?.copy?.at ?? "").toISOString()]).toEqual([
      false,
      sha256(first ?? Buffer.alloc(0)),
      at,
    ]);
    expect(await keep(newer)).toBe("ok");
    expect([await held(first), await held(newer)]).toEqual([null, "page.pdf"]);
    expect(await keep(first, { marks: ["active_content"] })).toBe("document-refused");
    expect(await keep(first, { url: "https://elsewhere.example" })).toBe("not-found");
    const stranger = await makePerson(world, "Elsewhere", ["officer"], "FYC");
    expect(await readView(world.runtime, linkCopy, stranger, { sha256: sha256(newer ?? Buffer.alloc(0)) })).toBeNull();
  });

  it("that nobody gave are not noted", async () => {
    expect(await note(true, { url: "https://elsewhere.example" })).toBe("not-found");
    expect(await note(true, { section: "person" })).toBe("not-found");
  });
});
