import { writeTable } from "../../../core/tables/write-table";
import { figures } from "../../../views/figures/figures";
import { identity, see } from "../../request";
import { disposition } from "../disposition";

const HEADS = ["section", "question", "answer", "people"];

/** The figures of one start as CSV; what is withheld stands as “withheld”. */
export async function GET(request: Request): Promise<Response> {
  const person = await identity();
  const start = new URL(request.url).searchParams.get("start");
  const page = person ? await see(figures, person.actor, { start }) : null;
  if (!page?.shown) return new Response("This is not here.", { status: 404 });
  const table = writeTable(
    HEADS,
    page.figures.flatMap((f) => f.lines.map((l) => [f.section ?? "", f.title, l.label, String(l.count ?? "withheld")])),
  );
  return new Response(`\uFEFF${table}`, {
    headers: {
      "content-type": "text/csv; charset=utf-8",
      "content-disposition": disposition(`figures-${page.shown.code}-${page.shown.startsOn}.csv`),
      "cache-control": "private, no-store",
    },
  });
}
