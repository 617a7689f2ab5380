import { sql } from "drizzle-orm";
import {
  boolean,
  check,
  date,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  unique,
  uniqueIndex,
  uuid,
} from "drizzle-orm/pg-core";
import type { ChoiceRules } from "../../core/catalogue/choice-rules";
import {
  type IntakeInput,
  LENGTH_UNITS,
  type Level,
  type ProgrammeInput,
  type Track,
} from "../../core/catalogue/programme";
import type { FileEffect } from "../../core/difference/effect";
import type { Mode } from "../../core/file/mode";
import type { RulebookBody } from "../../core/rulebook/rulebook";
import type { ReferenceSet } from "../../core/standards/reference-set";
import type { LocalText } from "../../core/text/local-text";
import { instant, isOneOf, oneOf } from "./columns";
import { content } from "./content";

const STATUSES = ["draft", "published", "superseded"] as const;

/** One campaign, named after the year of entry; numbers of applications are counted within it. */
export const cycle = pgTable("cycle", {
  id: uuid("id").primaryKey().defaultRandom(),
  key: text("key").notNull().unique(),
  title: jsonb("title").$type<LocalText>().notNull(),
  lastNumber: integer("last_number").notNull().default(0),
});

/** A family of programmes that share one application. */
export const procedure = pgTable("procedure", {
  id: uuid("id").primaryKey().defaultRandom(),
  key: text("key").notNull().unique(),
  title: jsonb("title").$type<LocalText>().notNull(),
  rules: jsonb("rules").$type<ChoiceRules>().notNull(),
});

export const programme = pgTable(
  "programme",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    procedureId: uuid("procedure_id")
      .notNull()
      .references(() => procedure.id),
    code: text("code").notNull().unique(),
    title: jsonb("title").$type<LocalText>().notNull(),
    award: text("award").notNull(),
    level: text("level").$type<Level>().notNull(),
    fields: jsonb("fields").$type<readonly string[]>().notNull().default([]),
    languages: jsonb("languages").$type<readonly string[]>().notNull(),
    length: integer("length").notNull(),
    lengthUnit: oneOf("length_unit", LENGTH_UNITS).notNull(),
    ects: integer("ects").notNull(),
    campuses: jsonb("campuses").$type<readonly string[]>().notNull(),
    modes: jsonb("modes").$type<readonly Mode[]>().notNull().default([]),
    tracks: jsonb("tracks").$type<readonly Track[]>().notNull().default([]),
    tracksRanked: boolean("tracks_ranked").notNull().default(false),
    description: jsonb("description").$type<LocalText>().notNull(),
    prerequisites: jsonb("prerequisites").$type<LocalText>(),
    contact: jsonb("contact").$type<ProgrammeInput["contact"]>(),
    partner: text("partner"),
    keywords: jsonb("keywords").$type<readonly string[]>().notNull().default([]),
    sponsorsVisa: boolean("sponsors_visa").notNull().default(true),
    onePage: boolean("one_page").notNull().default(false),
    showsTimes: boolean("shows_times").notNull().default(false),
    version: integer("version").notNull().default(1),
  },
  (t) => [isOneOf("programme_length_unit", t.lengthUnit, LENGTH_UNITS)],
);

export const intake = pgTable(
  "intake",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    programmeId: uuid("programme_id")
      .notNull()
      .references(() => programme.id),
    cycleId: uuid("cycle_id")
      .notNull()
      .references(() => cycle.id),
    startsOn: date("starts_on").notNull(),
    places: integer("places").notNull(),
    quotas: jsonb("quotas").$type<IntakeInput["quotas"]>().notNull().default([]),
    options: jsonb("options")
      .$type<IntakeInput["options"]>()
      .notNull()
      .default({ campuses: [], languages: [], modes: [], tracks: [] }),
    version: integer("version").notNull().default(1),
  },
  (t) => [unique("intake_once").on(t.programmeId, t.cycleId, t.startsOn)],
);

/** A window for applying to an intake. Closings are exclusive instants by applicant group. */
export const round = pgTable(
  "round",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    intakeId: uuid("intake_id")
      .notNull()
      .references(() => intake.id),
    key: text("key").notNull(),
    version: integer("version").notNull().default(1),
    opensAt: instant("opens_at").notNull(),
    closings: jsonb("closings").$type<readonly { readonly group: string; readonly at: string }[]>().notNull(),
    rolling: boolean("rolling").notNull().default(false),
    closesWhenFull: boolean("closes_when_full").notNull().default(false),
    /** It opens only if places are left: open from when its opening is told (`announced_at`). */
    ifPlacesLeft: boolean("if_places_left").notNull().default(false),
    prepareBefore: boolean("prepare_before").notNull().default(true),
    /** Set when the office closes a round early, or when the last place goes. */
    closedAt: instant("closed_at"),
    closedReason: text("closed_reason"),
    promiseDays: integer("promise_days").notNull(),
    /** When its opening was told to those who wait for it. */
    announcedAt: instant("announced_at"),
    /** When the office was reminded that it opens soon. */
    remindedAt: instant("reminded_at"),
  },
  (t) => [unique("round_once").on(t.intakeId, t.key)],
);

/** The versioned sections, requirements, entry rules and fee items of an intake. A published one never changes (a trigger refuses it). */
export const rulebook = pgTable(
  "rulebook",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    intakeId: uuid("intake_id")
      .notNull()
      .references(() => intake.id),
    version: integer("version").notNull(),
    status: oneOf("status", STATUSES).notNull(),
    body: jsonb("body").$type<RulebookBody>().notNull(),
    publishedAt: instant("published_at"),
    /** What the version is about, in the words of whoever publishes it. */
    note: text("note"),
    /** Counts the changes of a draft: the second of two writers is told. */
    edit: integer("edit").notNull().default(1),
    editedAt: instant("edited_at"),
    editedBy: text("edited_by"),
  },
  (t) => [
    unique("rulebook_version").on(t.intakeId, t.version),
    uniqueIndex("rulebook_one_draft").on(t.intakeId).where(sql`${t.status} = 'draft'`),
    uniqueIndex("rulebook_one_published").on(t.intakeId).where(sql`${t.status} = 'published'`),
    isOneOf("rulebook_status", t.status, STATUSES),
  ],
);

/** The office's reference set; the newest version counts, older ones stay for what was assessed by them. */
export const officeReference = pgTable("office_reference", {
  version: integer("version").primaryKey(),
  /** Tells two sets with one number apart: a database that was put back can publish the same number again. */
  edition: uuid("edition").notNull().defaultRandom(),
  body: jsonb("body").$type<ReferenceSet>().notNull(),
  createdAt: instant("created_at").notNull(),
  madeBy: text("made_by").notNull().default("system"),
  note: text("note").notNull().default(""),
});

/** The one draft of the next version, while there is one. */
export const referenceDraft = pgTable(
  "reference_draft",
  {
    id: integer("id").primaryKey().default(1),
    /** The version it was begun from. */
    base: integer("base").notNull(),
    body: jsonb("body").$type<ReferenceSet>().notNull(),
    edit: integer("edit").notNull().default(1),
    begunAt: instant("begun_at").notNull(),
    editedAt: instant("edited_at").notNull(),
    editedBy: text("edited_by").notNull(),
  },
  (t) => [check("reference_draft_one", sql`${t.id} = 1`)],
);

/** What putting a draft in force would change, worked out by a job: which files, and what of each. */
export const preview = pgTable(
  "preview",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    /** The rulebook that is drafted; null for the draft of the reference set. */
    rulebookId: uuid("rulebook_id").references(() => rulebook.id, { onDelete: "cascade" }),
    /** The state of the draft that it looked at. */
    edit: integer("edit").notNull(),
    askedAt: instant("asked_at").notNull(),
    askedBy: text("asked_by").notNull(),
    total: integer("total").notNull().default(0),
    done: integer("done").notNull().default(0),
    finishedAt: instant("finished_at"),
  },
  (t) => [index("preview_of").on(t.rulebookId, t.askedAt)],
);

/** What a preview found for one choice of one file. */
export const previewEffect = pgTable(
  "preview_effect",
  {
    previewId: uuid("preview_id")
      .notNull()
      .references(() => preview.id, { onDelete: "cascade" }),
    number: text("number").notNull(),
    choiceId: uuid("choice_id").notNull(),
    effect: jsonb("effect").$type<FileEffect>().notNull(),
  },
  (t) => [primaryKey({ columns: [t.previewId, t.number, t.choiceId] })],
);

/** A part that several rulebooks share; each holds a copy, and drafts follow it. */
export const sharedPart = pgTable("shared_part", {
  key: text("key").primaryKey(),
  title: jsonb("title").$type<LocalText>().notNull(),
  body: jsonb("body").$type<RulebookBody>().notNull(),
  edit: integer("edit").notNull().default(1),
  editedAt: instant("edited_at").notNull(),
  editedBy: text("edited_by").notNull(),
});

/** A form that the office offers for download, by its content; rulebooks name it. It is public. */
export const template = pgTable("template", {
  sha256: text("sha256")
    .primaryKey()
    .references(() => content.sha256),
  name: text("name").notNull(),
  storedAt: instant("stored_at").notNull(),
  storedBy: text("stored_by").notNull(),
});

/** An address that wants to know when a programme opens; forgotten once it was told. Only the hash of its link is kept. */
export const interest = pgTable(
  "interest",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    programmeId: uuid("programme_id")
      .notNull()
      .references(() => programme.id),
    email: text("email").notNull(),
    locale: text("locale").notNull(),
    tokenHash: text("token_hash").notNull().unique(),
    notedAt: instant("noted_at").notNull(),
  },
  (t) => [unique("interest_once").on(t.programmeId, t.email)],
);

/** What people looked for among the programmes and did not find: the words alone, never who they were. */
export const emptySearch = pgTable(
  "empty_search",
  {
    /** "" where a place alone was looked for. */
    folded: text("folded").notNull(),
    /** A campus or a region; "" for anywhere. */
    campus: text("campus").notNull().default(""),
    words: text("words").notNull(),
    times: integer("times").notNull().default(1),
    lastAt: instant("last_at").notNull(),
  },
  (t) => [primaryKey({ columns: [t.folded, t.campus] })],
);
