import { writeRegister } from "../../../core/standards/register-table";
import { registerTable } from "../../../views/standards/institutions";
import { identity, see } from "../../request";
import { disposition } from "../disposition";

/** The register of institutions as CSV: to be worked on in a spreadsheet and taken back in. */
export async function GET(): Promise<Response> {
  const person = await identity();
  const all = person ? await see(registerTable, person.actor, {}) : null;
  if (!all) return new Response("This is not here.", { status: 404 });
  return new Response(writeRegister(all), {
    headers: {
      "content-type": "text/csv; charset=utf-8",
      "content-disposition": disposition("institutions.csv"),
      "cache-control": "no-store",
    },
  });
}
