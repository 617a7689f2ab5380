import { writeTable } from "../../../core/tables/write-table";
import { countryName } from "../../../text/format";
import { type PostKind, postTable } from "../../../views/contact/post";
import { identity, see } from "../../request";
import { disposition } from "../disposition";

const HEADS = ["number", "name", "programmes", "street", "postcode", "town", "region", "country", "from", "state"];

const STATES: Readonly<Record<string, string>> = {
  holds: "confirmed",
  fails: "a letter came back",
  "not confirmed": "not confirmed",
};

/** Where letters go, as CSV: for labels. */
export async function GET(request: Request): Promise<Response> {
  const person = await identity();
  const kind = (new URL(request.url).searchParams.get("kind") ?? "all") as PostKind; // another word asks for all
  const rows = person ? await see(postTable, person.actor, { kind }) : null;
  if (!rows) return new Response("This is not here.", { status: 404 });
  const table = writeTable(
    HEADS,
    rows.map((r) => {
      const part = (name: string): string => {
        const value = (r.address as Readonly<Record<string, unknown>> | null)?.[name]; // an address is an object of texts
        return typeof value === "string" ? value : "";
      };
      const country = part("country");
      return [
        r.number,
        r.name,
        r.programmes,
        part("street"),
        part("postcode"),
        part("town"),
        part("region"),
        country ? countryName("en", country) : "",
        r.purpose.en,
        STATES[r.reached] ?? r.reached,
      ];
    }),
  );
  return new Response(`\uFEFF${table}`, {
    headers: {
      "content-type": "text/csv; charset=utf-8",
      "content-disposition": disposition("addresses.csv"),
      "cache-control": "private, no-store",
    },
  });
}
