import "server-only";
import type { Outcome } from "../../acts/act/act";
import { dropSending } from "../../acts/evidence/sendings";
import { webRuntime } from "../../runtime";
import { sending, sentBytes } from "../../views/evidence/sending";
import { uploadPlace } from "../../views/evidence/upload-place";
import type { Identity } from "../../views/people/identity";
import { identity, perform, see } from "../request";
import { lookAtFile, type ReceivedFile, receiveFile, type Wanted } from "./receive-file";
import { isSameOrigin } from "./same-origin";

/** What stands in the address of a request, by its name. */
type Told = (key: string) => string;

/** A file that was looked at, with who sent it and what was told in the address. */
export interface SentFile extends Pick<ReceivedFile, "document"> {
  readonly actor: Identity["actor"];
  readonly told: Told;
}

/** What may be sent: null where this person may send nothing there. */
type Allowed = Wanted | null;

/** A document for a file, from whoever may put one there. */
export const intoFile = (actor: Identity["actor"], told: Told): Promise<Allowed> =>
  see(uploadPlace, actor, { applicationId: told("applicationId"), requirement: told("requirement") });

/** Looks at a file that has arrived in parts; then it is not kept for that any more, unless there was no time to look. */
async function receiveSending(
  actor: Identity["actor"],
  id: string,
  wanted: Wanted,
): Promise<ReceivedFile["document"] | Response> {
  const found = await see(sending, actor, { id });
  if (!found || found.arrived < found.size)
    return Response.json({ reason: "document-refused", document: "damaged" }, { status: 400 });
  const { pool } = await webRuntime();
  const looked = await lookAtFile({ name: found.name, bytes: await sentBytes(pool, id) }, `person:${actor.id}`, wanted);
  if (!(looked instanceof Response && looked.status === 503)) await perform(dropSending, actor, { id });
  return looked;
}

/**
 * A file that somebody who is signed in sends from our own pages, or the answer that says why not. Where it is to go stands in the address,
 * so that nobody's bytes are read who may not send them.
 */
export async function receiveFrom(
  request: Request,
  allow: (actor: Identity["actor"], told: Told) => Allowed | Promise<Allowed>,
): Promise<SentFile | Response> {
  if (!(await isSameOrigin(request))) return Response.json({ reason: "not-yours" }, { status: 403 });
  const person = await identity();
  if (!person) return Response.json({ reason: "signed-out" }, { status: 401 });
  const { searchParams } = new URL(request.url);
  const told = (key: string) => searchParams.get(key) ?? "";
  const allowed = await allow(person.actor, told);
  if (!allowed) return Response.json({ reason: "not-yours" }, { status: 403 });
  const { actor } = person;
  if (told("sending") !== "") {
    const document = await receiveSending(actor, told("sending"), allowed);
    return document instanceof Response ? document : { actor, told, document };
  }
  const received = await receiveFile(request, `person:${actor.id}`, allowed);
  return received instanceof Response ? received : { actor, told, document: received.document };
}

/** What the page is answered: what was done, or why it was refused. */
export function answerTo<Value>(outcome: Outcome<Value>, done: (value: Value) => object | null): Response {
  if (outcome.ok) return Response.json(done(outcome.value));
  return Response.json(
    { reason: outcome.reason, ...outcome.details },
    { status: outcome.reason === "not-yours" ? 403 : 422 },
  );
}
