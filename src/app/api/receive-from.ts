import "server-only";
import type { Outcome } from "../../acts/act/act";
import type { Identity } from "../../views/people/identity";
import { identity } from "../request";
import { type Received, receiveFile } from "./receive-file";
import { isSameOrigin } from "./same-origin";

/** A file that was looked at, with who sent it and what was told beside it. */
export type SentFile = Extract<Received, { ok: true }> & {
  readonly actor: Identity["actor"];
  readonly told: (key: string) => string;
};

/** A file that somebody who is signed in sends from our own pages, or the answer that says why not. */
export async function receiveFrom(request: Request): Promise<SentFile | Response> {
  if (!(await isSameOrigin(request))) return Response.json({ reason: "not-yours" }, { status: 403 });
  const person = await identity();
  if (!person) return Response.json({ reason: "signed-out" }, { status: 401 });
  const received = await receiveFile(request);
  if (!received.ok) return received.response;
  return { ...received, actor: person.actor, told: (key) => String(received.form.get(key) ?? "") };
}

/** What the page is answered: what was done, or why it was refused. */
export function answerTo<Value>(outcome: Outcome<Value>, done: (value: Value) => object | null): Response {
  if (outcome.ok) return Response.json(done(outcome.value));
  return Response.json(
    { reason: outcome.reason, ...outcome.details },
    { status: outcome.reason === "not-yours" ? 403 : 422 },
  );
}
