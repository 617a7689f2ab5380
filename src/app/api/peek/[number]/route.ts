import { peek } from "../../../../views/assessment/peek";
import { failed, identity, see } from "../../../request";

export async function GET(_: Request, { params }: { params: Promise<{ number: string }> }): Promise<Response> {
  const { number } = await params;
  try {
    const person = await identity();
    const data = person ? await see(peek, person.actor, { number }) : null;
    return data ? Response.json(data) : Response.json({ reason: "not-found" }, { status: 404 });
  } catch (error) {
    return failed(error);
  }
}
