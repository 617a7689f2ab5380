import { keepLinkCopy } from "../../../acts/evidence/note-link";
import { perform } from "../../request";
import { answerTo, receiveFrom } from "../receive-from";

/** Takes a copy of what stands behind a link that an applicant gave. */
export async function POST(request: Request): Promise<Response> {
  const sent = await receiveFrom(request);
  if (sent instanceof Response) return sent;
  const { actor, told, name, bytes, inspection } = sent;
  const outcome = await perform(keepLinkCopy, actor, {
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
  return answerTo(outcome, () => null);
}
