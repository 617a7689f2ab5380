import { sql } from "drizzle-orm";
import {
  bigserial,
  boolean,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  uniqueIndex,
  uuid,
} from "drizzle-orm/pg-core";
import { type Json, TURNS } from "../../core/file/facts";
import { FILE_REASONS } from "../../core/file/reason";
import { AWAITED_KINDS, CLOSED_AS, ELIGIBILITIES, STAGES } from "../../core/file/result";
import type { MailWords } from "../../core/mail/inputs";
import { TEMPLATES, type Template } from "../../core/mail/templates";
import { ACCESS_KINDS } from "../../core/record/access";
import { LOCALES, type Locale } from "../../core/text/local-text";
import { application, choice } from "./application";
import { bytea, instant, isOneOf, oneOf } from "./columns";
import { person } from "./people";

const MESSAGE_STATES = ["queued", "sending", "sent", "failed", "withdrawn"] as const;

/** Everything that was ever done, append-only (a trigger refuses update and delete). Ids, keys and versions, never personal values. */
export const event = pgTable(
  "event",
  {
    id: bigserial("id", { mode: "number" }).primaryKey(),
    at: instant("at").notNull(),
    act: text("act").notNull(),
    /** `person:<id>`, `link:<id>`, `visitor` or `system`. */
    actor: text("actor").notNull(),
    applicationId: uuid("application_id").references(() => application.id),
    about: jsonb("about").$type<{ readonly [key: string]: Json }>().notNull(),
  },
  (t) => [index("event_application").on(t.applicationId, t.id)],
);

/**
 * What was looked at, and who came in or tried to: append-only, apart from events, and removed after its time. It stands for itself, so
 * that it stays when a person or a file goes.
 */
export const accessRecord = pgTable(
  "access_record",
  {
    id: bigserial("id", { mode: "number" }).primaryKey(),
    at: instant("at").notNull(),
    kind: oneOf("kind", ACCESS_KINDS).notNull(),
    /** Who looked, or came in, or whose account was tried; null where nobody of ours is known by it. */
    personId: uuid("person_id"),
    /** The number of the file. */
    file: text("file"),
    /** Whose account or roles it was about, where that is somebody else. */
    concernsId: uuid("concerns_id"),
    /** A few words of ours: a requirement, a role. Nothing that an applicant typed. */
    about: text("about").notNull().default(""),
    /** The network address, where a front server tells it. */
    network: text("network"),
  },
  (t) => [
    isOneOf("access_record_kind", t.kind, ACCESS_KINDS),
    index("access_record_person").on(t.personId, t.kind, t.id),
    index("access_record_file").on(t.file, t.id),
    index("access_record_at").on(t.at),
  ],
);

/** The words of the office for a mail, version by version; one without words goes back to those that come with Unvex. */
export const mailWording = pgTable(
  "mail_wording",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    template: oneOf("template", TEMPLATES as [Template, ...Template[]]).notNull(),
    version: integer("version").notNull(),
    words: jsonb("words").$type<Readonly<Record<Locale, MailWords>> | null>(),
    byId: uuid("by_id")
      .notNull()
      .references(() => person.id),
    at: instant("at").notNull(),
  },
  (t) => [
    uniqueIndex("mail_wording_version").on(t.template, t.version),
    isOneOf("mail_wording_template", t.template, TEMPLATES),
  ],
);

/** The truth of a mail: written in the act's transaction, claimed by the sender when due. */
export const message = pgTable(
  "message",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    applicationId: uuid("application_id").references(() => application.id),
    personId: uuid("person_id").references(() => person.id),
    toAddress: text("to_address").notNull(),
    template: text("template").notNull(),
    locale: text("locale").notNull(),
    values: jsonb("values").$type<Readonly<Record<string, string>>>().notNull(),
    state: oneOf("state", MESSAGE_STATES).notNull(),
    dueAt: instant("due_at").notNull(),
    queuedAt: instant("queued_at").notNull(),
    /** When its sender took it. It belongs to that sender until the lease is over, however long ago it was due. */
    claimedAt: instant("claimed_at"),
    sentAt: instant("sent_at"),
    attempts: integer("attempts").notNull().default(0),
    /** Why it could not be handed over the last time; null for one that never failed. */
    failure: text("failure"),
    /** When it could not be handed over for the first time: tries go on for some days from then. */
    failingSince: instant("failing_since"),
    /** The receiving server does not know the address. */
    refused: boolean("refused").notNull().default(false),
    /** The words of the office with which it was sent; null for those that come with Unvex. */
    wordingId: uuid("wording_id").references(() => mailWording.id),
    /** Of a refused one: when somebody saw to it. */
    dealtAt: instant("dealt_at"),
  },
  (t) => [
    isOneOf("message_state", t.state, MESSAGE_STATES),
    isOneOf("message_locale", t.locale, LOCALES),
    index("message_due").on(t.dueAt).where(sql`${t.state} = 'queued'`),
    index("message_claimed").on(t.claimedAt).where(sql`${t.state} = 'sending'`),
    index("message_person").on(t.personId, t.queuedAt),
    index("message_stranger").on(t.toAddress, t.queuedAt).where(sql`${t.applicationId} is null`),
    index("message_asked").on(t.queuedAt).where(sql`${t.template} in ('reference-asked', 'signature-asked')`),
    index("message_application").on(t.applicationId, t.queuedAt),
    index("message_returned").on(t.applicationId).where(sql`${t.refused} and ${t.dealtAt} is null`),
  ],
);

/** What the mail stand-in received: read in the tray. */
export const trayMail = pgTable(
  "tray_mail",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    messageId: uuid("message_id").notNull().unique(),
    toAddress: text("to_address").notNull(),
    subject: text("subject").notNull(),
    body: text("body").notNull(),
    receivedAt: instant("received_at").notNull(),
  },
  (t) => [index("tray_to").on(t.toAddress, t.receivedAt)],
);

/** What was written in the mail stand-in to the office, as it travels; the office fetches it from there. */
export const trayAnswer = pgTable(
  "tray_answer",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    raw: bytea("raw").notNull(),
    at: instant("at").notNull(),
    fetchedAt: instant("fetched_at"),
  },
  (t) => [index("tray_answer_new").on(t.at).where(sql`${t.fetchedAt} is null`)],
);

/** The assessment of each file as lists need it, rewritten by the act that changes the file, in its transaction. */
export const fileStanding = pgTable(
  "file_standing",
  {
    applicationId: uuid("application_id")
      .primaryKey()
      .references(() => application.id),
    number: text("number").notNull(),
    /** As the applicant wrote it; empty while there is none. */
    name: text("name").notNull().default(""),
    stage: oneOf("stage", STAGES).notNull(),
    turn: oneOf("turn", TURNS).notNull(),
    reason: oneOf("reason", FILE_REASONS).notNull(),
    /** Since when the party whose turn it is has had it. */
    turnSince: instant("turn_since").notNull(),
    /** Everybody who owes a step; the turn is the first of them. */
    owes: text("owes").array().notNull(),
    requirement: text("requirement"),
    nextTitle: text("next_title"),
    nextCount: integer("next_count"),
    dueAt: instant("due_at"),
    /** `due_at`, or the far future: one column to order by. */
    orderAt: instant("order_at").notNull(),
    comb: text("comb").notNull(),
    programmes: text("programmes").notNull(),
    /** What lists are narrowed down by and count: see core/settlement/file-tags. */
    tags: text("tags").array().notNull(),
    arrivedAt: instant("arrived_at"),
    officerId: uuid("officer_id"),
    lastEventAt: instant("last_event_at").notNull(),
    validUntil: instant("valid_until"),
    /** Until when gaps of a submitted file can still be mended before its round closes. */
    mendUntil: instant("mend_until"),
    assessedAt: instant("assessed_at").notNull(),
    /** Without an index: thousands of files are passed over at once, and each write of an index would cost more than the rare search. */
    officeVersion: integer("office_version").notNull(),
    /** What the result rests on of the reference set, and the rulebooks. */
    restsOn: text("rests_on").array().notNull(),
  },
  (t) => [
    isOneOf("standing_stage", t.stage, STAGES),
    isOneOf("standing_turn_word", t.turn, TURNS),
    isOneOf("standing_reason_word", t.reason, FILE_REASONS),
    index("standing_turn").on(t.turn, t.orderAt, t.number),
    index("standing_reason").on(t.turn, t.reason, t.orderAt, t.number),
    index("standing_officer").on(t.officerId, t.turn, t.reason),
    index("standing_owes").using("gin", t.owes),
    index("standing_mend").on(t.turn, t.mendUntil),
    index("standing_valid").on(t.validUntil),
    index("standing_arrived").on(t.arrivedAt),
    index("standing_last").on(t.turn, t.lastEventAt, t.number),
  ],
);

/** A file that could not be assessed again: what went wrong, and when it is looked at next. Gone once it could be. */
export const fileTrouble = pgTable(
  "file_trouble",
  {
    applicationId: uuid("application_id")
      .primaryKey()
      .references(() => application.id),
    firstAt: instant("first_at").notNull(),
    lastAt: instant("last_at").notNull(),
    tries: integer("tries").notNull(),
    /** As it stands in the log: nothing that anybody typed. */
    error: jsonb("error").$type<{ readonly name: string; readonly message: string }>().notNull(),
    nextTryAt: instant("next_try_at").notNull(),
  },
  (t) => [index("file_trouble_next").on(t.nextTryAt)],
);

export const choiceStanding = pgTable(
  "choice_standing",
  {
    choiceId: uuid("choice_id")
      .primaryKey()
      .references(() => choice.id),
    applicationId: uuid("application_id")
      .notNull()
      .references(() => application.id),
    stage: oneOf("stage", STAGES).notNull(),
    closedAs: oneOf("closed_as", CLOSED_AS),
    eligibility: oneOf("eligibility", ELIGIBILITIES).notNull(),
    /** Working days from the submission to the release that were the office's own, and those that others had; null before. */
    ownDays: integer("own_days"),
    othersDays: integer("others_days"),
    findings: jsonb("findings")
      .$type<readonly { readonly key: string; readonly finding: string; readonly basis: string }[]>()
      .notNull(),
  },
  (t) => [
    index("choice_standing_application").on(t.applicationId),
    isOneOf("choice_standing_stage", t.stage, STAGES),
    isOneOf("choice_standing_closed_as", t.closedAs, CLOSED_AS),
    isOneOf("choice_standing_eligibility", t.eligibility, ELIGIBILITIES),
  ],
);

/** What is still to come in submitted files, or is followed in them: rewritten with the projection. */
export const awaited = pgTable(
  "awaited",
  {
    applicationId: uuid("application_id")
      .notNull()
      .references(() => application.id),
    kind: oneOf("kind", AWAITED_KINDS).notNull(),
    about: text("about").notNull(),
    /** The day that was stated, perhaps without its day or month; empty where none was. */
    due: text("due").notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.applicationId, t.kind, t.about, t.due] }),
    isOneOf("awaited_kind_word", t.kind, AWAITED_KINDS),
    index("awaited_kind").on(t.kind, t.due, t.applicationId),
  ],
);

/** By what files of one person are brought together before they are compared: words of the name, date of birth, travel document. */
export const fileKey = pgTable(
  "file_key",
  {
    applicationId: uuid("application_id")
      .notNull()
      .references(() => application.id),
    key: text("key").notNull(),
  },
  (t) => [primaryKey({ columns: [t.applicationId, t.key] }), index("file_key_key").on(t.key)],
);

/** What a file is found by, folded: see core/settlement/search-text. Kept apart from the projection because its trigram index is dear to rewrite. */
export const fileSearch = pgTable(
  "file_search",
  {
    applicationId: uuid("application_id")
      .primaryKey()
      .references(() => application.id),
    text: text("text").notNull(),
  },
  (t) => [index("file_search_trigram").using("gin", t.text.op("gin_trgm_ops"))],
);
