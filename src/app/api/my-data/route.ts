import { webRuntime } from "../../../runtime";
import { documentBytes } from "../../../views/evidence/document";
import { ownData } from "../../../views/people/own-data";
import { identity, see } from "../../request";
import { type ArchiveEntry, serveArchive } from "../serve-archive";

/** Everything that is kept of whoever asks: one file of JSON, and the documents that they sent. */
export async function GET(): Promise<Response> {
  const person = await identity();
  const data = person ? await see(ownData, person.actor, {}) : null;
  if (!data) return new Response("This is not here.", { status: 404 });
  const { pool } = await webRuntime();
  const { documents, ...rows } = data;
  const json = new TextEncoder().encode(`${JSON.stringify(rows, null, 2)}\n`);
  const entries: ArchiveEntry[] = [
    { path: "all.json", chunks: [json] },
    ...documents.map(({ sha256, path }) => ({ path, chunks: documentBytes(pool, { sha256 }) })),
  ];
  return serveArchive("Unvex, all that is kept.zip", entries);
}
