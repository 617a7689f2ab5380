import type pg from "pg";
import type {
  RegistryAnswer,
  RegistryQuestion,
  RegistryResult,
  RegistrySitting,
} from "../../core/education/registry-answer";

export interface RegistryRecord extends RegistryQuestion {
  readonly name: string;
  readonly results: readonly RegistryResult[];
}

/** The stand-in has no results of earlier years. */
const SINCE = "2012";

/** What the stand-in of the registry holds and how it behaves, read from its tables. */
export function registryStore(pool: pg.Pool) {
  return {
    find: async ({ board, year, candidate }: RegistryQuestion): Promise<RegistryAnswer> => {
      const { rows } = await pool.query<Pick<RegistryRecord, "name" | "results"> & { others: RegistrySitting[] }>(
        `select r.name, r.results, (select coalesce(json_agg(json_build_object('board', o.board, 'year', o.year) order by o.year, o.board), '[]')
           from registry_record o where lower(o.name) = lower(r.name) and (o.board, o.year, o.candidate) <> (r.board, r.year, r.candidate)) as others
         from registry_record r where r.board = $1 and r.year = $2 and lower(r.candidate) = lower($3)`,
        [board, year, candidate],
      );
      return rows[0] ? { found: true, since: SINCE, ...rows[0] } : { found: false, since: SINCE };
    },
    mode: async () => {
      const { rows } = await pool.query<{ down: boolean; delayMs: number }>(
        'select down, delay_ms as "delayMs" from registry_mode',
      );
      return rows[0] ?? { down: false, delayMs: 0 };
    },
  };
}

export async function registryRecords(pool: pg.Pool): Promise<readonly RegistryRecord[]> {
  const { rows } = await pool.query<RegistryRecord>(
    "select board, year, candidate, name, results from registry_record order by board, year, candidate limit 200",
  );
  return rows;
}
