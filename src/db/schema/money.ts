import { index, integer, pgTable, text, unique, uuid } from "drizzle-orm/pg-core";
import { application } from "./application";
import { instant, isOneOf, oneOf } from "./columns";

const PAYMENT_STATES = ["started", "booked", "declined", "abandoned"] as const;

/** An amount that a file owes for a fee item, adjusted (by a further row) when what is due changes. */
export const charge = pgTable(
  "charge",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    applicationId: uuid("application_id")
      .notNull()
      .references(() => application.id),
    item: text("item").notNull(),
    scope: text("scope").notNull(),
    minor: integer("minor").notNull(),
    currency: text("currency").notNull(),
    paymentReference: text("payment_reference").notNull().unique(),
    madeAt: instant("made_at").notNull(),
  },
  (t) => [unique("charge_once").on(t.applicationId, t.item, t.scope)],
);

export const chargeAdjustment = pgTable(
  "charge_adjustment",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    chargeId: uuid("charge_id")
      .notNull()
      .references(() => charge.id),
    minor: integer("minor").notNull(),
    reason: text("reason").notNull(),
    at: instant("at").notNull(),
  },
  (t) => [index("adjustment_charge").on(t.chargeId)],
);

/** An attempt to pay a charge. A booked one counts; the provider's key makes an answer that comes twice count once. */
export const payment = pgTable(
  "payment",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    chargeId: uuid("charge_id")
      .notNull()
      .references(() => charge.id),
    minor: integer("minor").notNull(),
    currency: text("currency").notNull(),
    state: oneOf("state", PAYMENT_STATES).notNull(),
    providerKey: text("provider_key").unique(),
    startedAt: instant("started_at").notNull(),
    settledAt: instant("settled_at"),
    /** How money was given back; `minor` is below nought then. */
    note: text("note").notNull().default(""),
  },
  (t) => [index("payment_charge").on(t.chargeId), isOneOf("payment_state", t.state, PAYMENT_STATES)],
);
