import { saveAnswers } from "../../../acts/form/save-answers";
import { identity, perform } from "../../request";
import { readText } from "../read-body";
import { isSameOrigin } from "../same-origin";

const MOST_BYTES = 2_000_000;

/** Saves fields as they are left. Sending the same fields again does no harm: an equal value is saved already. */
export async function POST(request: Request): Promise<Response> {
  if (!(await isSameOrigin(request))) return Response.json({ reason: "not-yours" }, { status: 403 });
  const person = await identity();
  if (!person) return Response.json({ reason: "signed-out" }, { status: 401 });
  const body = await readText(request, MOST_BYTES);
  if (body === null) return Response.json({ reason: "too-large" }, { status: 413 });
  let input: Parameters<typeof perform<(typeof saveAnswers)["input"], unknown>>[2];
  try {
    input = JSON.parse(body);
  } catch {
    return Response.json({ reason: "invalid-input" }, { status: 400 });
  }
  const outcome = await perform(saveAnswers, person.actor, input);
  if (!outcome.ok) return Response.json(outcome, { status: outcome.reason === "not-yours" ? 403 : 422 });
  return Response.json(outcome.value);
}
