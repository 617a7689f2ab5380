import { sql } from "drizzle-orm";
import { type AnyPgColumn, boolean, index, integer, jsonb, pgTable, primaryKey, text, uuid } from "drizzle-orm/pg-core";
import { MAIL_KINDS, MAIL_OUTCOMES } from "../../core/conversation/incoming";
import type { TextUse } from "../../core/conversation/text-uses";
import { application } from "./application";
import { instant, isOneOf, oneOf } from "./columns";
import { content } from "./content";
import { upload } from "./evidence";
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
    /** The mail as which it came; null for what was written on the page. */
    mailId: uuid("mail_id").references((): AnyPgColumn => incomingMail.id),
  },
  (t) => [
    index("conversation_application").on(t.applicationId, t.at),
    index("conversation_open").on(t.applicationId).where(sql`not ${t.fromOffice} and ${t.answeredAt} is null`),
    index("conversation_about").on(t.about, t.at),
  ],
);

/** A document that goes with a message; until the message is sent, it is held for whoever chose it. */
export const attachment = pgTable(
  "attachment",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    applicationId: uuid("application_id")
      .notNull()
      .references(() => application.id),
    uploadId: uuid("upload_id")
      .notNull()
      .unique()
      .references(() => upload.id),
    byId: uuid("by_id")
      .notNull()
      .references(() => person.id),
    at: instant("at").notNull(),
    /** Null while it is held. */
    conversationId: uuid("conversation_id").references(() => conversation.id, { onDelete: "set null" }),
  },
  (t) => [
    index("attachment_conversation").on(t.conversationId),
    index("attachment_held").on(t.applicationId, t.byId).where(sql`${t.conversationId} is null`),
  ],
);

/** A mail that came in: an answer to one of ours, a report that one did not arrive, or something that nobody can place yet. */
export const incomingMail = pgTable(
  "incoming_mail",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    /** As its sender's server named it: what is fetched twice is kept once. */
    messageId: text("message_id").notNull().unique(),
    kind: oneOf("kind", MAIL_KINDS).notNull(),
    fromAddress: text("from_address").notNull(),
    fromName: text("from_name").notNull(),
    subject: text("subject").notNull(),
    /** All of it, with what is quoted. */
    text: text("text").notNull(),
    /** What its sender wrote themselves. */
    written: text("written").notNull(),
    /** Names of what hung on it and could not be kept, with why. */
    left: jsonb("left_out").$type<readonly { readonly name: string; readonly reason: string }[]>().notNull(),
    receivedAt: instant("received_at").notNull(),
    /** Whose file it is about, or seems to be while nobody has said so. */
    applicationId: uuid("application_id").references(() => application.id),
    /** It answers a mail to somebody else than the applicant, who is not to read it. */
    toOther: boolean("to_other").notNull().default(false),
    outcome: oneOf("outcome", MAIL_OUTCOMES).notNull(),
    dealtAt: instant("dealt_at"),
    dealtById: uuid("dealt_by_id").references(() => person.id),
  },
  (t) => [
    index("incoming_mail_application").on(t.applicationId, t.receivedAt),
    index("incoming_mail_waiting").on(t.receivedAt).where(sql`${t.outcome} = 'waiting'`),
    index("incoming_mail_dealt").on(t.dealtAt),
    isOneOf("incoming_mail_kind", t.kind, MAIL_KINDS),
    isOneOf("incoming_mail_outcome", t.outcome, MAIL_OUTCOMES),
  ],
);

/** What hangs on a mail that came in, as it was looked at; once the mail is in a file, it is a document of that file. */
export const incomingFile = pgTable(
  "incoming_file",
  {
    mailId: uuid("mail_id")
      .notNull()
      .references(() => incomingMail.id, { onDelete: "cascade" }),
    no: integer("no").notNull(),
    name: text("name").notNull(),
    sha256: text("sha256")
      .notNull()
      .references(() => content.sha256),
    originalSha256: text("original_sha256").references(() => content.sha256),
    pages: integer("pages").notNull(),
    marks: jsonb("marks").$type<readonly string[]>().notNull(),
    uploadId: uuid("upload_id").references(() => upload.id, { onDelete: "set null" }),
  },
  (t) => [
    primaryKey({ columns: [t.mailId, t.no] }),
    index("incoming_file_content").on(t.sha256),
    index("incoming_file_original").on(t.originalSha256),
    index("incoming_file_upload").on(t.uploadId),
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
