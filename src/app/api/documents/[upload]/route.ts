import { document } from "../../../../views/evidence/document";
import { identity, see } from "../../../request";
import { serveDocument } from "../../serve-document";

/** A document, for those who may see it. */
export async function GET(request: Request, { params }: { params: Promise<{ upload: string }> }): Promise<Response> {
  const { upload } = await params;
  const person = await identity();
  const inline = new URL(request.url).searchParams.has("show");
  const found = person ? await see(document, person.actor, { uploadId: upload, original: !inline }) : null;
  return found ? serveDocument(found, { inline }) : new Response("not found", { status: 404 });
}
