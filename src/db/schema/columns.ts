import { customType, timestamp } from "drizzle-orm/pg-core";

/** An instant: always with its zone, always written by the caller's clock, never by SQL's. */
export const instant = (name: string) => timestamp(name, { withTimezone: true, mode: "date" });

export const bytea = customType<{ data: Buffer; driverData: Buffer }>({ dataType: () => "bytea" });
export const citext = customType<{ data: string }>({ dataType: () => "citext" });
