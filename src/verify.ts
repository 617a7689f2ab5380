import type pg from "pg";
import { assess } from "./core/assessment/assess";
import { combText } from "./core/assessment/comb";
import { reasonOf } from "./core/assessment/reason";
import { shownName } from "./core/identity/shown-name";
import { makeOffice, type Office, referenceSetSchema } from "./core/office/reference-set";
import { restsOn } from "./core/office/touch";
import { loadFiles } from "./db/load-file";

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

interface Stored {
  id: string;
  number: string;
  name: string;
  stage: string;
  turn: string;
  reason: string;
  comb: string;
  due_at: Date | null;
  valid_until: Date | null;
  mend_until: Date | null;
  assessed_at: Date;
  office_version: number;
  rests_on: string[] | null;
}

const BATCH = 200;

async function offices(pool: pg.Pool): Promise<ReadonlyMap<number, Office>> {
  const { rows } = await pool.query<{ version: number; body: unknown }>("select version, body from office_reference");
  return new Map(rows.map((r) => [r.version, makeOffice(r.version, referenceSetSchema.parse(r.body))]));
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
    const { rows } = await pool.query<Stored>(
      "select application_id as id, number, name, stage, turn, reason, comb, due_at, valid_until, mend_until, assessed_at, office_version, rests_on from file_standing where number > $1 and (valid_until is null or valid_until > assessed_at) order by number limit $2",
      [after, BATCH],
    );
    const last = rows.at(-1);
    if (!last) return { files, differing };
    after = last.number;
    const loaded = new Map(
      (
        await loadFiles(
          pool,
          rows.map((r) => r.id),
        )
      ).map((f) => [f.facts.application.id, f]),
    );
    for (const row of rows) {
      const office = byVersion.get(row.office_version);
      const file = loaded.get(row.id);
      if (!office || !file) throw new Error(`file ${row.number} has no office version ${row.office_version}`);
      const assessment = assess({ ...file, office, at: row.assessed_at.getTime() });
      const rests = restsOn(file.facts.answers, file.facts.confirmations, file.rulebooks);
      const pairs: readonly (readonly [string, string, string])[] = [
        ["name", row.name, shownName(file.facts)],
        ["stage", row.stage, assessment.file.stage],
        ["turn", row.turn, assessment.file.turn],
        ["reason", row.reason, reasonOf(assessment)],
        ["comb", row.comb, combText(assessment.file.comb)],
        ["due", row.due_at?.toISOString() ?? "", assessment.file.dueAt ?? ""],
        ["mend until", row.mend_until?.toISOString() ?? "", assessment.file.mendUntil ?? ""],
        ["rests on", (row.rests_on ?? rests).join(" "), rests.join(" ")],
        ["valid until", row.valid_until?.toISOString() ?? "", assessment.file.validUntil ?? ""],
      ];
      for (const [field, stored, computed] of pairs)
        if (stored !== computed) differing.push({ number: row.number, field, stored, computed });
    }
    files += rows.length;
    onBatch(files);
  }
}
