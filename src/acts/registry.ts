import { and, eq, inArray } from "drizzle-orm";
import { z } from "zod";
import {
  type ClaimedResult,
  isSameCandidate,
  matchResults,
  type RegistryResult,
} from "../core/education/registry-answer";
import { shownName } from "../core/identity/shown-name";
import { AnswerIndex } from "../core/sections/answer-index";
import { enqueue } from "../db/queue";
import { registryMode, registryQuery, registryRecord } from "../db/schema";
import { type ActContext, defineAct, done, refuse } from "./act";
import { defineFileAct, type OpenFile, openFile } from "./file-act";
import { confirmFromIssuer } from "./issuer-values";
import { settle } from "./settle";

const resultSchema = z.object({ subject: z.string().max(60), mark: z.string().max(20) });
const OPEN = ["asked", "down"];

/** Asks the registry of examinations for the results of one sitting; a job asks, and another act reports. */
export const askRegistry = defineFileAct({
  name: "ask-registry",
  input: z.object({
    applicationId: z.uuid(),
    scope: z.string().max(40),
    section: z.string().max(60),
    entry: z.string().max(40),
  }),
  right: "office",
  about: ({ section, entry }) => ({ section, entry }),
  run: async (ctx, file, { scope, section, entry }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    if (file.facts.choices.every((c) => c.submittedAt === null)) return refuse("locked");
    const index = new AnswerIndex(file.facts);
    const claim = (field: string): string => {
      const value = index.confirmed(scope, section, entry, field)?.value ?? index.claim(scope, section, entry, field);
      return typeof value === "string" ? value.trim() : "";
    };
    const question = { board: claim("board"), year: claim("year"), candidate: claim("candidate") };
    if (Object.values(question).some((part) => part === "")) return refuse("invalid-input", { fields: ["candidate"] });
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
    const [made] = await ctx.db
      .insert(registryQuery)
      .values({
        applicationId: file.id,
        scope,
        section,
        entry,
        ...question,
        state: "asked",
        askedAt: ctx.now,
        byId: ctx.actor.id,
      })
      .returning({ id: registryQuery.id });
    if (!made) throw new Error("the question was not written");
    await enqueue(ctx.boss, ctx.client, "ask-registry", { queryId: made.id });
    return done({ queryId: made.id });
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
      .where(and(eq(registryQuery.id, queryId), inArray(registryQuery.state, OPEN)));
    return done(query ? { board: query.board, year: query.year, candidate: query.candidate } : null);
  },
});

type Query = typeof registryQuery.$inferSelect;

/** The lines of the form that belong to the sitting. */
function claimsOf({ facts }: OpenFile, { scope, entry }: Pick<Query, "scope" | "entry">): readonly ClaimedResult[] {
  const at = (field: string, of: string) =>
    facts.answers.find((a) => a.scope === scope && a.section === "subjects" && a.entry === of && a.field === field)
      ?.value;
  const lines = facts.answers.filter(
    (a) => a.scope === scope && a.section === "subjects" && a.field === "sitting" && a.value === entry,
  );
  return lines.map((line) => ({
    entry: line.entry,
    subject: String(at("subject", line.entry) ?? ""),
    mark: String(at("mark", line.entry) ?? ""),
  }));
}

/** What the registry says becomes the confirmed value; what it does not have stays claimed. */
async function confirmResults(
  ctx: ActContext,
  file: OpenFile,
  query: Pick<Query, "scope" | "section" | "entry" | "board" | "year" | "candidate">,
  results: readonly RegistryResult[],
  byId: string,
): Promise<void> {
  const { scope } = query;
  const { known } = matchResults(claimsOf(file, query), results);
  await confirmFromIssuer(
    ctx,
    file,
    [
      // What was asked by, not what the applicant may have changed it to since.
      ...(["board", "year", "candidate"] as const).map((field) => ({
        scope,
        section: query.section,
        entry: query.entry,
        field,
        value: query[field],
      })),
      ...known.flatMap(({ entry, subject, awarded }) => [
        { scope, section: "subjects", entry, field: "subject", value: subject },
        { scope, section: "subjects", entry, field: "mark", value: awarded },
      ]),
    ],
    "From the registry of examinations.",
    byId,
  );
}

/** Reports what the registry answered: results under the applicant's name are confirmed, those under another wait for a person. */
export const reportRegistry = defineAct({
  name: "report-registry",
  input: z.object({
    queryId: z.uuid(),
    answer: z.discriminatedUnion("kind", [
      z.object({ kind: z.literal("down") }),
      z.object({ kind: z.literal("not found") }),
      z.object({ kind: z.literal("found"), name: z.string().max(200), results: z.array(resultSchema).max(60) }),
    ]),
  }),
  may: (ctx) => ctx.actor.kind === "system",
  run: async (ctx, { queryId, answer }) => {
    const [query] = await ctx.db.select().from(registryQuery).where(eq(registryQuery.id, queryId));
    const file = query ? await openFile(ctx, query.applicationId) : null;
    if (!query || !file || !OPEN.includes(query.state)) return refuse("already-done");
    const same = answer.kind === "found" && isSameCandidate(shownName(file.facts), answer.name);
    const state = answer.kind !== "found" ? answer.kind : same ? "found" : "other name";
    await ctx.db
      .update(registryQuery)
      .set({
        state,
        answeredAt: answer.kind === "down" ? null : ctx.now,
        ...(answer.kind === "found" ? { name: answer.name, results: answer.results } : {}),
      })
      .where(eq(registryQuery.id, queryId));
    if (state === query.state) return done({ state });
    if (answer.kind === "found" && same) await confirmResults(ctx, file, query, answer.results, query.byId);
    await ctx.emit("report-registry", file.id, { entry: query.entry, result: state });
    await settle(ctx, file.id);
    return done({ state });
  },
});

/** An officer says that results under another name are this applicant's after all; they are confirmed then. */
export const takeRegistryResults = defineFileAct({
  name: "take-registry-results",
  input: z.object({ applicationId: z.uuid(), queryId: z.uuid() }),
  right: "office",
  about: ({ queryId }) => ({ query: queryId }),
  run: async (ctx, file, { queryId }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const [query] = await ctx.db
      .select()
      .from(registryQuery)
      .where(and(eq(registryQuery.id, queryId), eq(registryQuery.applicationId, file.id)));
    if (!query) return refuse("not-found");
    if (query.state !== "other name" || !query.results) return refuse("already-done");
    await ctx.db.update(registryQuery).set({ state: "found" }).where(eq(registryQuery.id, queryId));
    await confirmResults(ctx, file, query, query.results, ctx.actor.id);
    return done(null);
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
