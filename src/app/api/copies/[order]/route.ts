import { webRuntime } from "../../../../runtime";
import { copyBytes, type ReadyCopy, readyCopies } from "../../../../views/copies/copies";
import { identity, see } from "../../../request";
import { disposition } from "../../disposition";
import { serveArchive } from "../../serve-archive";
import { streamed } from "../../streamed";

/** A name for a file in the archive that every system takes. */
const fileName = ({ number, name }: ReadyCopy): string =>
  `${number} ${name.replace(/[^\p{L}\p{N} .-]/gu, "").trim()}.pdf`;

const fileHeaders = (name: string) => ({
  "content-type": "application/pdf",
  "content-disposition": disposition(name),
  "x-content-type-options": "nosniff",
  "cache-control": "private, no-store",
});

/** The copies of one order, for who asked for them: one as it is, several as one archive. */
export async function GET(_: Request, { params }: { params: Promise<{ order: string }> }): Promise<Response> {
  const { order } = await params;
  const person = await identity();
  const files = person ? await see(readyCopies, person.actor, { orderId: order }) : null;
  if (!files) return new Response("This is not here.", { status: 404 });
  const { pool } = await webRuntime();
  const [only, ...others] = files;
  if (only && others.length === 0)
    return new Response(streamed(copyBytes(pool, only)), { headers: fileHeaders(`Unvex ${fileName(only)}`) });
  return serveArchive(
    "Unvex copies.zip",
    files.map((file) => ({ path: fileName(file), chunks: copyBytes(pool, file) })),
  );
}
