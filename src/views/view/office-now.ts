import type pg from "pg";
import type { Office } from "../../core/standards/reference-set";
import { database } from "../../db/connection";
import { currentOffice } from "../../db/queries/office";

const KEPT_MS = 1000;
const kept = new WeakMap<pg.Pool, { readonly until: number; readonly office: Promise<Office> }>();

/**
 * The newest reference set, as everything that only reads sees it: calendars, groups and scales are no secret. A page may be a
 * second behind one that was just published; acts ask in their own transaction.
 */
export function officeNow(pool: pg.Pool): Promise<Office> {
  const known = kept.get(pool);
  if (known && known.until > performance.now()) return known.office;
  const office = currentOffice(database(pool));
  kept.set(pool, { until: performance.now() + KEPT_MS, office });
  office.catch(() => kept.delete(pool));
  return office;
}
