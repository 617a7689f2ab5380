import { index, integer, jsonb, pgTable, text, unique, uuid } from "drizzle-orm/pg-core";
import { application } from "./application";
import { day, instant, isOneOf, oneOf } from "./columns";
import { person } from "./people";

const STATES = ["nobody", "found", "other name", "not theirs"] as const;

/** A list of results that the owner of a test sent, as it was taken in. */
export const ownerList = pgTable("owner_list", {
  id: uuid("id").primaryKey().defaultRandom(),
  test: text("test").notNull(),
  fileName: text("file_name").notNull(),
  lines: integer("lines").notNull(),
  takenById: uuid("taken_by_id")
    .notNull()
    .references(() => person.id),
  takenAt: instant("taken_at").notNull(),
});

/** One result of such a list, and the claim that it belongs to once that is known. */
export const ownerResult = pgTable(
  "owner_result",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    listId: uuid("list_id")
      .notNull()
      .references(() => ownerList.id),
    test: text("test").notNull(),
    number: text("number").notNull(),
    numberKey: text("number_key").notNull(),
    name: text("name").notNull(),
    birthDate: day("birth_date"),
    takenOn: day("taken_on").notNull(),
    scores: jsonb("scores").$type<Readonly<Record<string, string>>>().notNull(),
    /** `nobody` as long as no submitted file claims the number. */
    state: oneOf("state", STATES).notNull(),
    applicationId: uuid("application_id").references(() => application.id),
    scope: text("scope"),
    section: text("section"),
    entry: text("entry"),
    settledById: uuid("settled_by_id").references(() => person.id),
    settledAt: instant("settled_at"),
  },
  (t) => [
    unique("owner_result_number").on(t.test, t.numberKey, t.takenOn),
    index("owner_result_application").on(t.applicationId),
    index("owner_result_list").on(t.listId),
    isOneOf("owner_result_state", t.state, STATES),
  ],
);
