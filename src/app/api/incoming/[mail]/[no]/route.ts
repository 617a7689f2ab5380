import { incomingDocument } from "../../../../../views/mail/incoming";
import { identity, see } from "../../../../request";
import { serveDocument } from "../../../serve-document";

/** What hangs on a mail that waits for somebody who places it. */
export async function GET(
  _request: Request,
  { params }: { params: Promise<{ mail: string; no: string }> },
): Promise<Response> {
  const { mail, no } = await params;
  const person = await identity();
  const found = person ? await see(incomingDocument, person.actor, { mailId: mail, no: Number(no) }) : null;
  return found ? serveDocument(found, { inline: true }) : new Response("not found", { status: 404 });
}
