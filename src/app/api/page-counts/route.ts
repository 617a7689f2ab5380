import { pageCounts } from "../../../views/turns/page-counts";
import { failed, identity, see } from "../../request";

/** How much waits on the pages of the office. */
export async function GET(): Promise<Response> {
  try {
    const person = await identity();
    const counts = person ? await see(pageCounts, person.actor, {}) : null;
    return counts ? Response.json(counts) : Response.json({ reason: "not-found" }, { status: 404 });
  } catch (error) {
    return failed(error);
  }
}
