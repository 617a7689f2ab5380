import type pg from "pg";
import type PgBoss from "pg-boss";
import type { z } from "zod";
import type { Json } from "../../core/file/facts";
import type { FileEvent } from "../../core/file/file-events";
import { done, type Outcome, refuse } from "../../core/record/outcome";
import { type Actor, actorKey } from "../../core/rights/actor";
import type { Office } from "../../core/standards/reference-set";
import { isTooDeep, isUnreadable } from "../../core/text/readable";
import { type Database, inTransaction } from "../../db/connection";
import { currentOffice } from "../../db/queries/office";

/**
 * Acts are the only way to write. An act names its input, who may do it, and what it writes; everything happens in one
 * transaction, together with the event it leaves and the jobs it enqueues. Expected failures are values with a code.
 */
export interface Runtime {
  readonly pool: pg.Pool;
  readonly boss: PgBoss;
  /** Business time: injected, so that a test or the demo can move it. */
  readonly now: () => Date;
}

export interface ActContext {
  readonly db: Database;
  readonly client: pg.PoolClient;
  readonly boss: PgBoss;
  readonly actor: Actor;
  readonly now: Date;
  /** The office's reference set, read once an act; `newest` is its edition where that was read already. */
  readonly office: (newest?: string) => Promise<Office>;
  /** Leaves an event. What happened to a file has a word in its history. */
  readonly emit: {
    (act: FileEvent, applicationId: string, about: Readonly<Record<string, Json>>): Promise<void>;
    (act: string, applicationId: null, about: Readonly<Record<string, Json>>): Promise<void>;
  };
}

export { done, type Outcome, refuse };

export interface Act<Schema extends z.ZodType, Value> {
  readonly name: string;
  readonly input: Schema;
  /** It says itself of each text whether it can be kept, and keeps the others. */
  readonly takesAnyText?: true;
  readonly may: (ctx: ActContext, input: z.output<Schema>) => boolean | Promise<boolean>;
  readonly run: (ctx: ActContext, input: z.output<Schema>) => Promise<Outcome<Value>>;
}

export function defineAct<Schema extends z.ZodType, Value>(act: Act<Schema, Value>): Act<Schema, Value> {
  return act;
}

/** Carries a refusal out of the transaction, so that nothing of a refused act stays. */
class Refusal extends Error {
  constructor(readonly outcome: Outcome<never>) {
    super("refused");
  }
}

/** Thrown so that nothing of what was tried stays. */
class Tried extends Error {
  constructor(readonly value: unknown) {
    super("tried");
  }
}

/** Runs an act: checks the input and the right, then writes in one transaction. `now` is the moment of receipt. */
export const runAct = <Schema extends z.ZodType, Value>(
  runtime: Runtime,
  act: Act<Schema, Value>,
  actor: Actor,
  rawInput: z.input<Schema>,
): Promise<Outcome<Value>> => inOne(runtime, act, actor, rawInput, "keep");

/** What an act would come to just now; nothing of it stays. */
export const tryAct = <Schema extends z.ZodType, Value>(
  runtime: Runtime,
  act: Act<Schema, Value>,
  actor: Actor,
  rawInput: z.input<Schema>,
): Promise<Outcome<Value>> => inOne(runtime, act, actor, rawInput, "undo");

async function inOne<Schema extends z.ZodType, Value>(
  runtime: Runtime,
  act: Act<Schema, Value>,
  actor: Actor,
  rawInput: z.input<Schema>,
  then: "keep" | "undo",
): Promise<Outcome<Value>> {
  const now = runtime.now();
  if (isTooDeep(rawInput)) return refuse("invalid-input", { fields: [] });
  const parsed = act.input.safeParse(rawInput);
  if (!parsed.success)
    return refuse("invalid-input", { fields: parsed.error.issues.map((issue) => issue.path.join(".")) });
  if (!act.takesAnyText && isUnreadable(parsed.data)) return refuse("invalid-input", { fields: [] });
  try {
    return await inTransaction(runtime.pool, async ({ db, client }) => {
      let office: Promise<Office> | null = null;
      const ctx: ActContext = {
        db,
        client,
        boss: runtime.boss,
        actor,
        now,
        office: (newest) => {
          office ??= currentOffice(db, newest);
          return office;
        },
        emit: async (name: string, applicationId: string | null, about: Readonly<Record<string, Json>>) => {
          await client.query({
            name: "leave-event",
            text: "insert into event (at, act, actor, application_id, about) values ($1, $2, $3, $4, $5)",
            values: [now, name, actorKey(actor), applicationId, JSON.stringify(about)],
          });
        },
      };
      if (!(await act.may(ctx, parsed.data))) throw new Refusal(refuse("not-yours"));
      const outcome = await act.run(ctx, parsed.data);
      if (!outcome.ok) throw new Refusal(outcome);
      if (then === "undo") throw new Tried(outcome.value);
      return outcome;
    });
  } catch (error) {
    if (error instanceof Refusal) return error.outcome;
    if (error instanceof Tried) return done(error.value as Value); // what the same act came to
    throw error;
  }
}
