import { template } from "../../../../views/rulebook/template";
import { see, VISITOR } from "../../../request";
import { serveDocument } from "../../serve-document";

/** A form to download. Its address is its content, so that it never changes. */
export async function GET(_: Request, { params }: { params: Promise<{ sha256: string }> }): Promise<Response> {
  const found = await see(template, VISITOR, await params);
  if (!found) return new Response("not found", { status: 404 });
  return serveDocument(found, { cache: "public, max-age=31536000, immutable" });
}
