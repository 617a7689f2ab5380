import { standards } from "../../../views/standards/standards";
import { identity, see } from "../../request";
import { disposition } from "../disposition";

/** What the office goes by, as JSON: the draft where there is one, else the version in force, or the version asked for. */
export async function GET(request: Request): Promise<Response> {
  const asked = Number(new URL(request.url).searchParams.get("version"));
  const person = await identity();
  const version = Number.isInteger(asked) && asked > 0 ? asked : null;
  const page = person ? await see(standards, person.actor, { version }) : null;
  if (!page) return new Response("This is not here.", { status: 404 });
  const name = `standards-${page.draft ? "draft" : page.version}.json`;
  return new Response(`${JSON.stringify(page.draft?.body ?? page.set, null, 2)}\n`, {
    headers: {
      "content-type": "application/json; charset=utf-8",
      "content-disposition": disposition(name),
      "cache-control": "no-store",
    },
  });
}
