import { holdAttachment } from "../../../acts/conversation/attachments";
import { perform } from "../../request";
import { answerTo, intoFile, receiveFrom } from "../receive-from";

/** Takes a document for the message that somebody is writing. */
export async function POST(request: Request): Promise<Response> {
  const sent = await receiveFrom(request, intoFile);
  if (sent instanceof Response) return sent;
  const held = { applicationId: sent.told("applicationId"), ...sent.document };
  return answerTo(await perform(holdAttachment, sent.actor, held), ({ uploadId }) => ({ uploadId }));
}
