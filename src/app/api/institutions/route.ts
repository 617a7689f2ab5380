import { institutionSuggestions } from "../../../views/standards/institutions";
import { identity, see, VISITOR } from "../../request";

/** Institutions of the register for what somebody has typed so far. Whoever fills in the check before applying may ask, too. */
export async function GET(request: Request): Promise<Response> {
  const { searchParams } = new URL(request.url);
  const person = await identity();
  const found = await see(institutionSuggestions, person?.actor ?? VISITOR, {
    typed: (searchParams.get("typed") ?? "").slice(0, 200),
    country: (searchParams.get("country") ?? "").slice(0, 2),
  });
  return Response.json(found ?? [], { headers: { "cache-control": "no-store" } });
}
