import type { AccessSubject } from "../../../core/record/access";
import { writeTable } from "../../../core/tables/write-table";
import { accessWords } from "../../../text/words/access";
import { accessTable } from "../../../views/people/access";
import { identity, see } from "../../request";
import { disposition } from "../disposition";

const HEADS = ["at", "name", "e-mail", "kind", "what", "file", "from"];

/** The access record as CSV, as far as it is shown. */
export async function GET(request: Request): Promise<Response> {
  const { searchParams } = new URL(request.url);
  const person = await identity();
  const asked = { subject: searchParams.get("subject") as AccessSubject, find: searchParams.get("find") ?? "" }; // another word leads to everything
  const rows = person ? await see(accessTable, person.actor, asked) : null;
  if (!rows) return new Response("This is not here.", { status: 404 });
  const table = writeTable(
    HEADS,
    rows.map((r) => [
      r.at.toISOString(),
      r.name ?? "",
      r.email ?? "",
      r.kind,
      accessWords(r),
      r.file ?? "",
      r.network ?? "",
    ]),
  );
  return new Response(`\uFEFF${table}`, {
    headers: {
      "content-type": "text/csv; charset=utf-8",
      "content-disposition": disposition("access-record.csv"),
      "cache-control": "private, no-store",
    },
  });
}
