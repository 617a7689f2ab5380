import { hashToken } from "../../../acts/act/token";
import { giveReference } from "../../../acts/references/answer-reference";
import { webRuntime } from "../../../runtime";
import { requestOfLink } from "../../../views/references/reference-page";
import { perform } from "../../request";
import { receiveFile } from "../receive-file";
import { isSameOrigin } from "../same-origin";

/** Takes a referee's letter together with the short form. The link in the form is the only key. */
export async function POST(request: Request): Promise<Response> {
  if (!(await isSameOrigin(request))) return Response.json({ reason: "not-yours" }, { status: 403 });
  const received = await receiveFile(request);
  if (!received.ok) return received.response;
  const { form, name, bytes, inspection } = received;
  const field = (key: string) => String(form.get(key) ?? "");
  const requestId = await requestOfLink((await webRuntime()).pool, hashToken(field("token")));
  if (!requestId) return Response.json({ reason: "link-ended" }, { status: 404 });
  const outcome = await perform(
    giveReference,
    { kind: "link", requestId },
    {
      answers: { known: field("known"), rating: field("rating") as never, text: field("text") }, // the act checks it
      letter: { name, bytes, mediaType: inspection.mediaType, pages: inspection.pages, marks: [...inspection.marks] },
    },
  );
  return outcome.ok ? Response.json({}) : Response.json(outcome, { status: 422 });
}
