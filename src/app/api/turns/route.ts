import { writeTable } from "../../../core/tables/write-table";
import { webRuntime } from "../../../runtime";
import { formatMoment } from "../../../text/format";
import { turnFilter } from "../../../ui/turns/turn-query";
import { turnContacts } from "../../../views/turns/contacts";
import { officeNow } from "../../../views/view/office-now";
import { turnDeed } from "../../office/turn-deed";
import { identity, see } from "../../request";
import { disposition } from "../disposition";

const HEADS = [
  "number",
  "name",
  "e-mail",
  "telephone",
  "telephone works",
  "programmes",
  "stage",
  "turn",
  "next step",
  "by",
  "officer",
];

/** The files that the list of turns shows, whole, as CSV: to call people, to write to them, to count. */
export async function GET(request: Request): Promise<Response> {
  const person = await identity();
  const { searchParams } = new URL(request.url);
  const query = { ...Object.fromEntries(searchParams), with: searchParams.getAll("with") };
  const rows = person ? await see(turnContacts, person.actor, turnFilter(query)) : null;
  if (!rows) return new Response("This is not here.", { status: 404 });
  const { set } = await officeNow((await webRuntime()).pool);
  const table = writeTable(
    HEADS,
    rows.map((r) => [
      r.number,
      r.name,
      r.email,
      r.phone ?? "",
      r.phone_dead ? "no" : "",
      r.programmes,
      r.stage,
      r.turn,
      turnDeed(r),
      r.due_at ? formatMoment("en", r.due_at.toISOString(), set.zone) : "",
      r.officer ?? "",
    ]),
  );
  return new Response(`\uFEFF${table}`, {
    headers: {
      "content-type": "text/csv; charset=utf-8",
      "content-disposition": disposition("files.csv"),
      "cache-control": "private, no-store",
    },
  });
}
