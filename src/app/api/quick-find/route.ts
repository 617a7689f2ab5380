import { quickFind } from "../../../views/turns/quick-find";
import { failed, identity, see } from "../../request";

/** What is offered while somebody types into the find field of the office. */
export async function GET(request: Request): Promise<Response> {
  try {
    const person = await identity();
    const words = new URL(request.url).searchParams.get("words") ?? "";
    const found = person ? await see(quickFind, person.actor, { words: words.slice(0, 100) }) : null;
    return found ? Response.json(found) : Response.json({ reason: "not-found" }, { status: 404 });
  } catch (error) {
    return failed(error);
  }
}
