import { turnFilter } from "../../../../ui/turns/turn-query";
import { listDigest, turns } from "../../../../views/turns/turns";
import { identity, see } from "../../../request";

/** What the list of turns is at this moment, as a short text that changes with it. */
export async function GET(request: Request): Promise<Response> {
  const person = await identity();
  const { searchParams } = new URL(request.url);
  const query = { ...Object.fromEntries(searchParams), with: searchParams.getAll("with") };
  const data = person ? await see(turns, person.actor, turnFilter(query)) : null;
  return data
    ? new Response(listDigest(data), { headers: { "cache-control": "private, no-store" } })
    : new Response("This is not here.", { status: 404 });
}
