import type pg from "pg";
import { effectsOf, type FileEffect } from "../core/rulebook/effect";
import type { Rulebook, RulebookBody } from "../core/rulebook/rulebook";
import { loadFiles } from "../db/load-file";
import { officeNow } from "./office-now";

const BATCH = 200;

export interface PreviewBatch {
  readonly looked: number;
  readonly effects: readonly FileEffect[];
  /** Where the next batch begins; null after the last. */
  readonly after: string | null;
}

/** One batch of the files that a draft would touch, each as it stands and as it would stand. For the system alone. */
export async function previewBatch(
  pool: pg.Pool,
  previewId: string,
  after: string | null,
  now: Date,
): Promise<PreviewBatch | null> {
  const { rows } = await pool.query<{
    id: string;
    intake_id: string;
    version: number;
    body: RulebookBody;
    older: string[];
  }>(
    `select b.id, b.intake_id, b.version, b.body, array(select o.id from rulebook o where o.intake_id = b.intake_id and o.status <> 'draft') as older
     from rulebook_preview v join rulebook b on b.id = v.rulebook_id where v.id = $1 and v.finished_at is null`,
    [previewId],
  );
  const [draft] = rows;
  if (!draft) return null;
  const ids = await pool.query<{ id: string }>(
    `select distinct application_id as id from choice where intake_id = $1 and withdrawn_at is null
       and ($2::uuid is null or application_id > $2) order by application_id limit $3`,
    [draft.intake_id, after, BATCH],
  );
  const office = await officeNow(pool);
  const files = await loadFiles(
    pool,
    ids.rows.map((r) => r.id),
  );
  const candidate: Rulebook = { id: draft.id, version: draft.version, body: draft.body };
  const from = new Set(draft.older);
  return {
    looked: files.length,
    effects: files.flatMap((file) => effectsOf(file, candidate, from, office, now.getTime())),
    after: ids.rows.length < BATCH ? null : (ids.rows.at(-1)?.id ?? null),
  };
}
