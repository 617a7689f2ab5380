import path from "node:path";
import { drizzle } from "drizzle-orm/node-postgres";
import { migrate } from "drizzle-orm/node-postgres/migrator";
import pg from "pg";
import { installQueue } from "./queue";

const LOCK = 7_291_846;

/** What the application may not do, though it may read and write everything else: what was recorded stays as it was. */
const KEPT = [
  "revoke update, delete on event, office_reference",
  "revoke update on access_record",
  // The queue's own version is the owner's; when its schedules and its upkeep ran last, the queue writes there itself.
  "revoke insert, update, delete on pgboss.version",
];
const QUEUE_TIMES = "grant update (maintained_on, cron_on, monitored_on) on pgboss.version";

const userOf = (url: string): string => decodeURIComponent(new URL(url).username);
const quoted = (name: string): string => `"${name.replaceAll('"', '""')}"`;
const literal = (text: string): string => `'${text.replaceAll("'", "''")}'`;

/** Makes the application's user where it is not there yet, and lets it work on every table: it owns none and changes no schema. */
async function admitApplication(client: pg.Client, appUrl: string): Promise<void> {
  const name = userOf(appUrl);
  const { rowCount } = await client.query("select 1 from pg_roles where rolname = $1", [name]);
  if (rowCount === 0) {
    const password = decodeURIComponent(new URL(appUrl).password);
    await client.query(`create role ${quoted(name)} login password ${literal(password)}`).catch((error: unknown) => {
      // Another database of this server was prepared at the same moment.
      if (!(error instanceof pg.DatabaseError) || !["23505", "42710"].includes(error.code ?? "")) throw error;
    });
  }
  const app = quoted(name);
  for (const schema of ["public", "pgboss"]) {
    await client.query(`grant usage on schema ${schema} to ${app}`);
    await client.query(`grant select, insert, update, delete on all tables in schema ${schema} to ${app}`);
    await client.query(`grant usage on all sequences in schema ${schema} to ${app}`);
  }
  for (const kept of KEPT) await client.query(`${kept} from ${app}`);
  await client.query(`${QUEUE_TIMES} to ${app}`);
}

/**
 * Brings tables and queues up to date as their owner, and admits the user as whom the application works. Processes that start together
 * wait for each other on an advisory lock.
 * @throws Error with a sentence where both are the same user: it could switch the guards of its tables off
 */
export async function prepareDatabase(ownerUrl: string, appUrl: string): Promise<void> {
  if (userOf(ownerUrl) === userOf(appUrl))
    throw new Error(
      "UNVEX_OWNER_URL must be the address of the database as its owner, and DATABASE_URL as another user that owns nothing, whom Unvex makes itself.",
    );
  const client = new pg.Client({ connectionString: ownerUrl });
  await client.connect();
  try {
    await client.query("select pg_advisory_lock($1)", [LOCK]);
    await migrate(drizzle(client), { migrationsFolder: path.join(process.cwd(), "src/db/migrations") });
    await installQueue(ownerUrl);
    await admitApplication(client, appUrl);
  } finally {
    await client.end();
  }
}
