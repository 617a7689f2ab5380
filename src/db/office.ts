import { desc } from "drizzle-orm";
import { makeOffice, NOTHING_LOADED, type Office, referenceSetSchema } from "../core/office/reference-set";
import type { Database } from "./connection";
import { officeReference } from "./schema";

/** A fresh installation has a front page, too. */
const EMPTY = makeOffice(0, NOTHING_LOADED);

const ready = new Map<number, Office>();

/** The newest reference set, made ready once a process and version: published versions never change. */
export async function currentOffice(db: Database): Promise<Office> {
  const [newest] = await db
    .select({ version: officeReference.version })
    .from(officeReference)
    .orderBy(desc(officeReference.version))
    .limit(1);
  if (!newest) return EMPTY;
  const known = ready.get(newest.version);
  if (known) return known;
  const [row] = await db.select().from(officeReference).orderBy(desc(officeReference.version)).limit(1);
  if (!row) throw new Error("the office reference set went away");
  const office = makeOffice(row.version, referenceSetSchema.parse(row.body));
  ready.set(row.version, office);
  return office;
}
