import sharp from "sharp";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { refuse, runAct } from "../../src/acts/act/act";
import { startApplication } from "../../src/acts/application/start-application";
import { uploadDocument } from "../../src/acts/evidence/upload-document";
import type { CopyReader } from "../../src/core/form/readers";
import type { Actor } from "../../src/core/rights/actor";
import { readContent } from "../../src/db/content";
import { loadCatalogue } from "../../src/demo/catalogue";
import { inspectDocument } from "../../src/formats/document/inspect";
import { suppliedInOrder } from "../../src/views/application/form-copy";
import { myApplication } from "../../src/views/application/my-application";
import { uploadPlace } from "../../src/views/evidence/upload-place";
import { readView } from "../../src/views/view/view";
import { anybody } from "../support/files";
import { must, openWorld, reasonOf, type World } from "../support/world";

/** The portrait that a programme at sea asks for. */
describe("a picture as a requirement", () => {
  let world: World;
  let owner: Actor;
  let applicationId: string;
  let number: string;

  beforeAll(async () => {
    world = await openWorld("pictures");
    const { rounds } = await loadCatalogue(world.runtime, "2026-11-25");
    owner = await anybody(world, "Sailor");
    ({ applicationId, number } = await must(world, startApplication, owner, { roundId: rounds["BHT 1"] ?? "" }));
  });
  afterAll(() => world.close());

  const send = async (bytes: Buffer, name: string, requirement = "portrait") => {
    const asked = (await readView(world.runtime, uploadPlace, owner, { applicationId, requirement }))?.picture;
    const inspection = await inspectDocument(bytes, name, undefined, asked);
    if (inspection.verdict !== "store") return refuse("document-refused", { document: inspection.reason });
    const { verdict: _verdict, ...kept } = inspection;
    const place = { applicationId, requirement, scope: "file", entry: "" };
    return runAct(world.runtime, uploadDocument, owner, {
      ...place,
      ...kept,
      name,
    });
  };
  const photo = (width: number, height: number) =>
    sharp({ create: { width, height, channels: 3, background: "#7799aa" } })
      .png()
      .toBuffer();

  it("is told with its size", async () => {
    const documents = (await readView(world.runtime, myApplication, owner, { number }))?.documents;
    expect(documents?.find((d) => d.requirement === "portrait")?.picture).toEqual({ width: 480, height: 600 });
    expect(documents?.find((d) => d.requirement === "passport")?.picture).toBeNull();
  });

  it("is refused as a PDF, and where it is too small, with the reason", async () => {
    const pdf = Buffer.from(
      await import("@cantoo/pdf-lib").then(async ({ PDFDocument }) => {
        const made = await PDFDocument.create();
        made.addPage();
        return made.save();
      }),
    );
    expect(await send(pdf, "me.pdf")).toMatchObject({ ok: false, details: { document: "picture_only" } });
    expect(await send(await photo(300, 300), "me.png")).toMatchObject({
      ok: false,
      details: { document: "picture_too_small" },
    });
    expect(await reasonOf(send(await photo(300, 300), "me.png"))).toBe("document-refused");
  });

  it("is kept in its size, whatever was sent", async () => {
    expect((await send(await photo(2000, 1500), "me.png")).ok).toBe(true);
    const { rows } = await world.runtime.pool.query<{ sha256: string; media_type: string; marks: string[] }>(
      `select u.sha256, c.media_type, u.marks from evidence e join upload u on u.id = e.upload_id join content c on c.sha256 = u.sha256
       where e.application_id = $1 and e.requirement = 'portrait'`,
      [applicationId],
    );
    const [kept] = rows;
    const chunks: Buffer[] = [];
    for await (const chunk of readContent(world.runtime.pool, kept?.sha256 ?? "")) chunks.push(chunk);
    const { width, height } = await sharp(Buffer.concat(chunks)).metadata();
    expect({ ...kept, width, height }).toMatchObject({ media_type: "image/jpeg", marks: [], width: 480, height: 600 });
  });

  it("of a signature stays with the office: a copy that is passed on leaves it out", async () => {
    expect((await send(await photo(900, 300), "signed.png", "signature")).ok).toBe(true);
    const application = await readView(world.runtime, myApplication, owner, { number });
    if (!application) throw new Error("there is no such application");
    const titles = (reader: CopyReader) => suppliedInOrder(application, "en", reader).map((s) => s.title);
    expect(titles("applicant")).toEqual(["Your signature, as a picture", "A portrait for your sea card"]);
    expect(titles("office")).toEqual(["A portrait for your sea card"]);
  });
});
