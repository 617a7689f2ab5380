import { uploadDocument } from "../../../acts/upload-document";
import { perform } from "../../request";
import { answerTo, receiveFrom } from "../receive-from";

/** Takes a document for a requirement. It is looked at before anything is stored. */
export async function POST(request: Request): Promise<Response> {
  const sent = await receiveFrom(request);
  if (sent instanceof Response) return sent;
  const { actor, told, name, bytes, inspection } = sent;
  const outcome = await perform(uploadDocument, actor, {
    applicationId: told("applicationId"),
    requirement: told("requirement"),
    scope: told("scope"),
    entry: told("entry"),
    name,
    bytes,
    mediaType: inspection.mediaType,
    pages: inspection.pages,
    marks: [...inspection.marks],
  });
  return answerTo(outcome, ({ uploadId }) => ({ uploadId, marks: inspection.marks }));
}
