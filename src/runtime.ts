import type PgBoss from "pg-boss";
import pino from "pino";
import type { Runtime } from "./acts/act/act";
import { type Auth, makeAuth } from "./auth/better-auth";
import { requireAdmitted } from "./db/admitted";
import { database, openPool } from "./db/connection";
import { openQueue } from "./db/queue";
import { Workshop } from "./formats/workshop/workshop";
import { type CardService, simulatedCard } from "./outside/card";
import { readSettings, type Settings } from "./settings";

/** The parts of a web process, put together once and kept for its life. */
export interface WebRuntime extends Runtime {
  readonly settings: Settings;
  readonly auth: Auth;
  /** Null where nobody can pay by card. */
  readonly card: CardService | null;
  readonly workshop: Workshop;
  readonly log: pino.Logger;
}

const holder = globalThis as typeof globalThis & { unvexRuntime: Promise<WebRuntime> | undefined };

async function start(): Promise<WebRuntime> {
  const settings = readSettings(process.env);
  const pool = openPool(settings.databaseUrl, 12);
  const boss: PgBoss = openQueue(settings.databaseUrl);
  await requireAdmitted(pool);
  await boss.start();
  return {
    settings,
    pool,
    boss,
    now: () => new Date(),
    auth: makeAuth(database(pool), settings),
    card: settings.card === "stand-in" ? simulatedCard(settings.secret) : null,
    workshop: new Workshop(settings.workshop).warm(),
    log: pino({ level: settings.log, base: { process: "web" } }),
  };
}

/** The runtime of this process. A start that failed is tried again by the next request. */
export function webRuntime(): Promise<WebRuntime> {
  holder.unvexRuntime ??= start().catch((error: unknown) => {
    holder.unvexRuntime = undefined;
    throw error;
  });
  return holder.unvexRuntime;
}
