import { sql } from "drizzle-orm";
import { index, jsonb, pgTable, primaryKey, text, uniqueIndex, uuid } from "drizzle-orm/pg-core";
import { RULINGS, type RuledCase } from "../../core/rulebook/ruled-case";
import { application } from "./application";
import { instant, isOneOf, oneOf } from "./columns";
import { person } from "./people";

/** What the office ruled on a case, kept for like cases of this cycle and the next. One that has ended is offered no more. */
export const ruling = pgTable(
  "ruling",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    question: text("question").notNull(),
    country: text("country").notNull(),
    institution: text("institution").notNull(),
    title: text("title").notNull(),
    level: text("level").notNull(),
    verdict: oneOf("verdict", RULINGS).notNull(),
    reason: text("reason").notNull(),
    /** What the case is held equal to, and what it is accepted for no further than; null where nothing was said. */
    equalTo: text("equal_to"),
    limits: text("limits"),
    byId: uuid("by_id")
      .notNull()
      .references(() => person.id),
    at: instant("at").notNull(),
    endedAt: instant("ended_at"),
    endedById: uuid("ended_by_id").references(() => person.id),
    endReason: text("end_reason"),
  },
  (t) => [index("ruling_question").on(t.question, t.country), isOneOf("ruling_verdict", t.verdict, RULINGS)],
);

/** That a ruling holds for a case of a file. One that was taken back stays. */
export const appliedRuling = pgTable(
  "applied_ruling",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    applicationId: uuid("application_id")
      .notNull()
      .references(() => application.id),
    rulingId: uuid("ruling_id")
      .notNull()
      .references(() => ruling.id),
    question: text("question").notNull(),
    scope: text("scope").notNull(),
    section: text("section").notNull(),
    entry: text("entry").notNull(),
    /** The case as it stood: a ruling does not hold for what it has become since. */
    about: jsonb("about").$type<RuledCase>().notNull(),
    byId: uuid("by_id")
      .notNull()
      .references(() => person.id),
    at: instant("at").notNull(),
    endedAt: instant("ended_at"),
    endedById: uuid("ended_by_id").references(() => person.id),
  },
  (t) => [
    index("applied_ruling_ruling").on(t.rulingId),
    uniqueIndex("applied_ruling_one")
      .on(t.applicationId, t.scope, t.section, t.entry, t.question)
      .where(sql`${t.endedAt} is null`),
  ],
);

/** A case that an applicant asks to have ruled on before submitting; it is answered by the ruling. */
export const earlyCase = pgTable(
  "early_case",
  {
    applicationId: uuid("application_id")
      .notNull()
      .references(() => application.id),
    question: text("question").notNull(),
    scope: text("scope").notNull(),
    section: text("section").notNull(),
    entry: text("entry").notNull(),
    askedAt: instant("asked_at").notNull(),
  },
  (t) => [primaryKey({ columns: [t.applicationId, t.question, t.scope, t.section, t.entry] })],
);
