import { copiesOfFile } from "../../../../../views/copies/copies";
import { identity, see } from "../../../../request";

/** How far the copies of an application are that whoever asks has ordered. */
export async function GET(_: Request, { params }: { params: Promise<{ number: string }> }): Promise<Response> {
  const { number } = await params;
  const person = await identity();
  const copies = person ? await see(copiesOfFile, person.actor, { number }) : null;
  if (!copies) return new Response("This is not here.", { status: 404 });
  return Response.json(copies);
}
