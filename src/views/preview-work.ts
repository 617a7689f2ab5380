import type pg from "pg";
import { effectsOfOffice, effectsOfRulebook, type FileEffect } from "../core/difference/effect";
import { makeOffice, type ReferenceSet, referenceSetSchema } from "../core/office/reference-set";
import type { RulebookBody } from "../core/rulebook/rulebook";
import { loadFiles } from "../db/load-file";
import { officeNow } from "./office-now";

const BATCH = 200;

export interface PreviewBatch {
  readonly looked: number;
  readonly effects: readonly FileEffect[];
  /** Where the next batch begins; null after the last. */
  readonly after: string | null;
}

interface Draft {
  readonly rulebook: {
    readonly id: string;
    readonly intake: string;
    readonly version: number;
    readonly body: RulebookBody;
    readonly older: readonly string[];
  } | null;
  /** The draft of the reference set; null once it was put in force or thrown away. */
  readonly reference: ReferenceSet | null;
}

async function draftOf(pool: pg.Pool, previewId: string): Promise<Draft | null> {
  const { rows } = await pool.query<Draft>(
    `select (select json_build_object('id', b.id, 'intake', b.intake_id, 'version', b.version, 'body', b.body, 'older',
         array(select o.id from rulebook o where o.intake_id = b.intake_id and o.status <> 'draft')) from rulebook b where b.id = v.rulebook_id) as rulebook,
       (select d.body from reference_draft d) as reference
     from preview v where v.id = $1 and v.finished_at is null`,
    [previewId],
  );
  return rows[0] ?? null;
}

async function idsAfter(pool: pg.Pool, intake: string | null, after: string | null): Promise<readonly string[]> {
  const { rows } = await pool.query<{ id: string }>(
    intake === null
      ? "select application_id as id from file_standing where stage <> 'closed' and ($1::uuid is null or application_id > $1) order by application_id limit $2"
      : `select distinct application_id as id from choice where ($1::uuid is null or application_id > $1) and intake_id = $3 and withdrawn_at is null
         order by application_id limit $2`,
    intake === null ? [after, BATCH] : [after, BATCH, intake],
  );
  return rows.map((r) => r.id);
}

/** One batch of the files that a draft would touch, each as it stands and as it would stand. For the system alone. */
export async function previewBatch(
  pool: pg.Pool,
  previewId: string,
  after: string | null,
  now: Date,
): Promise<PreviewBatch | null> {
  const draft = await draftOf(pool, previewId);
  if (!draft) return null;
  const { rulebook, reference } = draft;
  if (!rulebook && !reference) return { looked: 0, effects: [], after: null };
  const ids = await idsAfter(pool, rulebook?.intake ?? null, after);
  const office = await officeNow(pool);
  const files = await loadFiles(pool, ids);
  const at = now.getTime();
  const candidate =
    rulebook || !reference ? office : makeOffice(office.version + 1, referenceSetSchema.parse(reference));
  const from = new Set(rulebook?.older ?? []);
  return {
    looked: files.length,
    effects: files.flatMap((file) =>
      rulebook ? effectsOfRulebook(file, rulebook, from, office, at) : effectsOfOffice(file, office, candidate, at),
    ),
    after: ids.length < BATCH ? null : (ids.at(-1) ?? null),
  };
}
