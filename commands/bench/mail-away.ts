import type pg from "pg";
import { type Runtime, runAct } from "../../src/acts/act/act";
import { sendLink } from "../../src/acts/people/accounts";
import { IN_PLACE } from "../../src/formats/workshop/in-place";
import { runJob } from "../../src/jobs/handlers";
import type { MailService } from "../../src/outside/mail";

const SYSTEM = { kind: "system" } as const;
const MINUTE = 60_000;
const AWAY_MINUTES = 60;
/** The longest pause between two tries, and some. */
const AFTERWARDS = 90;
const MAILS = 30;

/** The mail server is away for an hour of moved time: every mail arrives once afterwards, and none is given up. */
export async function benchMailAway({
  pool,
  runtime,
}: {
  readonly pool: pg.Pool;
  readonly runtime: Runtime;
}): Promise<void> {
  let now = Date.now();
  const moved: Runtime = { ...runtime, now: () => new Date(now) };
  const { rows: people } = await pool.query<{ email: string }>(
    "select email from person where confirmed_at is not null order by id limit $1",
    [MAILS],
  );
  for (const { email } of people) await runAct(moved, sendLink, SYSTEM, { email, purpose: "set password" });
  const { rows: mails } = await pool.query<{ id: string }>(
    "select id from message where template = 'set-password' and state = 'queued'",
  );
  const delivered = new Map<string, number>();
  let [away, knocks] = [true, 0];
  const mail: MailService = {
    send: async ({ messageId }) => {
      if (away) {
        knocks += 1;
        return { result: "failed", failure: "ECONNREFUSED" };
      }
      delivered.set(messageId, (delivered.get(messageId) ?? 0) + 1);
      return { result: "sent" };
    },
  };
  const registry = { lookUp: async () => ({ found: false }) as const };
  for (let minute = 0; minute < AWAY_MINUTES + AFTERWARDS; minute += 1) {
    now += MINUTE;
    away = minute < AWAY_MINUTES;
    await runJob(
      { runtime: moved, mail, registry, baseUrl: "https://apply.example", workshop: IN_PLACE },
      "sweep-messages",
      {},
    );
  }
  const once = mails.filter(({ id }) => delivered.get(id) === 1).length;
  const holds = once === mails.length && mails.length === people.length;
  process.stdout.write(
    `${holds ? "  " : "! "}${"mails after an hour without a mail server".padEnd(46)} ${once} of ${mails.length} arrived once, ${knocks} tries meanwhile\n`,
  );
}
