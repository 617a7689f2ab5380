import { z } from "zod";

/** What a requirement takes of the documents that are sent for it. */

export const FILE_FORMATS = ["pdf", "picture"] as const;
export type FileFormat = (typeof FILE_FORMATS)[number];

const MEGABYTE = 1024 * 1024;
/** The largest document that is taken where a rulebook says nothing. */
export const DEFAULT_MOST_BYTES = 10 * MEGABYTE;
/** So many pages of one document are read. */
export const MOST_PAGES = 200;
export const MOST_MEGABYTES = 25;

/** What is left out is taken as everywhere: PDFs and pictures, up to the office's size and the most pages that are read. */
export const takesSchema = z.object({
  formats: z.array(z.enum(FILE_FORMATS)).min(1).optional(),
  mostMegabytes: z.int().min(1).max(MOST_MEGABYTES).optional(),
  mostPages: z.int().min(1).max(MOST_PAGES).optional(),
  /** A document with fewer pages is taken, and marked for the officer. */
  usualPages: z.int().min(2).max(MOST_PAGES).optional(),
  /** A PDF with a program in it is refused; else it is shown without. */
  refusesActive: z.boolean().optional(),
});
export type Takes = z.infer<typeof takesSchema>;

/** What is known of a document that was sent. */
export interface SentDocument {
  readonly mediaType: string;
  readonly bytes: number;
  readonly pages: number;
  readonly marks: readonly string[];
}

export const mostBytesOf = ({ mostMegabytes }: Takes): number =>
  mostMegabytes === undefined ? DEFAULT_MOST_BYTES : mostMegabytes * MEGABYTE;

/** Why a document is not taken here, as the code of its sentence; null where it is. */
export function notTaken(takes: Takes, { mediaType, bytes, pages, marks }: SentDocument): NotTaken | null {
  const format: FileFormat = mediaType === "application/pdf" ? "pdf" : "picture";
  if (takes.formats && !takes.formats.includes(format))
    return format === "pdf" ? "only_pictures_here" : "only_pdf_here";
  if (bytes > mostBytesOf(takes)) return "too_large";
  if (takes.mostPages !== undefined && pages > takes.mostPages) return "too_many_pages_here";
  if (takes.refusesActive && marks.includes("active_content")) return "active_content";
  return null;
}
export type NotTaken = "only_pictures_here" | "only_pdf_here" | "too_large" | "too_many_pages_here" | "active_content";

/** What the document shows by itself that an officer looks at twice; it decides nothing. */
export const marksHere = ({ usualPages }: Takes, { pages, marks }: Pick<SentDocument, "pages" | "marks">) =>
  usualPages !== undefined && pages < usualPages ? [...marks, "few_pages"] : marks;
