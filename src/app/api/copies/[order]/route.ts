import { webRuntime } from "../../../../runtime";
import { copyBytes, type ReadyCopy, readyCopies } from "../../../../views/copies/copies";
import { identity, see } from "../../../request";
import { serveArchive } from "../../serve-archive";

/** A name for a file in the archive that every system takes. */
const fileName = ({ number, name }: ReadyCopy): string =>
  `${number} ${name.replace(/[^\p{L}\p{N} .-]/gu, "").trim()}.pdf`;

/** The copies of one order, for the officer who asked for them, as one archive. */
export async function GET(_: Request, { params }: { params: Promise<{ order: string }> }): Promise<Response> {
  const { order } = await params;
  const person = await identity();
  const files = person ? await see(readyCopies, person.actor, { orderId: order }) : null;
  if (!files) return new Response("This is not here.", { status: 404 });
  const { pool } = await webRuntime();
  return serveArchive(
    "Unvex copies.zip",
    files.map((file) => ({ path: fileName(file), chunks: copyBytes(pool, file) })),
  );
}
