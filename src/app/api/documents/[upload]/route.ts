import { webRuntime } from "../../../../runtime";
import { document, documentBytes } from "../../../../views/document";
import { identity, see } from "../../../request";

function disposition(name: string, inline: boolean): string {
  const ascii = name.replace(/[^\x20-\x7e]|["\\]/gu, "_");
  return `${inline ? "inline" : "attachment"}; filename="${ascii}"; filename*=UTF-8''${encodeURIComponent(name)}`;
}

/**
 * Serves a document to those who may see it, with the kind that was recognised, never guessed, in a sandbox that runs nothing
 * and that nobody else may frame. It is read chunk by chunk.
 */
export async function GET(request: Request, { params }: { params: Promise<{ upload: string }> }): Promise<Response> {
  const { upload } = await params;
  const person = await identity();
  const found = person ? await see(document, person.actor, { uploadId: upload }) : null;
  if (!found) return new Response("not found", { status: 404 });
  const { pool } = await webRuntime();
  const chunks = documentBytes(pool, found);
  const body = new ReadableStream<Uint8Array>({
    pull: async (controller) => {
      const { value, done } = await chunks.next();
      if (done) controller.close();
      else controller.enqueue(value);
    },
    cancel: async () => {
      await chunks.return(undefined);
    },
  });
  return new Response(body, {
    headers: {
      "content-type": found.mediaType,
      "content-disposition": disposition(found.name, new URL(request.url).searchParams.has("show")),
      "content-security-policy": "sandbox; default-src 'none'; frame-ancestors 'none'",
      "x-content-type-options": "nosniff",
      "cache-control": "private, no-store",
      "cross-origin-resource-policy": "same-origin",
      etag: `"${found.sha256}"`,
    },
  });
}
