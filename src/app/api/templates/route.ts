import { storeTemplate } from "../../../acts/rulebook/templates";
import { perform } from "../../request";
import { answerTo, receiveFrom } from "../receive-from";

/** Takes a form that a rulebook offers for download. */
export async function POST(request: Request): Promise<Response> {
  const sent = await receiveFrom(request);
  if (sent instanceof Response) return sent;
  const { actor, name, bytes, inspection } = sent;
  const outcome = await perform(storeTemplate, actor, {
    name,
    bytes,
    mediaType: inspection.mediaType,
    marks: [...inspection.marks],
  });
  return answerTo(outcome, (kept) => kept);
}
