import { sql } from "drizzle-orm";
import { bigint, check, index, integer, pgTable, primaryKey, text, unique, uuid } from "drizzle-orm/pg-core";
import { application } from "./application";
import { instant, isOneOf, oneOf } from "./columns";
import { person } from "./people";

const VERDICTS = ["harmless", "copied"] as const;

/** A statement as it was submitted last, with the marks by which statements that share a passage are found. */
export const statementText = pgTable(
  "statement_text",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    applicationId: uuid("application_id")
      .notNull()
      .references(() => application.id),
    scope: text("scope").notNull(),
    section: text("section").notNull(),
    entry: text("entry").notNull(),
    field: text("field").notNull(),
    version: integer("version").notNull(),
    words: integer("words").notNull(),
    marks: bigint("marks", { mode: "number" }).array().notNull(),
    submittedAt: instant("submitted_at").notNull(),
  },
  (t) => [
    unique("statement_text_place").on(t.applicationId, t.scope, t.section, t.entry, t.field),
    index("statement_text_marks").using("gin", t.marks),
  ],
);

/** Two statements of different people that are alike, and what the office said of it; gone with the version of either. */
export const likeness = pgTable(
  "likeness",
  {
    firstId: uuid("first_id")
      .notNull()
      .references(() => statementText.id, { onDelete: "cascade" }),
    secondId: uuid("second_id")
      .notNull()
      .references(() => statementText.id, { onDelete: "cascade" }),
    /** Shared words, beside those of the form. */
    words: integer("words").notNull(),
    foundAt: instant("found_at").notNull(),
    /** Null as long as nobody looked at it. */
    verdict: oneOf("verdict", VERDICTS),
    note: text("note").notNull().default(""),
    byId: uuid("by_id").references(() => person.id),
    at: instant("at"),
  },
  (t) => [
    primaryKey({ columns: [t.firstId, t.secondId] }),
    index("likeness_second").on(t.secondId),
    index("likeness_open").on(t.firstId).where(sql`${t.verdict} is null`),
    check("likeness_order", sql`${t.firstId} < ${t.secondId}`),
    isOneOf("likeness_verdict", t.verdict, VERDICTS),
  ],
);
