import "server-only";
import type { Picture } from "../../core/rulebook/requirement";
import { mostBytesOf, type Takes } from "../../core/rulebook/takes";
import type { KeptDocument } from "../../formats/document/inspection";
import { webRuntime } from "../../runtime";
import { readForm } from "./read-body";

/** What came beside a file, and what is kept of the file itself. */
export interface ReceivedFile {
  readonly document: KeptDocument & { readonly name: string };
  readonly form: FormData;
}

const ENVELOPE = 64 * 1024;

const refused = (reason: string, status: number): Response =>
  Response.json({ reason: "document-refused", document: reason }, { status });

/**
 * Reads one uploaded file and has it looked at in the workshop; called once it is known that whoever sends it may. The answer says why
 * it was not taken.
 * @param owner who sends it: of one person, one file is looked at at a time
 */
export async function receiveFile(
  request: Request,
  owner: string,
  { picture, takes = {} }: { readonly picture: Picture | null; readonly takes?: Takes } = { picture: null },
): Promise<ReceivedFile | Response> {
  const mostBytes = mostBytesOf(takes);
  const form = await readForm(request, mostBytes + ENVELOPE);
  if (form === "too-large") return refused("too_large", 413);
  if (form === "cut-off") return refused("damaged", 400);
  const file = form.get("file");
  if (!(file instanceof File)) return refused("empty", 400);
  if (file.size > mostBytes) return refused("too_large", 413);
  const { workshop } = await webRuntime();
  const bytes = new Uint8Array(await file.arrayBuffer());
  const inspection = await workshop.run("inspect", { bytes, name: file.name, picture, mostBytes }, owner);
  if (inspection === "busy") return refused("busy", 503);
  if (inspection === "too-hard") return refused("too_hard", 415);
  if (inspection.verdict === "refuse") return refused(inspection.reason, 415);
  const { verdict: _verdict, ...kept } = inspection;
  return { document: { ...kept, name: file.name }, form };
}
