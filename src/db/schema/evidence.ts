import { sql } from "drizzle-orm";
import {
  type AnyPgColumn,
  boolean,
  check,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  uniqueIndex,
  uuid,
} from "drizzle-orm/pg-core";
import type { RegistrySitting } from "../../core/education/registry-answer";
import { DECLINE_REASONS, type ReferenceAnswers } from "../../core/references/requests";
import { PROOF_LEVELS } from "../../core/rulebook/requirement";
import type { LocalText } from "../../core/text/local-text";
import { application } from "./application";
import { day, instant, isOneOf, oneOf } from "./columns";
import { content } from "./content";
import { person } from "./people";

const JUDGEMENTS = ["accepted", "returned"] as const;
const QUERY_STATES = ["asked", "down", "not found", "other name", "found", "changed"] as const;
const SIGNATURE_STATES = ["asked", "signed", "declined", "undeliverable", "replaced"] as const;
const REFERENCE_STATES = ["asked", "opened", "given", "declined", "withdrawn", "undeliverable"] as const;

/** A document of one file: points to its content. A replaced one stays. */
export const upload = pgTable(
  "upload",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    applicationId: uuid("application_id")
      .notNull()
      .references(() => application.id),
    sha256: text("sha256")
      .notNull()
      .references(() => content.sha256),
    /** What was sent, where something else is kept to be looked at and printed; for download only. */
    originalSha256: text("original_sha256").references(() => content.sha256),
    name: text("name").notNull(),
    pages: integer("pages").notNull(),
    marks: jsonb("marks").$type<readonly string[]>().notNull(),
    uploadedAt: instant("uploaded_at").notNull(),
    uploadedBy: text("uploaded_by").notNull(),
  },
  (t) => [
    index("upload_application").on(t.applicationId),
    index("upload_content").on(t.sha256),
    index("upload_original").on(t.originalSha256),
  ],
);

/** Links a requirement instance to an upload and a range of its pages, with the office's judgement. */
export const evidence = pgTable(
  "evidence",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    applicationId: uuid("application_id")
      .notNull()
      .references(() => application.id),
    requirement: text("requirement").notNull(),
    scope: text("scope").notNull(),
    entry: text("entry").notNull().default(""),
    uploadId: uuid("upload_id")
      .notNull()
      .references(() => upload.id),
    firstPage: integer("first_page").notNull().default(1),
    lastPage: integer("last_page").notNull(),
    suppliedAt: instant("supplied_at").notNull(),
    replacedAt: instant("replaced_at"),
    /** The evidence of whose pages this is a part: an officer sorted them. */
    partOf: uuid("part_of").references((): AnyPgColumn => evidence.id),
    /** The document that an officer put together and that stands in its place. */
    joinedInto: uuid("joined_into").references((): AnyPgColumn => evidence.id),
    judgement: oneOf("judgement", JUDGEMENTS),
    judgedAt: instant("judged_at"),
    judgedById: uuid("judged_by_id").references(() => person.id),
    reason: text("reason"),
    proof: oneOf("proof", PROOF_LEVELS).notNull().default("copy"),
  },
  (t) => [
    index("evidence_application").on(t.applicationId),
    isOneOf("evidence_judgement", t.judgement, JUDGEMENTS),
    isOneOf("evidence_proof", t.proof, PROOF_LEVELS),
  ],
);

/** A reason for which a document goes back, in the words of the office; those that it left alone have no row. */
export const returnReason = pgTable("return_reason", {
  key: text("key").primaryKey(),
  title: text("title").notNull(),
  words: jsonb("words").$type<LocalText>().notNull(),
  offered: boolean("offered").notNull(),
  version: integer("version").notNull(),
  byId: uuid("by_id")
    .notNull()
    .references(() => person.id),
  at: instant("at").notNull(),
});

/** A question to a registry of examinations about one sitting, and what it answered. */
export const registryQuery = pgTable(
  "registry_query",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    applicationId: uuid("application_id")
      .notNull()
      .references(() => application.id),
    scope: text("scope").notNull(),
    section: text("section").notNull(),
    entry: text("entry").notNull(),
    board: text("board").notNull(),
    year: text("year").notNull(),
    candidate: text("candidate").notNull(),
    state: oneOf("state", QUERY_STATES).notNull(),
    askedAt: instant("asked_at").notNull(),
    /** Null where it was asked by itself, on submission. */
    byId: uuid("by_id").references(() => person.id),
    answeredAt: instant("answered_at"),
    /** When it was last asked again by itself, after it had been answered. */
    againAt: instant("again_at"),
    /** Whom the registry names. */
    name: text("name"),
    results: jsonb("results").$type<readonly { readonly subject: string; readonly mark: string }[]>(),
    /** The first year of which it has results. */
    since: text("since"),
    /** Further sittings of the same person that it knows. */
    others: jsonb("others").$type<readonly RegistrySitting[]>().notNull().default([]),
  },
  (t) => [
    index("registry_query_application").on(t.applicationId, t.askedAt),
    isOneOf("registry_query_state", t.state, QUERY_STATES),
  ],
);

/** What the stand-in of the registry holds. */
export const registryRecord = pgTable(
  "registry_record",
  {
    board: text("board").notNull(),
    year: text("year").notNull(),
    candidate: text("candidate").notNull(),
    name: text("name").notNull(),
    results: jsonb("results").$type<readonly { readonly subject: string; readonly mark: string }[]>().notNull(),
  },
  (t) => [primaryKey({ columns: [t.board, t.year, t.candidate] })],
);

/** How the stand-in of the registry behaves: one row. */
export const registryMode = pgTable(
  "registry_mode",
  {
    id: integer("id").primaryKey().default(1),
    down: boolean("down").notNull(),
    delayMs: integer("delay_ms").notNull(),
  },
  (t) => [check("registry_mode_one", sql`${t.id} = 1`)],
);

/** A request to somebody whom the form names, such as a guardian, to sign one thing by a link. Only the hash of the link is kept. */
export const signatureRequest = pgTable(
  "signature_request",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    applicationId: uuid("application_id")
      .notNull()
      .references(() => application.id),
    requirement: text("requirement").notNull(),
    name: text("name").notNull(),
    email: text("email").notNull(),
    /** What is signed, as it was when it was asked for. */
    sentence: jsonb("sentence").$type<LocalText>().notNull(),
    title: jsonb("title").$type<LocalText>().notNull(),
    tokenHash: text("token_hash").notNull().unique(),
    state: oneOf("state", SIGNATURE_STATES).notNull(),
    askedAt: instant("asked_at").notNull(),
    endsAt: instant("ends_at").notNull(),
    answeredAt: instant("answered_at"),
    signedAs: text("signed_as"),
    uploadId: uuid("upload_id").references(() => upload.id),
  },
  (t) => [
    index("signature_application").on(t.applicationId),
    uniqueIndex("signature_one_open").on(t.applicationId, t.requirement).where(sql`${t.state} = 'asked'`),
    isOneOf("signature_state", t.state, SIGNATURE_STATES),
  ],
);

/** One reference request per referee and file, with the choices it serves. Only the hash of its link is kept. */
export const referenceRequest = pgTable(
  "reference_request",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    applicationId: uuid("application_id")
      .notNull()
      .references(() => application.id),
    /** The entry id of the referee in the form. */
    referee: text("referee").notNull(),
    scopes: jsonb("scopes").$type<readonly string[]>().notNull(),
    name: text("name").notNull(),
    email: text("email").notNull(),
    state: oneOf("state", REFERENCE_STATES).notNull(),
    askedAt: instant("asked_at").notNull(),
    /** Until when the reference is wanted; the link works longer. */
    dueAt: instant("due_at").notNull(),
    endsAt: instant("ends_at").notNull(),
    remindedAt: instant("reminded_at"),
    reminders: integer("reminders").notNull().default(0),
    /** The last day of the time that the referee asks for, until the office has answered that. */
    moreUntil: day("more_until"),
    moreWords: text("more_words"),
    /** Whether it was opened or given in a browser in which the applicant was signed in. */
    ownBrowser: boolean("own_browser").notNull().default(false),
    declineReason: oneOf("decline_reason", DECLINE_REASONS),
    declineWords: text("decline_words"),
    /** What the referee has written so far. */
    draft: jsonb("draft").$type<ReferenceAnswers>(),
    /** Who put in a reference that came otherwise than by the link. */
    takenById: uuid("taken_by_id").references(() => person.id),
    openedAt: instant("opened_at"),
    givenAt: instant("given_at"),
    closedAt: instant("closed_at"),
    answers: jsonb("answers").$type<ReferenceAnswers | null>(),
    uploadId: uuid("upload_id").references(() => upload.id),
    judgement: oneOf("judgement", JUDGEMENTS),
    judgedAt: instant("judged_at"),
    judgedById: uuid("judged_by_id").references(() => person.id),
  },
  (t) => [
    isOneOf("reference_decline_reason", t.declineReason, DECLINE_REASONS),
    index("reference_application").on(t.applicationId),
    uniqueIndex("reference_one_live")
      .on(t.applicationId, t.referee)
      .where(sql`${t.state} in ('asked','opened','given')`),
    isOneOf("reference_state", t.state, REFERENCE_STATES),
    isOneOf("reference_judgement", t.judgement, JUDGEMENTS),
  ],
);

/** The links of a request, of which only the hash is kept: each mail has one of its own, and all of them lead to the same. */
export const referenceLink = pgTable(
  "reference_link",
  {
    tokenHash: text("token_hash").primaryKey(),
    requestId: uuid("request_id")
      .notNull()
      .references(() => referenceRequest.id, { onDelete: "cascade" }),
    at: instant("at").notNull(),
  },
  (t) => [index("reference_link_request").on(t.requestId)],
);
