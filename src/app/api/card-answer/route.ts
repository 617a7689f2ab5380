import { recordPayment } from "../../../acts/payments/payments";
import { webRuntime } from "../../../runtime";
import { perform, SYSTEM } from "../../request";

/** The card service's answer. Its signature is the proof of who sent it; one that comes twice counts once. */
export async function POST(request: Request): Promise<Response> {
  const { card } = await webRuntime();
  const answer = card.readAnswer(await request.text(), request.headers.get("x-signature") ?? "");
  if (!answer) return Response.json({ reason: "not-yours" }, { status: 403 });
  const outcome = await perform(recordPayment, SYSTEM, answer);
  return Response.json(outcome, { status: outcome.ok ? 200 : 422 });
}
