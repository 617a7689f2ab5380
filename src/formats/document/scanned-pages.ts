import {
  decodePDFRawStream,
  PDFArray,
  PDFDict,
  type PDFDocument,
  PDFName,
  type PDFObject,
  type PDFPage,
  PDFRawStream,
} from "@cantoo/pdf-lib";
import type { Mark } from "./inspection";
import { legibilityOf } from "./legibility";

/** So many pages are looked at: whoever scans badly does so from the first on. */
const MOST_LOOKED_AT = 12;
/** What a scanner writes for a page is a line; longer ones are pages that were written. */
const LONGEST_SCAN_PROGRAM = 2000;
const MOST_PIXELS = 40_000_000;
const POINTS_AN_INCH = 72;
/** Below so many dots an inch print is hard to read. */
const READABLE_DOTS = 150;

/** Operators that show text, draw, or hold a picture within themselves (ISO 32000-1, annex A). */
const SHOWS = /(?:^|\s)(?:Tj|TJ|'|"|BI|sh|f\*?|F|S|s|B\*?|b\*?)(?=\s|$)/u;
const PLACES = /\/([^\s/[\]<>(){}%]+)\s+Do(?=\s|$)/gu;

/** What a page does to be seen; null where that is longer than for a scan. */
function programOf(page: PDFPage): string | null {
  const contents = page.node.Contents();
  const streams: PDFObject[] =
    contents instanceof PDFArray
      ? contents.asArray().map((ref) => page.doc.context.lookup(ref) ?? ref)
      : contents
        ? [contents]
        : [];
  let program = "";
  for (const stream of streams) {
    if (!(stream instanceof PDFRawStream)) return null;
    if (program.length + stream.contents.length > LONGEST_SCAN_PROGRAM) return null;
    program += ` ${Buffer.from(decodePDFRawStream(stream).decode()).toString("latin1")}`;
  }
  return program;
}

/** The one photograph of which a page consists, as its file; `nothing` for a page with nothing on it; null for any other page. */
function scanOn(page: PDFPage): PDFRawStream | "nothing" | null {
  const program = programOf(page);
  if (program === null || SHOWS.test(program)) return null;
  const [first, ...more] = [...program.matchAll(PLACES)].map(([, name = ""]) => name);
  if (first === undefined) return page.node.Annots() ? null : "nothing";
  const pictures = page.node.Resources()?.lookup(PDFName.of("XObject"));
  const picture = pictures instanceof PDFDict ? pictures.lookup(PDFName.of(first)) : undefined;
  const isPhotograph =
    picture instanceof PDFRawStream &&
    picture.dict.lookup(PDFName.of("Subtype")) === PDFName.of("Image") &&
    picture.dict.lookup(PDFName.of("Filter")) === PDFName.of("DCTDecode");
  return isPhotograph && more.length === 0 ? picture : null;
}

async function marksOfScan(page: PDFPage, scan: PDFRawStream): Promise<readonly Mark[]> {
  const { width, height } = page.getSize();
  const side = (name: string) => Number(String(scan.dict.lookup(PDFName.of(name))));
  const dots = (POINTS_AN_INCH * Math.min(side("Width"), side("Height"))) / Math.min(width, height);
  const legible = await legibilityOf(Buffer.from(scan.contents), MOST_PIXELS).catch(() => []);
  return dots < READABLE_DOTS ? ["hard_to_read", ...legible] : legible;
}

/** What stands out about the pages of a document that are pictures, or nothing: each sign once. */
export async function marksOfPages(document: PDFDocument): Promise<readonly Mark[]> {
  const marks = new Set<Mark>();
  for (const page of document.getPages().slice(0, MOST_LOOKED_AT)) {
    const scan = scanOn(page);
    if (scan === "nothing") marks.add("blank_page");
    else if (scan) for (const mark of await marksOfScan(page, scan)) marks.add(mark);
  }
  return [...marks];
}
