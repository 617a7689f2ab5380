import { sql } from "drizzle-orm";
import { type AnyPgColumn, check, customType, date, text, timestamp } from "drizzle-orm/pg-core";

/** An instant: always with its zone, always written by the caller's clock, never by SQL's. */
export const instant = (name: string) => timestamp(name, { withTimezone: true, mode: "date" });

/** A calendar day, `YYYY-MM-DD`: no instant, and of no zone. */
export const day = (name: string) => date(name, { mode: "string" });

/** A word of a closed vocabulary: the type knows the words, and the database checks them (`isOneOf`). */
export const oneOf = <const Words extends readonly [string, ...string[]]>(name: string, words: Words) =>
  text(name, { enum: words as unknown as [Words[number], ...Words[number][]] }); // the same words, which the library wants writable

/** Holds a column to its vocabulary; null where the column may be empty is allowed. */
export const isOneOf = (name: string, column: AnyPgColumn, words: readonly string[]) =>
  check(name, sql`${column} in (${sql.raw(words.map((word) => `'${word}'`).join(","))})`);

export const bytea = customType<{ data: Buffer; driverData: Buffer }>({ dataType: () => "bytea" });
export const citext = customType<{ data: string }>({ dataType: () => "citext" });
