import { runAct } from "../src/acts/act/act";
import { makeStaff } from "../src/acts/people/accounts";
import { letBackIn } from "../src/acts/people/second-factor";
import { openPool } from "../src/db/connection";
import { prepareDatabase } from "../src/db/prepare";
import { openQueue } from "../src/db/queue";
import { readSettings } from "../src/settings";

/** Makes an administrator, or lets one back in, and prints the link that sets the password; the same link is mailed. */
const [name = "", email = ""] = process.argv.slice(2);
const settings = readSettings(process.env);
if (process.env.UNVEX_OWNER_URL) await prepareDatabase(process.env.UNVEX_OWNER_URL, settings.databaseUrl);
const pool = openPool(settings.databaseUrl, 2);
const boss = openQueue(settings.databaseUrl);
await boss.start();
const runtime = { pool, boss, now: () => new Date() };
const SYSTEM = { kind: "system" } as const;

/** The link in the newest mail to somebody. */
async function linkOf(personId: string): Promise<string> {
  const { rows } = await pool.query<{ link: string }>(
    "select values->>'link' as link from message where person_id = $1 order by queued_at desc limit 1",
    [personId],
  );
  return `${settings.url}${rows[0]?.link ?? ""}`;
}

/** Lets an administrator back in whose password or second factor is lost; nobody else is there to do it. */
async function letIn(): Promise<string | null> {
  const { rows } = await pool.query<{ id: string }>(
    "select p.id from person p join role_grant g on g.person_id = p.id where p.email = $1 and g.role = 'administrator'",
    [email],
  );
  const personId = rows[0]?.id;
  if (!personId) return null;
  const outcome = await runAct(runtime, letBackIn, SYSTEM, { personId });
  return outcome.ok ? linkOf(personId) : null;
}

const outcome = await runAct(runtime, makeStaff, SYSTEM, { name, email, role: "administrator" });
if (outcome.ok) {
  process.stdout.write(
    `${name} is an administrator. Set the password within three days:\n  ${await linkOf(outcome.value.personId)}\n`,
  );
} else {
  const link = outcome.reason === "already-done" ? await letIn() : null;
  if (link)
    process.stdout.write(
      `${email} is an administrator already. Password, second factor and sessions have ended; set a new password within three days:\n  ${link}\n`,
    );
  else {
    process.stderr.write(
      outcome.reason === "already-done"
        ? `Somebody with the address ${email} exists already, and is no administrator with a password.\n`
        : `The name or the address is not right: ${name}, ${email}\n`,
    );
    process.exitCode = 1;
  }
}
await boss.stop({ graceful: false });
await pool.end();
