import { keepLinkCopy } from "../../../acts/note-link";
import { identity, perform } from "../../request";
import { receiveFile } from "../receive-file";
import { isSameOrigin } from "../same-origin";

/** Takes a copy of what stands behind a link that an applicant gave. */
export async function POST(request: Request): Promise<Response> {
  if (!(await isSameOrigin(request))) return Response.json({ reason: "not-yours" }, { status: 403 });
  const person = await identity();
  if (!person) return Response.json({ reason: "signed-out" }, { status: 401 });
  const received = await receiveFile(request);
  if (!received.ok) return received.response;
  const { name, bytes, inspection, form } = received;
  const told = (key: string) => String(form.get(key) ?? "");
  const outcome = await perform(keepLinkCopy, person.actor, {
    applicationId: told("applicationId"),
    scope: told("scope"),
    section: told("section"),
    entry: told("entry"),
    field: told("field"),
    url: told("url"),
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
