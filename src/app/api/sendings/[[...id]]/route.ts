import { MemoryLocker, Server } from "@tus/server";
import { MOST_MEGABYTES } from "../../../../core/rulebook/takes";
import { identity } from "../../../request";
import { isSameOrigin } from "../../same-origin";
import { SendingStore } from "../sending-store";

/** One part of a file at a time, also where two of its requests come at once. */
const locker = new MemoryLocker();

/**
 * Takes files in parts, by the open protocol for uploads that can be resumed (tus 1.0.0): after a broken line the sender asks how much has
 * arrived and goes on there.
 */
async function take(request: Request): Promise<Response> {
  // Browsers do not say where from a question comes, and it changes nothing.
  if (request.method !== "HEAD" && !(await isSameOrigin(request)))
    return Response.json({ reason: "not-yours" }, { status: 403 });
  const person = await identity();
  if (!person) return Response.json({ reason: "signed-out" }, { status: 401 });
  const server = new Server({
    path: "/api/sendings",
    relativeLocation: true,
    datastore: new SendingStore(person.actor),
    maxSize: MOST_MEGABYTES * 1024 * 1024,
    locker,
    allowedOrigins: () => false,
  });
  return server.handleWeb(request);
}

export { take as DELETE, take as HEAD, take as PATCH, take as POST };
