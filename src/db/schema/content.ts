import { sql } from "drizzle-orm";
import { check, index, integer, pgTable, primaryKey, text, uuid } from "drizzle-orm/pg-core";
import { bytea, instant } from "./columns";
import { person } from "./people";

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

/** A file on its way, part by part: what has arrived stays when the line breaks. It goes once it was looked at, or after a day. */
export const sending = pgTable(
  "sending",
  {
    id: text("id").primaryKey(),
    personId: uuid("person_id")
      .notNull()
      .references(() => person.id),
    name: text("name").notNull(),
    size: integer("size").notNull(),
    arrived: integer("arrived").notNull().default(0),
    /** When something of it arrived last. */
    at: instant("at").notNull(),
  },
  (t) => [index("sending_person").on(t.personId), check("sending_arrived", sql`${t.arrived} between 0 and ${t.size}`)],
);

export const sendingPart = pgTable(
  "sending_part",
  {
    sendingId: text("sending_id")
      .notNull()
      .references(() => sending.id, { onDelete: "cascade" }),
    /** The place of its first byte in the file. */
    first: integer("first").notNull(),
    bytes: bytea("bytes").notNull(),
  },
  (t) => [primaryKey({ columns: [t.sendingId, t.first] })],
);
