import { storeTemplate } from "../../../acts/rulebook/templates";
import { holds, RULEBOOK_READERS } from "../../../core/rights/actor";
import { perform } from "../../request";
import { answerTo, receiveFrom } from "../receive-from";

/** Takes a form that a rulebook offers for download. */
export async function POST(request: Request): Promise<Response> {
  const sent = await receiveFrom(request, (actor) => (holds(actor, RULEBOOK_READERS) ? { picture: null } : null));
  if (sent instanceof Response) return sent;
  return answerTo(await perform(storeTemplate, sent.actor, sent.document), (kept) => kept);
}
