import { degrees, PDFDocument, PDFPage } from "@cantoo/pdf-lib";
import { countPages, openPdf } from "./pdf";

/** A4 in points. */
export const A4: readonly [width: number, height: number] = [595.28, 841.89];
export const MARGIN = 36;

/**
 * Copies pages of a PDF for another, which are not in it before they are added.
 * @param choose the pages that are wanted, counted from 1, of as many as there are
 * @returns null for what cannot be read
 */
export async function copyPdfPages(
  into: PDFDocument,
  bytes: Uint8Array,
  choose: (pages: number) => readonly number[],
): Promise<readonly PDFPage[] | null> {
  const opened = await openPdf(bytes);
  if (typeof opened === "string") return null;
  try {
    const count = countPages(opened.document);
    if (count === null) return null;
    return await into.copyPages(
      opened.document,
      choose(count).map((page) => page - 1),
    );
  } catch {
    return null;
  }
}

/** A page for a PDF with a picture on it, which is not in it before it is added. @returns null for what cannot be read */
export async function picturePage(
  into: PDFDocument,
  bytes: Uint8Array,
  mediaType: string,
): Promise<readonly PDFPage[] | null> {
  try {
    const image = mediaType === "image/png" ? await into.embedPng(bytes) : await into.embedJpg(bytes);
    const page = PDFPage.create(into);
    page.setSize(...A4);
    const { width, height } = image.scaleToFit(A4[0] - 2 * MARGIN, A4[1] - 2 * MARGIN);
    page.drawImage(image, { x: (A4[0] - width) / 2, y: A4[1] - MARGIN - height, width, height });
    return [page];
  } catch {
    return null;
  }
}

interface Source {
  readonly bytes: Uint8Array;
  readonly mediaType: string;
}

/** A page of one of the sources, counted from 1, and by how many degrees it is turned to the right. */
export interface ChosenPage {
  readonly source: number;
  readonly page: number;
  readonly turn: number;
}

/**
 * One PDF of pages out of several documents, in the order that is given.
 * @returns null where a source cannot be read or has no such page
 */
export async function joinPages(sources: readonly Source[], chosen: readonly ChosenPage[]): Promise<Uint8Array | null> {
  const into = await PDFDocument.create();
  // What one source gives is copied at once, so that what its pages share is in the new document once.
  const drawn = new Map<ChosenPage, PDFPage>();
  for (const [at, { bytes, mediaType }] of sources.entries()) {
    const own = chosen.filter((c) => c.source === at);
    if (own.length === 0) continue;
    const pages =
      mediaType === "application/pdf"
        ? await copyPdfPages(into, bytes, () => own.map((c) => c.page))
        : await picturePage(into, bytes, mediaType);
    if (pages?.length !== own.length) return null;
    for (const [i, page] of pages.entries()) drawn.set(own[i] as ChosenPage, page);
  }
  for (const one of chosen) {
    const page = drawn.get(one);
    if (!page) return null;
    page.setRotation(degrees((page.getRotation().angle + one.turn) % 360));
    into.addPage(page);
  }
  return into.save({ updateFieldAppearances: false });
}
