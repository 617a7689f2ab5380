import { runAct } from "../src/acts/act/act";
import { makeStaff } from "../src/acts/people/accounts";
import { openPool } from "../src/db/connection";
import { migrateDatabase } from "../src/db/migrate";
import { openQueue, startQueue } from "../src/db/queue";
import { readSettings } from "../src/settings";

/** Makes an administrator and prints the link that sets the password; the same link is mailed. */
const [name = "", email = ""] = process.argv.slice(2);
const settings = readSettings(process.env);
await migrateDatabase(settings.databaseUrl);
const pool = openPool(settings.databaseUrl, 2);
const boss = openQueue(settings.databaseUrl);
await startQueue(boss);
const outcome = await runAct(
  { pool, boss, now: () => new Date() },
  makeStaff,
  { kind: "system" },
  { name, email, role: "administrator" },
);
if (outcome.ok) {
  const { rows } = await pool.query<{ link: string }>(
    "select values->>'link' as link from message where person_id = $1 order by queued_at desc limit 1",
    [outcome.value.personId],
  );
  process.stdout.write(
    `${name} is an administrator. Set the password within three days:\n  ${settings.url}${rows[0]?.link ?? ""}\n`,
  );
} else {
  process.stderr.write(
    outcome.reason === "already-done"
      ? `Somebody with the address ${email} exists already.\n`
      : `The name or the address is not right: ${name}, ${email}\n`,
  );
  process.exitCode = 1;
}
await boss.stop({ graceful: false });
await pool.end();
