import { createHash } from "node:crypto";
import type pg from "pg";

/**
 * Documents' bytes in PostgreSQL: content-addressed by SHA-256, in chunk rows, behind this one module so that they can move
 * elsewhere later. The same content is kept once, however many uploads point to it.
 */
export const CHUNK_BYTES = 1024 * 1024;

type Queryable = Pick<pg.Pool, "query"> | Pick<pg.PoolClient, "query">;

export function sha256(bytes: Buffer): string {
  return createHash("sha256").update(bytes).digest("hex");
}

/** Stores bytes unless they are there already. Writers of the same content wait for each other on its row. */
export async function storeContent(client: Queryable, bytes: Buffer, mediaType: string): Promise<string> {
  const hash = sha256(bytes);
  const { rowCount } = await client.query(
    "insert into content (sha256, size, media_type) values ($1, $2, $3) on conflict do nothing",
    [hash, bytes.length, mediaType],
  );
  if (rowCount === 0) return hash;
  for (let no = 0; no * CHUNK_BYTES < bytes.length; no += 1)
    await client.query("insert into content_chunk (sha256, no, bytes) values ($1, $2, $3)", [
      hash,
      no,
      bytes.subarray(no * CHUNK_BYTES, (no + 1) * CHUNK_BYTES),
    ]);
  return hash;
}

/** Deletes contents that nothing holds any more: no upload, no mail, no template, no copy and no note of a link. */
export async function dropUnheld(client: Queryable, hashes: readonly string[]): Promise<void> {
  await client.query(
    `delete from content c where c.sha256 = any($1::text[]) and not exists (select 1 from upload u where u.sha256 = c.sha256 or u.original_sha256 = c.sha256)
       and not exists (select 1 from template t where t.sha256 = c.sha256) and not exists (select 1 from copy_of f where f.sha256 = c.sha256)
       and not exists (select 1 from incoming_file i where i.sha256 = c.sha256 or i.original_sha256 = c.sha256)
       and not exists (select 1 from link_note l where l.copy_sha256 = c.sha256)`,
    [hashes],
  );
}

/** The bytes of a content, one chunk after the other. */
export async function* readContent(client: Queryable, hash: string): AsyncGenerator<Buffer> {
  for (let no = 0; ; no += 1) {
    const { rows } = await client.query<{ text: string }>(
      "select encode(bytes, 'base64') as text from content_chunk where sha256 = $1 and no = $2",
      [hash, no],
    );
    const row = rows[0];
    if (!row) return;
    yield Buffer.from(row.text, "base64");
  }
}

/** The whole of a content at once, for what is worked on in one go. */
export async function contentBytes(client: Queryable, hash: string): Promise<Buffer> {
  const chunks: Buffer[] = [];
  for await (const chunk of readContent(client, hash)) chunks.push(chunk);
  return Buffer.concat(chunks);
}
