import type { z } from "zod";
import { assess } from "../../core/assessment/assess";
import type { Json } from "../../core/file/facts";
import type { FileEvent } from "../../core/file/file-events";
import type { LoadedFile } from "../../core/file/loaded-file";
import type { Assessment } from "../../core/file/result";
import { type Actor, holds, OFFICE } from "../../core/rights/actor";
import type { Settled } from "../../core/settlement/settle";
import type { Office } from "../../core/standards/reference-set";
import { loadFile } from "../../db/queries/load-file";
import { type Act, type ActContext, defineAct, done, type Outcome, refuse } from "./act";
import { settleFile } from "./settle";

/** A locked file, loaded at the moment of the act, and assessed where the act asks for it. */
export interface OpenFile extends LoadedFile {
  readonly id: string;
  readonly ownerId: string;
  readonly programmes: readonly string[];
  readonly office: Office;
  readonly assessment: Assessment;
  /** The file as the act has left it, where the act knows: else it is loaded anew before what follows is settled. */
  after?: LoadedFile;
}

export type FileRight = "applicant" | "office" | "lead officer" | "adviser" | "finance" | "system";

/** Who may act on a file: its owner, the office over one of the programmes, or the system itself. */
function mayOnFile(right: FileRight, actor: Actor, { ownerId }: OpenFile, programmes: readonly string[]): boolean {
  switch (right) {
    case "applicant":
      return actor.kind === "person" && actor.id === ownerId;
    case "office":
      return holds(actor, OFFICE, programmes);
    case "finance":
      return holds(actor, ["finance"]);
    case "adviser":
      return holds(actor, ["adviser"], programmes);
    case "lead officer":
      return holds(actor, ["lead officer"], programmes);
    case "system":
      return actor.kind === "system";
  }
}

/** What an input names as choices: by `choiceId`, or as the scope of a place, alone or in a list. */
function choicesNamed(input: unknown): readonly string[] {
  if (Array.isArray(input)) return input.flatMap(choicesNamed);
  if (typeof input !== "object" || input === null || Buffer.isBuffer(input)) return [];
  return Object.entries(input).flatMap(([name, value]) =>
    (name === "choiceId" || name === "scope") && typeof value === "string" ? [value] : choicesNamed(value),
  );
}

/**
 * Whether an act may be done, choice by choice: what touches one choice alone needs the right over that one, and not over another of the
 * same file. What touches the file needs it over any.
 */
function mayOnAll(right: FileRight, actor: Actor, file: OpenFile, input: unknown): boolean {
  const named = new Set(choicesNamed(input));
  const touched = file.facts.choices.filter((c) => named.has(c.id));
  return touched.length === 0
    ? mayOnFile(right, actor, file, file.programmes)
    : touched.every((c) => mayOnFile(right, actor, file, [c.programme]));
}

/**
 * Locks a file and loads it. Every act takes this lock before it reads facts, so that two writers never store a stale turn.
 * @returns null when there is no such file
 */
export async function openFile(ctx: ActContext, id: string): Promise<OpenFile | null> {
  const { rows } = await ctx.client.query<{ person_id: string; office: string | null }>({
    name: "lock-file",
    text: "select person_id, (select edition from office_reference order by version desc limit 1) as office from application where id = $1 for update",
    values: [id],
  });
  const [row] = rows;
  const loaded = row ? await loadFile(ctx.client, id) : null;
  if (!row || !loaded) return null;
  const office = await ctx.office(row.office ?? undefined);
  let assessment: Assessment | null = null;
  return {
    ...loaded,
    id,
    ownerId: row.person_id,
    programmes: [...new Set(loaded.facts.choices.map((c) => c.programme))],
    office,
    get assessment() {
      assessment ??= assess({ ...loaded, office, at: ctx.now.getTime() });
      return assessment;
    },
  };
}

export interface FileActDefinition<Schema extends z.ZodType<{ applicationId: string }>, Value> {
  /** The event that it leaves has the same name. */
  readonly name: FileEvent;
  readonly input: Schema;
  readonly right: FileRight;
  readonly takesAnyText?: true;
  /** What the event tells about the act: ids, keys and versions, never values. */
  readonly about?: (input: z.output<Schema>) => Readonly<Record<string, Json>>;
  readonly run: (ctx: ActContext, file: OpenFile, input: z.output<Schema>) => Promise<Outcome<Value>>;
  /** What the act answers beyond what `run` knows: from the file once everything that follows is settled. */
  readonly answer?: (settled: Settled, value: Value, input: z.output<Schema>, office: Office) => Value;
}

/** An act on one file: locks it, checks the right, writes, leaves its event and rewrites the assessment, all in one transaction. */
export function defineFileAct<Schema extends z.ZodType<{ applicationId: string }>, Value>(
  definition: FileActDefinition<Schema, Value>,
): Act<Schema, Value> {
  const files = new WeakMap<ActContext, OpenFile>();
  return defineAct<Schema, Value>({
    name: definition.name,
    input: definition.input,
    ...(definition.takesAnyText ? { takesAnyText: true } : {}),
    may: async (ctx, input) => {
      const file = await openFile(ctx, input.applicationId);
      if (!file || !mayOnAll(definition.right, ctx.actor, file, input)) return false;
      files.set(ctx, file);
      return true;
    },
    run: async (ctx, input) => {
      const file = files.get(ctx);
      if (!file) return refuse("not-found");
      const outcome = await definition.run(ctx, file, input);
      if (!outcome.ok) return outcome;
      await ctx.emit(definition.name, file.id, definition.about?.(input) ?? {});
      const settled = await settleFile(ctx, file.id, file.after);
      return definition.answer ? done(definition.answer(settled, outcome.value, input, file.office)) : outcome;
    },
  });
}
