import "server-only";
import { webRuntime } from "../../runtime";
import { type DocumentData, documentBytes } from "../../views/evidence/document";
import { disposition } from "./disposition";
import { streamed } from "./streamed";

/**
 * Serves a document with the kind that was recognised, never guessed, in a sandbox that runs nothing and that nobody else may frame. It is
 * read chunk by chunk.
 */
export async function serveDocument(
  found: DocumentData,
  { inline = false, cache = "private, no-store" } = {},
): Promise<Response> {
  const { pool } = await webRuntime();
  return new Response(streamed(documentBytes(pool, found)), {
    headers: {
      "content-type": found.mediaType,
      "content-disposition": disposition(found.name, inline),
      "content-security-policy": "sandbox; default-src 'none'; frame-ancestors 'none'",
      "x-content-type-options": "nosniff",
      "cache-control": cache,
      "cross-origin-resource-policy": "same-origin",
      etag: `"${found.sha256}"`,
    },
  });
}
