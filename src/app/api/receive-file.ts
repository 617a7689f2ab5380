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

/** What is asked for where a file goes. */
export interface Wanted {
  readonly picture: Picture | null;
  readonly takes?: Takes;
}

/** A file as it was sent. */
export interface SentBytes {
  readonly name: string;
  readonly bytes: Uint8Array<ArrayBuffer>;
}

/** Reads one file out of a form, and what came beside it. The answer says why it was not taken. */
async function readFile(request: Request, takes: Takes): Promise<{ sent: SentBytes; form: FormData } | Response> {
  const mostBytes = mostBytesOf(takes);
  const form = await readForm(request, mostBytes + ENVELOPE);
  if (form === "too-large") return refused("too_large", 413);
  if (form === "cut-off") return refused("damaged", 400);
  const file = form.get("file");
  if (!(file instanceof File)) return refused("empty", 400);
  return { sent: { name: file.name, bytes: new Uint8Array(await file.arrayBuffer()) }, form };
}

/**
 * Has a file looked at in the workshop. The answer says why it was not taken.
 * @param owner who sends it: of one person, one file is looked at at a time
 */
export async function lookAtFile(
  { name, bytes }: SentBytes,
  owner: string,
  { picture, takes = {} }: Wanted,
): Promise<ReceivedFile["document"] | Response> {
  const mostBytes = mostBytesOf(takes);
  if (bytes.length > mostBytes) return refused("too_large", 413);
  const { workshop } = await webRuntime();
  const inspection = await workshop.run("inspect", { bytes, name, picture, mostBytes }, owner);
  if (inspection === "busy") return refused("busy", 503);
  if (inspection === "too-hard") return refused("too_hard", 415);
  if (inspection.verdict === "refuse") return refused(inspection.reason, 415);
  const { verdict: _verdict, ...kept } = inspection;
  return { ...kept, name };
}

/** Reads one uploaded file and has it looked at; called once it is known that whoever sends it may. */
export async function receiveFile(
  request: Request,
  owner: string,
  wanted: Wanted = { picture: null },
): Promise<ReceivedFile | Response> {
  const read = await readFile(request, wanted.takes ?? {});
  if (read instanceof Response) return read;
  const document = await lookAtFile(read.sent, owner, wanted);
  return document instanceof Response ? document : { document, form: read.form };
}
