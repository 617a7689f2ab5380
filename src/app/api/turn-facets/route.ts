import { turnFilter } from "../../../ui/turns/turn-query";
import { turnFacets } from "../../../views/turns/facets";
import { failed, identity, see } from "../../request";

/** By what the list of files at an address can be narrowed down, counted. */
export async function GET(request: Request): Promise<Response> {
  try {
    const person = await identity();
    const { searchParams } = new URL(request.url);
    const query = { ...Object.fromEntries(searchParams), with: searchParams.getAll("with") };
    const facets = person ? await see(turnFacets, person.actor, turnFilter(query)) : null;
    return facets ? Response.json(facets) : Response.json({ reason: "not-found" }, { status: 404 });
  } catch (error) {
    return failed(error);
  }
}
