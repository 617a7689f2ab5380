import { PDFDocument, type PDFFont, type PDFPage, rgb, StandardFonts } from "@cantoo/pdf-lib";
import { A4, copyPdfPages, MARGIN, picturePage } from "../document/pages";

/** A document as it was supplied, with the words that stand above its pages. */
export interface DossierDocument {
  readonly title: string;
  readonly mediaType: string;
  readonly bytes: Uint8Array;
  /** The pages that are meant, counted from 1; all of them where nothing is said. */
  readonly range?: { readonly first: number; readonly last: number };
  /** Pages that are left out, counted from 1; a document of which nothing is left is left out whole. */
  readonly without?: readonly number[];
}

/** What a dossier is called in, in the reader's language. */
export interface DossierWords {
  readonly contents: string;
  readonly form: string;
  /** What is said of a document that could not be put in. */
  readonly left: string;
}

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

/** The pages of a document that are meant and not left out, counted from 1. */
const keptPages = (pages: number, { range, without = [] }: DossierDocument): readonly number[] =>
  Array.from({ length: pages }, (_, i) => i + 1).filter(
    (page) => !without.includes(page) && (range === undefined || (page >= range.first && page <= range.last)),
  );

const pagesOf = (into: PDFDocument, document: DossierDocument): Promise<readonly PDFPage[] | null> => {
  const { bytes, mediaType } = document;
  if (mediaType === "application/pdf") return copyPdfPages(into, bytes, (count) => keptPages(count, document));
  return keptPages(1, document).length === 0 ? Promise.resolve([]) : picturePage(into, bytes, mediaType);
};

const LINE = 20;
const CONTENTS_SIZE = 11;
const LINES_A_PAGE = Math.floor((A4[1] - 4 * MARGIN) / LINE);

/** One thing that the contents name, and where it begins. */
interface Chapter {
  readonly title: string;
  readonly page: PDFPage;
}

/** A place on a page that leads to another page of the same file. */
function lead(from: PDFPage, to: PDFPage, y: number): void {
  const { context } = from.doc;
  const link = context.register(
    context.obj({
      Type: "Annot",
      Subtype: "Link",
      Rect: [MARGIN, y - 5, A4[0] - MARGIN, y + LINE - 5],
      Border: [0, 0, 0],
      Dest: [to.ref, "XYZ", null, null, null],
    }),
  );
  from.node.addAnnot(link);
}

/** The contents before everything else: what there is, on which page, and the way there. */
function addContents(
  into: PDFDocument,
  font: PDFFont,
  number: string,
  words: DossierWords,
  chapters: readonly Chapter[],
): void {
  const sheets = Math.max(1, Math.ceil(chapters.length / LINES_A_PAGE));
  const added = Array.from({ length: sheets }, (_, i) => into.insertPage(i, [...A4]));
  const pages = into.getPages();
  for (const [sheet, page] of added.entries()) {
    const top = A4[1] - 2 * MARGIN;
    page.drawText(encodable(font, `${number} \u00b7 ${words.contents}`), {
      x: MARGIN,
      y: top,
      size: 16,
      font,
      color: INK,
    });
    for (const [line, chapter] of chapters.slice(sheet * LINES_A_PAGE, (sheet + 1) * LINES_A_PAGE).entries()) {
      const y = top - (line + 2) * LINE;
      const at = String(pages.indexOf(chapter.page) + 1);
      const write = (text: string, x: number) => page.drawText(text, { x, y, size: CONTENTS_SIZE, font, color: INK });
      write(encodable(font, chapter.title), MARGIN);
      write(at, A4[0] - MARGIN - font.widthOfTextAtSize(at, CONTENTS_SIZE));
      lead(page, chapter.page, y);
    }
  }
}

/** Writes the file's number and the page's own into the lower margin of every page. */
function numberPages(into: PDFDocument, font: PDFFont, number: string): void {
  const pages = into.getPages();
  for (const [i, page] of pages.entries()) {
    const text = `${number} \u00b7 ${i + 1}/${pages.length}`;
    const { x, y, width } = page.getCropBox();
    const wide = font.widthOfTextAtSize(text, SIZE) + 8;
    page.drawRectangle({ x: x + width - wide, y, width: wide, height: SIZE + 6, color: PAPER, opacity: 0.9 });
    page.drawText(text, { x: x + width - wide + 4, y: y + 4, size: SIZE, font, color: INK });
  }
}

/**
 * One PDF of a form and its documents, in the order that is given: the contents, each line a link; the form's own pages; then each document
 * page by page with its title in the upper margin. Every page carries the file's number and its own. A document that cannot be read any more
 * gets a page that says so.
 * @param form the form in print
 */
export async function printDossier(
  form: Uint8Array,
  number: string,
  documents: readonly DossierDocument[],
  words: DossierWords,
): Promise<Uint8Array> {
  const into = await PDFDocument.load(form, { updateMetadata: false });
  const font = await into.embedFont(StandardFonts.Helvetica);
  const chapters: Chapter[] = into
    .getPages()
    .slice(0, 1)
    .map((page) => ({ title: words.form, page }));
  for (const document of documents) {
    const added = (await pagesOf(into, document))?.map((page) => into.addPage(page)) ?? null;
    const pages = added ?? [into.addPage([...A4])];
    for (const [i, page] of pages.entries())
      stamp(page, font, `${number} \u00b7 ${document.title} \u00b7 ${i + 1}/${pages.length}`);
    if (added === null)
      pages[0]?.drawText(encodable(font, words.left), {
        x: MARGIN,
        y: A4[1] - 2 * MARGIN,
        size: 11,
        font,
        color: INK,
      });
    const [first] = pages;
    if (first) chapters.push({ title: document.title, page: first });
  }
  addContents(into, font, number, words, chapters);
  numberPages(into, font, number);
  return into.save({ updateFieldAppearances: false });
}
