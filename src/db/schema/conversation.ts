import { sql } from "drizzle-orm";
import { boolean, index, integer, pgTable, text, uuid } from "drizzle-orm/pg-core";
import type { TextUse } from "../../core/conversation/text-uses";
import { application } from "./application";
import { instant } from "./columns";
import { person } from "./people";

/** What applicant and office write to each other in a file. */
export const conversation = pgTable(
  "conversation",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    applicationId: uuid("application_id")
      .notNull()
      .references(() => application.id),
    fromOffice: boolean("from_office").notNull(),
    byId: uuid("by_id")
      .notNull()
      .references(() => person.id),
    text: text("text").notNull(),
    /** The section of the form that it is about; "" for none. */
    about: text("about").notNull().default(""),
    /** What was asked, in general and without names, as an officer noted it. */
    question: text("question").notNull().default(""),
    at: instant("at").notNull(),
    /** When the other side had it on the page. */
    readAt: instant("read_at"),
    /** Of what an applicant wrote: when the office had answered it, or said that it needs no answer. */
    answeredAt: instant("answered_at"),
    answeredById: uuid("answered_by_id").references(() => person.id),
  },
  (t) => [
    index("conversation_application").on(t.applicationId, t.at),
    index("conversation_open").on(t.applicationId).where(sql`not ${t.fromOffice} and ${t.answeredAt} is null`),
    index("conversation_about").on(t.about, t.at),
  ],
);

/** Texts of the office for what it writes often, with fields that a file fills in. */
export const officeText = pgTable("office_text", {
  id: uuid("id").primaryKey().defaultRandom(),
  name: text("name").notNull().unique(),
  en: text("en").notNull(),
  fr: text("fr").notNull(),
  uses: text("uses").array().$type<readonly TextUse[]>().notNull(),
  version: integer("version").notNull().default(1),
  byId: uuid("by_id")
    .notNull()
    .references(() => person.id),
  at: instant("at").notNull(),
});
