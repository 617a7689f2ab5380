import { linkCopy } from "../../../../views/evidence/link-copy";
import { identity, see } from "../../../request";
import { serveDocument } from "../../serve-document";

/** A copy of what stood behind a link, for the office. */
export async function GET(_: Request, { params }: { params: Promise<{ sha256: string }> }): Promise<Response> {
  const person = await identity();
  const found = person ? await see(linkCopy, person.actor, await params) : null;
  return found ? serveDocument(found, { inline: true }) : new Response("This is not here.", { status: 404 });
}
