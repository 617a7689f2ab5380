import { recordPayment } from "../../../acts/payments/payments";
import { webRuntime } from "../../../runtime";
import { perform, SYSTEM } from "../../request";
import { readText } from "../read-body";

/** An answer is a line. */
const MOST_BYTES = 10_000;

/** The card service's answer. Its signature is the proof of who sent it; one that comes twice counts once. */
export async function POST(request: Request): Promise<Response> {
  const { card } = await webRuntime();
  const body = await readText(request, MOST_BYTES);
  if (body === null) return Response.json({ reason: "too-large" }, { status: 413 });
  const answer = card?.readAnswer(body, request.headers.get("x-signature") ?? "");
  if (!answer) return Response.json({ reason: "not-yours" }, { status: 403 });
  const outcome = await perform(recordPayment, SYSTEM, answer);
  return Response.json(outcome, { status: outcome.ok ? 200 : 422 });
}
