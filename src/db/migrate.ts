import path from "node:path";
import { drizzle } from "drizzle-orm/node-postgres";
import { migrate } from "drizzle-orm/node-postgres/migrator";
import pg from "pg";

const LOCK = 7_291_846;

/** Brings the schema up to date. Processes that start together wait for each other on an advisory lock. */
export async function migrateDatabase(url: string): Promise<void> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    await client.query("select pg_advisory_lock($1)", [LOCK]);
    await migrate(drizzle(client), { migrationsFolder: path.join(process.cwd(), "src/db/migrations") });
  } finally {
    await client.end();
  }
}
