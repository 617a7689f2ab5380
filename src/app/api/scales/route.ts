import { scalesInUse } from "../../../views/standards/scales-in-use";
import { identity, see, VISITOR } from "../../request";

/** The grade scales that are usual at an institution, or in its country. Whoever fills in the check before applying may ask, too. */
export async function GET(request: Request): Promise<Response> {
  const { searchParams } = new URL(request.url);
  const person = await identity();
  const found = await see(scalesInUse, person?.actor ?? VISITOR, {
    country: (searchParams.get("country") ?? "").slice(0, 3),
    institution: (searchParams.get("institution") ?? "").slice(0, 200),
  });
  return Response.json(found, { headers: { "cache-control": "no-store" } });
}
