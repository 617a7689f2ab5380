import { and, eq, inArray, isNotNull, or } from "drizzle-orm";
import { z } from "zod";
import { AnswerIndex } from "../../core/answers/answer-index";
import { isSameCandidate, type RegistryQuestion } from "../../core/education/registry-answer";
import { personOf } from "../../core/people/person-of";
import { askRegistryInput, takeRegistryResultsInput } from "../../core/results/inputs";
import { enqueue } from "../../db/queue";
import { registryMode, registryQuery, registryRecord } from "../../db/schema";
import { type ActContext, defineAct, done, refuse } from "../act/act";
import { defineFileAct, type OpenFile, openFile } from "../act/file-act";
import { settleFile } from "../act/settle";
import { answerAgain } from "./registry-again";
import { confirmResults, registryLines } from "./registry-values";

const resultSchema = z.object({ subject: z.string().max(60), mark: z.string().max(20) });
const OPEN: (typeof registryQuery.$inferSelect.state)[] = ["asked", "down"];

/** A sitting by what a registry is asked by, as the office knows it; null while a part is missing. */
function questionOf(
  index: AnswerIndex,
  { scope, section, entry }: { readonly scope: string; readonly section: string; readonly entry: string },
): RegistryQuestion | null {
  const known = (field: string): string => {
    const value = index.confirmed(scope, section, entry, field)?.value ?? index.claim(scope, section, entry, field);
    return typeof value === "string" ? value.trim() : "";
  };
  const question = { board: known("board"), year: known("year"), candidate: known("candidate") };
  return Object.values(question).some((part) => part === "") ? null : question;
}

/** On submission the registry is asked by itself for what nobody types, once a sitting. */
export async function askRegistries(ctx: ActContext, file: OpenFile, choices: readonly string[]): Promise<void> {
  const index = new AnswerIndex(file.facts);
  const asked = await ctx.db
    .select({ entry: registryQuery.entry })
    .from(registryQuery)
    .where(eq(registryQuery.applicationId, file.id));
  const known = new Set(asked.map((q) => q.entry));
  for (const { scope, section, entry } of registryLines(file, choices, ctx.now)) {
    const question = questionOf(index, { scope, section, entry });
    if (!question || known.has(entry)) continue;
    known.add(entry);
    await ask(ctx, { applicationId: file.id, scope, section, entry, ...question, byId: null });
  }
}

async function ask(
  ctx: ActContext,
  query: Omit<typeof registryQuery.$inferInsert, "state" | "askedAt">,
): Promise<string> {
  const [made] = await ctx.db
    .insert(registryQuery)
    .values({ ...query, state: "asked", askedAt: ctx.now })
    .returning({ id: registryQuery.id });
  if (!made) throw new Error("the question was not written");
  await enqueue(ctx.boss, ctx.client, "ask-registry", { queryId: made.id });
  return made.id;
}

/** Asks the registry of examinations for the results of one sitting; a job asks, and another act reports. */
export const askRegistry = defineFileAct({
  name: "ask-registry",
  input: askRegistryInput,
  right: "office",
  about: ({ section, entry }) => ({ section, entry }),
  run: async (ctx, file, { scope, section, entry }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    if (file.facts.choices.every((c) => c.submittedAt === null)) return refuse("locked");
    const question = questionOf(new AnswerIndex(file.facts), { scope, section, entry });
    if (!question) return refuse("invalid-input", { fields: ["candidate"] });
    const at = and(eq(registryQuery.applicationId, file.id), eq(registryQuery.entry, entry));
    const waiting = await ctx.db
      .select()
      .from(registryQuery)
      .where(and(at, inArray(registryQuery.state, OPEN)));
    if (waiting.some((q) => q.state === "asked")) return refuse("already-done");
    const [down] = waiting;
    if (down) {
      // The queue gives up after a while: a person may wake it.
      await enqueue(ctx.boss, ctx.client, "ask-registry", { queryId: down.id });
      return done({ queryId: down.id });
    }
    const queryId = await ask(ctx, { applicationId: file.id, scope, section, entry, ...question, byId: ctx.actor.id });
    return done({ queryId });
  },
});

/** The question as the job asks it; null once it was answered. */
export const claimRegistryQuery = defineAct({
  name: "claim-registry-query",
  input: z.object({ queryId: z.uuid() }),
  may: (ctx) => ctx.actor.kind === "system",
  run: async (ctx, { queryId }) => {
    const [query] = await ctx.db
      .select()
      .from(registryQuery)
      .where(
        and(eq(registryQuery.id, queryId), or(inArray(registryQuery.state, OPEN), isNotNull(registryQuery.againAt))),
      );
    return done(query ? { board: query.board, year: query.year, candidate: query.candidate } : null);
  },
});

/** Reports what the registry answered: results under the applicant's name are confirmed, those under another wait for a person. */
export const reportRegistry = defineAct({
  name: "report-registry",
  input: z.object({
    queryId: z.uuid(),
    answer: z.discriminatedUnion("kind", [
      z.object({ kind: z.literal("down") }),
      z.object({ kind: z.literal("not found"), since: z.string().max(4).nullable().default(null) }),
      z.object({
        kind: z.literal("found"),
        name: z.string().max(200),
        results: z.array(resultSchema).max(60),
        since: z.string().max(4).nullable().default(null),
        others: z
          .array(z.object({ board: z.string().max(60), year: z.string().max(4) }))
          .max(60)
          .default([]),
      }),
    ]),
  }),
  may: (ctx) => ctx.actor.kind === "system",
  run: async (ctx, { queryId, answer }) => {
    const [query] = await ctx.db.select().from(registryQuery).where(eq(registryQuery.id, queryId));
    const file = query ? await openFile(ctx, query.applicationId) : null;
    if (!query || !file || !(OPEN.includes(query.state) || query.againAt)) return refuse("already-done");
    const { name, formerNames = [] } = personOf(file.facts, null);
    const same = answer.kind === "found" && [name, ...formerNames].some((own) => isSameCandidate(own, answer.name));
    if (!OPEN.includes(query.state)) return done({ state: await answerAgain(ctx, file, query, answer, same) });
    const state = answer.kind !== "found" ? answer.kind : same ? "found" : "other name";
    await ctx.db
      .update(registryQuery)
      .set({
        state,
        answeredAt: answer.kind === "down" ? null : ctx.now,
        ...(answer.kind === "down" ? {} : { since: answer.since }),
        ...(answer.kind === "found" ? { name: answer.name, results: answer.results, others: answer.others } : {}),
      })
      .where(eq(registryQuery.id, queryId));
    if (state === query.state) return done({ state });
    if (answer.kind === "found" && same) await confirmResults(ctx, file, query, answer.results, query.byId);
    await ctx.emit("report-registry", file.id, { entry: query.entry, result: state });
    await settleFile(ctx, file.id);
    return done({ state });
  },
});

/** An officer takes over what waits for a person: results under another name, or marks that the registry has changed since. */
export const takeRegistryResults = defineFileAct({
  name: "take-registry-results",
  input: takeRegistryResultsInput,
  right: "office",
  about: ({ queryId }) => ({ query: queryId }),
  run: async (ctx, file, { queryId }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const [query] = await ctx.db
      .select()
      .from(registryQuery)
      .where(and(eq(registryQuery.id, queryId), eq(registryQuery.applicationId, file.id)));
    if (!query) return refuse("not-found");
    if (!["other name", "changed"].includes(query.state) || !query.results) return refuse("already-done");
    await ctx.db.update(registryQuery).set({ state: "found" }).where(eq(registryQuery.id, queryId));
    await confirmResults(ctx, file, query, query.results, ctx.actor.id);
    return done(null);
  },
});

/** An officer leaves what was confirmed as it is, whatever the registry has now. */
export const leaveRegistryResults = defineFileAct({
  name: "leave-registry-results",
  input: takeRegistryResultsInput,
  right: "office",
  about: ({ queryId }) => ({ query: queryId }),
  run: async (ctx, file, { queryId }) => {
    const left = await ctx.db
      .update(registryQuery)
      .set({ state: "found" })
      .where(
        and(
          eq(registryQuery.id, queryId),
          eq(registryQuery.applicationId, file.id),
          eq(registryQuery.state, "changed"),
        ),
      )
      .returning({ id: registryQuery.id });
    return left[0] ? done(null) : refuse("already-done");
  },
});

/** The stand-in of the registry keeps a record. */
export const keepRegistryRecord = defineAct({
  name: "keep-registry-record",
  input: z.object({
    board: z.string().max(60),
    year: z.string().max(4),
    candidate: z.string().max(30),
    name: z.string().max(200),
    results: z.array(resultSchema).max(60),
  }),
  may: (ctx) => ctx.actor.kind === "system",
  run: async (ctx, record) => {
    const { name, results } = record;
    await ctx.db
      .insert(registryRecord)
      .values(record)
      .onConflictDoUpdate({
        target: [registryRecord.board, registryRecord.year, registryRecord.candidate],
        set: { name, results },
      });
    return done(null);
  },
});

/** How the stand-in of the registry behaves from now on. */
export const setRegistryMode = defineAct({
  name: "set-registry-mode",
  input: z.object({ down: z.boolean(), delayMs: z.int().min(0).max(60_000) }),
  may: (ctx) => ctx.actor.kind === "system",
  run: async (ctx, mode) => {
    await ctx.db
      .insert(registryMode)
      .values({ id: 1, ...mode })
      .onConflictDoUpdate({ target: registryMode.id, set: mode });
    return done(null);
  },
});
