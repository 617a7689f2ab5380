import type pg from "pg";
import type { z } from "zod";
import type { Reading } from "../../core/record/access";
import type { Actor } from "../../core/rights/actor";
import { readableQuestion } from "../../core/text/readable";

/**
 * Views are the only way to read: one screen's data each. Whose data it is, is a condition inside the query, made from the
 * actor, which every view gets; somebody who may not see a thing gets null, exactly as if it did not exist.
 */
export interface ViewContext {
  readonly pool: pg.Pool;
  readonly now: Date;
  readonly actor: Actor;
}

export interface View<Schema extends z.ZodType, Data> {
  readonly name: string;
  readonly input: Schema;
  readonly read: (ctx: ViewContext, input: z.output<Schema>) => Promise<Data | null>;
  /** What of other people's data was read, for the access record; left out where nothing is that belongs to one file. */
  readonly readings?: (data: Data, input: z.output<Schema>) => readonly Reading[];
}

export function defineView<Schema extends z.ZodType, Data>(view: View<Schema, Data>): View<Schema, Data> {
  return view;
}

/** The lines that reading a view leaves in the access record: none for people who read what is their own. */
export function readingsOf<Schema extends z.ZodType, Data>(
  view: View<Schema, Data>,
  actor: Actor,
  input: z.input<Schema>,
  data: Data | null,
): readonly Reading[] {
  if (data === null || view.readings === undefined || actor.kind !== "person" || actor.grants.length === 0) return [];
  return view.readings(data, view.input.parse(readableQuestion(input)));
}

export async function readView<Schema extends z.ZodType, Data>(
  source: { readonly pool: pg.Pool; readonly now: () => Date },
  view: View<Schema, Data>,
  actor: Actor,
  input: z.input<Schema>,
): Promise<Data | null> {
  const parsed = view.input.safeParse(readableQuestion(input));
  return parsed.success ? view.read({ pool: source.pool, now: source.now(), actor }, parsed.data) : null;
}
