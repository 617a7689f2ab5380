import { supplyForApplicant } from "../../../../acts/evidence/upload-document";
import { perform } from "../../../request";
import { answerTo, intoFile, receiveFrom } from "../../receive-from";
import { documentOf } from "../document-of";

/** Takes for an applicant what reached the office on paper or by mail. */
export async function POST(request: Request): Promise<Response> {
  const sent = await receiveFrom(request, intoFile);
  if (sent instanceof Response) return sent;
  return answerTo(
    await perform(supplyForApplicant, sent.actor, { ...documentOf(sent), paperId: sent.told("paper") || null }),
    () => null,
  );
}
