import { keepLinkCopy } from "../../../acts/evidence/note-link";
import { perform } from "../../request";
import { answerTo, intoFile, receiveFrom } from "../receive-from";

/** Takes a copy of what stands behind a link that an applicant gave. */
export async function POST(request: Request): Promise<Response> {
  const sent = await receiveFrom(request, intoFile);
  if (sent instanceof Response) return sent;
  const { actor, told, document } = sent;
  const outcome = await perform(keepLinkCopy, actor, {
    applicationId: told("applicationId"),
    scope: told("scope"),
    section: told("section"),
    entry: told("entry"),
    field: told("field"),
    url: told("url"),
    ...document,
  });
  return answerTo(outcome, () => null);
}
