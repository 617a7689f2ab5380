import "server-only";
import { Zip, ZipPassThrough } from "fflate";
import { disposition } from "./disposition";
import { streamed } from "./streamed";

/** A file in an archive, read when its turn comes. */
export interface ArchiveEntry {
  readonly path: string;
  readonly chunks: Iterable<Uint8Array> | AsyncIterable<Uint8Array>;
}

/** The archive, written while it is read: no more than a chunk is held at a time. What is in it is packed already, or short. */
async function* written(entries: readonly ArchiveEntry[]): AsyncGenerator<Uint8Array> {
  const ready: Uint8Array[] = [];
  const zip = new Zip((error, chunk) => {
    if (error) throw error;
    ready.push(chunk);
  });
  for (const { path, chunks } of entries) {
    const entry = new ZipPassThrough(path);
    zip.add(entry);
    for await (const chunk of chunks) {
      entry.push(chunk);
      yield* ready.splice(0);
    }
    entry.push(new Uint8Array(), true);
    yield* ready.splice(0);
  }
  zip.end();
  yield* ready.splice(0);
}

/** Files as one archive to download. */
export function serveArchive(name: string, entries: readonly ArchiveEntry[]): Response {
  return new Response(streamed(written(entries)), {
    headers: {
      "content-type": "application/zip",
      "content-disposition": disposition(name),
      "x-content-type-options": "nosniff",
      "cache-control": "private, no-store",
    },
  });
}
