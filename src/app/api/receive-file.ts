import "server-only";
import { DEFAULT_MOST_BYTES } from "../../core/documents/limits";
import { inspectDocument } from "../../formats/document/inspect";
import type { Inspection } from "../../formats/document/inspection";

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

/** Reads one uploaded file and looks at it. The announced length is believed only to refuse early. */
export async function receiveFile(request: Request): Promise<Received> {
  const refused = (reason: string, status: number): Received => ({
    ok: false,
    response: Response.json({ reason: "document-refused", document: reason }, { status }),
  });
  if (Number(request.headers.get("content-length") ?? 0) > DEFAULT_MOST_BYTES + ENVELOPE)
    return refused("too_large", 413);
  let form: FormData;
  try {
    form = await request.formData();
  } catch {
    return refused("damaged", 400);
  }
  const file = form.get("file");
  if (!(file instanceof File)) return refused("empty", 400);
  if (file.size > DEFAULT_MOST_BYTES) return refused("too_large", 413);
  const bytes = Buffer.from(await file.arrayBuffer());
  const inspection = await inspectDocument(bytes, file.name);
  if (inspection.verdict === "refuse") return refused(inspection.reason, 415);
  return { ok: true, name: file.name, bytes, inspection, form };
}
