import { drizzle, type NodePgDatabase } from "drizzle-orm/node-postgres";
import pg from "pg";
import { withoutValues } from "./defects";

/**
 * The connection to PostgreSQL. A transaction runs on one client of the pool, so that a job can be enqueued on the same
 * client and commits or goes away with the rest.
 */
export type Database = NodePgDatabase;

export interface Transaction {
  readonly db: Database;
  readonly client: pg.PoolClient;
}

/**
 * No statement here runs long enough to be worth compiling to machine code, which the long ones would else be each time. And a word is
 * close to what was typed if nearly half of its threes of letters are the same: one wrong letter of five.
 */
const SESSION = "-c jit=off -c pg_trgm.word_similarity_threshold=0.45";

export function openPool(url: string, max = 10): pg.Pool {
  const pool = new pg.Pool({ connectionString: url, max, application_name: "unvex", options: SESSION });
  // An idle client whose server went away must not end the process; the next query gets a fresh one.
  pool.on("error", () => undefined);
  // Nor one in the middle of a transaction: what waits for its answer is told by the call itself.
  pool.on("connect", (client) => client.on("error", () => undefined));
  return pool;
}

export function database(pool: pg.Pool | pg.PoolClient): Database {
  return drizzle(pool);
}

/** Runs `work` in one transaction; an exception rolls everything back and is passed on. */
export async function inTransaction<T>(pool: pg.Pool, work: (tx: Transaction) => Promise<T>): Promise<T> {
  const client = await pool.connect();
  let broken = false;
  try {
    await client.query("begin");
    const result = await work({ db: drizzle(client), client });
    await client.query("commit");
    return result;
  } catch (error) {
    await client.query("rollback").catch(() => {
      broken = true;
    });
    throw withoutValues(error);
  } finally {
    client.release(broken);
  }
}
