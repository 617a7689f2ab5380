import { sql } from "drizzle-orm";
import { index, pgTable, text, uniqueIndex, uuid } from "drizzle-orm/pg-core";
import { PAPER_WAYS } from "../../core/file/facts";
import { PAPER_STATES } from "../../core/post/inputs";
import { application } from "./application";
import { day, instant, isOneOf, oneOf } from "./columns";
import { upload } from "./evidence";
import { person } from "./people";

/** That a paper travels otherwise than by upload: it is promised until it comes, or its applicant says that it does not. */
export const announcedPaper = pgTable(
  "announced_paper",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    applicationId: uuid("application_id")
      .notNull()
      .references(() => application.id),
    requirement: text("requirement").notNull(),
    scope: text("scope").notNull(),
    entry: text("entry").notNull().default(""),
    way: oneOf("way", PAPER_WAYS).notNull(),
    expectedOn: day("expected_on").notNull(),
    announcedAt: instant("announced_at").notNull(),
    endedAt: instant("ended_at"),
  },
  (t) => [
    uniqueIndex("announced_paper_one_open")
      .on(t.applicationId, t.requirement, t.scope, t.entry)
      .where(sql`${t.endedAt} is null`),
    isOneOf("announced_paper_way", t.way, PAPER_WAYS),
  ],
);

/** A paper that reached the office: of which file, for what, in which state, and what became of it. */
export const paper = pgTable(
  "paper",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    /** Null until somebody knows whose it is. */
    applicationId: uuid("application_id").references(() => application.id),
    requirement: text("requirement").notNull().default(""),
    scope: text("scope").notNull().default("file"),
    entry: text("entry").notNull().default(""),
    contents: text("contents").notNull(),
    sender: text("sender").notNull(),
    state: oneOf("state", PAPER_STATES).notNull(),
    cameOn: day("came_on").notNull(),
    /** What was scanned of it, where it stands as a document. */
    uploadId: uuid("upload_id").references(() => upload.id, { onDelete: "set null" }),
    notedAt: instant("noted_at").notNull(),
    notedById: uuid("noted_by_id")
      .notNull()
      .references(() => person.id),
    inspectedAt: instant("inspected_at"),
    inspectedById: uuid("inspected_by_id").references(() => person.id),
    /** Since when it is to go back, and when it went. */
    toGoBackAt: instant("to_go_back_at"),
    sentBackAt: instant("sent_back_at"),
  },
  (t) => [
    index("paper_application").on(t.applicationId),
    index("paper_noted").on(t.notedAt),
    isOneOf("paper_state", t.state, PAPER_STATES),
  ],
);
