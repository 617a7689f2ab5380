import { fileTypeFromBuffer } from "file-type";
import type { Picture } from "../../core/rulebook/requirement";
import { DEFAULT_MOST_BYTES } from "../../core/rulebook/takes";
import { inspectImage } from "./image";
import type { Inspection } from "./inspection";
import { inspectPdf } from "./pdf";
import { shapePicture } from "./picture";

const EXTENSIONS: Readonly<Record<string, readonly string[]>> = {
  "application/pdf": ["pdf"],
  "image/jpeg": ["jpg", "jpeg"],
  "image/png": ["png"],
};

function extension(name: string): string {
  return /\.([a-z0-9]+)$/iu.exec(name)?.[1]?.toLowerCase() ?? "";
}

/** Readers tolerate a PDF header within the first 1024 bytes. */
function hasPdfHeader(bytes: Buffer): boolean {
  return bytes.subarray(0, 1024 + 5).includes("%PDF-");
}

async function isMacroDocument(bytes: Buffer): Promise<boolean> {
  return bytes.includes("vbaProject.bin") || bytes.includes("macroEnabled");
}

/** Where a picture of a size is asked for, what was sent in that size. */
async function shaped(looked: Inspection, picture: Picture): Promise<Inspection> {
  if (looked.verdict === "refuse") return looked;
  if (looked.mediaType === "application/pdf") return { verdict: "refuse", reason: "picture_only" };
  const bytes = await shapePicture(looked.bytes, picture);
  if (typeof bytes === "string") return { verdict: "refuse", reason: bytes };
  // What the camera wrote beside a portrait, the place among it, is nobody’s business.
  return { ...looked, bytes, mediaType: "image/jpeg", marks: [], original: null, picture };
}

/**
 * Looks at a document and says whether it may be stored. A damaged, empty, locked or disguised file is refused with a code
 * whose sentence says what to do; active content and poor legibility are only marked. What a stranger sends is looked at in the workshop,
 * where it can be stopped.
 * @param picture the size of the picture that is asked for; null where any document is
 */
export async function inspectDocument(
  bytes: Buffer,
  name: string,
  mostBytes = DEFAULT_MOST_BYTES,
  picture: Picture | null = null,
): Promise<Inspection> {
  const looked = await lookAt(bytes, name, mostBytes);
  return picture ? shaped(looked, picture) : looked;
}

async function lookAt(bytes: Buffer, name: string, mostBytes: number): Promise<Inspection> {
  if (bytes.length === 0) return { verdict: "refuse", reason: "empty" };
  if (bytes.length > mostBytes) return { verdict: "refuse", reason: "too_large" };
  const type = await fileTypeFromBuffer(bytes);
  const ending = extension(name);
  if (type?.mime === "image/jpeg" || type?.mime === "image/png") return inspectImage(bytes, type.mime);
  if (type?.mime === "application/pdf" || hasPdfHeader(bytes)) return inspectPdf(bytes);
  if (bytes.subarray(0, 2).toString("latin1") === "PK" && (await isMacroDocument(bytes)))
    return { verdict: "refuse", reason: "macro" };
  const claimsToBe = Object.values(EXTENSIONS).some((endings) => endings.includes(ending));
  return { verdict: "refuse", reason: claimsToBe ? "not_what_its_name_says" : "kind_not_accepted" };
}
