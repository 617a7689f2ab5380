import { hashToken } from "../../../acts/act/token";
import { giveReference } from "../../../acts/references/answer-reference";
import { webRuntime } from "../../../runtime";
import { referencePage, requestOfLink } from "../../../views/references/reference-page";
import { perform, see } from "../../request";
import { receiveFile } from "../receive-file";
import { isSameOrigin } from "../same-origin";

/** Where the page puts the link's secret: beside the body, which is read only once the link is known to be good, and in no address. */
const LINK_HEADER = "x-unvex-link";

/** Takes a referee's letter together with the short form. */
export async function POST(request: Request): Promise<Response> {
  if (!(await isSameOrigin(request))) return Response.json({ reason: "not-yours" }, { status: 403 });
  const token = request.headers.get(LINK_HEADER) ?? "";
  const requestId = await requestOfLink((await webRuntime()).pool, hashToken(token));
  const actor = requestId ? ({ kind: "link", requestId } as const) : null;
  const page = actor && (await see(referencePage, actor, {}));
  if (!actor || (page?.state !== "asked" && page?.state !== "opened"))
    return Response.json({ reason: "link-ended" }, { status: 404 });
  const received = await receiveFile(request, `link:${actor.requestId}`);
  if (received instanceof Response) return received;
  const field = (key: string) => String(received.form.get(key) ?? "");
  const outcome = await perform(giveReference, actor, {
    answers: { known: field("known"), rating: field("rating") as never, text: field("text") }, // the act checks it
    letter: received.document,
  });
  return outcome.ok ? Response.json({}) : Response.json(outcome, { status: 422 });
}
