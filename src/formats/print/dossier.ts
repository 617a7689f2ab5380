import { PDFDocument, type PDFFont, type PDFPage, rgb, StandardFonts } from "@cantoo/pdf-lib";
import { countPages, openPdf } from "../document/pdf";

/** A document as it was supplied, with the words that stand above its pages. */
export interface DossierDocument {
  readonly title: string;
  readonly mediaType: string;
  readonly bytes: Uint8Array;
  /** Pages that are left out, counted from 1; a document of which nothing is left is left out whole. */
  readonly without?: readonly number[];
}

/** A4 in points. */
const PAGE: readonly [width: number, height: number] = [595.28, 841.89];
const MARGIN = 36;
const SIZE = 8;
const INK = rgb(0.1, 0.14, 0.19);
const PAPER = rgb(1, 1, 1);

/** Letters that the stamp's font does not have are left out: the document itself stands below. */
function encodable(font: PDFFont, text: string): string {
  const known = new Set(font.getCharacterSet());
  return [...text].filter((letter) => known.has(letter.codePointAt(0) ?? 0)).join("");
}

/** Writes into the upper margin which document a page belongs to, on a strip of paper of its own. */
function stamp(page: PDFPage, font: PDFFont, words: string): void {
  const text = encodable(font, words);
  const { x, y, width, height } = page.getCropBox();
  const strip = Math.min(width, font.widthOfTextAtSize(text, SIZE) + 8);
  page.drawRectangle({ x, y: y + height - SIZE - 6, width: strip, height: SIZE + 6, color: PAPER, opacity: 0.9 });
  page.drawText(text, { x: x + 4, y: y + height - SIZE - 2, size: SIZE, font, color: INK });
}

/** The pages of a document that are not left out, counted from 1. */
const keptPages = (pages: number, without: readonly number[] = []): readonly number[] =>
  Array.from({ length: pages }, (_, i) => i + 1).filter((page) => !without.includes(page));

async function addPdf(into: PDFDocument, { bytes, without }: DossierDocument): Promise<readonly PDFPage[] | null> {
  const opened = await openPdf(bytes);
  if (typeof opened === "string") return null;
  try {
    const count = countPages(opened.document);
    if (count === null) return null;
    const kept = keptPages(count, without);
    const pages = await into.copyPages(
      opened.document,
      kept.map((page) => page - 1),
    );
    return pages.map((page) => into.addPage(page));
  } catch {
    return null;
  }
}

async function addImage(
  into: PDFDocument,
  { mediaType, bytes, without }: DossierDocument,
): Promise<readonly PDFPage[] | null> {
  if (keptPages(1, without).length === 0) return [];
  try {
    const image = mediaType === "image/png" ? await into.embedPng(bytes) : await into.embedJpg(bytes);
    const page = into.addPage([...PAGE]);
    const { width, height } = image.scaleToFit(PAGE[0] - 2 * MARGIN, PAGE[1] - 2 * MARGIN);
    page.drawImage(image, { x: (PAGE[0] - width) / 2, y: PAGE[1] - MARGIN - height, width, height });
    return [page];
  } catch {
    return null;
  }
}

/**
 * One PDF of a form and its documents, in the order that is given: the form's own pages, then each document page by page with its title
 * in the upper margin. One that cannot be read any more gets a page that says so.
 * @param form the form in print
 * @param left what is said of a document that could not be put in
 */
export async function printDossier(
  form: Uint8Array,
  number: string,
  documents: readonly DossierDocument[],
  left: string,
): Promise<Uint8Array> {
  const into = await PDFDocument.load(form, { updateMetadata: false });
  const font = await into.embedFont(StandardFonts.Helvetica);
  for (const document of documents) {
    const added =
      document.mediaType === "application/pdf" ? await addPdf(into, document) : await addImage(into, document);
    const pages = added ?? [into.addPage([...PAGE])];
    for (const [i, page] of pages.entries())
      stamp(page, font, `${number} \u00b7 ${document.title} \u00b7 ${i + 1}/${pages.length}`);
    if (added === null)
      pages[0]?.drawText(encodable(font, left), { x: MARGIN, y: PAGE[1] - 2 * MARGIN, size: 11, font, color: INK });
  }
  return into.save({ updateFieldAppearances: false });
}
