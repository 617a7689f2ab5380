import {
  EncryptedPDFError,
  PDFArray,
  PDFDict,
  PDFDocument,
  PDFName,
  type PDFObject,
  PDFRef,
  PDFStream,
} from "@cantoo/pdf-lib";
import { MOST_PAGES } from "../../core/rulebook/takes";
import type { Inspection, Mark } from "./inspection";
import { marksOfPages } from "./scanned-pages";

const TAIL = 2048;

/** Dictionary keys and action types that run, fetch or send something when a reader obeys them. Names are compared decoded. */
const ACTIVE = new Set([
  "JavaScript",
  "JS",
  "Launch",
  "RichMedia",
  "XFA",
  "SubmitForm",
  "ImportData",
  "GoToR",
  "GoToE",
]);
const EMBEDDED = new Set(["EmbeddedFiles", "EmbeddedFile", "EF"]);

type Loaded = { readonly document: PDFDocument; readonly restricted: boolean };
type Failure = "damaged" | "password_needed";

/** Opens a PDF, also one whose use alone is restricted; anything else is named. */
export async function openPdf(bytes: Uint8Array): Promise<Loaded | Failure> {
  try {
    return {
      document: await PDFDocument.load(bytes, { updateMetadata: false, throwOnInvalidObject: true }),
      restricted: false,
    };
  } catch (error) {
    if (!(error instanceof EncryptedPDFError)) return "damaged";
  }
  try {
    // Opens with the empty password: only its permissions are limited, it can be read.
    return { document: await PDFDocument.load(bytes, { updateMetadata: false, password: "" }), restricted: true };
  } catch {
    return "password_needed";
  }
}

/** The names in an object, in dictionaries and arrays alike: annotations, next actions and attached files stand in arrays. */
function namesIn(object: PDFObject, found: Set<string>): void {
  const open: PDFObject[] = [object];
  for (let next = open.pop(); next !== undefined; next = open.pop()) {
    const held = next instanceof PDFStream ? next.dict : next;
    if (held instanceof PDFName) found.add(held.decodeText());
    else if (held instanceof PDFArray) open.push(...held.asArray());
    else if (held instanceof PDFDict)
      for (const [key, value] of held.entries()) {
        found.add(key.decodeText());
        open.push(value);
      }
  }
}

/**
 * Counts the pages of a document by its tree. The library would follow a tree that names the same branch twice as often as it is named,
 * which doubles with each level.
 * @returns null for what is no tree: a node that is reached twice, or one that is nothing of the kind
 */
export function countPages(document: PDFDocument, most = MOST_PAGES): number | null {
  const seen = new Set<string>();
  const open: PDFObject[] = [document.catalog.get(PDFName.of("Pages")) ?? PDFName.of("none")];
  let pages = 0;
  for (let next = open.pop(); next !== undefined && pages <= most; next = open.pop()) {
    if (!(next instanceof PDFRef) || seen.has(next.tag)) return null;
    seen.add(next.tag);
    const node = document.context.lookup(next);
    if (!(node instanceof PDFDict)) return null;
    const kids = node.lookup(PDFName.of("Kids"));
    if (kids instanceof PDFArray) open.push(...kids.asArray());
    else pages += 1;
  }
  return pages;
}

function marksOf(document: PDFDocument): readonly Mark[] {
  const found = new Set<string>();
  for (const [, object] of document.context.enumerateIndirectObjects()) namesIn(object, found);
  const marks: Mark[] = [];
  if ([...found].some((name) => ACTIVE.has(name))) marks.push("active_content");
  if ([...found].some((name) => EMBEDDED.has(name))) marks.push("embedded_file");
  return marks;
}

/**
 * Opens a PDF and walks its objects: object streams and names written with `#xx` included, where a search of the raw bytes
 * would find nothing.
 */
export async function inspectPdf(bytes: Buffer): Promise<Inspection> {
  const tail = bytes.subarray(-TAIL).toString("latin1");
  if (!tail.includes("%%EOF") || !tail.includes("startxref")) return { verdict: "refuse", reason: "damaged" };
  const loaded = await openPdf(bytes);
  if (typeof loaded === "string") return { verdict: "refuse", reason: loaded };
  try {
    const pages = countPages(loaded.document);
    if (pages === null) return { verdict: "refuse", reason: "damaged" };
    if (pages === 0) return { verdict: "refuse", reason: "no_pages" };
    if (pages > MOST_PAGES) return { verdict: "refuse", reason: "too_many_pages" };
    const inside = marksOf(loaded.document);
    // What is locked is not taken apart.
    const marks: readonly Mark[] = loaded.restricted
      ? ["restricted", ...inside]
      : [...inside, ...(await marksOfPages(loaded.document).catch(() => []))];
    return { verdict: "store", bytes, mediaType: "application/pdf", pages, marks, original: null, picture: null };
  } catch {
    return { verdict: "refuse", reason: "damaged" };
  }
}
