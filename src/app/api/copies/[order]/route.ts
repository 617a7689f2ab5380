import { Zip, ZipPassThrough } from "fflate";
import { webRuntime } from "../../../../runtime";
import { copyBytes, type ReadyCopy, readyCopies } from "../../../../views/copies/copies";
import { identity, see } from "../../../request";
import { disposition } from "../../disposition";

/** A name for a file in the archive that every system takes. */
const fileName = ({ number, name }: ReadyCopy): string =>
  `${number} ${name.replace(/[^\p{L}\p{N} .-]/gu, "").trim()}.pdf`;

/** The copies as one archive, written while it is read: no more than a chunk is held at a time. */
async function* archive(files: readonly ReadyCopy[]): AsyncGenerator<Uint8Array> {
  const { pool } = await webRuntime();
  const ready: Uint8Array[] = [];
  const zip = new Zip((error, chunk) => {
    if (error) throw error;
    ready.push(chunk);
  });
  for (const file of files) {
    // PDFs are packed already.
    const entry = new ZipPassThrough(fileName(file));
    zip.add(entry);
    for await (const chunk of copyBytes(pool, file)) {
      entry.push(chunk);
      yield* ready.splice(0);
    }
    entry.push(new Uint8Array(), true);
    yield* ready.splice(0);
  }
  zip.end();
  yield* ready.splice(0);
}

/** The copies of one order, for the officer who asked for them. */
export async function GET(_: Request, { params }: { params: Promise<{ order: string }> }): Promise<Response> {
  const { order } = await params;
  const person = await identity();
  const files = person ? await see(readyCopies, person.actor, { orderId: order }) : null;
  if (!files) return new Response("This is not here.", { status: 404 });
  const chunks = archive(files);
  const body = new ReadableStream<Uint8Array>({
    pull: async (controller) => {
      const { done, value } = await chunks.next();
      if (done) controller.close();
      else controller.enqueue(value);
    },
  });
  return new Response(body, {
    headers: {
      "content-type": "application/zip",
      "content-disposition": disposition("Unvex copies.zip"),
      "x-content-type-options": "nosniff",
      "cache-control": "private, no-store",
    },
  });
}
