import type pg from "pg";
import type { Office } from "../core/office/reference-set";
import { database } from "../db/connection";
import { currentOffice } from "../db/office";

/** The newest reference set: calendars, groups and scales are no secret. */
export function officeNow(pool: pg.Pool): Promise<Office> {
  return currentOffice(database(pool));
}
