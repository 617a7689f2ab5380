import { sql } from "drizzle-orm";
import {
  bigserial,
  boolean,
  check,
  foreignKey,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  smallint,
  text,
  unique,
  uniqueIndex,
  uuid,
} from "drizzle-orm/pg-core";
import { ASK_WANTS, type Json, TURNS } from "../../core/file/facts";
import { MODES } from "../../core/file/mode";
import { cycle, intake, procedure, round, rulebook } from "./catalogue";
import { day, instant, isOneOf, oneOf } from "./columns";
import { person } from "./people";

const FINDINGS = ["met", "not met", "open"] as const;
const OVERRIDING = ["met", "not met"] as const;
const DECISIONS = ["offer", "offer on conditions", "waiting list", "refusal"] as const;
const ANSWERS = ["accepted", "declined"] as const;

/** One person's application in one cycle and procedure: the office's file. */
export const application = pgTable(
  "application",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    number: text("number").notNull().unique(),
    personId: uuid("person_id")
      .notNull()
      .references(() => person.id),
    /** Whose it was before two accounts of one person were made one: with their own, somebody may then have two in a cycle. */
    joinedFromId: uuid("joined_from_id").references(() => person.id),
    cycleId: uuid("cycle_id")
      .notNull()
      .references(() => cycle.id),
    procedureId: uuid("procedure_id")
      .notNull()
      .references(() => procedure.id),
    createdAt: instant("created_at").notNull(),
    withdrawnAt: instant("withdrawn_at"),
    /** The applicant group that counts since the first submission; what is confirmed or corrected later moves it. */
    groupSinceSubmission: text("group_since_submission"),
    /** How often its applicant was reminded of a draft that closes soon. */
    reminders: integer("reminders").notNull().default(0),
    officerId: uuid("officer_id").references(() => person.id),
    /** When its applicant was told that a draft which nobody can submit any more will be erased. */
    erasureToldAt: instant("erasure_told_at"),
  },
  (t) => [
    uniqueIndex("application_once").on(t.personId, t.cycleId, t.procedureId).where(sql`${t.joinedFromId} is null`),
    index("application_person").on(t.personId),
  ],
);

export const choice = pgTable(
  "choice",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    applicationId: uuid("application_id")
      .notNull()
      .references(() => application.id),
    intakeId: uuid("intake_id")
      .notNull()
      .references(() => intake.id),
    roundId: uuid("round_id")
      .notNull()
      .references(() => round.id),
    rulebookId: uuid("rulebook_id")
      .notNull()
      .references(() => rulebook.id),
    rank: integer("rank").notNull(),
    campus: text("campus"),
    /** The language of instruction that was chosen. */
    language: text("language").notNull(),
    mode: oneOf("mode", MODES),
    track: text("track"),
    /** Further tracks that would be taken, in the order of preference. */
    otherTracks: jsonb("other_tracks").$type<readonly string[]>().notNull().default([]),
    addedAt: instant("added_at").notNull(),
    /** The closing for this person alone. */
    extendedTo: instant("extended_to"),
    submittedAt: instant("submitted_at"),
    withdrawnAt: instant("withdrawn_at"),
    completeAt: instant("complete_at"),
  },
  (t) => [
    unique("choice_once").on(t.applicationId, t.intakeId),
    index("choice_intake").on(t.intakeId),
    isOneOf("choice_mode", t.mode, MODES),
  ],
);

/** A numbered version of what was submitted: which choices, and which version of each answer. It holds references, never values. */
export const submission = pgTable(
  "submission",
  {
    applicationId: uuid("application_id")
      .notNull()
      .references(() => application.id),
    no: integer("no").notNull(),
    at: instant("at").notNull(),
    choices: jsonb("choices").$type<readonly string[]>().notNull(),
    answers: jsonb("answers").$type<readonly { readonly place: string; readonly version: number }[]>().notNull(),
    uploads: jsonb("uploads").$type<readonly string[]>().notNull(),
    officeVersion: integer("office_version").notNull(),
  },
  (t) => [primaryKey({ columns: [t.applicationId, t.no] })],
);

/** One row per answer: the applicant's claim, by its place in the form. `scope` is `file` or the id of a choice. */
export const answer = pgTable(
  "answer",
  {
    applicationId: uuid("application_id")
      .notNull()
      .references(() => application.id),
    scope: text("scope").notNull(),
    section: text("section").notNull(),
    entry: text("entry").notNull().default(""),
    field: text("field").notNull(),
    value: jsonb("value").$type<Json>(),
    version: integer("version").notNull(),
    position: integer("position").notNull().default(0),
    savedAt: instant("saved_at").notNull(),
    /** Kept aside: it does not apply at present and is not submitted. */
    dormant: boolean("dormant").notNull().default(false),
  },
  (t) => [
    primaryKey({ columns: [t.applicationId, t.scope, t.section, t.entry, t.field] }),
    // Where people studied: what is usual there is looked up while somebody fills in a form.
    index("answer_studied_at")
      .on(t.field, sql`lower(left(${t.value} #>> '{}', 100))`)
      .where(sql`${t.field} in ('institution', 'country')`),
  ],
);

/** Every version that an answer ever had; append-only, emptied by erasure alone. */
export const answerVersion = pgTable(
  "answer_version",
  {
    applicationId: uuid("application_id").notNull(),
    scope: text("scope").notNull(),
    section: text("section").notNull(),
    entry: text("entry").notNull(),
    field: text("field").notNull(),
    version: integer("version").notNull(),
    value: jsonb("value").$type<Json>(),
    savedAt: instant("saved_at").notNull(),
    savedBy: text("saved_by").notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.applicationId, t.scope, t.section, t.entry, t.field, t.version] }),
    foreignKey({ columns: [t.applicationId], foreignColumns: [application.id] }),
  ],
);

/** What the office established, beside the claim. */
export const confirmation = pgTable(
  "confirmation",
  {
    applicationId: uuid("application_id")
      .notNull()
      .references(() => application.id),
    scope: text("scope").notNull(),
    section: text("section").notNull(),
    entry: text("entry").notNull().default(""),
    field: text("field").notNull(),
    value: jsonb("value").$type<Json>(),
    answerVersion: integer("answer_version").notNull(),
    uploadId: uuid("upload_id"),
    note: text("note"),
    /** Null where an issuer's answer came by itself. */
    byId: uuid("by_id").references(() => person.id),
    at: instant("at").notNull(),
  },
  (t) => [primaryKey({ columns: [t.applicationId, t.scope, t.section, t.entry, t.field] })],
);

/** Every value that stood beside a claim, in the order in which they came; null where it was taken back. Written by a trigger. */
export const confirmationVersion = pgTable(
  "confirmation_version",
  {
    id: bigserial("id", { mode: "number" }).primaryKey(),
    applicationId: uuid("application_id").notNull(),
    scope: text("scope").notNull(),
    section: text("section").notNull(),
    entry: text("entry").notNull(),
    field: text("field").notNull(),
    value: jsonb("value").$type<Json>(),
    note: text("note"),
    byId: uuid("by_id"),
    at: instant("at").notNull(),
  },
  (t) => [
    index("confirmation_version_place").on(t.applicationId, t.section, t.entry, t.field),
    foreignKey({ columns: [t.applicationId], foreignColumns: [application.id] }),
  ],
);

/** A finding that a lead officer overrode, with the reason. One that was taken back stays, with its end. */
export const override = pgTable(
  "override",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    applicationId: uuid("application_id")
      .notNull()
      .references(() => application.id),
    choiceId: uuid("choice_id")
      .notNull()
      .references(() => choice.id),
    rule: text("rule").notNull(),
    finding: oneOf("finding", OVERRIDING).notNull(),
    /** What had been worked out at that moment. */
    worked: oneOf("worked", FINDINGS).notNull(),
    reason: text("reason").notNull(),
    byId: uuid("by_id")
      .notNull()
      .references(() => person.id),
    at: instant("at").notNull(),
    endedAt: instant("ended_at"),
    endedById: uuid("ended_by_id").references(() => person.id),
    endReason: text("end_reason"),
  },
  (t) => [
    index("override_application").on(t.applicationId),
    uniqueIndex("override_one_live").on(t.choiceId, t.rule).where(sql`${t.endedAt} is null`),
    isOneOf("override_finding", t.finding, OVERRIDING),
    isOneOf("override_worked", t.worked, FINDINGS),
  ],
);

/** What an applicant promised of the order of their choices: the sentence as it was read, and the list that it was given for. Append-only. */
export const undertaking = pgTable(
  "undertaking",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    applicationId: uuid("application_id")
      .notNull()
      .references(() => application.id),
    at: instant("at").notNull(),
    locale: text("locale").notNull(),
    text: text("text").notNull(),
    choices: jsonb("choices").$type<readonly { readonly id: string; readonly code: string }[]>().notNull(),
  },
  (t) => [index("undertaking_application").on(t.applicationId, t.at)],
);

/** What the office asks the applicant to supply or to answer, with a date. */
export const ask = pgTable(
  "ask",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    /** Those that went out in one mail share it. */
    letter: uuid("letter").notNull(),
    position: smallint("position").notNull().default(0),
    applicationId: uuid("application_id")
      .notNull()
      .references(() => application.id),
    requirement: text("requirement").notNull(),
    scope: text("scope").notNull(),
    entry: text("entry").notNull().default(""),
    wants: oneOf("wants", ASK_WANTS).notNull().default("evidence"),
    text: text("text").notNull(),
    due: day("due").notNull(),
    askedAt: instant("asked_at").notNull(),
    byId: uuid("by_id")
      .notNull()
      .references(() => person.id),
    answeredAt: instant("answered_at"),
    /** What the applicant answered in words; null for what was supplied or settled. */
    answer: text("answer"),
    readAt: instant("read_at"),
    readById: uuid("read_by_id").references(() => person.id),
    /** Which reminder was sent last: the first before its day, the others after it; 0 for none. */
    reminders: smallint("reminders").notNull().default(0),
  },
  (t) => [
    index("ask_application").on(t.applicationId),
    index("ask_open_due").on(t.due).where(sql`${t.answeredAt} is null`),
    isOneOf("ask_wants", t.wants, ASK_WANTS),
  ],
);

/** Sections that the office opened again for correction after submission, with a reason and a date. */
export const reopening = pgTable(
  "reopening",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    applicationId: uuid("application_id")
      .notNull()
      .references(() => application.id),
    sections: jsonb("sections").$type<readonly { readonly scope: string; readonly section: string }[]>().notNull(),
    reason: text("reason").notNull(),
    due: day("due").notNull(),
    openedAt: instant("opened_at").notNull(),
    openedById: uuid("opened_by_id")
      .notNull()
      .references(() => person.id),
    answeredAt: instant("answered_at"),
    readAt: instant("read_at"),
    readById: uuid("read_by_id").references(() => person.id),
    /** When the office took it back; what had been typed meanwhile became again what was submitted. */
    endedAt: instant("ended_at"),
  },
  (t) => [
    uniqueIndex("reopening_one_open").on(t.applicationId).where(sql`${t.answeredAt} is null and ${t.endedAt} is null`),
  ],
);

/** What an applicant asks the office to open for correction; granted by opening sections, or refused with a reason. */
export const correctionRequest = pgTable(
  "correction_request",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    applicationId: uuid("application_id")
      .notNull()
      .references(() => application.id),
    sections: jsonb("sections").$type<readonly { readonly scope: string; readonly section: string }[]>().notNull(),
    text: text("text").notNull(),
    askedAt: instant("asked_at").notNull(),
    answeredAt: instant("answered_at"),
    answeredById: uuid("answered_by_id").references(() => person.id),
    /** Why it was refused; null for one that was granted. */
    refusal: text("refusal"),
  },
  (t) => [uniqueIndex("correction_request_one_open").on(t.applicationId).where(sql`${t.answeredAt} is null`)],
);

/** A decision on a choice: prepared by one person, released by another, answered by the applicant. */
export const decision = pgTable(
  "decision",
  {
    choiceId: uuid("choice_id")
      .primaryKey()
      .references(() => choice.id),
    kind: oneOf("kind", DECISIONS).notNull(),
    /** For the applicant. */
    reason: text("reason"),
    /** For the office alone. */
    note: text("note"),
    conditions: jsonb("conditions")
      .$type<readonly { readonly rule: string; readonly way: { en: string; fr: string } }[]>()
      .notNull(),
    preparedById: uuid("prepared_by_id")
      .notNull()
      .references(() => person.id),
    preparedAt: instant("prepared_at").notNull(),
    releasedById: uuid("released_by_id").references(() => person.id),
    releasedAt: instant("released_at"),
    answerBy: day("answer_by"),
    answer: oneOf("answer", ANSWERS),
    answeredAt: instant("answered_at"),
  },
  (t) => [
    isOneOf("decision_kind", t.kind, DECISIONS),
    isOneOf("decision_answer", t.answer, ANSWERS),
    check("decision_second_person", sql`${t.releasedById} is null or ${t.releasedById} <> ${t.preparedById}`),
  ],
);

/** Whose turn it was from when on: clocks read these intervals. */
export const turnChange = pgTable(
  "turn_change",
  {
    applicationId: uuid("application_id")
      .notNull()
      .references(() => application.id),
    at: instant("at").notNull(),
    turn: oneOf("turn", TURNS).notNull(),
  },
  (t) => [primaryKey({ columns: [t.applicationId, t.at] }), isOneOf("turn_change_turn", t.turn, TURNS)],
);
