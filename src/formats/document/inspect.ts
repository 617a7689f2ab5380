import { fileTypeFromBuffer } from "file-type";
import { DEFAULT_MOST_BYTES } from "../../core/evidence/limits";
import { inspectImage } from "./image";
import type { Inspection } from "./inspection";
import { inspectPdf } from "./pdf";

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

/**
 * Looks at a document and says whether it may be stored. A damaged, empty, locked or disguised file is refused with a code
 * whose sentence says what to do; active content and poor legibility are only marked.
 */
export async function inspectDocument(
  bytes: Buffer,
  name: string,
  mostBytes = DEFAULT_MOST_BYTES,
): Promise<Inspection> {
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
