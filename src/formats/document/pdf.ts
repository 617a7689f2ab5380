import { EncryptedPDFError, PDFDict, PDFDocument, PDFName, type PDFObject, PDFStream } from "@cantoo/pdf-lib";
import type { Inspection, Mark } from "./inspection";

const MOST_PAGES = 200;
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

function namesIn(object: PDFObject, found: Set<string>, depth = 0): void {
  const dict = object instanceof PDFStream ? object.dict : object;
  if (!(dict instanceof PDFDict) || depth > 20) return;
  for (const [key, value] of dict.entries()) {
    found.add(key.decodeText());
    if (value instanceof PDFName) found.add(value.decodeText());
    else namesIn(value, found, depth + 1);
  }
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
    const pages = loaded.document.getPageCount();
    if (pages === 0) return { verdict: "refuse", reason: "no_pages" };
    if (pages > MOST_PAGES) return { verdict: "refuse", reason: "too_many_pages" };
    const marks: readonly Mark[] = loaded.restricted
      ? ["restricted", ...marksOf(loaded.document)]
      : marksOf(loaded.document);
    return { verdict: "store", mediaType: "application/pdf", pages, marks };
  } catch {
    return { verdict: "refuse", reason: "damaged" };
  }
}
