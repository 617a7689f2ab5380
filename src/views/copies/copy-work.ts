import type pg from "pg";
import type { CopyReader } from "../../core/form/readers";
import type { Locale } from "../../core/text/local-text";
import { contentBytes } from "../../db/content";
import type { MyApplication } from "../application/application-data";
import type { SectionSummary } from "../application/form-copy";
import { readApplication } from "../application/my-application";

/** One application of an order whose copy is still to be made. */
export interface CopyWork {
  readonly applicationId: string;
  readonly reader: CopyReader;
  readonly documents: boolean;
  readonly locale: Locale;
  readonly name: string;
}

/** What an order still has to make, in its order. */
export async function copyWork(pool: pg.Pool, orderId: string): Promise<readonly CopyWork[]> {
  const { rows } = await pool.query<CopyWork>(
    `select f.application_id as "applicationId", o.reader, o.documents, o.locale, p.name from copy_order o join copy_of f on f.order_id = o.id
       join application a on a.id = f.application_id join person p on p.id = a.person_id
     where o.id = $1 and f.made_at is null order by f.position`,
    [orderId],
  );
  return rows;
}

/** An application as a copy shows it; null where it is gone. */
export function applicationOfCopy(pool: pg.Pool, applicationId: string, now: Date): Promise<MyApplication | null> {
  return readApplication({ pool, now, actor: { kind: "system" } }, applicationId);
}

/** What those who assess get beside the answers: what the office says in short, and which pages are left out of which documents. */
export async function forAssessors(
  pool: pg.Pool,
  applicationId: string,
): Promise<{
  readonly summaries: readonly SectionSummary[];
  readonly leftOut: ReadonlyMap<string, readonly number[]>;
}> {
  const { rows: summaries } = await pool.query<SectionSummary>(
    "select scope, section, text from section_summary where application_id = $1",
    [applicationId],
  );
  const { rows } = await pool.query<{ id: string; pages: number[] }>(
    "select u.id, array_agg(l.page order by l.page) as pages from upload u join page_left_out l on l.upload_id = u.id where u.application_id = $1 group by u.id",
    [applicationId],
  );
  return { summaries, leftOut: new Map(rows.map((r) => [r.id, r.pages])) };
}

/** A supplied document, whole, for a reader: applicants have back what they supplied themselves. */
export async function uploadedBytes(
  pool: pg.Pool,
  uploadId: string,
  reader: CopyReader,
): Promise<{ readonly mediaType: string; readonly bytes: Buffer } | null> {
  const { rows } = await pool.query<{ sha256: string; mediaType: string }>(
    `select u.sha256, c.media_type as "mediaType" from upload u join content c on c.sha256 = u.sha256 join application a on a.id = u.application_id
     where u.id = $1 and ($2 <> 'applicant' or u.uploaded_by = 'person:' || a.person_id::text)`,
    [uploadId, reader],
  );
  const [row] = rows;
  if (!row) return null;
  return { mediaType: row.mediaType, bytes: await contentBytes(pool, row.sha256) };
}
