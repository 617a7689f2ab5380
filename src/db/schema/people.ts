import { sql } from "drizzle-orm";
import {
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
import type { ErasureReport } from "../../core/people/erasure";
import { ROLES } from "../../core/rights/actor";
import type { AssigningRule } from "../../core/turns/assigning";
import { citext, day, instant, isOneOf, oneOf } from "./columns";

const SAME = ["same", "different", "undecided"] as const;
const PURPOSES = ["confirm address", "set password"] as const;

/** Somebody known to the office: an applicant or a member of staff. */
export const person = pgTable("person", {
  id: uuid("id").primaryKey().defaultRandom(),
  accountId: text("account_id").unique(),
  name: text("name").notNull(),
  email: citext("email").notNull().unique(),
  locale: text("locale").notNull().default("en"),
  createdAt: instant("created_at").notNull(),
  confirmedAt: instant("confirmed_at"),
});

/** A role that a person holds: over everything, or over one programme. */
export const grant = pgTable(
  "role_grant",
  {
    personId: uuid("person_id")
      .notNull()
      .references(() => person.id),
    role: oneOf("role", ROLES).notNull(),
    /** `*`, or the code of a programme. */
    scope: text("scope").notNull().default("*"),
    grantedAt: instant("granted_at").notNull(),
    /** The end of its last day; null for a role that is held until it is taken away. */
    until: instant("until"),
  },
  (t) => [primaryKey({ columns: [t.personId, t.role, t.scope] }), isOneOf("role_grant_role", t.role, ROLES)],
);

/** What an officer said of two people who look like one. The newest word counts; the earlier ones stay. */
export const samePerson = pgTable(
  "same_person",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    /** The smaller of the two ids. */
    firstId: uuid("first_id")
      .notNull()
      .references(() => person.id),
    secondId: uuid("second_id")
      .notNull()
      .references(() => person.id),
    verdict: oneOf("verdict", SAME).notNull(),
    byId: uuid("by_id")
      .notNull()
      .references(() => person.id),
    at: instant("at").notNull(),
  },
  (t) => [
    index("same_person_pair").on(t.firstId, t.secondId),
    check("same_person_order", sql`${t.firstId} < ${t.secondId}`),
    isOneOf("same_person_verdict", t.verdict, SAME),
  ],
);

/** Two accounts of one person that were made one: whose files went to whom, and how it ended. */
export const accountJoin = pgTable(
  "account_join",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    keptId: uuid("kept_id")
      .notNull()
      .references(() => person.id),
    /** Whose files they were. */
    givenId: uuid("given_id")
      .notNull()
      .references(() => person.id),
    /** The files that went over, each with whose it had been before by an earlier join. */
    files: jsonb("files").$type<readonly { readonly id: string; readonly before: string | null }[]>().notNull(),
    reason: text("reason").notNull(),
    byId: uuid("by_id")
      .notNull()
      .references(() => person.id),
    at: instant("at").notNull(),
    endedAt: instant("ended_at"),
    endedById: uuid("ended_by_id").references(() => person.id),
  },
  (t) => [
    uniqueIndex("account_join_given").on(t.givenId).where(sql`${t.endedAt} is null`),
    index("account_join_kept").on(t.keptId),
  ],
);

/** Until when somebody has seen what came in, and until when before that, so that it can be taken back. */
export const lastLook = pgTable("last_look", {
  personId: uuid("person_id")
    .primaryKey()
    .references(() => person.id),
  at: instant("at").notNull(),
  before: instant("before"),
});

/** An address of an account that the office corrected: what it was, what it is, and how the office knew. */
export const addressChange = pgTable(
  "address_change",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    personId: uuid("person_id")
      .notNull()
      .references(() => person.id),
    before: citext("before").notNull(),
    after: citext("after").notNull(),
    reason: text("reason").notNull(),
    byId: uuid("by_id")
      .notNull()
      .references(() => person.id),
    at: instant("at").notNull(),
  },
  (t) => [index("address_change_person").on(t.personId, t.at)],
);

/** Which version of which text somebody agreed to, and when. */
export const consent = pgTable(
  "consent",
  {
    personId: uuid("person_id")
      .notNull()
      .references(() => person.id),
    textKey: text("text_key").notNull(),
    textVersion: text("text_version").notNull(),
    at: instant("at").notNull(),
  },
  (t) => [primaryKey({ columns: [t.personId, t.textKey, t.textVersion] })],
);

/** A link that was mailed: only its hash is kept; it works once, until it ends or a newer one replaces it. */
export const mailLink = pgTable(
  "mail_link",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    tokenHash: text("token_hash").notNull().unique(),
    purpose: oneOf("purpose", PURPOSES).notNull(),
    personId: uuid("person_id")
      .notNull()
      .references(() => person.id),
    createdAt: instant("created_at").notNull(),
    endsAt: instant("ends_at").notNull(),
    usedAt: instant("used_at"),
    replacedAt: instant("replaced_at"),
  },
  (t) => [
    isOneOf("mail_link_purpose", t.purpose, PURPOSES),
    uniqueIndex("mail_link_one_live")
      .on(t.personId, t.purpose)
      .where(sql`${t.usedAt} is null and ${t.replacedAt} is null`),
  ],
);

/**
 * What is counted for a quarter of an hour: a guess at a password, for the account and for the network address. It counts while it is looked at, and once it was wrong; one that
 * was never answered, because something was away, stops counting by itself.
 */
export const passwordGuess = pgTable(
  "password_guess",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    /** `account:<address>`, `device:<id>:<address>`, `network:<address>`; `code:…` is a code that was used, `mails:<network>` a mail that was asked for. */
    subject: text("subject").notNull(),
    at: instant("at").notNull(),
    wrong: boolean("wrong").notNull().default(false),
  },
  (t) => [index("password_guess_subject").on(t.subject, t.at)],
);

/** That somebody asked to have erased what is kept of them, and what was erased, or stays and why. It stays itself, without a name. */
export const erasureRequest = pgTable(
  "erasure_request",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    personId: uuid("person_id")
      .notNull()
      .references(() => person.id),
    askedAt: instant("asked_at").notNull(),
    answeredAt: instant("answered_at"),
    answeredById: uuid("answered_by_id").references(() => person.id),
    report: jsonb("report").$type<ErasureReport>(),
  },
  (t) => [uniqueIndex("erasure_request_open").on(t.personId).where(sql`${t.answeredAt} is null`)],
);

/** By which rules files go into the hands of officers: one row, replaced whole. */
export const assigning = pgTable("assigning", {
  id: integer("id").primaryKey(),
  version: integer("version").notNull(),
  rules: jsonb("rules").$type<readonly AssigningRule[]>().notNull(),
  savedAt: instant("saved_at").notNull(),
  savedById: uuid("saved_by_id").references(() => person.id),
});

/** When an officer is away, first and last day included, and who stands in for them. */
export const absence = pgTable(
  "absence",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    personId: uuid("person_id")
      .notNull()
      .references(() => person.id),
    coverId: uuid("cover_id")
      .notNull()
      .references(() => person.id),
    fromOn: day("from_on").notNull(),
    untilOn: day("until_on").notNull(),
    notedAt: instant("noted_at").notNull(),
  },
  (t) => [index("absence_person").on(t.personId, t.untilOn), index("absence_cover").on(t.coverId, t.untilOn)],
);
