import { uploadDocument } from "../../../acts/upload-document";
import { identity, perform } from "../../request";
import { receiveFile } from "../receive-file";
import { isSameOrigin } from "../same-origin";

/** Takes a document for a requirement. It is looked at before anything is stored. */
export async function POST(request: Request): Promise<Response> {
  if (!(await isSameOrigin(request))) return Response.json({ reason: "not-yours" }, { status: 403 });
  const person = await identity();
  if (!person) return Response.json({ reason: "signed-out" }, { status: 401 });
  const received = await receiveFile(request);
  if (!received.ok) return received.response;
  const { form, name, bytes, inspection } = received;
  const field = (key: string) => String(form.get(key) ?? "");
  const outcome = await perform(uploadDocument, person.actor, {
    applicationId: field("applicationId"),
    requirement: field("requirement"),
    scope: field("scope"),
    entry: field("entry"),
    name,
    bytes,
    mediaType: inspection.mediaType,
    pages: inspection.pages,
    marks: [...inspection.marks],
  });
  return outcome.ok
    ? Response.json({ uploadId: outcome.value.uploadId, marks: inspection.marks })
    : Response.json(
        { reason: outcome.reason, ...outcome.details },
        { status: outcome.reason === "not-yours" ? 403 : 422 },
      );
}
