import { PDFDocument } from "@cantoo/pdf-lib";
import { getDocument } from "pdfjs-dist/legacy/build/pdf.mjs";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { eraseCopies, KEPT_DAYS, orderCopies, orderOwnCopy } from "../../src/acts/copies/copies";
import { leaveOutPage, writeSummary } from "../../src/acts/copies/section-summary";
import type { Reader } from "../../src/core/form/readers";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { IN_PLACE } from "../../src/formats/workshop/in-place";
import { runJob } from "../../src/jobs/handlers";
import { trayMail } from "../../src/outside/mail";
import { suppliedInOrder } from "../../src/views/application/form-copy";
import { readApplication } from "../../src/views/application/my-application";
import { file as fileView } from "../../src/views/assessment/file";
import { copies, copiesOfFile, copyBytes, readyCopies } from "../../src/views/copies/copies";
import { readView } from "../../src/views/view/view";
import { lookAt, submittedFile, type TestFile } from "../support/files";
import { DAY, makePerson, must, NO_REGISTRY, openWorld, reasonOf, SYSTEM, type World } from "../support/world";

/** Copies of several applications, made by a job, for readers who see different things. */
describe("copies of several applications", () => {
  let world: World;
  let officer: Actor;
  let other: Actor;
  let elsewhere: Actor;
  const files: TestFile[] = [];
  let supplied = 0;

  beforeAll(async () => {
    world = await openWorld("copies");
    const { roundId } = await loadCatalogue(world.runtime, "2026-11-25");
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    other = await makePerson(world, "Other", ["officer"]);
    elsewhere = await makePerson(world, "Elsewhere", ["officer"], "FYC");
    for (const given of ["Aoife", "Brigid"])
      files.push(await submittedFile(world, roundId, given, { "contact.phone": "+353 1 700 1234" }));
    supplied = await contents();
  });
  afterAll(() => world.close());

  const ids = () => files.map((f) => f.applicationId);
  const order = (reader: Reader, documents: boolean) =>
    must(world, orderCopies, officer, { applicationIds: ids(), reader, documents });
  const make = (orderId: string) =>
    runJob(
      {
        runtime: world.runtime,
        mail: trayMail(async () => undefined),
        registry: NO_REGISTRY,
        workshop: IN_PLACE,
        baseUrl: "http://u",
      },
      "make-copies",
      { orderId },
    );
  const listed = async (orderId: string) =>
    (await readView(world.runtime, copies, officer, {}))?.find((o) => o.id === orderId);
  const pdfs = async (orderId: string, whose = officer) => {
    const ready = (await readView(world.runtime, readyCopies, whose, { orderId })) ?? [];
    return Promise.all(
      ready.map(async (copy) => {
        const chunks: Buffer[] = [];
        for await (const chunk of copyBytes(world.runtime.pool, copy)) chunks.push(chunk);
        return { number: copy.number, bytes: new Uint8Array(Buffer.concat(chunks)) };
      }),
    );
  };
  const textOf = async (bytes: Uint8Array): Promise<string> => {
    const pdf = await getDocument({ data: bytes.slice(), useSystemFonts: false, verbosity: 0 }).promise;
    const pages = await Promise.all(
      Array.from({ length: pdf.numPages }, async (_, i) => (await (await pdf.getPage(i + 1)).getTextContent()).items),
    );
    await pdf.destroy();
    return pages
      .flat()
      .map((item) => ("str" in item ? item.str : ""))
      .join(" ");
  };
  const contents = async () =>
    Number((await world.runtime.pool.query("select count(*) from content")).rows[0]?.count ?? 0);

  it("are made one after the other in the order asked for, with every document behind the form", async () => {
    const { orderId, copies: count } = await order("office", true);
    expect(count).toBe(2);
    expect(await listed(orderId)).toMatchObject({ total: 2, made: 0, failed: [], reader: "office", documents: true });
    expect(await readView(world.runtime, readyCopies, officer, { orderId })).toBeNull();
    await make(orderId);
    expect(await listed(orderId)).toMatchObject({ total: 2, made: 2, failed: [] });
    const made = await pdfs(orderId);
    const numbers = await Promise.all(
      files.map(async (f) => (await lookAt(world, f.applicationId)).loaded.facts.application.number),
    );
    expect(made.map((m) => m.number)).toEqual(numbers);
    const form = await pdfs((await orderAndMake("office", false)).orderId);
    const pages = async (bytes?: Uint8Array) => (await PDFDocument.load(bytes ?? new Uint8Array())).getPageCount();
    expect(await pages(made[0]?.bytes)).toBeGreaterThanOrEqual((await pages(form[0]?.bytes)) + 5);
  });

  const orderAndMake = async (reader: Reader, documents: boolean) => {
    const made = await order(reader, documents);
    await make(made.orderId);
    return made;
  };

  it("leave out what their readers may not see", async () => {
    const texts = await Promise.all(
      (["office", "assessors"] as const).map(async (reader) => {
        const [first] = await pdfs((await orderAndMake(reader, false)).orderId);
        return textOf(first?.bytes ?? new Uint8Array());
      }),
    );
    const [office, assessors] = texts;
    expect(office).toContain("Aoife");
    expect(assessors).toContain("Aoife");
    expect(office?.replaceAll(" ", "")).toContain("+35317001234");
    expect(assessors?.replaceAll(" ", "")).not.toContain("+35317001234");
  });

  it("leave out a document that shows nothing but what their readers may not see", async () => {
    const application = await readApplication(
      { pool: world.runtime.pool, now: world.runtime.now(), actor: SYSTEM },
      files[0]?.applicationId ?? "",
    );
    if (!application) throw new Error("no application");
    const hidden = application.documents.find((d) => d.requirement === "passport");
    const sections = application.sections.map((s) => ({
      ...s,
      fields: s.fields.map((f) =>
        hidden?.shows.includes(`${s.key}.${f.key}`) ? { ...f, seenBy: "office" as const } : f,
      ),
    }));
    const titles = (reader: "office" | "assessors") =>
      suppliedInOrder({ ...application, sections }, "en", reader).map((d) => d.title);
    const passport = application.assessment.requirements.find((r) => r.key === "passport")?.title.en;
    expect(hidden?.shows.length).toBeGreaterThan(0);
    expect([titles("office").includes(passport ?? ""), titles("assessors").includes(passport ?? "")]).toEqual([
      true,
      false,
    ]);
  });

  it("give those who assess what the office says in short, without the pages that it leaves out", async () => {
    const applicationId = files[0]?.applicationId ?? "";
    const write = (text: string) =>
      reasonOf(
        runAct(world.runtime, writeSummary, officer, { applicationId, scope: "file", section: "education", text }),
      );
    const { rows } = await world.runtime.pool.query<{ id: string; pages: number }>(
      "select id, pages from upload where application_id = $1 order by pages desc limit 1",
      [applicationId],
    );
    const [upload] = rows;
    const leave = (page: number, out = true, uploadId = upload?.id ?? "") =>
      reasonOf(runAct(world.runtime, leaveOutPage, officer, { applicationId, uploadId, page, out }));
    const made = async (reader: Reader) => {
      const [first] = await pdfs((await orderAndMake(reader, true)).orderId);
      const bytes = first?.bytes ?? new Uint8Array();
      return { pages: (await PDFDocument.load(bytes)).getPageCount(), text: await textOf(bytes) };
    };
    const before = await made("assessors");
    expect(await write("One degree, in seven semesters.")).toBe("ok");
    expect(await leave(1)).toBe("ok");
    expect([await leave(1), await leave(99)]).toEqual(["already-done", "not-found"]);
    expect(await leave(1, true, files[1]?.applicationId)).toBe("not-found");
    const seen = await readView(world.runtime, fileView, officer, {
      number: (await lookAt(world, applicationId)).loaded.facts.application.number,
    });
    expect(seen?.summaries).toMatchObject([{ section: "education", text: "One degree, in seven semesters." }]);
    expect(seen?.documents.find((d) => d.uploadId === upload?.id)?.leftOut).toEqual([1]);
    const [assessors, office] = [await made("assessors"), await made("office")];
    expect(assessors.text).toContain("One degree, in seven semesters.");
    expect(office.text).not.toContain("One degree, in seven semesters.");
    expect([assessors.pages, office.pages - before.pages >= 0]).toEqual([before.pages - 1, true]);
    expect([await leave(1, false), await write(""), await write("")]).toEqual(["ok", "ok", "already-done"]);
    expect(await made("assessors")).toMatchObject({ pages: before.pages });
  });

  it("are for the officer who asked, over files that the officer works on", async () => {
    const { orderId } = await orderAndMake("office", false);
    expect(await readView(world.runtime, readyCopies, other, { orderId })).toBeNull();
    expect((await readView(world.runtime, copies, other, {}))?.length).toBe(0);
    // Whoever asked and works on other programmes by now finds nothing of it.
    const moved: Actor = { ...officer, grants: [{ role: "officer", scope: "FYC" }] } as Actor;
    expect(await readView(world.runtime, readyCopies, moved, { orderId })).toBeNull();
    const asked = { applicationIds: ids(), reader: "office" as const, documents: false };
    expect(await reasonOf(runAct(world.runtime, orderCopies, elsewhere, asked))).toBe("not-yours");
    expect(await reasonOf(runAct(world.runtime, orderCopies, files[0]?.applicant as Actor, asked))).toBe("not-yours");
  });

  it("are for finance only by whoever keeps the books", async () => {
    const asked = { applicationIds: ids(), reader: "finance" as const, documents: false };
    expect(await reasonOf(runAct(world.runtime, orderCopies, officer, asked))).toBe("not-yours");
    const grants = officer.kind === "person" ? officer.grants : [];
    const keeper = { ...officer, grants: [...grants, { role: "finance", scope: "*" }] } as Actor;
    expect(await reasonOf(runAct(world.runtime, orderCopies, keeper, asked))).toBe("ok");
  });

  it("of which one cannot be made keep the others, and a job that runs twice makes none again", async () => {
    const { orderId } = await order("office", false);
    await world.runtime.pool.query("update copy_of set made_at = now() where order_id = $1 and position = 0", [
      orderId,
    ]);
    await make(orderId);
    await make(orderId);
    const line = await listed(orderId);
    expect(line).toMatchObject({ total: 2, made: 2 });
    expect(line?.failed).toHaveLength(1);
    expect(await pdfs(orderId)).toHaveLength(1);
  });

  describe("of one's own", () => {
    const applicant = () => files[0]?.applicant as Actor;
    const numberOf = async () => (await lookAt(world, files[0]?.applicationId ?? "")).loaded.facts.application.number;
    const own = async (documents: boolean, locale: "en" | "fr" = "en") => ({
      number: await numberOf(),
      documents,
      locale,
    });
    const state = async (documents: boolean, actor = applicant()) =>
      (await readView(world.runtime, copiesOfFile, actor, { number: await numberOf() }))?.find(
        (c) => c.documents === documents,
      )?.state;

    it("are made one at a time, however often they are asked for, and the last of each kind stays", async () => {
      const first = await must(world, orderOwnCopy, applicant(), await own(false, "fr"));
      expect(await state(false)).toBe("being made");
      expect(await must(world, orderOwnCopy, applicant(), await own(false))).toEqual(first);
      const whole = await must(world, orderOwnCopy, applicant(), await own(true));
      await make(first.orderId);
      await make(whole.orderId);
      expect([await state(false), await state(true)]).toEqual(["made", "made"]);
      const [copy] = await pdfs(first.orderId, applicant());
      expect(await textOf(copy?.bytes ?? new Uint8Array())).toContain("déposé le");
      const before = await contents();
      world.later(1000);
      const second = await must(world, orderOwnCopy, applicant(), await own(false));
      expect(second.orderId).not.toBe(first.orderId);
      expect([await contents(), await pdfs(first.orderId, applicant())]).toEqual([before - 1, []]);
      await make(second.orderId);
      expect(await pdfs(second.orderId, applicant())).toHaveLength(1);
    });

    it("are asked for anew where the job is gone that one waits for", async () => {
      const lost = await must(world, orderOwnCopy, applicant(), await own(true));
      world.later(11 * 60_000);
      const anew = await must(world, orderOwnCopy, applicant(), await own(true));
      expect(anew.orderId).not.toBe(lost.orderId);
      await make(lost.orderId); // a job that comes late finds nothing to do
      await make(anew.orderId);
      expect(await state(true)).toBe("made");
    });

    it("are nobody else's, and leave out what others put into the file", async () => {
      const { orderId } = await must(world, orderOwnCopy, applicant(), await own(true));
      await make(orderId);
      expect(await readView(world.runtime, readyCopies, officer, { orderId })).toBeNull();
      expect(await readView(world.runtime, readyCopies, files[1]?.applicant as Actor, { orderId })).toBeNull();
      expect(await state(true, officer)).not.toBe("being made");
      expect(await reasonOf(runAct(world.runtime, orderOwnCopy, officer, await own(true)))).toBe("not-yours");
      expect(await reasonOf(runAct(world.runtime, orderOwnCopy, files[1]?.applicant as Actor, await own(true)))).toBe(
        "not-yours",
      );
      const pages = async () => {
        const made = await must(world, orderOwnCopy, applicant(), await own(true));
        await make(made.orderId);
        const [copy] = await pdfs(made.orderId, applicant());
        return (await PDFDocument.load(copy?.bytes ?? new Uint8Array())).getPageCount();
      };
      const all = await pages();
      const { rows } = await world.runtime.pool.query<{ id: string }>(
        "update upload set uploaded_by = 'person:somebody of the office' where application_id = $1 and name like 'passport%' returning id",
        [files[0]?.applicationId],
      );
      expect(rows).toHaveLength(1);
      expect(await pages()).toBe(all - 1);
    });
  });

  it("go after some days, with what only they held", async () => {
    const before = await contents();
    await must(world, eraseCopies, { kind: "system" }, {});
    expect(await contents()).toBe(before);
    world.later((KEPT_DAYS + 1) * DAY);
    expect((await must(world, eraseCopies, { kind: "system" }, {})).erased).toBeGreaterThan(0);
    expect(await readView(world.runtime, copies, officer, {})).toEqual([]);
    expect(await contents()).toBe(supplied);
  });
});
