import { integer, pgTable, primaryKey, text } from "drizzle-orm/pg-core";
import { bytea } from "./columns";

/** A document's bytes, once for each content, by the SHA-256 of the whole. */
export const content = pgTable("content", {
  sha256: text("sha256").primaryKey(),
  size: integer("size").notNull(),
  mediaType: text("media_type").notNull(),
});

export const contentChunk = pgTable(
  "content_chunk",
  {
    sha256: text("sha256")
      .notNull()
      .references(() => content.sha256, { onDelete: "cascade" }),
    no: integer("no").notNull(),
    bytes: bytea("bytes").notNull(),
  },
  (t) => [primaryKey({ columns: [t.sha256, t.no] })],
);
