import { PDFDocument, StandardFonts } from "@cantoo/pdf-lib";
import { getDocument } from "pdfjs-dist/legacy/build/pdf.mjs";
import sharp from "sharp";
import { describe, expect, it } from "vitest";
import { type DossierDocument, printDossier } from "./dossier";

async function pdf(...texts: readonly string[]): Promise<Uint8Array> {
  const made = await PDFDocument.create();
  const font = await made.embedFont(StandardFonts.Helvetica);
  for (const text of texts) made.addPage([400, 600]).drawText(text, { x: 40, y: 300, font });
  return made.save();
}

const picture = async (format: "png" | "jpeg") =>
  new Uint8Array(
    await sharp({ create: { width: 2000, height: 900, channels: 3, background: "#88aacc" } })
      .toFormat(format)
      .toBuffer(),
  );

async function pagesOf(documents: readonly DossierDocument[]) {
  const bytes = await printDossier(await pdf("The form"), "27-00017", documents, {
    contents: "Contents",
    form: "The answers",
    left: "Left out.",
  });
  const read = await getDocument({ data: bytes, verbosity: 0 }).promise;
  return Promise.all(
    Array.from({ length: read.numPages }, async (_, i) => {
      const page = await read.getPage(i + 1);
      const { items } = await page.getTextContent();
      const [, , width, height] = page.view;
      const annotations: readonly { dest?: readonly unknown[] }[] = await page.getAnnotations();
      const leads = annotations.map(async ({ dest }) => (await read.getPageIndex(dest?.[0] as never)) + 1); // a reference to a page
      return {
        leads: await Promise.all(leads),
        text: items.map((item) => ("str" in item ? item.str : "")).join(" "),
        width,
        height,
      };
    }),
  );
}

const wordsOf = (pages: readonly { readonly text: string }[]) => pages.map((p) => p.text.replace(/\s+/gu, " ").trim());

const document = (title: string, bytes: Uint8Array, mediaType = "application/pdf"): DossierDocument => ({
  title,
  mediaType,
  bytes,
});

describe("a form and its documents in one PDF", () => {
  it("stand in the order that was given, every page with the title of its document", async () => {
    const pages = await pagesOf([
      document("Transcript", await pdf("first", "second")),
      document("Passport", await pdf("only")),
    ]);
    expect(wordsOf(pages)).toEqual([
      "27-00017 · Contents The answers 2 Transcript 3 Passport 5 27-00017 · 1/5",
      "The form 27-00017 · 2/5",
      "first 27-00017 · Transcript · 1/2 27-00017 · 3/5",
      "second 27-00017 · Transcript · 2/2 27-00017 · 4/5",
      "only 27-00017 · Passport · 1/1 27-00017 · 5/5",
    ]);
    expect(pages.map((p) => p.leads)).toEqual([[2, 3, 5], [], [], [], []]);
    expect(pages.slice(2).map((p) => [p.width, p.height])).toEqual([
      [400, 600],
      [400, 600],
      [400, 600],
    ]);
  });

  it("leave out the pages that are named, and a document of which nothing is left", async () => {
    const pages = await pagesOf([
      { ...document("Transcript", await pdf("first", "second", "third")), without: [2] },
      { ...document("Certificate", await picture("png"), "image/png"), without: [1] },
      { ...document("Passport", await pdf("only")), without: [2] },
    ]);
    expect(wordsOf(pages).slice(1)).toEqual([
      "The form 27-00017 · 2/5",
      "first 27-00017 · Transcript · 1/2 27-00017 · 3/5",
      "third 27-00017 · Transcript · 2/2 27-00017 · 4/5",
      "only 27-00017 · Passport · 1/1 27-00017 · 5/5",
    ]);
    // What is left out whole is not among the contents either.
    expect(wordsOf(pages)[0]).not.toContain("Certificate");
  });

  it("take the pages of a bundle that are meant, without those of them that are left out", async () => {
    const bundle = await pdf("first", "second", "third", "fourth");
    const pages = await pagesOf([
      { ...document("Passport", bundle), range: { first: 1, last: 1 } },
      { ...document("Transcript", bundle), range: { first: 2, last: 4 }, without: [3] },
    ]);
    expect(wordsOf(pages).slice(2)).toEqual([
      "first 27-00017 · Passport · 1/1 27-00017 · 3/5",
      "second 27-00017 · Transcript · 1/2 27-00017 · 4/5",
      "fourth 27-00017 · Transcript · 2/2 27-00017 · 5/5",
    ]);
  });

  it("have as many sheets of contents as the documents need, and still lead to the right pages", async () => {
    const one = await pdf("page");
    const pages = await pagesOf(Array.from({ length: 50 }, (_, i) => document(`Paper ${i + 1}`, one)));
    expect(pages).toHaveLength(53);
    expect([...(pages[0]?.leads ?? []), ...(pages[1]?.leads ?? [])]).toEqual(
      Array.from({ length: 51 }, (_, i) => i + 3),
    );
  });

  it.each(["png", "jpeg"] as const)("take a picture (%s) on a page of its own", async (format) => {
    const pages = await pagesOf([document("Certificate", await picture(format), `image/${format}`)]);
    expect(pages).toHaveLength(3);
    expect([Math.round(pages[2]?.width ?? 0), Math.round(pages[2]?.height ?? 0)]).toEqual([595, 842]);
    expect(pages[2]?.text).toContain("27-00017 · Certificate · 1/1");
  });

  it.each([
    ["a damaged PDF", "application/pdf"],
    ["a damaged picture", "image/png"],
  ])("say where %s would stand", async (_, mediaType) => {
    const pages = await pagesOf([document("Letter", new TextEncoder().encode("%PDF-1.7 cut"), mediaType)]);
    expect(pages[2]?.text).toContain("Left out.");
    expect(pages[2]?.text).toContain("27-00017 · Letter · 1/1");
  });

  it("leave letters out that the margin's font does not have", async () => {
    const pages = await pagesOf([document("成績 Relevé", await pdf("x"))]);
    expect(pages[2]?.text).toContain("Relevé · 1/1");
  });
});
