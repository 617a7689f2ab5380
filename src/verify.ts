import { dequal } from "dequal";
import type pg from "pg";
import type { FileRow } from "./core/settlement/file-row";
import { isAtRest, type Settled, settle } from "./core/settlement/settle";
import { makeOffice, type Office, referenceSetSchema } from "./core/standards/reference-set";
import { readFileRows } from "./db/queries/file-rows";
import { loadFiles } from "./db/queries/load-file";

/**
 * Recomputes every stored assessment at its own instant and with its own versions, and reports rows that differ. The
 * projection is only ever a copy of what `assess` says; a difference is a defect. Rows that an act has ended, because a round
 * or a rulebook changed under them, wait for the job and are passed over.
 */
export interface Verification {
  readonly files: number;
  readonly differing: readonly {
    readonly number: string;
    readonly field: string;
    readonly stored: string;
    readonly computed: string;
  }[];
}

const BATCH = 200;

async function offices(pool: pg.Pool): Promise<ReadonlyMap<number, Office>> {
  const { rows } = await pool.query<{ version: number; body: unknown }>("select version, body from office_reference");
  return new Map(rows.map((r) => [r.version, makeOffice(r.version, referenceSetSchema.parse(r.body))]));
}

/** Rows that no act has ended, in order. */
const WHOLE = `select application_id as id, number from file_standing where number > $1 and (valid_until is null or valid_until > assessed_at)
  order by number limit $2`;

const inWords = (value: unknown): string => (typeof value === "string" ? value : JSON.stringify(value));

/** What differs between a stored row and what its file comes to, column by column, and what of the file was never written. */
function differences(stored: FileRow, { row, effects }: Settled): Verification["differing"] {
  const columns = (Object.keys(row) as (keyof FileRow)[]).filter((column) => !dequal(stored[column], row[column])); // the row's own keys
  return [
    ...columns.map((column) => ({
      number: stored.number,
      field: column,
      stored: inWords(stored[column]),
      computed: inWords(row[column]),
    })),
    ...(isAtRest(effects)
      ? []
      : [{ number: stored.number, field: "effects", stored: "written", computed: inWords(effects) }]),
  ];
}

export async function verifyAll(
  pool: pg.Pool,
  onBatch: (files: number) => void = () => undefined,
): Promise<Verification> {
  const byVersion = await offices(pool);
  const differing: Verification["differing"][number][] = [];
  let files = 0;
  let after = "";
  for (;;) {
    const { rows } = await pool.query<{ id: string; number: string }>(WHOLE, [after, BATCH]);
    const last = rows.at(-1);
    if (!last) return { files, differing };
    after = last.number;
    const ids = rows.map((r) => r.id);
    const [stored, loaded] = await Promise.all([readFileRows(pool, ids), loadFiles(pool, ids)]);
    for (const file of loaded) {
      const row = stored.get(file.facts.application.id);
      const office = row && byVersion.get(row.officeVersion);
      if (!row || !office) throw new Error(`file ${file.facts.application.number} has no row, or no office version`);
      differing.push(
        ...differences(
          row,
          settle(file, office, Date.parse(row.assessedAt), () => "new"),
        ),
      );
    }
    files += rows.length;
    onBatch(files);
  }
}
