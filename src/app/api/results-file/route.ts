import { MOST_XML_BYTES } from "../../../formats/elmo/read-xml";
import { webRuntime } from "../../../runtime";
import { resultsFile } from "../../../views/results/results-file";
import { identity, see } from "../../request";
import { readForm } from "../read-body";
import { isSameOrigin } from "../same-origin";

const ENVELOPE = 64 * 1024;

/** Reads student results from a file, so that they can be looked at before they are taken over. Nothing is stored. */
export async function POST(request: Request): Promise<Response> {
  if (!(await isSameOrigin(request))) return Response.json({ ok: false, reason: "not-yours" }, { status: 403 });
  const person = await identity();
  if (!person) return Response.json({ ok: false, reason: "signed-out" }, { status: 401 });
  const form = await readForm(request, MOST_XML_BYTES + ENVELOPE);
  if (form === "too-large") return Response.json({ ok: false, reason: "too_large" }, { status: 413 });
  const file = form === "cut-off" ? null : form.get("file");
  if (form === "cut-off" || !(file instanceof File))
    return Response.json({ ok: false, reason: "failed" }, { status: 400 });
  const bytes = new Uint8Array(await file.arrayBuffer());
  const locale = form.get("locale") === "fr" ? "fr" : "en";
  const asked = form.get("number");
  const number = typeof asked === "string" ? asked : null;
  const { workshop } = await webRuntime();
  const owner = `person:${person.actor.id}`;
  const reading = (fingerprints: readonly string[]) =>
    workshop.run("read-results", { bytes, locale, fingerprints }, owner);
  const read = await see(resultsFile, person.actor, { reading, locale, number });
  return Response.json(read ?? { ok: false, reason: "failed" }, { headers: { "cache-control": "no-store" } });
}
