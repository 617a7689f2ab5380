import "server-only";
import pLimit from "p-limit";
import { DEFAULT_MOST_BYTES } from "../../core/evidence/limits";
import { inspectDocument } from "../../formats/document/inspect";
import type { Inspection } from "../../formats/document/inspection";
import { readForm } from "./read-form";

export type Received =
  | {
      readonly ok: true;
      readonly name: string;
      readonly bytes: Buffer;
      readonly inspection: Extract<Inspection, { verdict: "store" }>;
      readonly form: FormData;
    }
  | { readonly ok: false; readonly response: Response };

const ENVELOPE = 64 * 1024;

/** Looking at a document takes memory and time: a few at once, the others wait for their turn. */
const looking = pLimit(3);

/** Reads one uploaded file and looks at it. */
export async function receiveFile(request: Request): Promise<Received> {
  const refused = (reason: string, status: number): Received => ({
    ok: false,
    response: Response.json({ reason: "document-refused", document: reason }, { status }),
  });
  const form = await readForm(request, DEFAULT_MOST_BYTES + ENVELOPE);
  if (form === "too-large") return refused("too_large", 413);
  if (form === "cut-off") return refused("damaged", 400);
  const file = form.get("file");
  if (!(file instanceof File)) return refused("empty", 400);
  if (file.size > DEFAULT_MOST_BYTES) return refused("too_large", 413);
  const bytes = Buffer.from(await file.arrayBuffer());
  const inspection = await looking(() => inspectDocument(bytes, file.name));
  if (inspection.verdict === "refuse") return refused(inspection.reason, 415);
  return { ok: true, name: file.name, bytes, inspection, form };
}
