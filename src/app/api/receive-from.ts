import "server-only";
import type { Outcome } from "../../acts/act/act";
import type { Picture } from "../../core/rulebook/requirement";
import type { Takes } from "../../core/rulebook/takes";
import { uploadPlace } from "../../views/evidence/upload-place";
import type { Identity } from "../../views/people/identity";
import { identity, see } from "../request";
import { type ReceivedFile, receiveFile } from "./receive-file";
import { isSameOrigin } from "./same-origin";

/** What stands in the address of a request, by its name. */
type Told = (key: string) => string;

/** A file that was looked at, with who sent it and what was told in the address. */
export interface SentFile extends Pick<ReceivedFile, "document"> {
  readonly actor: Identity["actor"];
  readonly told: Told;
}

/** What may be sent: null where this person may send nothing there. */
type Allowed = { readonly picture: Picture | null; readonly takes?: Takes } | null;

/** A document for a file, from whoever may put one there. */
export const intoFile = (actor: Identity["actor"], told: Told): Promise<Allowed> =>
  see(uploadPlace, actor, { applicationId: told("applicationId"), requirement: told("requirement") });

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
  const received = await receiveFile(request, `person:${person.actor.id}`, allowed);
  if (received instanceof Response) return received;
  return { actor: person.actor, told, document: received.document };
}

/** What the page is answered: what was done, or why it was refused. */
export function answerTo<Value>(outcome: Outcome<Value>, done: (value: Value) => object | null): Response {
  if (outcome.ok) return Response.json(done(outcome.value));
  return Response.json(
    { reason: outcome.reason, ...outcome.details },
    { status: outcome.reason === "not-yours" ? 403 : 422 },
  );
}
