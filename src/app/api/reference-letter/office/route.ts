import { takeReference } from "../../../../acts/references/chase-reference";
import { perform } from "../../../request";
import { answerTo, intoFile, receiveFrom } from "../../receive-from";

/** Takes a referee’s letter that reached the office by post or mail. */
export async function POST(request: Request): Promise<Response> {
  const sent = await receiveFrom(request, intoFile);
  if (sent instanceof Response) return sent;
  const { actor, told, document } = sent;
  return answerTo(
    await perform(takeReference, actor, {
      applicationId: told("applicationId"),
      requestId: told("requestId"),
      cameOn: told("cameOn"),
      letter: document,
    }),
    () => null,
  );
}
