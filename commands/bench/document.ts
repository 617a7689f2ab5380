import { randomBytes } from "node:crypto";
import type pg from "pg";
import { inTransaction } from "../../src/db/connection";
import { readContent, storeContent } from "../../src/db/content";
import { report, time } from "./measure";

/** A document of 5 MB in and out. */
export async function benchDocument(pool: pg.Pool): Promise<void> {
  const hashes: string[] = [];
  const stored = await time(9, async () => {
    const bytes = randomBytes(5 * 1024 * 1024);
    hashes.push(await inTransaction(pool, ({ client }) => storeContent(client, bytes, "application/pdf")));
  });
  const read = await time(9, async () => {
    for await (const chunk of readContent(pool, hashes[0] ?? ""))
      if (chunk.length === 0) throw new Error("empty chunk");
  });
  report("a 5 MB document in", `${stored.toFixed(0)} ms`, stored / 75, "at most 1 (75 ms)", stored <= 75);
  report("a 5 MB document out", `${read.toFixed(0)} ms`, read / 60, "at most 1 (60 ms)", read <= 60);
}
