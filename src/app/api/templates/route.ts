import { storeTemplate } from "../../../acts/templates";
import { identity, perform } from "../../request";
import { receiveFile } from "../receive-file";
import { isSameOrigin } from "../same-origin";

/** Takes a form that a rulebook offers for download. */
export async function POST(request: Request): Promise<Response> {
  if (!(await isSameOrigin(request))) return Response.json({ reason: "not-yours" }, { status: 403 });
  const person = await identity();
  if (!person) return Response.json({ reason: "signed-out" }, { status: 401 });
  const received = await receiveFile(request);
  if (!received.ok) return received.response;
  const { name, bytes, inspection } = received;
  const outcome = await perform(storeTemplate, person.actor, {
    name,
    bytes,
    mediaType: inspection.mediaType,
    marks: [...inspection.marks],
  });
  if (outcome.ok) return Response.json(outcome.value);
  return Response.json(
    { reason: outcome.reason, document: outcome.details?.document },
    { status: outcome.reason === "not-yours" ? 403 : 422 },
  );
}
