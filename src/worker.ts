import pino from "pino";
import { type Runtime, runAct } from "./acts/act/act";
import { keepTrayMail } from "./acts/mail/messages";
import { keepTrayAnswer, noteTrayFetched } from "./acts/mail/tray-answers";
import { requireAdmitted } from "./db/admitted";
import { openPool } from "./db/connection";
import { describeDefect } from "./db/defects";
import { JOB_NAMES, openQueue } from "./db/queue";
import { Workshop } from "./formats/workshop/workshop";
import { type JobContext, runJob } from "./jobs/handlers";
import { smtpMail, trayMail } from "./outside/mail";
import { composeReturn, imapMailbox, trayMailbox } from "./outside/mailbox";
import { simulatedRegistry } from "./outside/registry";
import { readSettings } from "./settings";
import { trayAnswers } from "./views/mail/tray-answers";
import { registryStore } from "./views/results/registry-store";

/** The worker process: takes jobs from the queue and runs them. Any number of them can work on one database. */
const POLL_SECONDS = 0.5;
const EVERY_MINUTE = "* * * * *";
const EVERY_HOUR = "7 * * * *";
const SYSTEM = { kind: "system" } as const;

const settings = readSettings(process.env);
const log = pino({ level: settings.log, base: { process: "worker" } });
const boss = openQueue(settings.databaseUrl, { supervise: true, schedule: true, max: 4 });
boss.on("error", (error) => log.error({ code: error.name }, "the queue lost its connection"));
const runtime: Runtime = { pool: openPool(settings.databaseUrl, 6), boss, now: () => new Date() };
const keep = async (mail: { messageId: string; to: string; subject: string; body: string }) => {
  await runAct(runtime, keepTrayMail, SYSTEM, {
    messageId: mail.messageId,
    toAddress: mail.to,
    subject: mail.subject,
    body: mail.body,
  });
};
const report = async (mail: { messageId: string; to: string }) => {
  await runAct(runtime, keepTrayAnswer, SYSTEM, { raw: await composeReturn(mail) });
};
const context: JobContext = {
  runtime,
  registry: simulatedRegistry(registryStore(runtime.pool)),
  baseUrl: settings.url,
  workshop: new Workshop(settings.workshop, 1),
  mailbox:
    settings.mail === "tray"
      ? trayMailbox({
          waiting: () => trayAnswers(runtime.pool),
          fetched: async (id) => void (await runAct(runtime, noteTrayFetched, SYSTEM, { id })),
        })
      : settings.mailbox === null
        ? null
        : imapMailbox(settings.mailbox),
  mail: settings.mail === "tray" ? trayMail(keep, report) : smtpMail(settings.mail, settings.mailFrom),
};

await requireAdmitted(runtime.pool);
await boss.start();
for (const name of JOB_NAMES)
  await boss.work(name, { pollingIntervalSeconds: POLL_SECONDS }, async (jobs) => {
    for (const job of jobs) {
      const began = Date.now();
      try {
        await runJob(context, name, job.data);
        log.info({ job: name, id: job.id, ms: Date.now() - began }, "job done");
      } catch (error) {
        log.error({ job: name, id: job.id, error: describeDefect(error) }, "job failed");
        throw error;
      }
    }
  });
await boss.schedule("sweep-messages", EVERY_MINUTE);
await boss.schedule("fetch-mail", EVERY_MINUTE);
await boss.schedule("reassess-aged", EVERY_MINUTE);
await boss.schedule("announce-openings", EVERY_MINUTE);
await boss.schedule("remind-drafts", EVERY_HOUR);
await boss.schedule("remind-asked", EVERY_HOUR);
await boss.schedule("remind-referees", EVERY_HOUR);
await boss.schedule("remind-openings", EVERY_HOUR);
await boss.schedule("erase-drafts", EVERY_HOUR);
await boss.schedule("erase-copies", EVERY_HOUR);
await boss.schedule("clear-away", EVERY_HOUR);
await boss.schedule("ask-registries-again", EVERY_HOUR);
log.info("the worker is ready");

async function stop(): Promise<void> {
  await boss.stop({ graceful: true, timeout: 5000 });
  await runtime.pool.end();
  process.exit(0);
}
process.on("SIGTERM", () => void stop());
process.on("SIGINT", () => void stop());
