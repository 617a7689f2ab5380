import type pg from "pg";
import { effectsOfOffice, effectsOfRulebook, type FileEffect } from "../../core/difference/effect";
import type { LoadedFile } from "../../core/file/loaded-file";
import type { RulebookBody } from "../../core/rulebook/rulebook";
import { makeOffice, type ReferenceSet, referenceSetSchema } from "../../core/standards/reference-set";
import { affectingNames } from "../../db/queries/affected";
import { loadFiles } from "../../db/queries/load-file";
import { officeNow } from "../view/office-now";

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

async function filesOfIntake(pool: pg.Pool, intake: string, after: string | null): Promise<readonly string[]> {
  const { rows } = await pool.query<{ id: string }>(
    `select distinct application_id as id from choice where ($1::uuid is null or application_id > $1) and intake_id = $3 and withdrawn_at is null
     order by application_id limit $2`,
    [after, BATCH, intake],
  );
  return rows.map((r) => r.id);
}

/** @param affecting what an open file must rest on to be looked at; null: all are */
async function openFiles(
  pool: pg.Pool,
  affecting: readonly string[] | null,
  after: string | null,
): Promise<readonly string[]> {
  const { rows } = await pool.query<{ id: string }>(
    `select application_id as id from file_standing where stage <> 'closed' and ($1::uuid is null or application_id > $1)
       and ($3::text[] is null or coalesce(rests_on && $3, true)) order by application_id limit $2`,
    [after, BATCH, affecting],
  );
  return rows.map((r) => r.id);
}

/** The open files that a change cannot touch. */
async function untouched(pool: pg.Pool, affecting: readonly string[] | null): Promise<number> {
  const { rows } = await pool.query<{ n: number }>(
    "select count(*)::int as n from file_standing where stage <> 'closed' and not (rests_on && $1::text[])",
    [affecting],
  );
  return rows[0]?.n ?? 0;
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
  const office = await officeNow(pool);
  const at = now.getTime();
  if (rulebook) {
    const from = new Set(rulebook.older);
    const ids = await filesOfIntake(pool, rulebook.intake, after);
    return batchOf(pool, ids, (file) => effectsOfRulebook(file, rulebook, from, office, at));
  }
  if (!reference) return { looked: 0, effects: [], after: null };
  const candidate = makeOffice(office.version + 1, referenceSetSchema.parse(reference));
  const affecting = await affectingNames(pool, office.set, candidate.set);
  const ids = await openFiles(pool, affecting, after);
  const batch = await batchOf(pool, ids, (file) => effectsOfOffice(file, office, candidate, at));
  return after === null ? { ...batch, looked: batch.looked + (await untouched(pool, affecting)) } : batch;
}

async function batchOf(
  pool: pg.Pool,
  ids: readonly string[],
  effects: (file: LoadedFile) => readonly FileEffect[],
): Promise<PreviewBatch> {
  const files = await loadFiles(pool, ids);
  return {
    looked: files.length,
    effects: files.flatMap(effects),
    after: ids.length < BATCH ? null : (ids.at(-1) ?? null),
  };
}
