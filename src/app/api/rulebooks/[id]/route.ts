import { rulebookPage } from "../../../../views/rulebook/rulebooks";
import { identity, see } from "../../../request";
import { disposition } from "../../disposition";

/** A rulebook as JSON, in the form that the published schema describes. */
export async function GET(_: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const person = await identity();
  const page = person ? await see(rulebookPage, person.actor, { rulebookId: (await params).id }) : null;
  if (!page) return new Response("This is not here.", { status: 404 });
  const name = `rulebook-${page.code}-${page.startsOn.slice(0, 4)}-${page.status === "draft" ? "draft" : page.version}.json`;
  return new Response(`${JSON.stringify(page.body, null, 2)}\n`, {
    headers: {
      "content-type": "application/json; charset=utf-8",
      "content-disposition": disposition(name),
      "cache-control": "no-store",
    },
  });
}
