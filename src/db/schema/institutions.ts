import { index, integer, jsonb, numeric, pgTable, text, uniqueIndex, uuid } from "drizzle-orm/pg-core";
import { instant, isOneOf, oneOf } from "./columns";

const NAME_KINDS = ["own", "other", "written"] as const;

/** The register of institutions. What applicants typed stays as they typed it; its names lead here. */
export const institution = pgTable("institution", {
  id: uuid("id").primaryKey().defaultRandom(),
  name: text("name").notNull(),
  country: text("country").notNull(),
  kind: text("kind").notNull(),
  languages: jsonb("languages").$type<readonly string[]>().notNull().default([]),
  scales: jsonb("scales").$type<readonly string[]>().notNull().default([]),
  creditsPerYear: numeric("credits_per_year", { mode: "number" }),
  recognition: text("recognition").notNull(),
  note: text("note").notNull().default(""),
  fingerprints: jsonb("fingerprints").$type<readonly string[]>().notNull().default([]),
  version: integer("version").notNull().default(1),
  changedAt: instant("changed_at").notNull(),
  changedBy: text("changed_by").notNull(),
});

/** Every name that leads to an institution: its own, other and former ones, and what applicants wrote that an officer linked. */
export const institutionName = pgTable(
  "institution_name",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    institutionId: uuid("institution_id")
      .notNull()
      .references(() => institution.id, { onDelete: "cascade" }),
    name: text("name").notNull(),
    /** Folded for comparing; the same folded name may stand in two countries, and leads to one institution in each. */
    folded: text("folded").notNull(),
    country: text("country").notNull(),
    kind: oneOf("kind", NAME_KINDS).notNull(),
  },
  (t) => [
    uniqueIndex("institution_name_once").on(t.folded, t.country),
    index("institution_name_of").on(t.institutionId),
    index("institution_name_trigram").using("gin", t.folded.op("gin_trgm_ops")),
    isOneOf("institution_name_kind", t.kind, NAME_KINDS),
  ],
);
