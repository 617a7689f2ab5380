import type pg from "pg";
import PgBoss from "pg-boss";
import { z } from "zod";

/**
 * The job queue in PostgreSQL. Names and payloads stand here, so that acts can enqueue without knowing the handlers.
 * A job only wakes somebody: the truth (a message row, a file) is always in the tables, so a job that runs twice does no harm.
 */
export const JOBS = {
  "send-message": z.object({ messageId: z.uuid() }),
  "sweep-messages": z.object({}),
  "fetch-mail": z.object({}),
  "reassess-aged": z.object({}),
  "remind-drafts": z.object({}),
  "remind-asked": z.object({}),
  "remind-referees": z.object({}),
  "announce-openings": z.object({}),
  "remind-openings": z.object({}),
  "erase-drafts": z.object({}),
  "ask-registries-again": z.object({}),
  "assign-file": z.object({ applicationId: z.uuid() }),
  "ask-registry": z.object({ queryId: z.uuid() }),
  "make-copies": z.object({ orderId: z.uuid() }),
  /** One copy that somebody waits for: it does not stand behind orders of many. */
  "make-copy": z.object({ orderId: z.uuid() }),
  "erase-copies": z.object({}),
  "clear-away": z.object({}),
  "match-results": z.union([z.object({ listId: z.uuid() }), z.object({ applicationId: z.uuid() })]),
  "compare-statements": z.object({ applicationId: z.uuid() }),
  preview: z.object({ previewId: z.uuid() }),
} as const;
export type JobName = keyof typeof JOBS;
export type JobPayload<Name extends JobName> = z.infer<(typeof JOBS)[Name]>;
export const JOB_NAMES = Object.keys(JOBS) as readonly JobName[];

const RETRY = { retryLimit: 8, retryDelay: 15, retryBackoff: true } as const;

/** The queue as a process that only enqueues needs it. */
export function openQueue(url: string, options: Partial<PgBoss.ConstructorOptions> = {}): PgBoss {
  const boss = new PgBoss({
    connectionString: url,
    supervise: false,
    schedule: false,
    migrate: false,
    max: 2,
    ...options,
  });
  boss.on("error", () => undefined); // a lost connection is met by the next call, which reports it
  return boss;
}

/** Makes the queue's tables, or brings them up to date, as their owner; sending to a job's queue that does not exist is silently lost. */
export async function installQueue(ownerUrl: string): Promise<void> {
  // With its schedules: what they are sent by is a queue of its own, which only the owner may make.
  const boss = openQueue(ownerUrl, { migrate: true, schedule: true });
  await boss.start();
  for (const name of JOB_NAMES) await boss.createQueue(name, { name, policy: "standard", ...RETRY });
  await boss.stop({ graceful: false });
}

/** Enqueues inside the caller's transaction: the job exists if, and only if, the transaction commits. */
export async function enqueue<Name extends JobName>(
  boss: PgBoss,
  client: pg.PoolClient,
  name: Name,
  payload: JobPayload<Name>,
  startAfter?: Date,
): Promise<void> {
  const id = await boss.send(name, payload, {
    ...RETRY,
    ...(startAfter ? { startAfter } : {}),
    db: { executeSql: async (text: string, values: unknown[]) => client.query(text, values) },
  });
  if (id === null) throw new Error(`the queue ${name} does not exist`);
}
