import { boolean, index, integer, pgTable, primaryKey, text, uuid } from "drizzle-orm/pg-core";
import { COPY_READERS } from "../../core/form/readers";
import { LOCALES } from "../../core/text/local-text";
import { application } from "./application";
import { day, instant, isOneOf, oneOf } from "./columns";
import { content } from "./content";
import { upload } from "./evidence";
import { person } from "./people";

/** What the office notes beside an application, and the copies that it takes of several. */
const ofApplication = () => ({
  applicationId: uuid("application_id")
    .notNull()
    .references(() => application.id),
});

/** The place of an answer. */
const ofValue = () => ({
  ...ofApplication(),
  scope: text("scope").notNull(),
  section: text("section").notNull(),
  entry: text("entry").notNull().default(""),
  field: text("field").notNull(),
});

/** The place of a requirement. */
const ofRequirement = () => ({
  ...ofApplication(),
  requirement: text("requirement").notNull(),
  scope: text("scope").notNull(),
  entry: text("entry").notNull().default(""),
});

const noted = () => ({
  byId: uuid("by_id")
    .notNull()
    .references(() => person.id),
  at: instant("at").notNull(),
});

/** A change of a value that another system owns, asked for there; over as soon as the applicant's answer has another version. */
export const keeperNote = pgTable(
  "keeper_note",
  {
    ...ofValue(),
    version: integer("version").notNull(),
    text: text("text").notNull(),
    ...noted(),
  },
  (t) => [primaryKey({ columns: [t.applicationId, t.scope, t.section, t.entry, t.field] })],
);

/** Whether a link that the applicant gave opened when an officer looked last. */
export const linkNote = pgTable(
  "link_note",
  {
    ...ofValue(),
    url: text("url").notNull(),
    opens: boolean("opens").notNull(),
    /** What stood there when somebody kept a copy, and when that was; a later look takes nothing from it. */
    copySha256: text("copy_sha256").references(() => content.sha256),
    copyName: text("copy_name"),
    copiedAt: instant("copied_at"),
    ...noted(),
  },
  (t) => [primaryKey({ columns: [t.applicationId, t.scope, t.section, t.entry, t.field, t.url] })],
);

/** What was noted of a number or an address of an application: calls, letters that came back, and what the applicant said of it. */
export const contactNote = pgTable(
  "contact_note",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    ...ofValue(),
    version: integer("version").notNull(),
    kind: text("kind").notNull(),
    text: text("text").notNull().default(""),
    /** The section of the form that was asked about, and the question without names; "" where none was. */
    about: text("about").notNull().default(""),
    question: text("question").notNull().default(""),
    /** Null where the applicant said it. */
    byId: uuid("by_id").references(() => person.id),
    at: instant("at").notNull(),
  },
  (t) => [index("contact_note_application").on(t.applicationId)],
);

/** Work that an officer made of something in a file: by a day, until it is done and what came of it stands here. */
export const task = pgTable(
  "task",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    ...ofApplication(),
    /** The section in which it was stated; "" where it is about none. */
    section: text("section").notNull().default(""),
    title: text("title").notNull(),
    due: day("due").notNull(),
    ...noted(),
    doneAt: instant("done_at"),
    doneById: uuid("done_by_id").references(() => person.id),
    outcome: text("outcome").notNull().default(""),
  },
  (t) => [index("task_application").on(t.applicationId)],
);

/** What an adviser granted to make up for somebody's circumstances. */
export const adjustment = pgTable(
  "adjustment",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    ...ofApplication(),
    what: text("what").notNull(),
    /** For advisers alone. */
    why: text("why").notNull(),
    ...noted(),
    endedAt: instant("ended_at"),
  },
  (t) => [index("adjustment_application").on(t.applicationId)],
);

/** A requirement that an officer excused, with the reason. */
export const excuse = pgTable(
  "excuse",
  {
    ...ofRequirement(),
    reason: text("reason").notNull(),
    ...noted(),
  },
  (t) => [primaryKey({ columns: [t.applicationId, t.requirement, t.scope, t.entry] })],
);

/** Something that a rulebook has the office do, done: with what was done. */
export const deed = pgTable(
  "deed",
  {
    ...ofRequirement(),
    note: text("note").notNull(),
    ...noted(),
  },
  (t) => [primaryKey({ columns: [t.applicationId, t.requirement, t.scope, t.entry] })],
);

/** What the office says in short of a section, for those who assess: it stands above the answers in their copies. */
export const sectionSummary = pgTable(
  "section_summary",
  {
    ...ofApplication(),
    scope: text("scope").notNull(),
    section: text("section").notNull(),
    text: text("text").notNull(),
    ...noted(),
  },
  (t) => [primaryKey({ columns: [t.applicationId, t.scope, t.section] })],
);

/** A page of a document that says nothing to those who assess: left out of their copies, and nowhere else. */
export const pageLeftOut = pgTable(
  "page_left_out",
  {
    uploadId: uuid("upload_id")
      .notNull()
      .references(() => upload.id, { onDelete: "cascade" }),
    page: integer("page").notNull(),
    ...noted(),
  },
  (t) => [primaryKey({ columns: [t.uploadId, t.page] })],
);

/** Copies of applications that somebody asked for, of the office or whose own it is, made by a job and kept for some days. */
export const copyOrder = pgTable(
  "copy_order",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    askedById: uuid("asked_by_id")
      .notNull()
      .references(() => person.id),
    askedAt: instant("asked_at").notNull(),
    /** For whom: what others may not see is left out. */
    reader: oneOf("reader", COPY_READERS).notNull(),
    documents: boolean("documents").notNull(),
    locale: oneOf("locale", LOCALES).notNull(),
  },
  (t) => [
    index("copy_order_of").on(t.askedById, t.askedAt),
    isOneOf("copy_order_reader", t.reader, COPY_READERS),
    isOneOf("copy_order_locale", t.locale, LOCALES),
  ],
);

/** One application of an order of copies, and its PDF once it is made. */
export const copyOf = pgTable(
  "copy_of",
  {
    orderId: uuid("order_id")
      .notNull()
      .references(() => copyOrder.id, { onDelete: "cascade" }),
    applicationId: uuid("application_id")
      .notNull()
      .references(() => application.id),
    position: integer("position").notNull(),
    madeAt: instant("made_at"),
    /** Null while it is not made, and where it could not be. */
    sha256: text("sha256").references(() => content.sha256),
  },
  (t) => [primaryKey({ columns: [t.orderId, t.applicationId] }), index("copy_of_content").on(t.sha256)],
);

/** A list of files that somebody gave a name, as the address of the page says it; for all officers where a lead officer shares it. */
export const namedList = pgTable(
  "named_list",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    personId: uuid("person_id")
      .notNull()
      .references(() => person.id),
    name: text("name").notNull(),
    query: text("query").notNull(),
    shared: boolean("shared").notNull().default(false),
    at: instant("at").notNull(),
  },
  (t) => [index("named_list_person").on(t.personId)],
);

/** Which officer has one piece of evidence before them in a check run, until when: nobody else is given it meanwhile. */
export const checkClaim = pgTable(
  "check_claim",
  {
    ...ofApplication(),
    requirement: text("requirement").notNull(),
    personId: uuid("person_id")
      .notNull()
      .references(() => person.id),
    until: instant("until").notNull(),
  },
  (t) => [primaryKey({ columns: [t.applicationId, t.requirement] })],
);

/** What somebody left for later in a check run: it is not given to them again that day, and to others as before. */
export const checkLater = pgTable(
  "check_later",
  {
    ...ofApplication(),
    requirement: text("requirement").notNull(),
    personId: uuid("person_id")
      .notNull()
      .references(() => person.id),
    until: instant("until").notNull(),
  },
  (t) => [primaryKey({ columns: [t.applicationId, t.requirement, t.personId] })],
);

/** What officers note in a file for each other. */
export const fileNote = pgTable(
  "file_note",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    ...ofApplication(),
    text: text("text").notNull(),
    ...noted(),
  },
  (t) => [index("file_note_application").on(t.applicationId)],
);

/** For whom a note is, and when they had it before them. */
export const noteMention = pgTable(
  "note_mention",
  {
    noteId: uuid("note_id")
      .notNull()
      .references(() => fileNote.id, { onDelete: "cascade" }),
    personId: uuid("person_id")
      .notNull()
      .references(() => person.id),
    readAt: instant("read_at"),
  },
  (t) => [primaryKey({ columns: [t.noteId, t.personId] }), index("note_mention_person").on(t.personId)],
);

/** A word that officers put on a file, to find it by. */
export const fileMark = pgTable(
  "file_mark",
  {
    ...ofApplication(),
    mark: text("mark").notNull(),
    ...noted(),
  },
  (t) => [primaryKey({ columns: [t.applicationId, t.mark] }), index("file_mark_word").on(t.mark)],
);

/** Who had a file open when. */
export const filePresence = pgTable(
  "file_presence",
  {
    ...ofApplication(),
    personId: uuid("person_id")
      .notNull()
      .references(() => person.id),
    seenAt: instant("seen_at").notNull(),
  },
  (t) => [primaryKey({ columns: [t.applicationId, t.personId] })],
);
