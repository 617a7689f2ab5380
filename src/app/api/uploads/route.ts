import { uploadDocument } from "../../../acts/evidence/upload-document";
import { perform } from "../../request";
import { answerTo, intoFile, receiveFrom } from "../receive-from";
import { documentOf } from "./document-of";

/** Takes a document for a requirement. It is looked at before anything is stored. */
export async function POST(request: Request): Promise<Response> {
  const sent = await receiveFrom(request, intoFile);
  if (sent instanceof Response) return sent;
  const outcome = await perform(uploadDocument, sent.actor, documentOf(sent));
  return answerTo(outcome, ({ uploadId }) => ({ uploadId, marks: sent.document.marks }));
}
